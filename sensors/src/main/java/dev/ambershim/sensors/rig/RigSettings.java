package dev.ambershim.sensors.rig;

import java.util.List;

/**
 * How a simulated run behaves.
 *
 * @param coreOffsetsKelvin each core's steady offset from the mean at full load
 * @param watts heat under load at full clock
 * @param idleWatts heat at rest
 * @param megahertz full clock
 * @param fastKelvinPerWatt resistance of die, joints and lid, which follow load in seconds
 * @param slowKelvinPerWatt resistance of cooler and loop, which follow in minutes
 * @param fastSeconds time constant of the quick part
 * @param slowSeconds time constant of the slow part
 * @param roomCelsius room air at the start
 * @param roomDriftKelvin what the room gains from start to end
 * @param limitCelsius hottest core at which the chip holds itself back
 * @param noiseKelvin standard deviation of the load's own wander
 * @param restSeconds rest before the load
 * @param loadSeconds load
 * @param coolSeconds rest after the load
 * @param seed start of the random numbers
 */
public record RigSettings(
    List<Double> coreOffsetsKelvin,
    double watts,
    double idleWatts,
    double megahertz,
    double fastKelvinPerWatt,
    double slowKelvinPerWatt,
    double fastSeconds,
    double slowSeconds,
    double roomCelsius,
    double roomDriftKelvin,
    double limitCelsius,
    double noiseKelvin,
    int restSeconds,
    int loadSeconds,
    int coolSeconds,
    long seed) {
  /** Copies its list. */
  public RigSettings {
    coreOffsetsKelvin = List.copyOf(coreOffsetsKelvin);
  }
}
