package dev.ambershim.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.bench.StartBench;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code bench}: speed as a ratio within one run. */
@Command(
    name = "bench",
    mixinStandardHelpOptions = true,
    description = "Measure speed as a ratio within one run.")
final class BenchCommand implements Callable<Integer> {
  /** What can be measured. */
  enum Subject {
    start
  }

  @Spec CommandSpec spec;

  @Parameters(paramLabel = "WHAT", description = "One of: ${COMPLETION-CANDIDATES}.")
  Subject subject;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    StartBench.Result result =
        switch (subject) {
          case start -> StartBench.run(AmberShim.class.getName());
        };
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      ObjectNode node = Json.mapper().createObjectNode();
      node.put("ratioToEmptyWindow", result.ratioToEmptyWindow());
      node.put("windowSeconds", result.windowSeconds());
      node.put("emptyWindowSeconds", result.emptySeconds());
      out.println(Json.pretty(node));
    } else {
      out.printf(
          Locale.ROOT,
          "Window up with the demo: %.2f times an empty JavaFX window (%.2f s against %.2f s).%n",
          result.ratioToEmptyWindow(),
          result.windowSeconds(),
          result.emptySeconds());
    }
    out.flush();
    return 0;
  }
}
