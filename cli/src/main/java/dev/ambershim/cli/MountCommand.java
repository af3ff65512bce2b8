package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.mounting.Tightening;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.close.MountQuestion;
import dev.ambershim.core.stage.measure.FitQuestion;
import dev.ambershim.logbook.formats.MountJson;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
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
    MountQuestion mount = MountQuestion.of(job, Notation.METRIC);
    Optional<FitQuestion.Tilted> cost = mount.cost(job, SolveWatch.NONE);
    FirstStart start = FirstStart.of(job, SolveWatch.NONE);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(MountJson.of(job, mount, cost, start)));
    } else {
      out.println(mount.finding().sentence());
      mount.checks().forEach(c -> out.println("  " + c));
      cost.ifPresent(
          c ->
              out.printf(
                  Locale.ROOT,
                  "  The paste ends between %.1f and %.1f µm, which costs %.2f K in the mean and"
                      + " widens the spread by %.2f K.%n",
                  c.thinMicrometres(),
                  c.thickMicrometres(),
                  c.meanKelvin(),
                  c.spreadKelvin()));
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
