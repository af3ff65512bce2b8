package dev.ambershim.cli;

import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import dev.ambershim.core.runlog.LogReader;
import dev.ambershim.core.runlog.Role;
import dev.ambershim.core.runlog.RunAnalyser;
import dev.ambershim.core.runlog.RunAnalysis;
import dev.ambershim.core.runlog.RunLog;
import dev.ambershim.core.runlog.StepResponse;
import dev.ambershim.logbook.files.LogFiles;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;

/** The options of every command that reads logs. */
final class LogInput {
  @Option(
      names = "--room",
      paramLabel = "C",
      description = "Room air in °C, for logs without a room column.")
  Double room;

  @Option(
      names = "--role",
      paramLabel = "COLUMN=ROLE",
      description =
          "Say what a column is: core, package, coolant, room, power, clock, throttle, unused.")
  Map<String, String> roles = new HashMap<>();

  /** A log, what its settled part says, and how it followed its load. */
  record Run(RunLog log, RunAnalysis analysis, Optional<StepResponse> step) {}

  List<Run> read(List<Path> files) {
    checkRoom(room);
    Map<String, Role> said = new HashMap<>();
    roles.forEach((column, role) -> said.put(column, role(role)));
    return files.stream()
        .flatMap(file -> LogFiles.inside(file).stream())
        .map(file -> read(file, said))
        .toList();
  }

  /**
   * Checks a room as it was typed behind {@code --room}; null is none.
   *
   * @throws Problem {@code room.range}
   */
  static void checkRoom(Double room) {
    if (room != null && !(room > -40 && room < 60)) {
      throw new Problem(
          "room.range",
          Place.field("--room"),
          room + " °C is no room.",
          "Give the air at the cooler's intake in °C, such as 22.5.");
    }
  }

  private Run read(Path file, Map<String, Role> said) {
    RunLog log = LogReader.read(file.toString(), LogFiles.read(file)).withRoles(said);
    for (String column : said.keySet()) {
      if (log.channels().stream().noneMatch(c -> c.name().equals(column))) {
        throw new Problem(
            "role.column",
            Place.file(file.toString()),
            "There is no column \"" + column + "\".",
            "The columns are: "
                + log.channels().stream().map(c -> c.name()).collect(Collectors.joining(", "))
                + ".");
      }
    }
    OptionalDouble typed = room == null ? OptionalDouble.empty() : OptionalDouble.of(room);
    return new Run(log, RunAnalyser.analyse(log, typed), RunAnalyser.step(log, typed));
  }

  private static Role role(String word) {
    return Arrays.stream(Role.values())
        .filter(r -> r.name().equalsIgnoreCase(word.strip()))
        .findFirst()
        .orElseThrow(
            () ->
                new Problem(
                    "role.unknown",
                    Place.field("--role"),
                    "\"" + word + "\" is no role.",
                    "Roles are: "
                        + Arrays.stream(Role.values())
                            .map(r -> r.name().toLowerCase(Locale.ROOT))
                            .collect(Collectors.joining(", "))
                        + "."));
  }
}
