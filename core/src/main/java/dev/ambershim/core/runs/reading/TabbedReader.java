package dev.ambershim.core.runs.reading;

import java.io.IOException;
import java.io.Reader;

/** Text in which runs of blanks part the cells, with a single tab for each such run instead. */
public final class TabbedReader extends Reader {
  private final Reader source;
  private final int least;
  private final char[] raw = new char[1 << 13];
  private int at;
  private int end;
  private int blanks;
  private boolean lineStart = true;
  private int held = -1;

  /**
   * Wraps a text.
   *
   * @param least how many blanks in a row part two cells; fewer belong to the cell
   */
  public TabbedReader(Reader source, int least) {
    this.source = source;
    this.least = least;
  }

  @Override
  public int read(char[] out, int offset, int length) throws IOException {
    int n = 0;
    while (n < length) {
      int c = next();
      if (c < 0) {
        return n == 0 && length > 0 ? -1 : n;
      }
      out[offset + n++] = (char) c;
    }
    return n;
  }

  private int next() throws IOException {
    if (held >= 0) {
      int c = held;
      held = -1;
      return c;
    }
    while (true) {
      if (at == end) {
        end = source.read(raw, 0, raw.length);
        at = 0;
        if (end <= 0) {
          end = 0;
          return -1;
        }
      }
      char c = raw[at++];
      if (c == ' ' || c == '\t') {
        // A tab parts cells by itself.
        blanks += c == '\t' ? least : 1;
        continue;
      }
      int before = blanks;
      blanks = 0;
      if (c == '\n' || c == '\r') {
        lineStart = true;
        return c;
      }
      boolean first = lineStart;
      lineStart = false;
      if (before == 0 || first) {
        return c;
      }
      held = c;
      return before >= least ? '\t' : ' ';
    }
  }

  @Override
  public void close() throws IOException {
    source.close();
  }
}
