package dev.ambershim.core.runs.reading;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A log of another habit written anew as a table: a header, then a line a sample, cells parted by
 * tabs. Lines keep their place in the file as it came.
 *
 * @param text the table
 * @param words what the habit is called
 * @param lines line of the file that each line of the table ends at, from the header on
 * @param droppedLines lines that were no part of a sample
 * @param firstDropped the first of them, or 0
 */
record Rewriting(LogBytes text, String words, int[] lines, int droppedLines, int firstDropped) {
  /** Those that are told by the text alone; rows by a key are told once the header is known. */
  private static final List<Habit> HABITS = List.of(new JsonObjects(), new SensorBlocks());

  private static final int MOST_COLUMNS = 5000;
  private static final long MOST_BYTES = 1L << 30;

  /** The table for a log that is none; empty for a table. */
  static Optional<Rewriting> of(String fileName, LogBytes text) {
    for (Habit habit : HABITS) {
      if (habit.fits(text)) {
        return Optional.of(by(fileName, habit, text));
      }
    }
    return Optional.empty();
  }

  /**
   * The table that a habit makes of a log.
   *
   * @throws Problem if it holds no sample, too many columns, or far more cells than readings
   */
  static Rewriting by(String fileName, Habit habit, LogBytes text) {
    try {
      Columns columns = new Columns(fileName);
      habit.read(text, columns);
      if (columns.places.isEmpty() || columns.samples == 0) {
        throw new Problem(
            "log.noSamples",
            Place.file(fileName),
            "It is written as " + habit.words() + ", but holds no sample.",
            "Check that the logger was recording, and choose the file again.");
      }
      if ((long) columns.samples * columns.places.size() > MOST_BYTES) {
        throw columns.tooWide();
      }
      Rows rows = new Rows(columns.places);
      habit.read(text, rows);
      LogBytes table =
          new LogBytes(text.encoding(), StandardCharsets.UTF_8, rows.out.toByteArray(), 0);
      return new Rewriting(
          table,
          habit.words(),
          Arrays.copyOf(rows.lines, rows.count),
          columns.dropped,
          columns.firstDropped);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The line of the file for a line of the table, from 1. */
  int line(int ofTable) {
    return lines[Math.max(0, Math.min(ofTable, lines.length) - 1)];
  }

  /** Learns the columns, in the order in which they first appear. */
  private static final class Columns implements Habit.Sink {
    private final String fileName;
    private final Map<String, Integer> places = new LinkedHashMap<>();
    private boolean any;
    private int samples;
    private int dropped;
    private int firstDropped;

    Columns(String fileName) {
      this.fileName = fileName;
    }

    @Override
    public void cell(String column, String text) {
      any = true;
      if (places.putIfAbsent(column, places.size()) == null && places.size() > MOST_COLUMNS) {
        throw tooWide();
      }
    }

    private Problem tooWide() {
      return new Problem(
          "log.tooWide",
          Place.file(fileName),
          "The log comes to more than " + MOST_COLUMNS + " columns, or to nearly empty ones.",
          "Export fewer channels.");
    }

    @Override
    public void end(int line) {
      samples += any ? 1 : 0;
      any = false;
    }

    @Override
    public void dropped(int line) {
      if (dropped++ == 0) {
        firstDropped = line;
      }
    }
  }

  /** Writes the table. */
  private static final class Rows implements Habit.Sink {
    private final Map<String, Integer> places;
    private final String[] cells;
    private final ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 16);
    private int[] lines = {1};
    private int count = 1;
    private boolean any;

    Rows(Map<String, Integer> places) {
      this.places = places;
      cells = new String[places.size()];
      int c = 0;
      for (String name : places.keySet()) {
        cells[c++] = name;
      }
      write();
    }

    @Override
    public void cell(String column, String text) {
      int place = places.get(column);
      if (cells[place] == null) {
        cells[place] = text;
      }
      any = true;
    }

    @Override
    public void end(int line) {
      if (!any) {
        return;
      }
      any = false;
      if (count == lines.length) {
        lines = Arrays.copyOf(lines, 2 * count + 64);
      }
      lines[count++] = line;
      write();
    }

    @Override
    public void dropped(int line) {
      // counted when the columns were learnt
    }

    private void write() {
      StringBuilder row = new StringBuilder();
      for (int c = 0; c < cells.length; c++) {
        row.append(c == 0 ? "" : "\t");
        for (int i = 0; cells[c] != null && i < cells[c].length(); i++) {
          char sign = cells[c].charAt(i);
          row.append(sign < ' ' || sign == '"' ? ' ' : sign);
        }
      }
      out.writeBytes(row.append('\n').toString().getBytes(StandardCharsets.UTF_8));
      Arrays.fill(cells, null);
    }
  }
}
