package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;

/**
 * By what two states are judged.
 *
 * @param careKelvin the smallest difference that the person cares about
 * @param remountKelvin standard deviation of the rise between mounts of one cooler, for when each
 *     side has one mount only
 */
public record Judging(double careKelvin, double remountKelvin) {
  /** Two careful mounts of one cooler usually agree within a kelvin; common practice. */
  public static final double USUAL_REMOUNT_KELVIN = 0.3;

  /**
   * Checks its figures.
   *
   * @throws Problem {@code care.range} or {@code remount.range}
   */
  public Judging {
    if (!(careKelvin >= 0)) {
      throw new Problem(
          "care.range",
          Place.field("smallest difference"),
          "The smallest difference cannot be " + careKelvin + " K.",
          "Give zero or more.");
    }
    if (!(remountKelvin >= 0 && remountKelvin <= 20)) {
      throw new Problem(
          "remount.range",
          Place.field("re-mount scatter"),
          "The scatter between mounts cannot be " + remountKelvin + " K.",
          "Give a figure from 0 to 20, such as 0.3.");
    }
  }

  /** The usual judging for a smallest difference. */
  public static Judging of(double careKelvin) {
    return new Judging(careKelvin, USUAL_REMOUNT_KELVIN);
  }
}
