package dev.ambershim.cli;

import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import dev.ambershim.core.runlog.Comparison;
import dev.ambershim.core.runlog.RunAnalysis;
import dev.ambershim.logbook.results.ResultJson;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code compare}: did the work help, and how sure is that. */
@Command(
    name = "compare",
    mixinStandardHelpOptions = true,
    description = "Judge the runs after the work against the runs before it.")
final class CompareCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Option(
      names = "--before",
      required = true,
      arity = "1..*",
      paramLabel = "CSV",
      description = "Logs from before the work.")
  List<Path> before;

  @Option(
      names = "--after",
      required = true,
      arity = "1..*",
      paramLabel = "CSV",
      description = "Logs from after the work.")
  List<Path> after;

  @Option(
      names = "--care",
      paramLabel = "K",
      defaultValue = "1",
      description = "The smallest difference you care about (default: ${DEFAULT-VALUE} K).")
  double care;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Mixin LogInput input;

  @Override
  public Integer call() {
    if (!(care >= 0)) {
      throw new Problem(
          "care.range",
          Place.field("--care"),
          "The smallest difference cannot be " + care + " K.",
          "Give zero or more.");
    }
    Comparison comparison = Comparison.of(analyses(before), analyses(after), care, Notation.METRIC);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(ResultJson.of(comparison)));
    } else {
      out.println(comparison.sentence());
      comparison.reasons().stream()
          .filter(r -> !r.equals(comparison.sentence()))
          .forEach(r -> out.println("  " + r));
    }
    out.flush();
    return 0;
  }

  private List<RunAnalysis> analyses(List<Path> files) {
    return input.read(files).stream().map(LogInput.Run::analysis).toList();
  }
}
