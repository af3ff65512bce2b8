package dev.ambershim.core.forecast;

import java.util.List;

/**
 * What a person wants weighed.
 *
 * @param now the chip as it is
 * @param heatWatts heat of the load that matters
 * @param roomCelsius room air to reckon with
 * @param careKelvin the smallest difference that the person cares about
 * @param readings settled states of the chip as it is
 * @param patterns core temperatures of settled states
 * @param terms prices, ways and odds
 * @param record the person's own tries
 */
public record Question(
    Situation now,
    double heatWatts,
    double roomCelsius,
    double careKelvin,
    List<Reading> readings,
    List<Pattern> patterns,
    Terms terms,
    OwnRecord record) {
  /**
   * Core temperatures of one settled state.
   *
   * @param watts chip power
   * @param celsius each core, in the order of the log
   */
  public record Pattern(double watts, List<Double> celsius) {
    /** Copies its list. */
    public Pattern {
      celsius = List.copyOf(celsius);
    }
  }

  /** Copies its lists. */
  public Question {
    readings = List.copyOf(readings);
    patterns = List.copyOf(patterns);
  }
}
