package dev.ambershim.core.runs.judging;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * What a sensor's steps leave open of a mean. A reading that stands still at a step may be off by
 * half of it; noise of the size of a step makes up for it (dither: a mean of steps q under normal
 * noise σ is off by at most about q/π·exp(−2π²σ²/q²); Widrow &amp; Kollár, <i>Quantization
 * Noise</i>, 9; from memory).
 */
final class Rounding {
  private static final int MOST = 4096;

  /** So many readings tell a log of many digits from one in steps. */
  private static final int FEW = 128;

  /** Of the scatter: less than this changes no digit. */
  private static final double NOTHING = 1e-9;

  private Rounding() {}

  /**
   * Standard error of a channel's mean by its steps alone, in its unit.
   *
   * @param values readings; not a number where missing; read only
   * @param used the samples that count
   */
  static double of(double[] values, int[] used) {
    // Steps show in some thousands of readings as well as in millions.
    int stride = Math.max(1, used.length / MOST);
    double[] present =
        IntStream.range(0, used.length / stride)
            .mapToDouble(k -> values[used[k * stride]])
            .filter(v -> !Double.isNaN(v))
            .toArray();
    if (present.length < BatchMeans.FEWEST) {
      return 0;
    }
    double deviation = BatchMeans.standardDeviation(present);
    // All readings have steps no wider than some of them, and finer steps leave less open.
    double atMost = of(least(sorted(present, FEW)), deviation);
    if (atMost < NOTHING * deviation) {
      return atMost;
    }
    return of(step(sorted(present, present.length), values), deviation);
  }

  private static double of(double step, double deviation) {
    if (step == Double.POSITIVE_INFINITY) {
      return step;
    }
    // What noise there is beneath the steps, as the steps themselves scatter by q²/12.
    double noise = Math.max(0, deviation * deviation - step * step / 12);
    return step / Math.sqrt(12) * Math.exp(-2 * Math.PI * Math.PI * noise / (step * step + 1e-300));
  }

  private static double[] sorted(double[] values, int count) {
    double[] some = Arrays.copyOf(values, Math.min(count, values.length));
    Arrays.sort(some);
    return some;
  }

  /** How far a whole log may be shifted by its steps: they may be cut off as well as rounded. */
  static double shift(double[] values) {
    return step(new double[0], values) / Math.sqrt(12);
  }

  /** The least step between readings; over the whole log where the settled ones are all alike. */
  private static double step(double[] sorted, double[] values) {
    double least = least(sorted);
    if (least < Double.POSITIVE_INFINITY) {
      return least;
    }
    double[] all =
        Arrays.stream(values, 0, Math.min(values.length, MOST))
            .filter(v -> !Double.isNaN(v))
            .sorted()
            .toArray();
    double over = least(all);
    return over < Double.POSITIVE_INFINITY ? over : 0;
  }

  private static double least(double[] sorted) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 1; i < sorted.length; i++) {
      double gap = sorted[i] - sorted[i - 1];
      if (gap > 1e-6 && gap < least) {
        least = gap;
      }
    }
    return least;
  }
}
