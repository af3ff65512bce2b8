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
  /** What is left of a state and no longer counts, as a share of it. */
  private static final double NOTHING = 1e-100;

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

  /** Mean power between each sample and the one before, W; nothing at the first. */
  double[] between(Meter meter) {
    double[] between = new double[watts.length];
    for (int i = 1; i < between.length; i++) {
      between[i] = meter.between(watts[i - 1], watts[i]);
    }
    return between;
  }

  /**
   * How parts of the chip that lag behind see the power, as means over the blocks.
   *
   * @param seen the power as each part sees it, W; by part and block
   * @param left what is left of a state that the stretch began with; by part and block
   */
  record Lagged(double[][] seen, double[][] left) {}

  /**
   * The power as parts see it that lag behind: exact for a power that holds its mean between two
   * samples.
   *
   * @param lagSeconds the parts' time constants
   * @param first the power that they had settled to before
   * @param between mean power before each sample, as {@link #between} gives it
   */
  Lagged lagged(double[] lagSeconds, double first, double[] between) {
    int parts = lagSeconds.length;
    double[][] seen = new double[parts][blocks];
    double[][] left = new double[parts][blocks];
    double[] steps = new double[seconds.length];
    for (int i = 1; i < steps.length; i++) {
      steps[i] = seconds[i] - seconds[i - 1];
    }
    // Each step waits for the one before, so two parts side by side take hardly longer than one.
    for (int k = 0; k < parts; k += 2) {
      int other = Math.min(k + 1, parts - 1);
      lagged(
          steps,
          between,
          first,
          new double[] {lagSeconds[k], lagSeconds[other]},
          new double[][] {seen[k], seen[other], left[k], left[other]});
    }
    int[] samples = new int[blocks];
    for (int block : blockOf) {
      samples[block]++;
    }
    for (int k = 0; k < parts; k++) {
      for (int b = 0; b < blocks; b++) {
        seen[k][b] /= samples[b];
        left[k][b] /= samples[b];
      }
    }
    return new Lagged(seen, left);
  }

  /** Sums over the blocks for two parts: what each sees, then what is left of each. */
  private void lagged(
      double[] steps, double[] between, double first, double[] lags, double[][] sums) {
    double seesOne = first;
    double seesTwo = first;
    double leftOne = 1;
    double leftTwo = 1;
    double sumOne = first;
    double sumTwo = first;
    double sumLeftOne = 1;
    double sumLeftTwo = 1;
    double step = Double.NaN;
    double staysOne = Double.NaN;
    double staysTwo = Double.NaN;
    int block = 0;
    for (int i = 1; i < steps.length; i++) {
      // Most logs keep their step, and an exponential takes longer than all the rest.
      if (steps[i] != step) {
        step = steps[i];
        staysOne = Math.exp(-step / lags[0]);
        staysTwo = Math.exp(-step / lags[1]);
      }
      if (blockOf[i] != block) {
        sums[0][block] = sumOne;
        sums[1][block] = sumTwo;
        sums[2][block] = sumLeftOne;
        sums[3][block] = sumLeftTwo;
        block = blockOf[i];
        // The processor takes a hundred times as long for numbers that are all but nothing.
        leftOne = leftOne < NOTHING ? 0 : leftOne;
        leftTwo = leftTwo < NOTHING ? 0 : leftTwo;
        sumOne = 0;
        sumTwo = 0;
        sumLeftOne = 0;
        sumLeftTwo = 0;
      }
      seesOne = seesOne * staysOne + (1 - staysOne) * between[i];
      seesTwo = seesTwo * staysTwo + (1 - staysTwo) * between[i];
      leftOne *= staysOne;
      leftTwo *= staysTwo;
      sumOne += seesOne;
      sumTwo += seesTwo;
      sumLeftOne += leftOne;
      sumLeftTwo += leftTwo;
    }
    sums[0][block] = sumOne;
    sums[1][block] = sumTwo;
    sums[2][block] = sumLeftOne;
    sums[3][block] = sumLeftTwo;
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
