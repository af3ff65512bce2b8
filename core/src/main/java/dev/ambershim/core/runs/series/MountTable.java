package dev.ambershim.core.runs.series;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.table.FigureTable;
import dev.ambershim.core.runs.table.FigureTable.In;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** Reads a series from a table with a line a mount. */
public final class MountTable {
  private static final String HEADER = "candidate,block,rise_K,power_W";
  private static final int MOST = 2000;
  private static final double MOST_PRICE = 1e6;
  private static final List<In> KELVIN = List.of(In.of("_K", 1), In.of("_F", 1 / 1.8));
  private static final List<In> WATTS = List.of(In.of("_W", 1), In.of("_mW", 1e-3));
  private static final List<In> ROOM = List.of(In.of("_C", 1), new In("_F", 1 / 1.8, -32 / 1.8));

  private MountTable() {}

  /**
   * Reads mounts, in the order of the lines.
   *
   * @throws Problem {@code series.…} with file and line
   */
  public static List<Mount> read(String file, String text) {
    FigureTable table = FigureTable.read(file, text, "series", HEADER, MOST);
    table.need(List.of("candidate"));
    if (!table.has("rise_K") && !table.has("rise_F")) {
      table.need(List.of("rise_K"));
    }
    if (!table.has("power_W") && !table.has("power_mW")) {
      table.need(List.of("power_W"));
    }
    List<Mount> mounts = new ArrayList<>();
    for (FigureTable.Row row : table.rows()) {
      mounts.add(mount(row));
    }
    return mounts;
  }

  private static Mount mount(FigureTable.Row row) {
    String candidate = row.text("candidate");
    if (candidate.isEmpty()) {
      throw row.problem("candidate", "The line names no candidate.", "Say what was mounted.");
    }
    String spoiled = row.text("spoiled");
    double rise = row.figure("rise", KELVIN).orElse(Double.NaN);
    double watts = row.figure("power", WATTS).orElse(Double.NaN);
    if (spoiled.isEmpty() && !Check.canRise(rise)) {
      throw row.problem(
          "rise_K",
          Double.isNaN(rise) ? "The line has no rise." : "A rise of " + rise + " K cannot be.",
          "Give the cores less the room, in K, or say in a column spoiled why it does not count.");
    }
    if (spoiled.isEmpty() && !Check.canDraw(watts)) {
      throw row.problem(
          "power_W",
          Double.isNaN(watts) ? "The line has no power." : "A power of " + watts + " W cannot be.",
          "Give the chip's power in W.");
    }
    OptionalDouble price = row.figure("price");
    if (price.isPresent() && !(price.getAsDouble() >= 0 && price.getAsDouble() <= MOST_PRICE)) {
      throw row.problem("price", "Such a price cannot be.", "Give what one use costs, or nothing.");
    }
    return new Mount(
        candidate,
        row.text("block"),
        rise,
        watts,
        row.figure("room", ROOM),
        row.figure("order"),
        price,
        spoiled);
  }
}
