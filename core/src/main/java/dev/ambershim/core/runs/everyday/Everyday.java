package dev.ambershim.core.runs.everyday;

import dev.ambershim.core.base.Interval;

/**
 * What logs of ordinary use tell.
 *
 * @param resistance of the mean core over the room once settled, K/W
 * @param interval nineteen of twenty such hold it, K/W
 * @param use whether it can be used, or why not
 * @param movedWatts between the fifth and the ninety-fifth percentile of the power, means of some
 *     seconds
 * @param meanWatts mean power
 * @param minutes of log that count
 * @param room how the room is known
 */
public record Everyday(
    double resistance,
    Interval interval,
    Use use,
    double movedWatts,
    double meanWatts,
    double minutes,
    RoomKnown room) {
  /** Whether logs tell a resistance. */
  public enum Use {
    USABLE,
    TOO_SHORT,
    MOVED_TOO_LITTLE,
    TOO_WIDE
  }

  /** How the room is known. */
  public enum RoomKnown {
    LOGGED,
    TYPED,
    GUESSED
  }

  /** Whether it can be used. */
  public boolean usable() {
    return use == Use.USABLE;
  }

  /** Standard error, K/W. */
  public double standardError() {
    return interval.width() / 2 / Interval.normalHalf(interval.level());
  }
}
