package dev.ambershim.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.judging.HotSpots;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.stage.baseline.Baseline;
import dev.ambershim.logbook.formats.RunJson;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code analyse}: what each run's settled part says, and what its columns were taken for. */
@Command(
    name = "analyse",
    mixinStandardHelpOptions = true,
    description = "Tell what the settled part of each run says.")
final class AnalyseCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(arity = "1..*", paramLabel = "CSV", description = "Logs.")
  List<Path> files;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Mixin LogInput input;

  private record Analysed(List<ObjectNode> runs) {}

  @Override
  public Integer call() {
    List<LogInput.Run> runs = input.readOne(files);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(
          Json.pretty(
              new Analysed(
                  runs.stream()
                      .map(r -> RunJson.of(r.log(), r.analysis(), r.step(), hints(r)))
                      .toList())));
    } else {
      runs.forEach(r -> print(out, r));
    }
    out.flush();
    return 0;
  }

  private static void print(PrintWriter out, LogInput.Run run) {
    out.println(run.log().fileName());
    Baseline.of(List.of(run.analysis()), Notation.METRIC)
        .map(Finding::sentence)
        .ifPresent(s -> out.println("  " + s));
    run.step().ifPresent(s -> out.println("  " + s.sentence(Notation.METRIC)));
    hints(run).forEach(hint -> out.println("  " + hint));
    run.analysis().remarks().forEach(r -> out.println("  " + r));
    run.log().notes().remarks().forEach(r -> out.println("  " + r));
    for (Channel c : run.log().channels()) {
      out.println(
          "  column \""
              + c.name()
              + "\": "
              + c.role().words()
              + (c.role() == Role.UNUSED
                  ? ""
                  : ", " + Math.round(100 * c.confidence()) + " % sure"));
    }
  }

  /** Without a chip the places of the cores are not known, so only a lone core can be told. */
  private static List<String> hints(LogInput.Run run) {
    double[] kelvin = run.analysis().coreCelsius().stream().mapToDouble(c -> c).toArray();
    return HotSpots.of(kelvin, new double[0], new double[0], Notation.METRIC).stream()
        .map(h -> h.sentence() + " " + h.test())
        .toList();
  }
}
