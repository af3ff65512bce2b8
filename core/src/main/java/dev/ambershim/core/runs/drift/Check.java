package dev.ambershim.core.runs.drift;

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
 */
public record Check(
    LocalDate date,
    double riseKelvin,
    double watts,
    String state,
    String mount,
    OptionalDouble errorKelvin) {
  /** The rise at another power: conduction is linear. */
  public double riseAt(double otherWatts) {
    return riseKelvin * otherWatts / watts;
  }
}
