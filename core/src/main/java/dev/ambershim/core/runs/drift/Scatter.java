package dev.ambershim.core.runs.drift;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.runs.judging.EqualLoad;
import dev.ambershim.core.runs.judging.Judging;

/**
 * How far checks scatter for no reason; only the quotient of the two counts once there are enough
 * checks to tell.
 *
 * @param checkKelvin standard deviation of a check beside its own error, K
 * @param mountKelvin standard deviation between mounts, K
 */
public record Scatter(double checkKelvin, double mountKelvin) {
  /** Two settled runs of one mount on two days: common practice. */
  public static final Scatter USUAL = new Scatter(0.35, Judging.USUAL_REMOUNT_KELVIN);

  /** A check whose own error is not known: common practice. */
  static final double USUAL_ERROR = 0.3;

  /**
   * Standard deviation of a check, K at its own power: its error, its scatter, and what bringing it
   * to another power leaves open, as where runs are compared.
   */
  double of(Check check, double watts) {
    double correction = Math.abs(1 - check.watts() / watts) * check.riseKelvin();
    return Math.hypot(
        Math.hypot(check.errorKelvin().orElse(USUAL_ERROR), checkKelvin),
        EqualLoad.OPEN_SHARE * correction / Interval.normalHalf(0.95));
  }
}
