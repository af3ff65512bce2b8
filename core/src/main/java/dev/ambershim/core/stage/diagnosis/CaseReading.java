package dev.ambershim.core.stage.diagnosis;

import java.util.Map;
import java.util.OptionalDouble;

/**
 * One settled reading of a chip.
 *
 * @param name what messages call it
 * @param mount which seating of the cooler, counted from 1
 * @param turnedDegrees how far the cooler was turned against its usual place, anticlockwise from
 *     above
 * @param roomCelsius the air
 * @param coolantCelsius what the film gives its heat to
 * @param lidCelsius mean of the lid
 * @param watts of the heats by their names; what is not named draws nothing, and an empty map
 *     stands for full load
 * @param coreCelsius of the heats that have a sensor
 */
public record CaseReading(
    String name,
    int mount,
    double turnedDegrees,
    OptionalDouble roomCelsius,
    OptionalDouble coolantCelsius,
    OptionalDouble lidCelsius,
    Map<String, Double> watts,
    Map<String, Double> coreCelsius) {
  /** Copies its maps. */
  public CaseReading {
    watts = Map.copyOf(watts);
    coreCelsius = Map.copyOf(coreCelsius);
  }
}
