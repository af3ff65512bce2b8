package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.mounting.Tightening;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.close.MountAnswer;
import dev.ambershim.logbook.formats.MountJson;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code mount}: how hard the cooler presses, how to turn its screws, and the first minute. */
@Command(
    name = "mount",
    mixinStandardHelpOptions = true,
    description = "Tell how hard a job's cooler presses, and how to turn its screws.")
final class MountCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(paramLabel = "JOB.json", description = "The job.")
  Path file;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    Job job = JobInput.read(file);
    CloseAnswer close = CloseAnswer.of(job, Notation.METRIC, SolveWatch.NONE);
    MountAnswer mount = close.mount();
    FirstStart start = FirstStart.of(job, SolveWatch.NONE);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(MountJson.of(close, start)));
    } else {
      out.println(mount.finding().sentence());
      close.notes().forEach(c -> out.println("  " + c));
      for (Tightening.Turn t : mount.tightening().turns()) {
        out.printf(
            Locale.ROOT,
            "  %-10s to %5.2f turns: %6.1f N, tilt %.3f°, edge %.2f MPa%n",
            job.mounting().places().get(t.screw()).name(),
            t.turned(),
            t.seat().totalNewtons(),
            t.seat().tiltDegrees(),
            t.seat().peakMegapascals());
      }
      start.words(Notation.METRIC).forEach(w -> out.println("  " + w));
    }
    out.flush();
    return 0;
  }
}
