package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.runs.clocking.LadderTerms;
import java.util.List;

/** What the clock ladder is climbed under. Usual: common practice. */
public final class LadderFigures {
  /** The part name for the clock ladder. */
  public static final String LADDER = "ladder";

  private static final Section<LadderTerms> TERMS = new Section<>(Job::ladder, Job::withLadder);

  /** The hottest core that is allowed. */
  public static final Figure LIMIT =
      new Figure(
          "ladder.limitCelsius",
          LADDER,
          "hottest core you allow",
          Unit.CELSIUS,
          new Range(30, 125),
          new Range(70, 100),
          "Some kelvin under where the chip throttles; the maker's limit comes first.",
          TERMS.must(LadderTerms::limitCelsius, LadderTerms::withLimitCelsius));

  /** From one rung to the next. */
  public static final Figure STEP =
      new Figure(
          "ladder.stepMegahertz",
          LADDER,
          "step between rungs",
          Unit.MEGAHERTZ,
          new Range(5, 1000),
          new Range(25, 200),
          "Smaller steps tell more and take longer.",
          TERMS.must(LadderTerms::stepMegahertz, LadderTerms::withStepMegahertz));

  private LadderFigures() {}

  static List<Figure> all() {
    return List.of(LIMIT, STEP);
  }
}
