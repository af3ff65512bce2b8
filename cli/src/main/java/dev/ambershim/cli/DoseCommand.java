package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.logbook.formats.DoseJson;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code dose}: how much liquid metal, cover and glue, and what must never meet. */
@Command(
    name = "dose",
    mixinStandardHelpOptions = true,
    description = "Tell a job's doses of liquid metal, cover and glue, and what must never meet.")
final class DoseCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(paramLabel = "JOB.json", description = "The job.")
  Path file;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    Job job = JobInput.read(file);
    CoatAnswer answer = CoatAnswer.of(job, Notation.METRIC);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(DoseJson.of(answer)));
    } else {
      out.println(answer.sentence());
      answer.reasons().forEach(r -> out.println("  " + r));
      for (Meeting m : answer.meetings()) {
        out.println("  " + m.line());
      }
      answer.notes().forEach(n -> out.println("  " + n));
    }
    out.flush();
    return 0;
  }
}
