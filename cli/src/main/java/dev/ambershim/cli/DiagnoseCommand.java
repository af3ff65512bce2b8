package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.diagnosis.Diagnosis;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisCase;
import dev.ambershim.logbook.formats.DiagnoseJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.ForkJoinPool;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code diagnose}: why a chip is hot, and which test tells most. */
@Command(
    name = "diagnose",
    mixinStandardHelpOptions = true,
    description = "Rank the causes that a chip's readings can have, and name the next test.")
final class DiagnoseCommand implements Callable<Integer> {
  /** So many causes and tests are printed; JSON has all. */
  private static final int MOST = 4;

  @Spec CommandSpec spec;

  @Parameters(paramLabel = "CASE.diagnose.json", description = "The stack and its readings.")
  Path file;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    String name = file.toString();
    DiagnosisCase given =
        DiagnoseJson.read(name, new String(LogFiles.read(file), StandardCharsets.UTF_8));
    DiagnosisAnswer answer;
    try {
      answer =
          DiagnosisAnswer.of(
              Stage.BASELINE,
              given,
              new Diagnosis(given, ForkJoinPool.commonPool(), SolveWatch.NONE)
                  .of(given, SolveWatch.NONE),
              Notation.METRIC);
    } catch (Problem problem) {
      throw problem.in(name);
    }
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(DiagnoseJson.of(answer)));
    } else {
      print(out, answer);
    }
    out.flush();
    return 0;
  }

  private static void print(PrintWriter out, DiagnosisAnswer answer) {
    out.println(answer.sentence());
    answer.reasons().forEach(r -> out.println("  " + r));
    out.println("Causes:");
    answer.causes().stream().limit(MOST).forEach(c -> out.println("  " + c));
    out.println("Tests, the most telling for their minutes first:");
    answer.tests().stream().limit(MOST).forEach(t -> out.println("  " + t));
  }
}
