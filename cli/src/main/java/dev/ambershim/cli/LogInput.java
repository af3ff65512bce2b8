package dev.ambershim.cli;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.judging.Together;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.logbook.store.LogFiles;
import java.nio.file.Path;
import java.util.ArrayList;
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
          "Say what a column is: core, package, coolant, room, power, clock, voltage, fan, pump,"
              + " load, throttle, unused.")
  Map<String, String> roles = new HashMap<>();

  /** A log, what its settled part says, and how it followed its load. */
  record Run(RunLog log, RunAnalysis analysis, Optional<StepResponse> step) {}

  List<Run> readOne(List<Path> files) {
    return read(List.of(files)).get(0);
  }

  /**
   * Reads the runs of several states side by side: a core that does not count in one run counts in
   * none.
   */
  List<List<Run>> read(List<List<Path>> states) {
    OptionalDouble typed = typedRoom();
    List<List<RunLog>> logs = states.stream().map(this::logs).toList();
    List<RunAnalysis> all =
        Together.analyse(
            logs.stream().flatMap(List::stream).map(l -> new Together.Run(l, typed)).toList());
    List<List<Run>> result = new ArrayList<>();
    int at = 0;
    for (List<RunLog> state : logs) {
      List<Run> runs = new ArrayList<>();
      for (RunLog log : state) {
        runs.add(new Run(log, all.get(at++), RunAnalyser.step(log, typed)));
      }
      result.add(runs);
    }
    return result;
  }

  /**
   * Checks a room as it was typed behind an option; null is none.
   *
   * @throws Problem {@code room.range}
   */
  static void checkRoom(String option, Double room) {
    if (room != null && !Room.canBe(room)) {
      throw new Problem(
          "room.range",
          Place.field(option),
          room + " °C is no room.",
          "Give the air at the cooler's intake in °C, such as 22.5.");
    }
  }

  /** Logs with the roles that were said, without readings that cannot be; folders give theirs. */
  List<RunLog> logs(List<Path> files) {
    Map<String, Role> said = new HashMap<>();
    roles.forEach((column, role) -> said.put(column, role(role)));
    return files.stream()
        .flatMap(file -> LogFiles.inside(file).stream())
        .map(file -> read(file, said).believed())
        .toList();
  }

  /** The room that was typed. */
  OptionalDouble typedRoom() {
    checkRoom("--room", room);
    return room == null ? OptionalDouble.empty() : OptionalDouble.of(room);
  }

  private RunLog read(Path file, Map<String, Role> said) {
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
    return log;
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
