package dev.ambershim.core.runs.judging;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * A run's settled part in figures. A figure that the log cannot give is not a number.
 *
 * @param fromSeconds its start
 * @param toSeconds its end
 * @param samples samples in it that count
 * @param cores temperatures
 * @param roomCelsius room air
 * @param roomTyped whether that was typed by a person and not logged
 * @param riseKelvin mean over cores less room
 * @param powerWatts chip power
 * @param clockMegahertz mean clock
 * @param conditions what else should be equal in runs that are compared
 * @param figures mean and standard error of each figure that the log gives; temperatures are rises
 *     over room air, or temperatures where there is no room
 * @param coreFigures the same for each core
 * @param doubts what the run leaves open beyond its own noise
 * @param throttledShare share of it that was throttled, 0 to 1
 */
public record Settled(
    double fromSeconds,
    double toSeconds,
    int samples,
    Cores cores,
    double roomCelsius,
    boolean roomTyped,
    double riseKelvin,
    double powerWatts,
    double clockMegahertz,
    RunAnalysis.Conditions conditions,
    Map<Figure, BatchMeans> figures,
    List<BatchMeans> coreFigures,
    RunDoubts doubts,
    double throttledShare) {
  /**
   * Temperatures of the cores, means over the settled part, °C.
   *
   * @param meanCelsius over all cores
   * @param hottestCelsius of the hottest core
   * @param spreadKelvin hottest less coolest core; not a number for one core
   * @param packageCelsius package
   * @param eachCelsius each core's
   */
  public record Cores(
      double meanCelsius,
      double hottestCelsius,
      double spreadKelvin,
      double packageCelsius,
      List<Double> eachCelsius) {
    static final Cores UNKNOWN =
        new Cores(Double.NaN, Double.NaN, Double.NaN, Double.NaN, List.of());

    /** Copies its list. */
    public Cores {
      eachCelsius = List.copyOf(eachCelsius);
    }
  }

  /** Copies its collections. */
  public Settled {
    figures = Map.copyOf(figures);
    coreFigures = List.copyOf(coreFigures);
  }

  /** Nothing is known of a part that has no samples. */
  static Settled none(double atSeconds) {
    double nan = Double.NaN;
    return new Settled(
        atSeconds,
        atSeconds,
        0,
        Cores.UNKNOWN,
        nan,
        false,
        nan,
        nan,
        nan,
        RunAnalysis.Conditions.UNKNOWN,
        Map.of(),
        List.of(),
        RunDoubts.NONE,
        0);
  }

  /** The same with all its rises times a factor; the resistance stays. */
  Settled scaled(double factor) {
    Map<Figure, BatchMeans> scaled = new EnumMap<>(Figure.class);
    figures.forEach(
        (figure, value) ->
            scaled.put(figure, figure == Figure.RESISTANCE ? value : value.times(factor)));
    return new Settled(
        fromSeconds,
        toSeconds,
        samples,
        cores,
        roomCelsius,
        roomTyped,
        riseKelvin,
        powerWatts,
        clockMegahertz,
        conditions,
        scaled,
        coreFigures.stream().map(c -> c.times(factor)).toList(),
        doubts,
        throttledShare);
  }
}
