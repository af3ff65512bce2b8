package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Disbelieved;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
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
 * @param packageCelsius package temperature
 * @param coreCelsius each core's mean
 * @param roomCelsius room air
 * @param roomTyped whether that was typed by a person and not logged
 * @param riseKelvin mean over cores less room
 * @param powerWatts chip power
 * @param clockMegahertz mean clock
 * @param conditions what else should be equal in runs that are compared
 * @param resistanceKelvinPerWatt rise by power
 * @param figures mean and standard error of each figure that the log gives; temperatures are rises
 *     over room air, or temperatures where there is no room
 * @param coreFigures the same for each core
 * @param doubts what the run leaves open beyond its own noise
 * @param throttledSeconds time under load left out as throttled
 * @param throttledSamples samples under load left out as throttled
 * @param throttledInSettled share of the settled part that was throttled, 0 to 1
 * @param leftOut names of cores that do not count
 * @param disbelieved readings that were taken out because they cannot be
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
    double packageCelsius,
    List<Double> coreCelsius,
    double roomCelsius,
    boolean roomTyped,
    double riseKelvin,
    double powerWatts,
    double clockMegahertz,
    Conditions conditions,
    double resistanceKelvinPerWatt,
    Map<Figure, BatchMeans> figures,
    List<BatchMeans> coreFigures,
    RunDoubts doubts,
    double throttledSeconds,
    int throttledSamples,
    double throttledInSettled,
    List<String> leftOut,
    List<Disbelieved> disbelieved,
    List<String> remarks) {
  /**
   * Means of the settled part; not a number where the log does not say.
   *
   * @param voltageVolts core voltage
   * @param fanTurnsPerMinute fan
   * @param pumpTurnsPerMinute pump
   * @param loadPercent load
   */
  public record Conditions(
      double voltageVolts,
      double fanTurnsPerMinute,
      double pumpTurnsPerMinute,
      double loadPercent) {
    static final Conditions UNKNOWN =
        new Conditions(Double.NaN, Double.NaN, Double.NaN, Double.NaN);
  }

  /** Copies its collections. */
  public RunAnalysis {
    figures = Map.copyOf(figures);
    coreFigures = List.copyOf(coreFigures);
    coreCelsius = List.copyOf(coreCelsius);
    leftOut = List.copyOf(leftOut);
    disbelieved = List.copyOf(disbelieved);
    remarks = List.copyOf(remarks);
  }

  /** Whether the run has a room temperature to rise from. */
  public boolean hasRoom() {
    return !Double.isNaN(roomCelsius);
  }

  /** Mean and error of the rise, or of the temperature where there is no room. */
  public Optional<BatchMeans> error() {
    return Optional.ofNullable(figures.get(Figure.RISE));
  }

  /**
   * A figure with its error, as a rise over room air or, with {@code rooms} not set, as a
   * temperature; null if the log does not give it.
   */
  BatchMeans figure(Figure figure, boolean rooms) {
    return less(figures.get(figure), rooms || !over(figure));
  }

  /** The same for a core. */
  BatchMeans core(int core, boolean rooms) {
    return less(coreFigures.get(core), rooms);
  }

  /** The same run with all its rises times a factor; the resistance stays. */
  RunAnalysis scaled(double factor) {
    Map<Figure, BatchMeans> scaled = new EnumMap<>(Figure.class);
    figures.forEach(
        (figure, value) ->
            scaled.put(figure, figure == Figure.RESISTANCE ? value : value.times(factor)));
    return new RunAnalysis(
        fileName,
        loadFromSeconds,
        loadToSeconds,
        settledFromSeconds,
        settledToSeconds,
        settledSamples,
        unfit,
        meanCoreCelsius,
        hottestCoreCelsius,
        spreadKelvin,
        packageCelsius,
        coreCelsius,
        roomCelsius,
        roomTyped,
        riseKelvin,
        powerWatts,
        clockMegahertz,
        conditions,
        resistanceKelvinPerWatt,
        scaled,
        coreFigures.stream().map(c -> c.times(factor)).toList(),
        doubts,
        throttledSeconds,
        throttledSamples,
        throttledInSettled,
        leftOut,
        disbelieved,
        remarks);
  }

  private static boolean over(Figure figure) {
    return figure == Figure.RISE || figure == Figure.HOTTEST || figure == Figure.PACKAGE;
  }

  private BatchMeans less(BatchMeans figure, boolean asItIs) {
    return figure == null || asItIs || !hasRoom() ? figure : figure.plus(roomCelsius);
  }

  /** Length of the settled part, s. */
  public double plateauSeconds() {
    return settledToSeconds - settledFromSeconds;
  }
}
