package dev.ambershim.core.runs.series;

import java.util.OptionalDouble;

/**
 * One seating of the cooler over one candidate, as it settled.
 *
 * @param candidate what was mounted
 * @param block the round that it belongs to; empty where the series has none
 * @param riseKelvin mean of the cores over the room, K
 * @param watts chip power
 * @param roomCelsius the room, where it is known, °C
 * @param order its place in the order of all mounts, where it is known
 * @param price what one use costs, where it is known
 * @param spoiled why it does not count; empty if it does
 */
public record Mount(
    String candidate,
    String block,
    double riseKelvin,
    double watts,
    OptionalDouble roomCelsius,
    OptionalDouble order,
    OptionalDouble price,
    String spoiled) {
  /** A mount of which no more is known. */
  public static Mount of(String candidate, String block, double riseKelvin, double watts) {
    return new Mount(
        candidate,
        block,
        riseKelvin,
        watts,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        "");
  }

  /** Whether it counts. */
  public boolean counts() {
    return spoiled.isEmpty();
  }

  /** The rise at another power: conduction is linear. */
  public double riseAt(double otherWatts) {
    return riseKelvin * otherWatts / watts;
  }
}
