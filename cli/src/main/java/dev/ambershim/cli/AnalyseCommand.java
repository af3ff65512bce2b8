package dev.ambershim.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.finding.Finding;
import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.runlog.Baseline;
import dev.ambershim.core.runlog.Channel;
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

  @Override
  public Integer call() {
    List<LogInput.Run> runs = input.read(files);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      ObjectNode node = Json.mapper().createObjectNode();
      ArrayNode array = node.putArray("runs");
      runs.forEach(r -> array.add(ResultJson.of(r.log(), r.analysis())));
      out.println(Json.pretty(node));
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
    run.analysis().remarks().forEach(r -> out.println("  " + r));
    run.log().notes().remarks().forEach(r -> out.println("  " + r));
    for (Channel c : run.log().channels()) {
      out.println("  column \"" + c.name() + "\": " + c.role().words());
    }
  }
}
