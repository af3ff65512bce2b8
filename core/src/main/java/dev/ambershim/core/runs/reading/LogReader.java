package dev.ambershim.core.runs.reading;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleConsumer;

/**
 * Reads any delimited time series: finds encoding, delimiter, decimal mark, header and units by
 * itself, reads what can be read, and counts what was dropped. FastCSV parts the cells.
 */
public final class LogReader {
  /** Raised whenever the same bytes would be read differently. */
  public static final int VERSION = 4;

  private static final int MOST_COLUMNS = 5000;

  /** A file with more lines and no figures among them is no log. */
  private static final int MOST_LINES_ABOVE = 20_000;

  /** Lines of figures to know the width of a sample by. */
  private static final int LOOK_ROWS = 200;

  private final String fileName;
  private final DoubleConsumer progress;
  private final List<String> remarks = new ArrayList<>();
  private int rowsDropped;
  private int oddLine;
  private int repeated;
  private int resplit;
  private Rewriting rewritten;

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
    return new LogReader(fileName, progress).read(LogBytes.of(fileName, bytes));
  }

  private RunLog read(LogBytes text) {
    Optional<Rewriting> table = Rewriting.of(fileName, text);
    return table.isPresent() ? anew(table.get(), true) : table(text, true);
  }

  /** Reads on in what a log of another habit was written anew as. */
  private RunLog anew(Rewriting table, boolean mayBeKeyed) {
    // Lines are those of the file as it came, through one rewriting or two.
    Rewriting before = rewritten;
    rewritten =
        before == null
            ? table
            : new Rewriting(
                table.text(),
                before.words() + ", " + table.words(),
                Arrays.stream(table.lines()).map(before::line).toArray(),
                before.droppedLines() + table.droppedLines(),
                before.firstDropped() > 0 ? before.firstDropped() : table.firstDropped());
    return table(table.text(), mayBeKeyed);
  }

  private int place(int line) {
    return rewritten == null ? line : rewritten.line(line);
  }

  private record Row(int line, String[] cells) {}

  private RunLog table(LogBytes text, boolean mayBeKeyed) {
    Dialect dialect = Dialect.sniff(text.head());
    if (rewritten != null) {
      dialect = new Dialect('\t', 0, dialect.decimalComma());
    }
    RowHandler handler = new RowHandler();
    ByteArrayInputStream stream = text.stream();
    double expected = Math.max(1, stream.available());
    try (Reader source = new InputStreamReader(stream, text.charset());
        CsvReader<RowHandler> csv =
            CsvReader.builder()
                .fieldSeparator(dialect.delimiter())
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .allowExtraCharsAfterClosingQuote(true)
                .build(handler, parted(source, dialect))) {
      Iterator<RowHandler> lines = csv.iterator();
      List<Row> rows = head(lines, dialect);
      int first = firstDataRow(rows, dialect);
      Header header = Header.above(rows.stream().map(Row::cells).toList(), first, this::columnsAt);
      if (mayBeKeyed) {
        Optional<KeyedRows> keyed = keyed(dialect, header, rows, first);
        if (keyed.isPresent()) {
          return anew(Rewriting.by(fileName, keyed.get(), text), false);
        }
      }
      Samples samples = samples(rows, first, header, dialect);
      handler.into(samples);
      if (PlainLines.fits(text, dialect)) {
        PlainLines plain = new PlainLines(text, dialect, samples, handler.line());
        for (long i = 0; plain.next(); i++) {
          row(samples, plain.line());
          if ((i & 1023) == 0) {
            progress.accept(0.9 * plain.share());
          }
        }
      } else {
        for (long i = 0; lines.hasNext(); i++) {
          lines.next();
          row(samples, handler.line());
          if ((i & 1023) == 0) {
            progress.accept(0.9 - 0.9 * stream.available() / expected);
          }
        }
      }
      sayWhatWasDropped();
      String words = rewritten == null ? dialect.words() : rewritten.words();
      RunLog log = samples.finish(text.encoding(), words, remarks, rowsDropped);
      progress.accept(1);
      return log;
    } catch (CsvParseException | UncheckedIOException e) {
      throw new Problem(
          "log.cells",
          Place.line(fileName, place(handler.line() + 1)),
          "The cells cannot be told apart from here on.",
          "Look for a quotation mark that is opened and never closed.",
          e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Optional<KeyedRows> keyed(
      Dialect dialect, Header header, List<Row> rows, int first) {
    List<String[]> samples =
        rows.subList(first, rows.size()).stream()
            .map(Row::cells)
            .filter(cells -> cells.length * 2 > header.width())
            .filter(cells -> !Arrays.equals(cells, header.raw()))
            .toList();
    return KeyedRows.of(dialect, header, samples, rows.get(first).line());
  }

  /** The text with its cells parted by one sign. */
  static Reader parted(Reader source, Dialect dialect) {
    if (!dialect.places().isEmpty()) {
      return new PlacedReader(source, dialect);
    }
    return dialect.blanks() ? new TabbedReader(source, dialect.leastBlanks()) : source;
  }

  /** The lines up to where samples begin, and enough after it to know their width. */
  private List<Row> head(Iterator<RowHandler> lines, Dialect dialect) {
    List<Row> rows = new ArrayList<>();
    int firstFigures = -1;
    while (lines.hasNext() && rows.size() < MOST_LINES_ABOVE) {
      RowHandler line = lines.next();
      String[] cells = line.texts();
      if (line.blank() || (cells.length == 1 && cells[0].isBlank())) {
        continue;
      }
      rows.add(new Row(line.line(), cells));
      if (firstFigures < 0 && holdsFigures(cells, dialect)) {
        firstFigures = rows.size();
      }
      // A stray line of figures above the header must not stop the search too soon.
      if (firstFigures >= 0 && rows.size() >= firstFigures + LOOK_ROWS) {
        break;
      }
    }
    if (rows.isEmpty()) {
      throw new Problem(
          "log.empty",
          Place.file(fileName),
          "The file holds only blank lines.",
          "Check that the logger had finished writing, and choose the file again.");
    }
    return rows;
  }

  /** The samples with those lines of the head that are samples already in it. */
  private Samples samples(List<Row> rows, int first, Header header, Dialect dialect) {
    if (header.unnamed()) {
      remarks.add(
          "The file has no header line, so columns are called by their number. Say what each one"
              + " is.");
    }
    if (header.width() > MOST_COLUMNS) {
      throw new Problem(
          "log.tooWide",
          Place.line(fileName, place(rows.get(first).line())),
          "The log has " + header.width() + " columns; at most " + MOST_COLUMNS + " are read.",
          "Export fewer channels.");
    }
    if (header.line() > 0) {
      remarks.add(count(header.line(), "line") + " above the header passed over.");
    }
    Samples samples = new Samples(fileName, header, dialect);
    for (Row row : rows.subList(first, rows.size())) {
      samples.begin();
      samples.cells(row.cells());
      row(samples, row.line());
    }
    return samples;
  }

  private void row(Samples samples, int line) {
    switch (samples.end(place(line))) {
      case KEPT, BLANK -> {}
      case RESPLIT -> resplit++;
      case HEADER -> repeated++;
      case ODD -> {
        if (rowsDropped == 0) {
          oddLine = place(line);
        }
        rowsDropped++;
      }
    }
  }

  private void sayWhatWasDropped() {
    if (rewritten != null) {
      remarks.add("Written as " + rewritten.words() + "; read as a table.");
      oddLine = rowsDropped == 0 ? rewritten.firstDropped() : oddLine;
      rowsDropped += rewritten.droppedLines();
    }
    if (repeated > 0) {
      remarks.add("The header is repeated " + times(repeated) + " further down; passed over.");
    }
    if (resplit > 0) {
      remarks.add(count(resplit, "line") + " with another delimiter read all the same.");
    }
    if (rowsDropped > 0) {
      remarks.add(
          count(rowsDropped, "line")
              + " without a usable sample dropped, the first at line "
              + oddLine
              + ".");
    }
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
          Place.line(fileName, place(last.line())),
          "The file holds one line and no samples under it.",
          "Check that the logger was recording, and choose the file again.");
    }
    throw new Problem(
        "log.noNumbers",
        Place.line(fileName, place(rows.get(0).line())),
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
          || TimeText.of(cell).isTime()) {
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

  public static String count(int n, String noun) {
    return n + " " + noun + (n == 1 ? "" : "s");
  }

  private static String times(int n) {
    return n == 1 ? "once" : n + " times";
  }
}
