package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.FigureChange;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.judging.MountedRun;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.logbook.formats.ResultJson;
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

  @Option(
      names = "--remounted",
      description = "The cooler came off between the runs: each log is a mount of its own.")
  boolean remounted;

  @Option(
      names = "--remount",
      paramLabel = "K",
      defaultValue = "0.5",
      description =
          "Standard deviation between mounts, for one mount each side (default: ${DEFAULT-VALUE}"
              + " K, common practice).")
  double remount;

  @Option(
      names = "--room-error",
      paramLabel = "K",
      defaultValue = "0.3",
      description =
          "How far a room given by --room may be off, as a standard error (default:"
              + " ${DEFAULT-VALUE} K, common practice).")
  double roomError;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Mixin LogInput input;

  @Override
  public Integer call() {
    List<List<LogInput.Run>> sides = input.read(List.of(before, after));
    Comparison comparison =
        Comparison.of(runs(sides.get(0)), runs(sides.get(1)), judging(), Notation.METRIC);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(ResultJson.of(comparison)));
    } else {
      out.println(comparison.sentence());
      comparison.reasons().stream()
          .filter(r -> !r.equals(comparison.sentence()))
          .forEach(r -> out.println("  " + r));
      for (FigureChange c : comparison.figures()) {
        Unit unit = c.figure().unit();
        out.println(
            "  "
                + c.name()
                + ": "
                + Notation.METRIC.text(c.change(), unit)
                + " ("
                + Notation.METRIC.range(c.interval(), unit)
                + ")");
      }
    }
    out.flush();
    return 0;
  }

  private Judging judging() {
    return new Judging(
        Figures.CARE.given("--care", care),
        Figures.REMOUNT.given("--remount", remount),
        Figures.TYPED_ROOM.given("--room-error", roomError));
  }

  private List<MountedRun> runs(List<LogInput.Run> side) {
    List<RunAnalysis> runs = side.stream().map(LogInput.Run::analysis).toList();
    return remounted ? MountedRun.eachRemounted(runs) : MountedRun.ofOneMount(runs);
  }
}
