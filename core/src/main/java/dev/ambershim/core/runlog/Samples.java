package dev.ambershim.core.runlog;

import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Gathers a log's rows into columns, puts time in order, and guesses the roles. */
final class Samples {
  private final String fileName;
  private final Header header;
  private final boolean decimalComma;
  private final double[][] figures;
  private final int[] readable;
  private final int[] filled;
  private final int[] flags;
  private final int[] firstBadLine;
  private final String[] firstBad;
  private final int[] timeColumns;
  private final List<String> timeTexts = new ArrayList<>();
  private int[] lines = new int[1024];
  private int size;

  Samples(String fileName, Header header, boolean decimalComma) {
    this.fileName = fileName;
    this.header = header;
    this.decimalComma = decimalComma;
    int width = header.width();
    figures = new double[width][1024];
    readable = new int[width];
    filled = new int[width];
    flags = new int[width];
    firstBadLine = new int[width];
    firstBad = new String[width];
    List<Integer> named = new ArrayList<>();
    for (int c = 0; c < width; c++) {
      if (TimeColumn.named(header.names()[c]) && named.size() < 2) {
        named.add(c);
      }
    }
    timeColumns = named.stream().mapToInt(Integer::intValue).toArray();
  }

  /** Adds a row. */
  void add(int line, String[] cells) {
    if (size == lines.length) {
      lines = Arrays.copyOf(lines, size * 2);
      for (int c = 0; c < figures.length; c++) {
        figures[c] = Arrays.copyOf(figures[c], size * 2);
      }
    }
    lines[size] = line;
    timeTexts.add(timeText(cells));
    for (int c = 0; c < figures.length; c++) {
      String cell = c < cells.length ? cells[c] : "";
      double value = Double.NaN;
      if (!Cells.blank(cell)) {
        filled[c]++;
        value = Cells.number(cell, decimalComma);
        if (Double.isNaN(value)) {
          value = Cells.flag(cell);
          flags[c] += Double.isNaN(value) ? 0 : 1;
        }
        if (!Double.isNaN(value)) {
          readable[c]++;
        } else if (firstBadLine[c] == 0) {
          firstBadLine[c] = line;
          firstBad[c] = cell.strip();
        }
      }
      figures[c][size] = value;
    }
    size++;
  }

  private String timeText(String[] cells) {
    if (timeColumns.length == 0) {
      return cells.length > 0 ? cells[0] : "";
    }
    String first = timeColumns[0] < cells.length ? cells[timeColumns[0]].strip() : "";
    if (timeColumns.length == 1) {
      return first;
    }
    String second = timeColumns[1] < cells.length ? cells[timeColumns[1]].strip() : "";
    // A date and a time of day in two columns belong together; otherwise the first one counts.
    if (TimeColumn.looksLikeTime(first)
        && TimeColumn.looksLikeTime(second)
        && TimeColumn.timeOfDayOnly(first) != TimeColumn.timeOfDayOnly(second)) {
      return TimeColumn.timeOfDayOnly(second) ? first + " " + second : second + " " + first;
    }
    return first;
  }

  RunLog finish(String encoding, Dialect dialect, List<String> remarks, int rowsDropped) {
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
    for (int c = 0; c < figures.length; c++) {
      if (timed && isTime(c)) {
        continue;
      }
      if (readable[c] * 2 < filled[c] || readable[c] == 0) {
        wordy += filled[c] > 0 ? 1 : 0;
        continue;
      }
      int badHere = filled[c] - readable[c];
      if (badHere > 0) {
        bad += badHere;
        remarks.add(
            LogReader.count(badHere, "cell")
                + " of \""
                + header.names()[c]
                + "\" held no number, the first at line "
                + firstBadLine[c]
                + ", column "
                + (c + 1)
                + ": \""
                + shorten(firstBad[c])
                + "\".");
      }
      channels.add(channel(c, time.kept()));
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
            encoding,
            dialect.words(),
            dialect.decimalComma(),
            time.kept().length,
            dropped,
            bad,
            remarks);
    return new RunLog(fileName, time.seconds(), keepOneOfEach(channels), notes);
  }

  private static String shorten(String text) {
    return text.length() <= 24 ? text : text.substring(0, 23) + "…";
  }

  private boolean isTime(int column) {
    if (timeColumns.length == 0) {
      return column == 0;
    }
    return Arrays.stream(timeColumns).anyMatch(c -> c == column);
  }

  private boolean hasTime() {
    if (timeColumns.length > 0) {
      return true;
    }
    // Without a name: the first column is time if it reads as time, or climbs all the way.
    if (TimeColumn.looksLikeTime(timeTexts.get(0))) {
      return true;
    }
    if (!header.unnamed() || figures.length < 2 || size < 3) {
      return false;
    }
    for (int i = 1; i < size; i++) {
      if (!(figures[0][i] > figures[0][i - 1])) {
        return false;
      }
    }
    return true;
  }

  private TimeLine readTime() {
    String unit = timeColumns.length > 0 ? header.units()[timeColumns[0]] : "";
    boolean dayFirst =
        timeTexts.stream().anyMatch(t -> t.indexOf('/') > 0 && t.matches("(1[3-9]|[23]\\d)/\\d.*"));
    double[] raw = new double[size];
    for (int i = 0; i < size; i++) {
      raw[i] = TimeColumn.seconds(timeTexts.get(i), dayFirst, unit, decimalComma);
    }
    return TimeLine.inOrder(fileName, raw, lines, TimeColumn.timeOfDayOnly(timeTexts.get(0)));
  }

  private Channel channel(int c, int[] kept) {
    double[] values = new double[kept.length];
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    boolean binary = true;
    for (int i = 0; i < kept.length; i++) {
      double v = figures[c][kept[i]];
      values[i] = v;
      if (!Double.isNaN(v)) {
        low = Math.min(low, v);
        high = Math.max(high, v);
        binary &= v == 0 || v == 1;
      }
    }
    String name = header.names()[c];
    String unit = header.units()[c];
    boolean flag = flags[c] > 0 || binary;
    RoleGuess guess = RoleGuess.of(name, unit, low, high, flag);
    if (unit.equals("°F")) {
      scale(values, 1 / 1.8, -32 / 1.8);
      unit = "°C";
    } else if (unit.equals("GHz") || (guess.role() == Role.CLOCK && unit.isEmpty() && high < 20)) {
      scale(values, 1000, 0);
      unit = "MHz";
    }
    return new Channel(name, unit, guess.role(), guess.confidence(), values);
  }

  private static void scale(double[] values, double factor, double offset) {
    for (int i = 0; i < values.length; i++) {
      values[i] = values[i] * factor + offset;
    }
  }

  /** Roles that can stand only once go to the surest channel. */
  private static List<Channel> keepOneOfEach(List<Channel> channels) {
    List<Channel> result = new ArrayList<>(channels);
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
