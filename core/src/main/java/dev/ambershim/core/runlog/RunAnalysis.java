package dev.ambershim.core.runlog;

import java.util.List;
import java.util.Optional;

/**
 * One run's settled part in figures. A figure that the log cannot give is not a number.
 *
 * @param fileName the log
 * @param loadFromSeconds start of the load
 * @param loadToSeconds end of the load
 * @param settledFromSeconds start of the settled part
 * @param settledToSeconds its end
 * @param settledSamples samples in it that count
 * @param unfit why the run cannot be judged, in words, or empty
 * @param meanCoreCelsius mean over cores of the settled part
 * @param hottestCoreCelsius mean of the hottest core
 * @param spreadKelvin hottest less coolest core
 * @param coreCelsius each core's mean
 * @param roomCelsius room air
 * @param riseKelvin mean over cores less room
 * @param powerWatts chip power
 * @param clockMegahertz mean clock
 * @param resistanceKelvinPerWatt rise by power
 * @param error mean and standard error of the rise, or of the temperature where there is no room
 * @param throttledSeconds time under load left out as throttled
 * @param throttledSamples samples under load left out as throttled
 * @param throttledInSettled share of the settled part that was throttled, 0 to 1
 * @param remarks what a person should know of this run, a sentence each
 */
public record RunAnalysis(
    String fileName,
    double loadFromSeconds,
    double loadToSeconds,
    double settledFromSeconds,
    double settledToSeconds,
    int settledSamples,
    Optional<String> unfit,
    double meanCoreCelsius,
    double hottestCoreCelsius,
    double spreadKelvin,
    List<Double> coreCelsius,
    double roomCelsius,
    double riseKelvin,
    double powerWatts,
    double clockMegahertz,
    double resistanceKelvinPerWatt,
    Optional<BatchMeans> error,
    double throttledSeconds,
    int throttledSamples,
    double throttledInSettled,
    List<String> remarks) {
  /** Copies its lists. */
  public RunAnalysis {
    coreCelsius = List.copyOf(coreCelsius);
    remarks = List.copyOf(remarks);
  }

  /** Whether the run has a room temperature to rise from. */
  public boolean hasRoom() {
    return !Double.isNaN(roomCelsius);
  }

  /** Length of the settled part, s. */
  public double plateauSeconds() {
    return settledToSeconds - settledFromSeconds;
  }
}
