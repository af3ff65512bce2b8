package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;

/**
 * By what two states are judged.
 *
 * @param careKelvin the smallest difference that the person cares about
 * @param remountKelvin standard deviation of the rise between mounts of one cooler, for when each
 *     side has one mount only
 * @param typedRoomKelvin standard error of a room that was read off a thermometer and typed
 */
public record Judging(double careKelvin, double remountKelvin, double typedRoomKelvin) {
  /** Two careful mounts of one cooler usually agree within a kelvin; common practice. */
  public static final double USUAL_REMOUNT_KELVIN = 0.5;

  /** As sure as if ten mounts had told it; common practice. */
  static final double USUAL_REMOUNT_FREEDOM = 10;

  /** A household thermometer beside the case; common practice. */
  public static final double USUAL_TYPED_ROOM_KELVIN = 0.3;

  /**
   * Checks its figures.
   *
   * @throws Problem {@code care.range}, {@code remount.range} or {@code roomError.range}
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
          "Give a figure from 0 to 20, such as 0.5.");
    }
    if (!(typedRoomKelvin >= 0 && typedRoomKelvin <= 10)) {
      throw new Problem(
          "roomError.range",
          Place.field("error of a typed room"),
          "A typed room cannot be off by " + typedRoomKelvin + " K.",
          "Give a figure from 0 to 10, such as 0.3.");
    }
  }

  /** A judging with the usual error of a typed room. */
  public Judging(double careKelvin, double remountKelvin) {
    this(careKelvin, remountKelvin, USUAL_TYPED_ROOM_KELVIN);
  }

  /** The usual judging for a smallest difference. */
  public static Judging of(double careKelvin) {
    return new Judging(careKelvin, USUAL_REMOUNT_KELVIN);
  }
}
