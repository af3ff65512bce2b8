package dev.ambershim.desktop.model;

import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.reading.RunLog;

/**
 * A line on the shelf.
 *
 * @param text what it says
 * @param problem whether the person has to do something about it
 */
public record Message(String text, boolean problem) {
  /** What a log that was just read is told with. */
  static String told(String name, Side to, RunLog log) {
    String dropped =
        log.notes().rowsDropped() + log.notes().cellsDropped() == 0
            ? ""
            : ", "
                + log.notes().rowsDropped()
                + " lines and "
                + log.notes().cellsDropped()
                + " cells dropped";
    return name
        + " read as a run "
        + to.words()
        + ": "
        + log.size()
        + " samples, "
        + log.channels().size()
        + " columns"
        + dropped
        + ".";
  }
}
