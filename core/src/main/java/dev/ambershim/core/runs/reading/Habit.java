package dev.ambershim.core.runs.reading;

import java.io.IOException;

/**
 * A way of writing a log that is no table with a line a sample. It tells its samples cell by cell,
 * and they are read on as a table. A new habit is one such class, a line in {@link Rewriting} and a
 * file in the samples of the tests.
 */
interface Habit {
  /** What the habit is called when it is told how a log was read. */
  String words();

  /** Whether a log is written this way. */
  boolean fits(LogBytes text);

  /**
   * Tells all samples in order. It is called twice, the first time to learn the columns.
   *
   * @throws IOException if the text cannot be decoded
   */
  void read(LogBytes text, Sink sink) throws IOException;

  /** Takes samples. */
  interface Sink {
    /**
     * A reading of the sample at hand; a column that already has one in this sample keeps the
     * first.
     *
     * @param column its name, with a unit in brackets where the log states one
     * @param text the reading as the log has it
     */
    void cell(String column, String text);

    /** The sample at hand ends, at this line of the file; without a cell it is none. */
    void end(int line);

    /** A line that is no part of any sample. */
    void dropped(int line);
  }
}
