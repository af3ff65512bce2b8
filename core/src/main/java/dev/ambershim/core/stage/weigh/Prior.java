package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Interval;

/**
 * What is believed of a figure before anything was measured: its likely value and the range that
 * holds it in nine cases of ten.
 *
 * @param key its stable name
 * @param what it in words
 * @param likely median
 * @param low one case in twenty lies below
 * @param high one case in twenty lies above
 * @param unit its unit, or "×" for a factor
 * @param source where that comes from, or "common practice"
 */
public record Prior(
    String key, String what, double likely, double low, double high, String unit, String source) {
  /** A prior's ends hold nine cases in ten: so many standard deviations to either side. */
  static final double ENDS = Interval.normalHalf(0.9);

  /**
   * Checks its order.
   *
   * @throws IllegalArgumentException if low, likely and high do not rise
   */
  public Prior {
    if (!(low <= likely && likely <= high)) {
      throw new IllegalArgumentException(key + ": " + low + ", " + likely + ", " + high);
    }
  }

  /** Standard deviation of the logarithm, for figures that are positive. */
  double sigmaOfLogarithm() {
    return Math.log(high / low) / (2 * ENDS);
  }

  /** Standard deviation, for figures that may have either sign. */
  double sigma() {
    return (high - low) / (2 * ENDS);
  }
}
