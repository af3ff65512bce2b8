package dev.ambershim.core.base;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Small tables as people write them: a header, then lines of cells that comma, semicolon or tab
 * part. The decimal mark may be a comma where it cannot be taken for one that parts, or where the
 * cell is quoted; a line that it parts into too many cells is refused, as its figures would land in
 * other columns.
 */
public final class TableText {
  private static final int MOST_QUOTED = 40;
  private static final Pattern FIGURE =
      Pattern.compile("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d+)?");

  private TableText() {}

  /** Takes one line after the other, the header first. */
  public interface Lines {
    /**
     * Takes a line.
     *
     * @param number where it stands in the file, from 1
     * @param cells as written
     */
    void take(int number, List<String> cells);
  }

  /**
   * Goes through a table; lines of blank cells are passed over.
   *
   * @param file its name for messages
   * @param kind how the keys of its problems begin, such as {@code drift}
   * @param remedy what helps where the file is none
   * @throws Problem {@code KIND.empty}, {@code KIND.unreadable}, {@code KIND.cells}
   */
  public static void read(String file, String text, String kind, String remedy, Lines lines) {
    String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
    if (plain.isBlank()) {
      throw new Problem(kind + ".empty", Place.line(file, 1), "The file is empty.", remedy);
    }
    String first = plain.stripLeading().lines().findFirst().orElse("");
    char mark = first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : ',';
    int names = -1;
    try (CsvReader<CsvRecord> records =
        CsvReader.builder()
            .fieldSeparator(mark)
            .skipEmptyLines(true)
            .allowMissingFields(true)
            .allowExtraFields(true)
            .ofCsvRecord(plain)) {
      for (CsvRecord record : records) {
        List<String> cells = record.getFields();
        if (cells.stream().allMatch(String::isBlank)) {
          continue;
        }
        int line = (int) record.getStartingLineNumber();
        names = names < 0 ? cells.size() : names;
        if (cells.stream().skip(names).anyMatch(c -> !c.isBlank())) {
          throw new Problem(
              kind + ".cells",
              Place.line(file, line),
              "The line has " + cells.size() + " cells, but the header has " + names + ".",
              mark == ','
                  ? "Write figures with a point, or separate the cells with semicolons."
                  : "Name each cell in the header, or leave it out.");
        }
        lines.take(line, cells);
      }
    } catch (CsvParseException e) {
      throw new Problem(
          kind + ".unreadable",
          Place.file(file),
          "The table cannot be read: " + e.getMessage() + ".",
          remedy,
          e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A cell's figure, with point or comma; not a number where it holds none. */
  public static double figure(String cell) {
    String stripped = cell.strip();
    String plain =
        (stripped.indexOf('.') < 0 ? stripped.replace(',', '.') : stripped).replace('−', '-');
    double value = FIGURE.matcher(plain).matches() ? Double.parseDouble(plain) : Double.NaN;
    return Double.isInfinite(value) ? Double.NaN : value;
  }

  /** A cell as it can stand in a message: on one line, and not too long. */
  public static String quoted(String cell) {
    String line = cell.replaceAll("\\s+", " ");
    return "\""
        + (line.length() <= MOST_QUOTED ? line : line.substring(0, MOST_QUOTED) + "…")
        + "\"";
  }
}
