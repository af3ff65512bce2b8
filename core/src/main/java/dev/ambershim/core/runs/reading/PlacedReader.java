package dev.ambershim.core.runs.reading;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;

/** Text whose cells stand in columns, with a single tab between two cells instead of blanks. */
final class PlacedReader extends Reader {
  private final BufferedReader source;
  private final Dialect dialect;
  private String line = "";
  private int at;

  /** Wraps a text of a dialect with places. */
  PlacedReader(Reader source, Dialect dialect) {
    this.source = new BufferedReader(source);
    this.dialect = dialect;
  }

  @Override
  public int read(char[] out, int offset, int length) throws IOException {
    if (length == 0) {
      return 0;
    }
    if (at == line.length()) {
      String next = source.readLine();
      if (next == null) {
        return -1;
      }
      // A blank line stays one, so that line numbers hold.
      line = (next.isBlank() ? "" : dialect.cut(next)) + "\n";
      at = 0;
    }
    int n = Math.min(length, line.length() - at);
    line.getChars(at, at + n, out, offset);
    at += n;
    return n;
  }

  @Override
  public void close() throws IOException {
    source.close();
  }
}
