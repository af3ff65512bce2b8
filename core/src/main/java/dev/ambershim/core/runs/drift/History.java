package dev.ambershim.core.runs.drift;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.table.FigureTable;
import dev.ambershim.core.runs.table.FigureTable.In;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** Checks as a table: {@code date,rise_K,power_W,state} and, where known, error and mount. */
public final class History {
  private static final String HEADER = "date,rise_K,power_W,state";
  private static final int MOST = 2000;

  private static final List<In> KELVIN = List.of(In.of("_K", 1), In.of("_F", 1 / 1.8));
  private static final List<In> TURNS = List.of(In.of("_rpm", 1));
  private static final List<In> WATTS = List.of(In.of("_W", 1), In.of("_mW", 1e-3));

  private History() {}

  /**
   * Reads a table.
   *
   * @param file its name for messages
   * @return the checks, the oldest first
   * @throws Problem {@code drift.…} with file, line and column
   */
  public static List<Check> read(String file, String text) {
    FigureTable table = FigureTable.read(file, text, "drift", HEADER, MOST);
    table.need(List.of("date"));
    if (KELVIN.stream().noneMatch(u -> table.has("rise" + u.suffix()))) {
      table.need(List.of("rise_K"));
    }
    if (WATTS.stream().noneMatch(u -> table.has("power" + u.suffix()))) {
      table.need(List.of("power_W"));
    }
    List<Check> checks = new ArrayList<>();
    for (FigureTable.Row row : table.rows()) {
      checks.add(check(row));
    }
    checks.sort(Comparator.comparing(Check::date));
    return checks;
  }

  private static Check check(FigureTable.Row row) {
    double rise =
        row.figure("rise", KELVIN)
            .orElseThrow(
                () -> row.problem("rise_K", "The line has no rise.", "Give kelvin over the room."));
    if (!Check.canRise(rise)) {
      throw row.problem(
          "rise_K", "A rise of " + rise + " K cannot be.", "Give the cores less the room, in K.");
    }
    double watts =
        row.figure("power", WATTS)
            .orElseThrow(
                () -> row.problem("power_W", "The line has no power.", "Give the chip's watts."));
    if (!Check.canDraw(watts)) {
      throw row.problem(
          "power_W", "A power of " + watts + " W cannot be.", "Give the chip's power in W.");
    }
    OptionalDouble error = row.figure("standard_error", KELVIN);
    if (error.isPresent() && !Check.canErr(error.getAsDouble())) {
      throw row.problem(
          "standard_error_K",
          "A standard error of " + error.getAsDouble() + " K cannot be.",
          "Leave it empty if you do not know it.");
    }
    return new Check(
        row.day("date"),
        rise,
        watts,
        row.text("state"),
        row.text("mount"),
        error,
        row.figure("fan", TURNS),
        row.figure("pump", TURNS));
  }
}
