package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import java.util.List;

/** What a chip in use is watched by. Usual: common practice. */
public final class CareFigures {
  /** The part name for a chip in use. */
  public static final String CARE = "care";

  private static final Section<Care> SECTION = new Section<>(Job::care, Job::withCare);

  /** What the mean of the cores should not reach. */
  public static final Figure LIMIT =
      new Figure(
          "care.limitCelsius",
          CARE,
          "open it again at",
          Unit.CELSIUS,
          new Range(30, 125),
          new Range(60, 100),
          "Mean of the cores under your heaviest load; empty takes what you allow the clock ladder.",
          new Section<>(j -> j, (Job j, Job other) -> other)
              .may(
                  j -> j.care().limitCelsius(),
                  (j, value) -> j.withCare(j.care().withLimitCelsius(value)),
                  j -> j.ladder().limitCelsius()));

  /** From one check to the next. */
  public static final Figure MONTHS =
      new Figure(
          "care.checkMonths",
          CARE,
          "months between checks",
          Unit.NUMBER,
          new Range(0.25, 60),
          new Range(1, 12),
          "Often enough to see a drift before it hurts; three months are common practice.",
          SECTION.must(Care::checkMonths, Care::withCheckMonths));

  private CareFigures() {}

  static List<Figure> all() {
    return List.of(LIMIT, MONTHS);
  }
}
