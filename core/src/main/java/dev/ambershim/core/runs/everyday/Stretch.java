package dev.ambershim.core.runs.everyday;

import java.util.ArrayList;
import java.util.List;

/**
 * A stretch of a log without gaps: rise and power at each sample, and the blocks whose means count.
 *
 * @param seconds time of each sample from the stretch's first; rising
 * @param watts power of each sample
 * @param rise mean core over the room of each sample, K
 * @param blockOf which block a sample belongs to
 * @param blocks how many there are
 * @param log which log it comes from
 */
record Stretch(
    double[] seconds, double[] watts, double[] rise, int[] blockOf, int blocks, int log) {
  /** What a sample of the power is: loggers differ, and do not say. */
  enum Meter {
    /** The power at that moment. */
    MOMENT,
    /** The mean since the sample before, as counters of energy give it. */
    MEAN_SINCE;

    /** Mean power between two samples, W. */
    double between(double before, double now) {
      return this == MOMENT ? (before + now) / 2 : now;
    }
  }

  /** Means over blocks of the values at the samples. */
  double[] means(double[] values) {
    double[] sums = new double[blocks];
    int[] counts = new int[blocks];
    for (int i = 0; i < values.length; i++) {
      sums[blockOf[i]] += values[i];
      counts[blockOf[i]]++;
    }
    for (int b = 0; b < blocks; b++) {
      sums[b] /= counts[b];
    }
    return sums;
  }

  double minutes() {
    return seconds[seconds.length - 1] / 60;
  }

  /**
   * How a part of the chip that lags behind sees the power.
   *
   * @param seen the power at every sample as it sees it, W
   * @param left what is left at every sample of a state that the stretch began with
   */
  record Lagged(double[] seen, double[] left) {}

  /**
   * The power as a part sees it that lags behind: exact for a power that holds its mean between two
   * samples.
   *
   * @param lagSeconds its time constant
   * @param first the power that it had settled to before
   * @param meter what a sample of the power is
   */
  Lagged lagged(double lagSeconds, double first, Meter meter) {
    double[] seen = new double[seconds.length];
    double[] left = new double[seconds.length];
    seen[0] = first;
    left[0] = 1;
    double step = Double.NaN;
    double stays = Double.NaN;
    for (int i = 1; i < seen.length; i++) {
      double now = seconds[i] - seconds[i - 1];
      // Most logs keep their step, and an exponential takes longer than all the rest.
      if (now != step) {
        step = now;
        stays = Math.exp(-now / lagSeconds);
      }
      seen[i] = seen[i - 1] * stays + (1 - stays) * meter.between(watts[i - 1], watts[i]);
      left[i] = left[i - 1] * stays;
    }
    return new Lagged(seen, left);
  }

  /**
   * Cuts a log at its gaps.
   *
   * @param seconds time of each sample; read only
   * @param watts power, not a number where missing; read only
   * @param rise not a number where missing; read only
   * @param blockSeconds length of a block
   * @param log which log it is
   */
  static List<Stretch> cut(
      double[] seconds, double[] watts, double[] rise, double blockSeconds, int log) {
    List<Stretch> stretches = new ArrayList<>();
    List<Integer> kept = new ArrayList<>();
    double gap = longestGap(seconds);
    for (int i = 0; i < seconds.length; i++) {
      if (Double.isNaN(watts[i]) || Double.isNaN(rise[i])) {
        continue;
      }
      if (!kept.isEmpty()) {
        double step = seconds[i] - seconds[kept.get(kept.size() - 1)];
        if (step > gap) {
          stretches.add(of(seconds, watts, rise, kept, blockSeconds, log));
          kept.clear();
        } else if (!(step > 0)) {
          continue;
        }
      }
      kept.add(i);
    }
    if (!kept.isEmpty()) {
      stretches.add(of(seconds, watts, rise, kept, blockSeconds, log));
    }
    return stretches;
  }

  /** A pause of some samples is no gap; the power may have done anything in a longer one. */
  private static double longestGap(double[] seconds) {
    double mean = (seconds[seconds.length - 1] - seconds[0]) / Math.max(1, seconds.length - 1);
    return Math.max(20, 5 * mean);
  }

  private static Stretch of(
      double[] seconds,
      double[] watts,
      double[] rise,
      List<Integer> kept,
      double blockSeconds,
      int log) {
    int n = kept.size();
    double[] at = new double[n];
    double[] power = new double[n];
    double[] over = new double[n];
    int[] block = new int[n];
    int blocks = 0;
    double begins = 0;
    for (int i = 0; i < n; i++) {
      at[i] = seconds[kept.get(i)] - seconds[kept.get(0)];
      power[i] = watts[kept.get(i)];
      over[i] = rise[kept.get(i)];
      if (i == 0 || at[i] - begins >= blockSeconds) {
        begins = at[i];
        blocks++;
      }
      block[i] = blocks - 1;
    }
    return new Stretch(at, power, over, block, blocks, log);
  }
}
