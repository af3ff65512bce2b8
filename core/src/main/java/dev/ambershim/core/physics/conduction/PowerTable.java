package dev.ambershim.core.physics.conduction;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.TableText;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Heat in time: a time and the heat of each source from then until the next time.
 *
 * @param seconds rising
 * @param watts for each time one figure for each source
 */
public record PowerTable(double[] seconds, double[][] watts) {
  private static final String TIME = "time_s";

  /**
   * Reads a table, written as {@link TableText} tells: a header with {@code time_s} and the names
   * of the sources, in any order, then a line for each time.
   *
   * @param file its name for messages
   * @throws Problem {@code power.…}, with line and column
   */
  public static PowerTable read(String file, String text, List<HeatSource> heat) {
    List<Double> seconds = new ArrayList<>();
    List<double[]> watts = new ArrayList<>();
    String wanted =
        TIME + "," + heat.stream().map(HeatSource::name).collect(Collectors.joining(","));
    List<String> header = new ArrayList<>();
    TableText.read(
        file,
        text,
        "power",
        "Begin the file with the line " + wanted + ".",
        (line, cells) -> {
          if (header.isEmpty()) {
            cells.forEach(name -> header.add(name.strip()));
            check(file, line, header, heat, wanted);
            return;
          }
          double time = number(file, line, cells, header.indexOf(TIME));
          if (!seconds.isEmpty() && !(time > seconds.get(seconds.size() - 1))) {
            throw new Problem(
                "power.time",
                Place.cell(file, line, header.indexOf(TIME) + 1),
                "The time " + time + " s does not come after the one before it.",
                "Let the times rise.");
          }
          seconds.add(time);
          watts.add(row(file, line, cells, header, heat));
        });
    if (seconds.size() < 2) {
      throw new Problem(
          "power.short",
          Place.file(file),
          "It has " + seconds.size() + " times.",
          "Give at least two: a start and an end.");
    }
    return new PowerTable(
        seconds.stream().mapToDouble(Double::doubleValue).toArray(),
        watts.toArray(new double[0][]));
  }

  private static double[] row(
      String file, int line, List<String> cells, List<String> header, List<HeatSource> heat) {
    double[] row = new double[heat.size()];
    for (int s = 0; s < row.length; s++) {
      int column = header.indexOf(heat.get(s).name());
      row[s] = number(file, line, cells, column);
      if (!(row[s] >= 0 && row[s] <= 1e6)) {
        throw new Problem(
            "power.watts",
            Place.cell(file, line, column + 1),
            "A heat of " + row[s] + " W cannot be.",
            "Give zero or more, up to 1000000 W.");
      }
    }
    return row;
  }

  private static void check(
      String file, int line, List<String> header, List<HeatSource> heat, String wanted) {
    String remedy = "The header should read " + wanted + ".";
    for (HeatSource source : heat) {
      if (!header.contains(source.name())) {
        throw new Problem(
            "power.columns",
            Place.line(file, line),
            "There is no column for heat \"" + source.name() + "\".",
            remedy);
      }
    }
    if (!header.contains(TIME) || header.size() != heat.size() + 1) {
      throw new Problem(
          "power.columns",
          Place.line(file, line),
          "It has " + header.size() + " columns that do not fit the case.",
          remedy);
    }
  }

  private static double number(String file, int line, List<String> cells, int column) {
    String cell = column < cells.size() ? cells.get(column).strip() : "";
    double value = TableText.figure(cell);
    if (Double.isNaN(value)) {
      throw new Problem(
          "power.number",
          Place.cell(file, line, column + 1),
          cell.isEmpty() ? "There is no number." : TableText.quoted(cell) + " is not a number.",
          "Give a figure such as 61.5.");
    }
    return value;
  }
}
