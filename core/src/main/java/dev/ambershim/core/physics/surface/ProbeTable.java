package dev.ambershim.core.physics.surface;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.TableText;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicReference;

/**
 * Probed points as a table with the header {@code x_mm,y_mm,z_um}, written as {@link TableText}
 * tells. Columns may come in any order and with others beside them. Lengths may be in mm, µm,
 * inches or thou when the header says so.
 */
public final class ProbeTable {
  private static final String HEADER = "Begin the file with the line x_mm,y_mm,z_um.";
  private static final int MOST_POINTS = 200_000;

  private ProbeTable() {}

  /**
   * Reads a table.
   *
   * @param file its name for messages
   * @throws Problem {@code probe.…} with file and line
   */
  public static List<ProbedPoint> read(String file, String text) {
    List<ProbedPoint> points = new ArrayList<>();
    AtomicReference<Columns> columns = new AtomicReference<>();
    TableText.read(
        file,
        text,
        "probe",
        HEADER,
        (line, cells) -> {
          if (columns.get() == null) {
            columns.set(Columns.of(file, line, cells));
            return;
          }
          points.add(columns.get().point(file, line, cells));
          if (points.size() > MOST_POINTS) {
            throw new Problem(
                "probe.many",
                Place.line(file, line),
                "More than " + MOST_POINTS + " points are too many.",
                "Keep every tenth or so.");
          }
        });
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
    static Columns of(String file, int line, List<String> head) {
      int[] at = {-1, -1, -1};
      double[] factor = new double[3];
      String[] names = new String[3];
      for (int i = 0; i < head.size(); i++) {
        String name = head.get(i).strip().toLowerCase(Locale.ROOT).replace('µ', 'u');
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
        names[axis] = head.get(i).strip();
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

    ProbedPoint point(String file, int line, List<String> cells) {
      double[] value = new double[3];
      for (int axis = 0; axis < 3; axis++) {
        String cell = at[axis] < cells.size() ? cells.get(at[axis]).strip() : "";
        value[axis] = TableText.figure(cell);
        if (Double.isNaN(value[axis])) {
          throw new Problem(
              "probe.cell",
              Place.cell(file, line, at[axis] + 1),
              cell.isEmpty()
                  ? "The line has no " + names[axis] + "."
                  : TableText.quoted(cell) + " is not a number.",
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
