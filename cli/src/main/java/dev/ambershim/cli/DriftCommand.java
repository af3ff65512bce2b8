package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.surface.ProbeTable;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.History;
import dev.ambershim.core.runs.drift.Scatter;
import dev.ambershim.core.stage.keep.CourseAnswer;
import dev.ambershim.core.stage.keep.KeepCase;
import dev.ambershim.core.stage.keep.Limit;
import dev.ambershim.logbook.formats.DriftJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code drift}: whether a chip ages by its checks, and when a limit is met. */
@Command(
    name = "drift",
    mixinStandardHelpOptions = true,
    description = "Tell whether a chip ages by its dated checks, and when a limit is met.")
final class DriftCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(
      paramLabel = "HISTORY.csv",
      description =
          "Checks, header date,rise_K,power_W,state; standard_error_K and mount if known.")
  Path file;

  @Option(names = "--limit", paramLabel = "C", description = "The cores should not reach this, °C.")
  Double limit;

  @Option(
      names = "--watts",
      paramLabel = "W",
      description = "The power to bring the checks to; their median if not given.")
  Double watts;

  @Option(names = "--room", paramLabel = "C", description = "The room the limit is meant in, °C.")
  Double room;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    LogInput.checkRoom("--room", room);
    if (watts != null && !Check.canDraw(watts)) {
      throw new Problem(
          "drift.watts",
          Place.field("--watts"),
          watts + " W cannot be.",
          "Give the chip's power in W, such as 150.");
    }
    Optional<Limit> met =
        Optional.ofNullable(limit).map(c -> new Limit(c, room == null ? Room.USUAL_CELSIUS : room));
    CourseAnswer answer =
        CourseAnswer.of(
            new KeepCase(
                History.read(file.toString(), ProbeTable.text(LogFiles.read(file))),
                watts == null ? OptionalDouble.empty() : OptionalDouble.of(watts),
                met,
                Scatter.USUAL,
                Optional.empty()),
            Notation.METRIC);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(DriftJson.of(answer)));
    } else {
      out.println(answer.sentence());
      answer.reasons().forEach(r -> out.println("  " + r));
      answer.notes().forEach(n -> out.println("  " + n));
    }
    out.flush();
    return 0;
  }
}
