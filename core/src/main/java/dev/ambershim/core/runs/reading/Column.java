package dev.ambershim.core.runs.reading;

import java.util.ArrayList;
import java.util.List;

/**
 * One column of a log while it is read: its figures in blocks, so that nothing is copied as it
 * grows, and what was found in cells that are no plain number. The last such cell is remembered,
 * since flags and units come again and again.
 */
final class Column {
  private static final int BLOCK = 1 << 14;
  private static final double[] POWERS = {
    1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
  };

  /** What a cell that is no plain number was found to be. */
  enum Kind {
    BLANK,
    NUMBER,
    FLAG,
    TEXT
  }

  private final char mark;
  private final List<double[]> blocks = new ArrayList<>();
  private int size;

  private String text = "";
  private Kind kind = Kind.BLANK;
  private double value = Double.NaN;
  private String suffix = "";

  private int blank;
  private int flags;
  private int bad;
  private int firstBadLine;
  private String firstBad = "";

  Column(boolean decimalComma) {
    mark = decimalComma ? ',' : '.';
  }

  /**
   * Digits with at most one decimal mark, the common case, without patterns or copies; not a number
   * for anything else. Up to 15 digits the quotient of two exact figures is rounded once, so it is
   * the nearest figure, as {@link Double#parseDouble} gives it.
   */
  static double plain(char[] buffer, int from, int to, char mark) {
    int at = from;
    if (at < to && buffer[at] == '-') {
      at++;
    }
    int start = at;
    long digits = 0;
    int decimals = 0;
    while (at < to) {
      int c = buffer[at++] - '0';
      if (c >= 0 && c <= 9) {
        digits = digits * 10 + c;
      } else if (c == mark - '0' && decimals == 0) {
        decimals = at;
      } else {
        return Double.NaN;
      }
    }
    int count = to - start - (decimals == 0 ? 0 : 1);
    if (count < 1 || count > 15) {
      return Double.NaN;
    }
    double figure = decimals == 0 || decimals == to ? digits : digits / POWERS[to - decimals];
    return start > from ? -figure : figure;
  }

  /** Reads a cell that is no plain number; what it is, is asked for next. */
  double read(char[] buffer, int offset, int length) {
    int from = offset;
    int to = offset + length;
    while (from < to && buffer[from] == ' ') {
      from++;
    }
    while (to > from && buffer[to - 1] == ' ') {
      to--;
    }
    if (from == to) {
      text = "";
      kind = Kind.BLANK;
      value = Double.NaN;
      return value;
    }
    int number = to - suffix.length();
    if (number > from && same(suffix, buffer, number, to)) {
      double figure = plain(buffer, from, number, mark);
      if (!Double.isNaN(figure)) {
        text = "";
        kind = Kind.NUMBER;
        value = figure;
        return value;
      }
    }
    if (!same(text, buffer, from, to)) {
      lookUp(new String(buffer, from, to - from));
    }
    return value;
  }

  private void lookUp(String cell) {
    text = cell;
    value = Double.NaN;
    if (Cells.blank(cell)) {
      kind = Kind.BLANK;
      return;
    }
    value = Cells.number(cell, mark == ',');
    if (!Double.isNaN(value)) {
      kind = Kind.NUMBER;
      suffix = Cells.behind(cell);
      return;
    }
    value = Cells.flag(cell);
    kind = Double.isNaN(value) ? Kind.TEXT : Kind.FLAG;
  }

  private static boolean same(String last, char[] buffer, int from, int to) {
    if (last.length() != to - from) {
      return false;
    }
    for (int i = 0; i < last.length(); i++) {
      if (last.charAt(i) != buffer[from + i]) {
        return false;
      }
    }
    return true;
  }

  /** What the cell last read is. */
  Kind kind() {
    return kind;
  }

  /** The text of the cell last read; empty for a blank or a number. */
  String text() {
    return text;
  }

  /** Counts a cell that was read and is kept. */
  void count(Kind kept, String words, int line) {
    switch (kept) {
      case BLANK -> blank++;
      case FLAG -> flags++;
      case TEXT -> {
        if (bad++ == 0) {
          firstBadLine = line;
          firstBad = words;
        }
      }
      case NUMBER -> {}
    }
  }

  /** Takes figures of whole rows: the first at an index, the next so many places further on. */
  void append(double[] rows, int first, int stride, int count) {
    int at = first;
    int left = count;
    while (left > 0) {
      int within = size % BLOCK;
      if (within == 0) {
        blocks.add(new double[BLOCK]);
      }
      double[] block = blocks.get(blocks.size() - 1);
      int n = Math.min(left, BLOCK - within);
      for (int i = 0; i < n; i++) {
        block[within + i] = rows[at];
        at += stride;
      }
      size += n;
      left -= n;
    }
  }

  /** Cells that are not blank. */
  int filled() {
    return size - blank;
  }

  /** Cells that hold a figure or a flag. */
  int readable() {
    return size - blank - bad;
  }

  /** Whether some cells hold a yes or a no. */
  boolean hasFlags() {
    return flags > 0;
  }

  /** Line of the first cell that holds neither figure nor flag. */
  int firstBadLine() {
    return firstBadLine;
  }

  /** That cell's text. */
  String firstBad() {
    return firstBad;
  }

  /** The unit that stands behind figures in the cells in its own spelling, or empty. */
  String unit() {
    return suffix.isEmpty() ? "" : Cells.unit(suffix);
  }

  /** Whether every figure is above the one before, over three rows or more. */
  boolean climbs() {
    double last = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < size; i++) {
      double here = blocks.get(i / BLOCK)[i % BLOCK];
      if (!(here > last)) {
        return false;
      }
      last = here;
    }
    return size >= 3;
  }

  /** The figures of the kept rows, in order, as one array; the column is empty afterwards. */
  double[] take(int[] kept) {
    double[] result = new double[kept.length];
    if (kept.length == size) {
      for (int b = 0; b < blocks.size(); b++) {
        int from = b * BLOCK;
        System.arraycopy(blocks.get(b), 0, result, from, Math.min(BLOCK, size - from));
        blocks.set(b, null);
      }
    } else {
      for (int i = 0; i < kept.length; i++) {
        result[i] = blocks.get(kept[i] / BLOCK)[kept[i] % BLOCK];
      }
    }
    drop();
    return result;
  }

  /** Lets go of the figures. */
  void drop() {
    blocks.clear();
  }
}
