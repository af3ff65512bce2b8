package dev.ambershim.core.runs.everyday;

import dev.ambershim.core.base.Interval;
import java.util.Optional;

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
 * @param quick what of the resistance shows within seconds; empty where the log tells nothing
 */
public record Everyday(
    double resistance,
    Interval interval,
    Use use,
    double movedWatts,
    double meanWatts,
    double minutes,
    RoomKnown room,
    Optional<Quick> quick) {
  /**
   * A step of the power has passed through die, joints and lid by then, and has hardly warmed a
   * loop or a heat sink, s. Common practice.
   */
  public static final double QUICK_SECONDS = 10;

  /**
   * How far the cores rise within {@value #QUICK_SECONDS} s of a step of the power.
   *
   * @param resistance for each watt, K/W
   * @param error its standard error, K/W
   */
  public record Quick(double resistance, double error) {
    /** A quick part that may be off by more tells a joint from a cooler no longer. */
    private static final double MOST_SHARE = 0.1;

    /** Whether it is known well enough to be kept. */
    public boolean usable() {
      return resistance > 0 && error <= MOST_SHARE * resistance;
    }
  }

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
