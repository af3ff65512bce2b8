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
          "Mean of the cores under your heaviest load; empty takes 5 K under the hottest core you allow.",
          new Section<>(j -> j, (Job j, Job other) -> other)
              .may(
                  j -> j.care().limitCelsius(),
                  (j, value) -> j.withCare(j.care().withLimitCelsius(value)),
                  CareFigures::usualLimit));

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

  /** What may be given up of the clock before it is opened. */
  public static final Figure CLOCK_LOSS =
      new Figure(
          "care.clockLossPercent",
          CARE,
          "clock to give up before",
          Unit.PERCENT,
          new Range(0, 60),
          new Range(0, 15),
          "How far the clock may fall at that temperature before you open it; heat falls with it.",
          SECTION.may(Care::clockLossPercent, Care::withClockLossPercent, c -> 0.0));

  /** How much louder the fans may get before it is opened. */
  public static final Figure LOUDER =
      new Figure(
          "care.louderDecibels",
          CARE,
          "fans louder before, by",
          Unit.DECIBEL,
          new Range(0, 30),
          new Range(0, 12),
          "How much louder the fans may get at that temperature before you open it; 10 dB sound"
              + " twice as loud.",
          SECTION.may(Care::louderDecibels, Care::withLouderDecibels, c -> 0.0));

  /** How far the hottest core stands over the mean, K: common practice. */
  private static final double HOTTEST_OVER_MEAN = 5;

  private CareFigures() {}

  /**
   * The limit that is reckoned with, °C: as typed, else by the hottest core of the clock ladder.
   */
  public static double limitCelsius(Job job) {
    Double typed = job.care().limitCelsius();
    return typed == null ? usualLimit(job) : typed;
  }

  private static double usualLimit(Job job) {
    return Math.max(LIMIT.possible().low(), job.ladder().limitCelsius() - HOTTEST_OVER_MEAN);
  }

  static List<Figure> all() {
    return List.of(LIMIT, CLOCK_LOSS, LOUDER, MONTHS);
  }
}
