package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.everyday.Everyday;
import dev.ambershim.core.runs.everyday.EverydayFit;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.keep.EverydayWords;
import dev.ambershim.logbook.formats.EverydayJson;
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

/** {@code everyday}: the resistance by logs of ordinary use. */
@Command(
    name = "everyday",
    mixinStandardHelpOptions = true,
    description = "Tell the resistance by logs of ordinary use of one state and mount.")
final class EverydayCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(arity = "1..*", paramLabel = "LOG.csv", description = "Logs.")
  List<Path> files;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Mixin LogInput input;

  @Override
  public Integer call() {
    List<RunLog> logs = input.logs(files);
    Everyday told = EverydayFit.of(logs, input.typedRoom(), Judging.USUAL_TYPED_ROOM_KELVIN);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(EverydayJson.of(logs.stream().map(RunLog::fileName).toList(), told)));
    } else {
      out.println(EverydayWords.finding(told, Notation.METRIC).sentence());
      out.println("  " + EverydayWords.why(told, Notation.METRIC));
    }
    out.flush();
    return 0;
  }
}
