package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.reading.RunLog;

/**
 * A line on the shelf.
 *
 * @param text what it says
 * @param problem whether the person has to do something about it
 * @param page the handbook's page that says more about what to do, or empty
 */
public record Message(String text, boolean problem, String page) {
  /** What is simply so. */
  static Message plain(String text) {
    return new Message(text, false, "");
  }

  /** What went wrong, with where and what to do. */
  static Message of(Problem problem) {
    return new Message(problem.getMessage(), true, Handbook.about(problem.key()));
  }

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
