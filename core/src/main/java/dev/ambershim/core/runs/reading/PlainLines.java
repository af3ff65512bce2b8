package dev.ambershim.core.runs.reading;

import java.nio.charset.StandardCharsets;

/**
 * Reads a log's samples straight from its bytes: cells are parted and figures formed in one pass,
 * with no text in between. It is for what nearly every logger writes, one byte for each digit and
 * mark and no quotation marks; FastCSV reads everything else, and both give the same.
 */
final class PlainLines {
  private static final double[] POWERS = {
    1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
  };

  private final LogBytes text;
  private final byte[] bytes;
  private final byte delimiter;
  private final byte mark;
  private final Samples samples;
  private char[] scratch = new char[64];
  private int at;
  private int line;

  /**
   * Begins behind a line.
   *
   * @param lines how many lines were read before
   */
  PlainLines(LogBytes text, Dialect dialect, Samples samples, int lines) {
    this.text = text;
    this.samples = samples;
    bytes = text.bytes();
    delimiter = (byte) dialect.delimiter();
    mark = (byte) (dialect.decimalComma() ? ',' : '.');
    at = text.offset();
    while (line < lines && at < bytes.length) {
      line += bytes[at++] == '\n' ? 1 : 0;
    }
  }

  /** Whether a log can be read so. */
  static boolean fits(LogBytes text, Dialect dialect) {
    boolean wide =
        text.charset().equals(StandardCharsets.UTF_16LE)
            || text.charset().equals(StandardCharsets.UTF_16BE);
    if (wide || dialect.blanks()) {
      return false;
    }
    byte[] b = text.bytes();
    for (int i = text.offset(); i < b.length; i++) {
      // A carriage return that stands alone would end a line too.
      if (b[i] == '"' || (b[i] == '\r' && i + 1 < b.length && b[i + 1] != '\n')) {
        return false;
      }
    }
    return true;
  }

  /** Reads the next line's cells; false at the end. */
  boolean next() {
    if (at >= bytes.length) {
      return false;
    }
    line++;
    samples.begin();
    while (cell()) {
      // cells follow each other up to the line's end
    }
    return true;
  }

  /** The line's place in the file, from 1. */
  int line() {
    return line;
  }

  /** Share of the bytes read, 0 to 1. */
  double share() {
    return (double) at / bytes.length;
  }

  /** Reads one cell; false if the line ended with it. */
  private boolean cell() {
    byte[] b = bytes;
    int from = at;
    int i = from;
    boolean negative = i < b.length && b[i] == '-';
    i += negative ? 1 : 0;
    int first = i;
    long digits = 0;
    int decimals = 0;
    while (i < b.length) {
      int c = b[i] - '0';
      if (c >= 0 && c <= 9) {
        digits = digits * 10 + c;
      } else if (b[i] == mark && decimals == 0 && mark != delimiter) {
        decimals = i + 1;
      } else {
        break;
      }
      i++;
    }
    int count = i - first - (decimals == 0 ? 0 : 1);
    boolean ends = i == b.length || b[i] == '\n' || b[i] == '\r';
    if (count < 1 || count > 15 || !(ends || b[i] == delimiter)) {
      return text(from);
    }
    double figure = decimals == 0 ? digits : digits / POWERS[i - decimals];
    samples.figure(negative ? -figure : figure);
    return step(i, ends);
  }

  /** A cell that is no plain number. */
  private boolean text(int from) {
    int to = from;
    boolean plain = true;
    while (to < bytes.length && bytes[to] != delimiter && bytes[to] != '\n' && bytes[to] != '\r') {
      plain &= bytes[to] >= 0;
      to++;
    }
    int length = to - from;
    if (plain) {
      if (length > scratch.length) {
        scratch = new char[2 * length];
      }
      for (int i = 0; i < length; i++) {
        scratch[i] = (char) bytes[from + i];
      }
      samples.cell(scratch, 0, length);
    } else {
      char[] decoded = new String(bytes, from, length, text.charset()).toCharArray();
      samples.cell(decoded, 0, decoded.length);
    }
    return step(to, to == bytes.length || bytes[to] != delimiter);
  }

  /** Goes past the delimiter, or past the line's end. */
  private boolean step(int to, boolean ends) {
    at = to + 1;
    if (ends && to < bytes.length && bytes[to] == '\r') {
      at++;
    }
    return !ends;
  }
}
