package dev.ambershim.core.runs.clocking;

import dev.ambershim.core.base.Interval;

/**
 * How far apart two highest clocks lie, each known only to lie between a rung that passed and one
 * that did not. Within its gap each is as likely anywhere (a rectangular distribution, JCGM
 * 100:2008, 4.3.7), so the difference is distributed as a trapezoid (JCGM 101:2008, 6.4.4), whose
 * middle 95 % is told exactly.
 *
 * @param megahertz the difference's mean, after less before
 * @param interval its 95 % interval
 */
public record GridGain(double megahertz, Interval interval) {
  private static final double LEVEL = 0.95;

  /** The gain of one bracketed ladder over another. */
  public static GridGain of(ClockLadder before, ClockLadder after) {
    return between(
        before.highestPass().getAsDouble(),
        before.lowestBlock().getAsDouble(),
        after.highestPass().getAsDouble(),
        after.lowestBlock().getAsDouble());
  }

  /** The gain from one gap to another, all in MHz. */
  static GridGain between(double lowBefore, double highBefore, double lowAfter, double highAfter) {
    double wide = Math.max(highBefore - lowBefore, highAfter - lowAfter);
    double narrow = Math.min(highBefore - lowBefore, highAfter - lowAfter);
    double mean = (lowAfter + highAfter) / 2 - (lowBefore + highBefore) / 2;
    double tail = (1 - LEVEL) / 2;
    // The trapezoid's slope holds narrow/(2·wide) of the probability on each side.
    double onSlope = narrow / (2 * wide);
    double half =
        tail < onSlope
            ? (wide + narrow) / 2 - Math.sqrt(2 * tail * wide * narrow)
            : wide / 2 - wide * tail;
    return new GridGain(mean, Interval.around(mean, half, LEVEL));
  }
}
