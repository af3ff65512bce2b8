package dev.ambershim.core.physics.conduction;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
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
   * Reads comma-separated text: a header with {@code time_s} and the names of the sources, in any
   * order, then a line for each time.
   *
   * @param file its name for messages
   * @throws Problem {@code power.…}, with line and column
   */
  public static PowerTable read(String file, String text, List<HeatSource> heat) {
    List<Double> seconds = new ArrayList<>();
    List<double[]> watts = new ArrayList<>();
    try (CsvReader<NamedCsvRecord> csv =
        CsvReader.builder().skipEmptyLines(true).ofNamedCsvRecord(text)) {
      for (NamedCsvRecord line : csv) {
        int at = (int) line.getStartingLineNumber();
        List<String> header = line.getHeader();
        int[] column = columns(file, header, heat);
        double time = number(file, line, at, header.indexOf(TIME));
        if (!seconds.isEmpty() && !(time > seconds.get(seconds.size() - 1))) {
          throw new Problem(
              "power.time",
              Place.cell(file, at, header.indexOf(TIME) + 1),
              "The time " + time + " s does not come after the one before it.",
              "Let the times rise.");
        }
        double[] row = new double[column.length];
        for (int s = 0; s < row.length; s++) {
          row[s] = number(file, line, at, column[s]);
          if (!(row[s] >= 0 && row[s] <= 1e6)) {
            throw new Problem(
                "power.watts",
                Place.cell(file, at, column[s] + 1),
                "A heat of " + row[s] + " W cannot be.",
                "Give zero or more, up to 1000000 W.");
          }
        }
        seconds.add(time);
        watts.add(row);
      }
    } catch (de.siegmar.fastcsv.reader.CsvParseException | IOException e) {
      throw new Problem(
          "power.unreadable",
          Place.file(file),
          "It is no table of comma-separated values.",
          "Write a header and one line for each time.",
          e);
    }
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

  private static int[] columns(String file, List<String> header, List<HeatSource> heat) {
    String wanted =
        TIME + "," + heat.stream().map(HeatSource::name).collect(Collectors.joining(","));
    int[] column = new int[heat.size()];
    for (int s = 0; s < column.length; s++) {
      column[s] = header.indexOf(heat.get(s).name());
      if (column[s] < 0) {
        throw new Problem(
            "power.columns",
            Place.line(file, 1),
            "There is no column for heat \"" + heat.get(s).name() + "\".",
            "The header should read " + wanted + ".");
      }
    }
    if (!header.contains(TIME) || header.size() != heat.size() + 1) {
      throw new Problem(
          "power.columns",
          Place.line(file, 1),
          "It has " + header.size() + " columns that do not fit the case.",
          "The header should read " + wanted + ".");
    }
    return column;
  }

  private static double number(String file, NamedCsvRecord line, int at, int column) {
    try {
      double value = Double.parseDouble(line.getField(column).strip());
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException | IndexOutOfBoundsException e) {
      // Falls through to the message that both deserve.
    }
    throw new Problem(
        "power.number",
        Place.cell(file, at, column + 1),
        "There is no number.",
        "Write a figure with a decimal point.");
  }
}
