package dev.ambershim.core.stage.diagnosis;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Map;
import java.util.Optional;
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
 * @param slow what of the rise came slowly when the load began
 */
@RecordBuilder
public record CaseReading(
    String name,
    int mount,
    double turnedDegrees,
    OptionalDouble roomCelsius,
    OptionalDouble coolantCelsius,
    OptionalDouble lidCelsius,
    Map<String, Double> watts,
    Map<String, Double> coreCelsius,
    Optional<Slow> slow)
    implements CaseReadingBuilder.With {
  /**
   * The slow part of a rise: fins, or coolant and radiator, fill up over minutes, chip and joints
   * within seconds.
   *
   * @param kelvinPerWatt by the step of power
   * @param sigma its standard error, K/W
   */
  public record Slow(double kelvinPerWatt, double sigma) {}

  /** Copies its maps. */
  public CaseReading {
    watts = Map.copyOf(watts);
    coreCelsius = Map.copyOf(coreCelsius);
  }

  /** A reading whose beginning nobody saw. */
  public CaseReading(
      String name,
      int mount,
      double turnedDegrees,
      OptionalDouble roomCelsius,
      OptionalDouble coolantCelsius,
      OptionalDouble lidCelsius,
      Map<String, Double> watts,
      Map<String, Double> coreCelsius) {
    this(
        name,
        mount,
        turnedDegrees,
        roomCelsius,
        coolantCelsius,
        lidCelsius,
        watts,
        coreCelsius,
        Optional.empty());
  }
}
