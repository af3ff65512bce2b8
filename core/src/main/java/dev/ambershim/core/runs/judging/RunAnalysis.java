package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Disbelieved;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One run, judged.
 *
 * @param fileName the log
 * @param loadFromSeconds start of the load
 * @param loadToSeconds end of the load
 * @param settled its settled part; without samples where it has none
 * @param unfit why the run cannot be judged, in words, or empty
 * @param throttledSeconds time under load left out as throttled
 * @param throttledSamples samples under load left out as throttled
 * @param leftOut names of cores that do not count
 * @param disbelieved readings that were taken out because they cannot be
 * @param remarks what a person should know of this run, a sentence each
 */
public record RunAnalysis(
    String fileName,
    double loadFromSeconds,
    double loadToSeconds,
    Settled settled,
    Optional<String> unfit,
    double throttledSeconds,
    int throttledSamples,
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
    leftOut = List.copyOf(leftOut);
    disbelieved = List.copyOf(disbelieved);
    remarks = List.copyOf(remarks);
  }

  /** Start of the settled part, s. */
  public double settledFromSeconds() {
    return settled.fromSeconds();
  }

  /** End of the settled part, s. */
  public double settledToSeconds() {
    return settled.toSeconds();
  }

  /** Length of the settled part, s. */
  public double plateauSeconds() {
    return settledToSeconds() - settledFromSeconds();
  }

  /** Samples of the settled part that count. */
  public int settledSamples() {
    return settled.samples();
  }

  /** Mean over the cores, °C. */
  public double meanCoreCelsius() {
    return settled.cores().meanCelsius();
  }

  /** The hottest core, °C. */
  public double hottestCoreCelsius() {
    return settled.cores().hottestCelsius();
  }

  /** Hottest less coolest core, K. */
  public double spreadKelvin() {
    return settled.cores().spreadKelvin();
  }

  /** The package, °C. */
  public double packageCelsius() {
    return settled.cores().packageCelsius();
  }

  /** Each core that counts, °C. */
  public List<Double> coreCelsius() {
    return settled.cores().eachCelsius();
  }

  /** Room air, °C. */
  public double roomCelsius() {
    return settled.roomCelsius();
  }

  /** Whether the room was typed by a person and not logged. */
  public boolean roomTyped() {
    return settled.roomTyped();
  }

  /** Whether the run has a room temperature to rise from. */
  public boolean hasRoom() {
    return !Double.isNaN(roomCelsius());
  }

  /** Mean over the cores less the room, K. */
  public double riseKelvin() {
    return settled.riseKelvin();
  }

  /** Chip power, W. */
  public double powerWatts() {
    return settled.powerWatts();
  }

  /** Rise by power, K/W. */
  public double resistanceKelvinPerWatt() {
    return powerWatts() > 0 ? riseKelvin() / powerWatts() : Double.NaN;
  }

  /** Mean clock, MHz. */
  public double clockMegahertz() {
    return settled.clockMegahertz();
  }

  /** What else should be equal in runs that are compared. */
  public Conditions conditions() {
    return settled.conditions();
  }

  /** Mean and standard error of each figure that the log gives. */
  public Map<Figure, BatchMeans> figures() {
    return settled.figures();
  }

  /** The same for each core. */
  public List<BatchMeans> coreFigures() {
    return settled.coreFigures();
  }

  /** What the run leaves open beyond its own noise. */
  public RunDoubts doubts() {
    return settled.doubts();
  }

  /** Share of the settled part that was throttled, 0 to 1. */
  public double throttledInSettled() {
    return settled.throttledShare();
  }

  /** Mean and error of the rise, or of the temperature where there is no room. */
  public Optional<BatchMeans> error() {
    return Optional.ofNullable(figures().get(Figure.RISE));
  }

  /**
   * A figure with its error, as a rise over room air or, with {@code rooms} not set, as a
   * temperature; null if the log does not give it.
   */
  BatchMeans figure(Figure figure, boolean rooms) {
    return less(figures().get(figure), rooms || !over(figure));
  }

  /** The same for a core. */
  BatchMeans core(int core, boolean rooms) {
    return less(coreFigures().get(core), rooms);
  }

  /** The same run with all its rises times a factor; the resistance stays. */
  RunAnalysis scaled(double factor) {
    return new RunAnalysis(
        fileName,
        loadFromSeconds,
        loadToSeconds,
        settled.scaled(factor),
        unfit,
        throttledSeconds,
        throttledSamples,
        leftOut,
        disbelieved,
        remarks);
  }

  private static boolean over(Figure figure) {
    return figure == Figure.RISE || figure == Figure.HOTTEST || figure == Figure.PACKAGE;
  }

  private BatchMeans less(BatchMeans figure, boolean asItIs) {
    return figure == null || asItIs || !hasRoom() ? figure : figure.plus(roomCelsius());
  }
}
