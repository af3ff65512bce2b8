package dev.ambershim.core.runs.drift;

import java.time.LocalDate;
import java.util.Optional;

/**
 * The day on which a line meets a limit.
 *
 * @param date as likely before as after
 * @param low with one in forty before it
 * @param high with one in forty after it; empty if it may never come
 */
public record Crossing(LocalDate date, LocalDate low, Optional<LocalDate> high) {
  /** Who knows what stands on the bench after this. */
  public static final int YEARS_AHEAD = 10;

  private static final double YEARS_AT_MOST = 100;
  private static final double TAIL = 0.025;

  /**
   * When a rise is met.
   *
   * @param line the drift from the last check on
   * @param last the day of the last check
   * @param limitKelvin the rise at the limit, K at the reference power
   * @return empty if it is likelier not met within ten years
   */
  public static Optional<Crossing> of(Line line, LocalDate last, double limitKelvin) {
    if (met(line, limitKelvin, YEARS_AHEAD) < 0.5) {
      return Optional.empty();
    }
    return Optional.of(
        new Crossing(
            day(last, years(line, limitKelvin, 0.5)),
            day(last, years(line, limitKelvin, TAIL)),
            met(line, limitKelvin, YEARS_AT_MOST) < 1 - TAIL
                ? Optional.empty()
                : Optional.of(day(last, years(line, limitKelvin, 1 - TAIL)))));
  }

  /** The chance that the limit was met by a time: a line that falls met it at its beginning. */
  private static double met(Line line, double limitKelvin, double years) {
    return Math.max(line.chanceOver(limitKelvin, 0), line.chanceOver(limitKelvin, years));
  }

  private static LocalDate day(LocalDate last, double years) {
    return last.plusDays(Math.round(years * Course.DAYS_A_YEAR));
  }

  /** The years after which the limit is met with a chance; the chance grows with time. */
  private static double years(Line line, double limitKelvin, double chance) {
    double early = 0;
    double late = YEARS_AT_MOST;
    if (met(line, limitKelvin, early) >= chance) {
      return early;
    }
    for (int i = 0; i < 60; i++) {
      double middle = (early + late) / 2;
      if (met(line, limitKelvin, middle) >= chance) {
        late = middle;
      } else {
        early = middle;
      }
    }
    return late;
  }
}
