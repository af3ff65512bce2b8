package dev.ambershim.core.runlog;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleConsumer;

/**
 * Reads any delimited time series: finds encoding, delimiter, decimal mark, header and units by
 * itself, reads what can be read, and counts what was dropped. FastCSV parts the cells.
 */
public final class LogReader {
  /** Raised whenever the same bytes would be read differently. */
  public static final int VERSION = 1;

  private static final int MOST_COLUMNS = 5000;

  private final String fileName;
  private final DoubleConsumer progress;
  private final List<String> remarks = new ArrayList<>();
  private int rowsDropped;

  private LogReader(String fileName, DoubleConsumer progress) {
    this.fileName = fileName;
    this.progress = progress;
  }

  /**
   * Reads a log.
   *
   * @param fileName the name for messages
   * @param bytes the file's content
   * @return the log with guessed roles
   * @throws Problem if nothing can be read from it
   */
  public static RunLog read(String fileName, byte[] bytes) {
    return read(fileName, bytes, share -> {});
  }

  /**
   * As the shorter form, telling how far it is.
   *
   * @param progress is given the share done, 0 to 1, now and then; what it throws ends the reading
   */
  public static RunLog read(String fileName, byte[] bytes, DoubleConsumer progress) {
    return new LogReader(fileName, progress).read(LogText.decode(fileName, bytes));
  }

  private record Row(int line, String[] cells) {}

  private RunLog read(LogText decoded) {
    String text = decoded.text();
    Dialect dialect = Dialect.sniff(text);
    List<Row> rows = tokenise(text, dialect);
    if (rows.isEmpty()) {
      throw new Problem(
          "log.empty",
          Place.file(fileName),
          "The file holds only blank lines.",
          "Check that the logger had finished writing, and choose the file again.");
    }
    int first = firstDataRow(rows, dialect);
    Header header = Header.above(rows.stream().map(Row::cells).toList(), first, this::columnsAt);
    if (header.unnamed()) {
      remarks.add(
          "The file has no header line, so columns are called by their number. Say what each one"
              + " is.");
    }
    if (header.width() > MOST_COLUMNS) {
      throw new Problem(
          "log.tooWide",
          Place.line(fileName, rows.get(first).line()),
          "The log has " + header.width() + " columns; at most " + MOST_COLUMNS + " are read.",
          "Export fewer channels.");
    }
    if (header.line() > 0) {
      remarks.add(count(header.line(), "line") + " above the header passed over.");
    }
    Samples samples = new Samples(fileName, header, dialect.decimalComma());
    readRows(rows, first, header, dialect, samples);
    rows.clear();
    RunLog log = samples.finish(decoded.encoding(), dialect, remarks, rowsDropped);
    progress.accept(1);
    return log;
  }

  private List<Row> tokenise(String text, Dialect dialect) {
    String prepared =
        dialect.blanks() ? String.join("\n", text.lines().map(Dialect::unblank).toList()) : text;
    List<Row> rows = new ArrayList<>();
    int line = 0;
    double expected = Math.max(1, text.length());
    long read = 0;
    try (CsvReader<CsvRecord> csv =
        CsvReader.builder()
            .fieldSeparator(dialect.delimiter())
            .skipEmptyLines(true)
            .allowExtraFields(true)
            .allowMissingFields(true)
            .allowExtraCharsAfterClosingQuote(true)
            .ofCsvRecord(prepared)) {
      for (CsvRecord record : csv) {
        line = (int) record.getStartingLineNumber();
        String[] cells = record.getFields().toArray(String[]::new);
        for (String cell : cells) {
          read += cell.length() + 1;
        }
        if (cells.length > 1 || !cells[0].isBlank()) {
          rows.add(new Row(line, cells));
        }
        if ((rows.size() & 1023) == 0) {
          progress.accept(Math.min(0.6, 0.6 * read / expected));
        }
      }
    } catch (CsvParseException | UncheckedIOException e) {
      throw new Problem(
          "log.cells",
          Place.line(fileName, line + 1),
          "The cells cannot be told apart from here on.",
          "Look for a quotation mark that is opened and never closed.",
          e);
    } catch (java.io.IOException e) {
      throw new UncheckedIOException(e);
    }
    return rows;
  }

  /** The first row that holds figures and is followed by more of the same. */
  private int firstDataRow(List<Row> rows, Dialect dialect) {
    for (int i = 0; i < rows.size(); i++) {
      if (holdsFigures(rows.get(i).cells(), dialect)
          && (i + 1 >= rows.size()
              || holdsFigures(rows.get(i + 1).cells(), dialect)
              || (i + 2 < rows.size() && holdsFigures(rows.get(i + 2).cells(), dialect)))) {
        return i;
      }
    }
    Row last = rows.get(rows.size() - 1);
    if (rows.size() == 1) {
      throw new Problem(
          "log.oneLine",
          Place.line(fileName, last.line()),
          "The file holds one line and no samples under it.",
          "Check that the logger was recording, and choose the file again.");
    }
    throw new Problem(
        "log.noNumbers",
        Place.line(fileName, rows.get(0).line()),
        "No line of this file holds numbers.",
        "Choose a log with a header line and one line for each sample.");
  }

  private static boolean holdsFigures(String[] cells, Dialect dialect) {
    int filled = 0;
    int figures = 0;
    for (String cell : cells) {
      if (Cells.blank(cell)) {
        continue;
      }
      filled++;
      if (!Double.isNaN(Cells.number(cell, dialect.decimalComma()))
          || !Double.isNaN(Cells.flag(cell))
          || TimeColumn.looksLikeTime(cell)) {
        figures++;
      }
    }
    return figures > 0 && figures * 2 >= filled;
  }

  /** Usual count of cells in the rows from a given one on. */
  private int columnsAt(List<String[]> rows, int first) {
    Map<Integer, Integer> counts = new HashMap<>();
    for (int i = first; i < Math.min(rows.size(), first + 200); i++) {
      counts.merge(rows.get(i).length, 1, Integer::sum);
    }
    return counts.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .orElse(1);
  }

  private void readRows(
      List<Row> rows, int first, Header header, Dialect dialect, Samples samples) {
    int repeated = 0;
    int resplit = 0;
    int odd = 0;
    int oddLine = 0;
    for (int i = first; i < rows.size(); i++) {
      Row row = rows.get(i);
      String[] cells = row.cells();
      if (header.repeatedBy(cells)) {
        repeated++;
        continue;
      }
      if (cells.length < header.width() && !dialect.blanks()) {
        String[] again = resplit(cells, header.width());
        if (again != null) {
          cells = again;
          resplit++;
        }
      }
      // A line that is cut off, or that holds a remark, has no sample to give.
      boolean usable =
          cells.length * 2 > header.width()
              && cells.length <= header.width() + 2
              && holdsFigures(cells, dialect);
      if (!usable) {
        if (odd == 0) {
          oddLine = row.line();
        }
        odd++;
        continue;
      }
      samples.add(row.line(), cells);
      if ((i & 1023) == 0) {
        progress.accept(0.6 + 0.35 * i / rows.size());
      }
    }
    rowsDropped += odd;
    if (repeated > 0) {
      remarks.add("The header is repeated " + times(repeated) + " further down; passed over.");
    }
    if (resplit > 0) {
      remarks.add(count(resplit, "line") + " with another delimiter read all the same.");
    }
    if (odd > 0) {
      remarks.add(
          count(odd, "line")
              + " without a usable sample dropped, the first at line "
              + oddLine
              + ".");
    }
  }

  /** The cells of a line that uses another delimiter, or null if none gives the right count. */
  private static String[] resplit(String[] cells, int width) {
    if (cells.length != 1) {
      return null;
    }
    for (char other : new char[] {';', '\t', ',', '|'}) {
      List<String> parts = new Dialect(other, false, false).split(cells[0]);
      if (parts.size() == width) {
        return parts.toArray(String[]::new);
      }
    }
    return null;
  }

  static String count(int n, String noun) {
    return n + " " + noun + (n == 1 ? "" : "s");
  }

  private static String times(int n) {
    return n == 1 ? "once" : n + " times";
  }
}
