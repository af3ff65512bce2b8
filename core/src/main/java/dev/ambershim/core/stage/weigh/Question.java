package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Terms;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Map;

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
 * @param times hours that options take by a plan of the work; an option without takes usual ones
 * @param clockMegahertz clock of that load; not a number where it is not known
 * @param suspicion what else may make it hot
 */
@RecordBuilder
public record Question(
    Situation now,
    double heatWatts,
    double roomCelsius,
    double careKelvin,
    List<Reading> readings,
    List<Pattern> patterns,
    Terms terms,
    OwnRecord record,
    Map<OptionKind, Time> times,
    double clockMegahertz,
    Suspicion suspicion)
    implements QuestionBuilder.With {
  /**
   * Hours that an option takes.
   *
   * @param handsHours at the bench
   * @param mostHandsHours at the bench, kept in nine cases of ten
   * @param waitHours of drying and curing
   */
  public record Time(double handsHours, double mostHandsHours, double waitHours) {}

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
    times = Map.copyOf(times);
  }

  /** A question whose options take usual hours. */
  public Question(
      Situation now,
      double heatWatts,
      double roomCelsius,
      double careKelvin,
      List<Reading> readings,
      List<Pattern> patterns,
      Terms terms,
      OwnRecord record) {
    this(
        now,
        heatWatts,
        roomCelsius,
        careKelvin,
        readings,
        patterns,
        terms,
        record,
        Map.of(),
        Double.NaN,
        Suspicion.NONE);
  }
}
