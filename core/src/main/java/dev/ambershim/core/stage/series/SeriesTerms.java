package dev.ambershim.core.stage.series;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.judging.Judging;

/**
 * What a series is planned and judged by.
 *
 * @param careKelvin the smallest difference that matters, K
 * @param remountKelvin scatter between mounts to reckon with until the mounts tell their own, K
 * @param mountMinutes one mount from cleaning to the end of its run, without warm-ups
 * @param mountGrams what one mount uses up, g
 * @param warmUps how often each mount is heated through and cooled before the run that counts; null
 *     where an older series does not say it, which is never
 */
public record SeriesTerms(
    double careKelvin,
    double remountKelvin,
    double mountMinutes,
    double mountGrams,
    Integer warmUps) {
  /**
   * Common practice: 1 K; clean and mount 15 min, warm up and settle 20 min, cool down 10 min; a
   * third of a gram; no warm-up before.
   */
  public static final SeriesTerms USUAL =
      new SeriesTerms(1, Judging.USUAL_REMOUNT_KELVIN, 45, 0.3, 0);

  /** One warm-up: a quarter of an hour at load, ten minutes to cool; common practice. */
  public static final double WARM_UP_MINUTES = 25;

  /**
   * Refuses what cannot be.
   *
   * @throws Problem {@code series.terms} naming the figure
   */
  public SeriesTerms {
    warmUps = warmUps == null ? 0 : warmUps;
    check("care", careKelvin, 0.05, 50, "K");
    check("scatter", remountKelvin, 0.02, 20, "K");
    check("minutes", mountMinutes, 1, 1440, "min");
    check("grams", mountGrams, 0, 100, "g");
    check("warm-ups", warmUps, 0, 20, "");
  }

  /** One mount with its warm-ups, minutes. */
  public double wholeMinutes() {
    return mountMinutes + warmUps * WARM_UP_MINUTES;
  }

  private static void check(String name, double value, double low, double high, String unit) {
    if (!(value >= low && value <= high)) {
      throw new Problem(
          "series.terms",
          Place.field(name),
          (plain(value) + " " + unit).strip() + " cannot be.",
          "Give " + (plain(low) + " to " + plain(high) + " " + unit).strip() + ".");
    }
  }

  /** A whole number without a decimal point. */
  private static String plain(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e9
        ? String.valueOf((long) value)
        : String.valueOf(value);
  }
}
