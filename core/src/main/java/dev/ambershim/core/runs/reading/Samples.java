package dev.ambershim.core.runs.reading;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Gathers a log's rows into columns, puts time in order, and guesses the roles. */
public final class Samples {
  /** What became of a line. */
  enum Line {
    KEPT,
    BLANK,
    RESPLIT,
    HEADER,
    ODD
  }

  private static final int SCRATCH_FIGURES = 1 << 15;

  private final String fileName;
  private final Header header;
  private final Dialect dialect;
  private final char mark;
  private final int width;
  private final Column[] columns;
  private final int[] timeColumns;
  private final boolean timeNamed;

  // The last rows, one after the other: they go into the columns when they fill the scratch, so
  // that a row is written in one place of memory and a column in another, each in its order.
  private final double[] rows;
  private final int mostRows;
  private int row;
  private int start;

  // What the current row holds besides plain numbers.
  private final TimeText[] times = {TimeText.NONE, TimeText.NONE};
  private final int[] odd;
  private int odds;
  private int blanks;
  private int texts;
  private boolean torn;
  private int cells;

  private final String[] repeatedNames;
  private final String[] repeatedUnits;
  private double[] seconds = new double[1024];
  private double[] dayFirstSeconds = new double[0];
  private boolean dayFirst;
  private boolean monthFirst;
  private boolean eitherOrder;
  private TimeText firstTime = TimeText.NONE;
  private int[] lines = new int[1024];
  private int size;

  Samples(String fileName, Header header, Dialect dialect) {
    this.fileName = fileName;
    this.header = header;
    this.dialect = dialect;
    mark = dialect.decimalComma() ? ',' : '.';
    width = header.width();
    columns = new Column[width];
    mostRows = Math.max(16, SCRATCH_FIGURES / width);
    rows = new double[mostRows * width];
    odd = new int[width];
    repeatedNames = Arrays.stream(header.raw()).map(String::strip).toArray(String[]::new);
    repeatedUnits = Arrays.stream(header.unitRow()).map(String::strip).toArray(String[]::new);
    List<Integer> named = new ArrayList<>();
    for (int c = 0; c < width; c++) {
      columns[c] = new Column(dialect.decimalComma());
      if (TimeText.named(header.names()[c]) && named.size() < 2) {
        named.add(c);
      }
    }
    timeNamed = !named.isEmpty();
    timeColumns = timeNamed ? named.stream().mapToInt(Integer::intValue).toArray() : new int[1];
  }

  /** A new line begins. */
  void begin() {
    times[0] = TimeText.NONE;
    times[1] = TimeText.NONE;
    odds = 0;
    blanks = 0;
    texts = 0;
    torn = false;
    cells = 0;
  }

  /** Count of the line's cells so far. */
  int cellCount() {
    return cells;
  }

  /** The line's next cell, which holds a plain figure. */
  void figure(double figure) {
    int c = cells++;
    if (c < width) {
      rows[start + c] = figure;
    }
  }

  /** The line's next cell. */
  void cell(char[] buffer, int offset, int length) {
    int c = cells++;
    if (c >= width) {
      return;
    }
    double figure = Column.plain(buffer, offset, offset + length, mark);
    rows[start + c] = Double.isNaN(figure) ? other(c, buffer, offset, length) : figure;
  }

  /** A cell that is no plain number. */
  private double other(int c, char[] buffer, int offset, int length) {
    double figure = columns[c].read(buffer, offset, length);
    odd[odds++] = c;
    Column.Kind kind = columns[c].kind();
    blanks += kind == Column.Kind.BLANK ? 1 : 0;
    texts += kind == Column.Kind.TEXT ? 1 : 0;
    torn |= kind == Column.Kind.TEXT && columns[c].text().indexOf('\uFFFD') >= 0;
    for (int t = 0; t < timeColumns.length; t++) {
      if (timeColumns[t] == c) {
        times[t] = TimeText.of(columns[c].text());
        texts -= times[t].isTime() && kind == Column.Kind.TEXT ? 1 : 0;
      }
    }
    return figure;
  }

  /** All cells of a line that is at hand as text. */
  void cells(String[] line) {
    for (String cell : line) {
      cell(cell.toCharArray(), 0, cell.length());
    }
  }

  /** The line ends; it is kept if it holds a sample. */
  Line end(int line) {
    for (int c = cells; c < width; c++) {
      rows[start + c] = Double.NaN;
      columns[c].read(new char[0], 0, 0);
      odd[odds++] = c;
      blanks++;
    }
    if (cells == 1 && blanks == width) {
      return Line.BLANK;
    }
    if (texts > 0 && (repeats(repeatedNames) || repeats(repeatedUnits))) {
      return Line.HEADER;
    }
    if (cells == 1 && width > 1 && !dialect.blanks()) {
      List<String> again = resplit(columns[0].text());
      if (!again.isEmpty()) {
        begin();
        cells(again.toArray(String[]::new));
        return keep(line) ? Line.RESPLIT : Line.ODD;
      }
    }
    return keep(line) ? Line.KEPT : Line.ODD;
  }

  /** Whether the line is one of the header's lines once more. */
  private boolean repeats(String[] names) {
    if (names.length == 0 || names.length != cells) {
      return false;
    }
    int o = 0;
    for (int c = 0; c < Math.min(width, cells); c++) {
      while (o < odds && odd[o] < c) {
        o++;
      }
      boolean same =
          (o < odds && odd[o] == c)
              ? names[c].equals(columns[c].text())
              : Cells.number(names[c], dialect.decimalComma()) == rows[start + c];
      if (!same) {
        return false;
      }
    }
    return true;
  }

  /** The cells of a line that uses another delimiter; empty if none gives the right count. */
  private List<String> resplit(String text) {
    for (char delimiter : new char[] {';', '\t', ',', '|'}) {
      List<String> parts = new Dialect(delimiter, 0, false).split(text);
      if (parts.size() == width) {
        return parts;
      }
    }
    return List.of();
  }

  /** Keeps the line, unless it is cut off or a remark, with no sample to give. */
  private boolean keep(int line) {
    int filled = width - blanks;
    // What a slip of the writer tore is no sample.
    boolean usable =
        !torn
            && cells * 2 > width
            && cells <= width + 2
            && filled > texts
            && (filled - texts) * 2 >= filled;
    if (!usable) {
      return false;
    }
    if (size == lines.length) {
      lines = Arrays.copyOf(lines, size * 2);
      seconds = Arrays.copyOf(seconds, size * 2);
      dayFirstSeconds = Arrays.copyOf(dayFirstSeconds, dayFirstSeconds.length * 2);
    }
    lines[size] = line;
    keepTime();
    for (int o = 0; o < odds; o++) {
      Column column = columns[odd[o]];
      column.count(column.kind(), column.text(), line);
    }
    size++;
    row++;
    start += width;
    if (row == mostRows) {
      flush();
    }
    return true;
  }

  private void flush() {
    for (int c = 0; c < width; c++) {
      columns[c].append(rows, c, width, row);
    }
    row = 0;
    start = 0;
  }

  private void keepTime() {
    TimeText time = times[0];
    if (times[1].isTime()
        && time.isTime()
        && (time.dateOnly() ? times[1].timeOfDay() : time.timeOfDay() && times[1].dateOnly())) {
      // A date and a time of day in two columns belong together; otherwise the first one counts.
      time = time.with(times[1]);
    }
    if (size == 0) {
      firstTime = time;
    }
    if (!time.isTime()) {
      seconds[size] = elapsed(rows[start + timeColumns[0]]);
    } else {
      seconds[size] = time.seconds();
      dayFirst |= time.order() == TimeText.Order.DAY_FIRST;
      monthFirst |= time.order() == TimeText.Order.MONTH_FIRST;
      if (time.order() == TimeText.Order.EITHER) {
        eitherOrder = true;
        if (dayFirstSeconds.length == 0) {
          dayFirstSeconds = Arrays.copyOf(seconds, seconds.length);
        }
      }
    }
    if (dayFirstSeconds.length > 0) {
      dayFirstSeconds[size] = time.isTime() ? time.dayFirstSeconds() : seconds[size];
    }
  }

  /** Seconds from a figure: by its unit, or by its size where it counts from 1970. */
  private double elapsed(double figure) {
    double large = Math.abs(figure);
    if (large > 1e11) {
      return figure / (large > 1e17 ? 1e9 : large > 1e14 ? 1e6 : 1e3);
    }
    String unit = timeNamed ? header.units()[timeColumns[0]] : "";
    return figure
        * switch (unit) {
          case "ms" -> 1e-3;
          case "min" -> 60;
          case "h" -> 3600;
          default -> 1;
        };
  }

  RunLog finish(String encoding, String words, List<String> remarks, int rowsDropped) {
    flush();
    if (size == 0) {
      throw new Problem(
          "log.noSamples",
          Place.file(fileName),
          "There is a header but no line of figures under it.",
          "Check that the logger was recording, and choose the file again.");
    }
    boolean timed = hasTime();
    TimeLine time = timed ? readTime() : TimeLine.oneSecondApart(size);
    if (!timed) {
      remarks.add("No time column was found, so one second a line is assumed.");
    }
    remarks.addAll(time.remarks());
    int dropped = rowsDropped + size - time.kept().length;
    int bad = 0;
    List<Channel> channels = new ArrayList<>();
    int wordy = 0;
    for (int c = 0; c < width; c++) {
      if (timed && isTime(c)) {
        columns[c].drop();
        continue;
      }
      Column column = columns[c];
      if (column.readable() * 2 < column.filled() || column.readable() == 0) {
        wordy += column.filled() > 0 ? 1 : 0;
        column.drop();
        continue;
      }
      int badHere = column.filled() - column.readable();
      if (badHere > 0) {
        bad += badHere;
        remarks.add(
            LogReader.count(badHere, "cell")
                + " of \""
                + header.names()[c]
                + "\" held no number, the first at line "
                + column.firstBadLine()
                + ", column "
                + (c + 1)
                + ": \""
                + shorten(column.firstBad())
                + "\".");
      }
      channels.add(channel(c, time.kept(), remarks));
    }
    if (wordy > 0) {
      remarks.add(LogReader.count(wordy, "column") + " without numbers left out.");
    }
    if (channels.isEmpty()) {
      throw new Problem(
          "log.noNumbers",
          Place.file(fileName),
          "No column besides the time holds numbers.",
          "Choose a log with temperatures in it.");
    }
    ReadNotes notes =
        new ReadNotes(
            encoding, words, dialect.decimalComma(), time.kept().length, dropped, bad, remarks);
    return new RunLog(fileName, time.seconds(), keepOneOfEach(channels), notes);
  }

  private static String shorten(String text) {
    return text.length() <= 24 ? text : text.substring(0, 23) + "…";
  }

  private boolean isTime(int column) {
    return Arrays.stream(timeColumns).anyMatch(c -> c == column);
  }

  private boolean hasTime() {
    if (timeNamed || firstTime.isTime()) {
      return true;
    }
    // Without a name: the first column is time if it reads as time, or climbs all the way.
    return header.unnamed() && width > 1 && columns[0].climbs();
  }

  private TimeLine readTime() {
    double[] one = Arrays.copyOf(seconds, size);
    seconds = new double[0];
    if (eitherOrder) {
      double[] other = Arrays.copyOf(dayFirstSeconds, size);
      // No day beyond the twelfth tells the order; the shorter recording is the likelier one.
      boolean swap = dayFirst || (!monthFirst && span(other) < span(one));
      one = swap ? other : one;
    }
    return TimeLine.inOrder(fileName, one, lines, firstTime.timeOfDay());
  }

  private static double span(double[] times) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double t : times) {
      if (!Double.isNaN(t)) {
        low = Math.min(low, t);
        high = Math.max(high, t);
      }
    }
    return high - low;
  }

  private Channel channel(int c, int[] kept, List<String> remarks) {
    double[] values = columns[c].take(kept);
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double v : values) {
      if (v < low) {
        low = v;
      }
      if (v > high) {
        high = v;
      }
    }
    boolean binary = low >= 0 && high <= 1;
    for (int i = 0; binary && i < values.length; i++) {
      binary = !(values[i] > 0 && values[i] < 1);
    }
    String name = header.names()[c];
    String unit = header.units()[c].isEmpty() ? columns[c].unit() : header.units()[c];
    boolean flag = columns[c].hasFlags() || binary;
    RoleGuess guess = RoleGuess.of(name, unit, low, high, flag);
    Scale scale = Scale.of(unit, guess.role(), low, high);
    scale.apply(values);
    if (!scale.remark().isEmpty()) {
      remarks.add("\"" + shorten(name) + "\" " + scale.remark());
    }
    unit = scale.unit();
    return new Channel(name, unit, guess.role(), guess.confidence(), values);
  }

  /** Roles that can stand only once go to the surest channel. */
  private static List<Channel> keepOneOfEach(List<Channel> channels) {
    List<Channel> result = new ArrayList<>(channels);
    // Where clocks are logged as they are and as an average, the average is worse.
    double clock =
        channels.stream()
            .filter(c -> c.role() == Role.CLOCK)
            .mapToDouble(Channel::confidence)
            .max()
            .orElse(0);
    for (int i = 0; i < result.size(); i++) {
      Channel c = result.get(i);
      if (c.role() == Role.CLOCK && c.confidence() < clock - 0.22) {
        result.set(i, new Channel(c.name(), c.unit(), Role.UNUSED, 0.6, c.values()));
      }
    }
    for (Role role : Role.values()) {
      if (!role.single()) {
        continue;
      }
      int best = -1;
      for (int i = 0; i < channels.size(); i++) {
        boolean surer = best < 0 || channels.get(i).confidence() > channels.get(best).confidence();
        if (channels.get(i).role() == role && surer) {
          best = i;
        }
      }
      for (int i = 0; i < result.size(); i++) {
        Channel c = result.get(i);
        if (c.role() == role && i != best) {
          result.set(i, new Channel(c.name(), c.unit(), Role.UNUSED, 0.6, c.values()));
        }
      }
    }
    return result;
  }
}
