package dev.ambershim.core.runs.drift;

import dev.ambershim.core.runs.reading.Role;
import java.time.LocalDate;
import java.util.OptionalDouble;

/**
 * A dated reading of a chip.
 *
 * @param date the day
 * @param riseKelvin mean of the cores over the room, K
 * @param watts chip power
 * @param state the chip's state; readings of two states are of two joints
 * @param mount the mount of the cooler, by any name; readings of two mounts differ by more
 * @param errorKelvin standard error of the rise, where it is known
 * @param fanTurns fan speed, turns a minute, where it is known
 * @param pumpTurns pump speed, turns a minute, where it is known
 */
public record Check(
    LocalDate date,
    double riseKelvin,
    double watts,
    String state,
    String mount,
    OptionalDouble errorKelvin,
    OptionalDouble fanTurns,
    OptionalDouble pumpTurns) {
  /** Hotter than this over its room a chip has long switched itself off, K. */
  private static final double MOST_RISE = 200;

  /** Less heat tells nothing of a joint. */
  private static final double LEAST_WATTS = 1;

  /** A check whose fan and pump are not known. */
  public Check(
      LocalDate date,
      double riseKelvin,
      double watts,
      String state,
      String mount,
      OptionalDouble errorKelvin) {
    this(
        date,
        riseKelvin,
        watts,
        state,
        mount,
        errorKelvin,
        OptionalDouble.empty(),
        OptionalDouble.empty());
  }

  /** Whether a chip can stand so far over its room, K. */
  public static boolean canRise(double kelvin) {
    return kelvin > 0 && kelvin <= MOST_RISE;
  }

  /** Whether a rise can be off by so much, K. */
  public static boolean canErr(double kelvin) {
    return kelvin >= 0 && kelvin <= MOST_RISE;
  }

  /** Whether a check can be made under such a power. */
  public static boolean canDraw(double watts) {
    return watts >= LEAST_WATTS && Role.POWER.canBe(watts);
  }

  /** The rise at another power: conduction is linear. */
  public double riseAt(double otherWatts) {
    return riseKelvin * otherWatts / watts;
  }
}
