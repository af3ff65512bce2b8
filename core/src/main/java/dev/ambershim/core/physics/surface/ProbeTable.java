package dev.ambershim.core.physics.surface;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Probed points as a table with the header {@code x_mm,y_mm,z_um}. Columns may come in any order
 * and with others beside them; comma, semicolon or tab part them; the decimal mark may be a comma
 * where it cannot be taken for one that parts, or where the cell is quoted. Lengths may be in mm,
 * µm, inches or thou when the header says so.
 */
public final class ProbeTable {
  private static final String HEADER = "Begin the file with the line x_mm,y_mm,z_um.";
  private static final int MOST_POINTS = 200_000;
  private static final int MOST_QUOTED = 40;

  private ProbeTable() {}

  /**
   * Reads a table.
   *
   * @param file its name for messages
   * @throws Problem {@code probe.…} with file and line
   */
  public static List<ProbedPoint> read(String file, String text) {
    String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
    if (plain.isBlank()) {
      throw new Problem("probe.empty", Place.file(file), "The file is empty.", HEADER);
    }
    String first = plain.stripLeading().lines().findFirst().orElse("");
    char delimiter = first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : ',';
    List<ProbedPoint> points = new ArrayList<>();
    Columns columns = null;
    try (CsvReader<CsvRecord> records =
        CsvReader.builder()
            .fieldSeparator(delimiter)
            .skipEmptyLines(true)
            .allowMissingFields(true)
            .allowExtraFields(true)
            .ofCsvRecord(plain)) {
      for (CsvRecord record : records) {
        int line = (int) record.getStartingLineNumber();
        if (record.getFieldCount() == 1 && record.getField(0).isBlank()) {
          continue;
        }
        if (columns == null) {
          columns = Columns.of(file, line, record);
          continue;
        }
        points.add(columns.point(file, line, record));
        if (points.size() > MOST_POINTS) {
          throw new Problem(
              "probe.many",
              Place.line(file, line),
              "More than " + MOST_POINTS + " points are too many.",
              "Keep every tenth or so.");
        }
      }
    } catch (CsvParseException e) {
      throw new Problem(
          "probe.unreadable",
          Place.file(file),
          "The table cannot be read: " + e.getMessage() + ".",
          HEADER,
          e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (points.isEmpty()) {
      throw new Problem(
          "probe.empty",
          Place.file(file),
          "There is no point under the header.",
          "Add a line each.");
    }
    return points;
  }

  /** The text of a file: UTF-16 where it says so by its first bytes, else UTF-8. */
  public static String text(byte[] bytes) {
    boolean wide =
        bytes.length > 1
            && ((bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF)
                || (bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE));
    return new String(bytes, wide ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
  }

  /** A cell as it can stand in a message: on one line, and not too long. */
  private static String quoted(String cell) {
    String line = cell.replaceAll("\\s+", " ");
    return line.length() <= MOST_QUOTED ? line : line.substring(0, MOST_QUOTED) + "…";
  }

  /** Whether a text begins with the header of such a table. */
  public static boolean looksLike(String text) {
    String first =
        text.replace("\uFEFF", "")
            .stripLeading()
            .lines()
            .findFirst()
            .orElse("")
            .toLowerCase(Locale.ROOT);
    return first.matches(".*\\bx[_ \\[(].*") && first.matches(".*\\bz[_ \\[(].*");
  }

  /** The table of points, as it is read. */
  public static String write(List<ProbedPoint> points) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
      csv.writeRecord("x_mm", "y_mm", "z_um");
      for (ProbedPoint p : points) {
        csv.writeRecord(plain(p.xMillimetres()), plain(p.yMillimetres()), plain(p.micrometres()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  private static String plain(double value) {
    return java.math.BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
  }

  /** Where x, y and z stand, and what brings each to mm, mm and µm. */
  private record Columns(int[] at, double[] factor, String[] names) {
    static Columns of(String file, int line, CsvRecord head) {
      int[] at = {-1, -1, -1};
      double[] factor = new double[3];
      String[] names = new String[3];
      for (int i = 0; i < head.getFieldCount(); i++) {
        String name = head.getField(i).strip().toLowerCase(Locale.ROOT).replace('µ', 'u');
        name = name.replace('μ', 'u').replaceAll("[\\s\\[\\]()]+", "_").replaceAll("_+$", "");
        int axis = name.isEmpty() ? -1 : "xyz".indexOf(name.charAt(0));
        String unit = name.length() > 2 && name.charAt(1) == '_' ? name.substring(2) : "";
        double millimetres =
            switch (unit) {
              case "mm" -> 1;
              case "um" -> 1e-3;
              case "in", "inch" -> 25.4;
              case "thou", "mil" -> 0.0254;
              default -> Double.NaN;
            };
        if (axis < 0 || at[axis] >= 0 || Double.isNaN(millimetres)) {
          continue;
        }
        at[axis] = i;
        factor[axis] = axis == 2 ? millimetres * 1000 : millimetres;
        names[axis] = head.getField(i).strip();
      }
      for (int axis = 0; axis < 3; axis++) {
        if (at[axis] < 0) {
          throw new Problem(
              "probe.header",
              Place.line(file, line),
              "No column " + List.of("x_mm", "y_mm", "z_um").get(axis) + " is in the header.",
              HEADER);
        }
      }
      return new Columns(at, factor, names);
    }

    ProbedPoint point(String file, int line, CsvRecord record) {
      double[] value = new double[3];
      for (int axis = 0; axis < 3; axis++) {
        String cell = at[axis] < record.getFieldCount() ? record.getField(at[axis]).strip() : "";
        String figure = (cell.indexOf('.') < 0 ? cell.replace(',', '.') : cell).replace('−', '-');
        try {
          value[axis] = Double.parseDouble(figure);
        } catch (NumberFormatException e) {
          value[axis] = Double.NaN;
        }
        if (!Double.isFinite(value[axis]) || !figure.matches("[-+0-9.eE]+")) {
          throw new Problem(
              "probe.cell",
              Place.cell(file, line, at[axis] + 1),
              cell.isEmpty()
                  ? "The line has no " + names[axis] + "."
                  : "\"" + quoted(cell) + "\" is not a number.",
              "Give three figures on each line: x, y and height.");
        }
        value[axis] *= factor[axis];
      }
      ProbedPoint point = new ProbedPoint(value[0], value[1], value[2]);
      if (!point.canBe()) {
        throw new Problem(
            "probe.unit",
            Place.line(file, line),
            "The point " + value[0] + ", " + value[1] + " mm at " + value[2] + " µm cannot be.",
            "Give x and y within "
                + (int) ProbedPoint.MOST_MILLIMETRES
                + " mm and the height within "
                + (int) ProbedPoint.MOST_MICROMETRES
                + " µm; look for a wrong unit in the header.");
      }
      return point;
    }
  }
}
