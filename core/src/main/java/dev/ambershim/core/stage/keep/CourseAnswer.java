package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Crossing;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.DriftFit;
import dev.ambershim.core.runs.drift.Line;
import dev.ambershim.core.runs.drift.Trend;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Whether it ages, and when it is opened again.
 *
 * @param given what was asked about
 * @param drift what the checks say
 * @param ahead the line ahead: what the checks say, and what such joints do; empty while all checks
 *     are of one day
 * @param reopen when the limit is met; empty if there is none, or it is not met within ten years
 * @param told the finding
 * @param reasons why, and what to do
 * @param notes what does not count, and what else was seen
 */
public record CourseAnswer(
    KeepCase given,
    Drift drift,
    Optional<Line> ahead,
    Optional<Crossing> reopen,
    Finding told,
    List<String> reasons,
    List<String> notes)
    implements StageAnswer {
  /** Copies its lists. */
  public CourseAnswer {
    reasons = List.copyOf(reasons);
    notes = List.copyOf(notes);
  }

  /** Works a case out. */
  public static CourseAnswer of(KeepCase given, Notation notation) {
    Drift drift = DriftFit.of(given.checks(), given.watts(), given.scatter());
    Optional<Line> ahead = ahead(given, drift);
    // While the newest check may be a jump, where the chip stands is not known.
    Optional<Limit> met =
        given.limit().filter(l -> ahead.isPresent() && drift.newestApart().isEmpty());
    Optional<Crossing> reopen =
        met.flatMap(l -> Crossing.of(ahead.orElseThrow(), drift.last(), l.riseKelvin()));
    KeepWords words = new KeepWords(notation, drift);
    List<String> reasons = new ArrayList<>();
    met.ifPresent(l -> reasons.add(words.limit(l, reopen)));
    reasons.add(words.remedy(reopen));
    reasons.add(words.chance());
    List<String> notes = new ArrayList<>(words.notes());
    notes.addAll(past(given, drift, notation));
    given.limit().ifPresent(l -> notes.add(words.room(l)));
    given.limit().flatMap(l -> l.doubt(notation)).ifPresent(notes::add);
    return new CourseAnswer(
        given, drift, ahead, reopen, finding(given, drift, words.finding()), reasons, notes);
  }

  /** What the states before did, the oldest first. */
  private static List<String> past(KeepCase given, Drift drift, Notation notation) {
    Map<String, List<Check>> states = new LinkedHashMap<>();
    for (Drift.Apart a : drift.apart(Drift.Reason.OTHER_STATE)) {
      states.computeIfAbsent(a.check().state(), s -> new ArrayList<>()).add(a.check());
    }
    List<String> notes = new ArrayList<>();
    states.forEach(
        (state, checks) -> {
          Drift then = DriftFit.of(checks, OptionalDouble.of(drift.watts()), given.scatter());
          new KeepWords(notation, then).past(state).ifPresent(notes::add);
        });
    return notes;
  }

  /** The drift, or the jump where that is what the sentence tells. */
  private static Finding finding(KeepCase given, Drift drift, String sentence) {
    Working working = working(given, drift);
    return drift
        .largestJump()
        .map(
            j ->
                new Finding(
                    "keep.jump",
                    sentence,
                    j.kelvin(),
                    Unit.KELVIN,
                    Optional.of(j.interval()),
                    working))
        .orElseGet(
            () ->
                new Finding(
                    "keep.drift",
                    sentence,
                    drift.line().map(Line::perYear).orElse(Double.NaN),
                    Unit.KELVIN_PER_YEAR,
                    drift.line().map(Line::perYearInterval),
                    working));
  }

  /**
   * The line ahead: what the checks say, and what such joints do. A drift that the checks tell
   * stands by itself where the joint is not known; else what any joint does counts.
   */
  private static Optional<Line> ahead(KeepCase given, Drift drift) {
    return drift
        .line()
        .map(
            l ->
                given
                    .ageing()
                    .or(
                        () ->
                            drift.trend() == Trend.CREEPING
                                ? Optional.empty()
                                : Optional.of(KeepCase.Expected.ANY))
                    .map(e -> l.with(e.kelvinPerYear(), e.deviation()))
                    .orElse(l));
  }

  private static Working working(KeepCase given, Drift drift) {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("checks that count", drift.used().size(), Unit.COUNT));
    inputs.add(new Working.Input("brought to", drift.watts(), Unit.WATT));
    inputs.add(new Working.Input("scatter of a check", given.scatter().checkKelvin(), Unit.KELVIN));
    inputs.add(
        new Working.Input("scatter between mounts", given.scatter().mountKelvin(), Unit.KELVIN));
    inputs.add(new Working.Input("by chance alone", 100 * drift.chance(), Unit.PERCENT));
    drift
        .robust()
        .ifPresent(
            r -> {
              inputs.add(
                  new Working.Input(
                      "median of all slopes (Theil–Sen)", r.perYear(), Unit.KELVIN_PER_YEAR));
              inputs.add(
                  new Working.Input(
                      "test of ranks (Mann–Kendall), by chance", 100 * r.chance(), Unit.PERCENT));
            });
    given
        .ageing()
        .ifPresent(
            e ->
                inputs.add(
                    new Working.Input(
                        "such joints drift by", e.kelvinPerYear(), Unit.KELVIN_PER_YEAR)));
    return new Working(
        "rise × reference power ÷ power = level of the state + deviation of the mount + drift × time"
            + " + jumps, by least squares; a drift or a jump is told where a steady chip would show"
            + " its like in at most 5 % of histories",
        inputs,
        "Henderson 1975 (mixed model equations); Hinkley 1970 (one jump); Gilbert 1987, 16.4 and"
            + " 16.5 (Mann–Kendall, Theil–Sen)",
        List.of(
            "A slow change of load, fan curve or firmware looks like age.",
            "The drift ahead is taken as a straight line."));
  }

  @Override
  public Stage stage() {
    return Stage.KEEP;
  }

  @Override
  public String sentence() {
    return told.sentence();
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.of(told);
  }
}
