package dev.ambershim.core.runs.judging;

import java.util.Arrays;
import org.hipparchus.util.KthSelector;

/**
 * The loaded part of a log: the longest stretch in which power, or temperature where there is no
 * power, stays in the upper of its two levels.
 *
 * @param from first sample under load
 * @param to one past the last sample under load
 */
record LoadStretch(int from, int to) {
  /** Breaks shorter than this, in seconds, do not end a stretch. */
  private static final double BRIDGE_SECONDS = 10;

  /**
   * Finds the loaded stretch.
   *
   * @param signal power or temperature, not a number where missing
   * @param smallestStep least difference between the levels that counts as two levels
   */
  static LoadStretch of(double[] signal, double[] seconds, double smallestStep) {
    double[] present = present(signal, 0, signal.length);
    if (present.length == 0) {
      return new LoadStretch(0, signal.length);
    }
    // A rest may be short, so the low level is the fifth lowest sample; fewer are slips of a
    // sensor.
    double low = ranked(present, Math.min(4, present.length - 1));
    double high = ranked(present, (int) (0.9 * (present.length - 1)));
    if (high - low < smallestStep) {
      return new LoadStretch(0, signal.length);
    }
    double middle = (low + high) / 2;
    int bestFrom = 0;
    int bestTo = 0;
    int from = -1;
    int last = -1;
    for (int i = 0; i < signal.length; i++) {
      if (signal[i] >= middle) {
        if (from < 0 || seconds[i] - seconds[last] > BRIDGE_SECONDS) {
          from = i;
        }
        last = i;
        if (last + 1 - from > bestTo - bestFrom) {
          bestFrom = from;
          bestTo = last + 1;
        }
      }
    }
    // Temperature falls for a moment before it crosses the middle; leave the fall out.
    double[] inside = present(signal, bestFrom, bestTo);
    double floor = ranked(inside, inside.length / 2) - 0.15 * (high - low);
    while (bestTo - bestFrom > 1 && !(signal[bestTo - 1] >= floor)) {
      bestTo--;
    }
    return new LoadStretch(bestFrom, bestTo);
  }

  private static double[] present(double[] signal, int from, int to) {
    double[] result = new double[to - from];
    int n = 0;
    for (int i = from; i < to; i++) {
      if (!Double.isNaN(signal[i])) {
        result[n++] = signal[i];
      }
    }
    return Arrays.copyOf(result, n);
  }

  /** The figure of a rank, from 0, without a full sort; the figures are put in another order. */
  private static double ranked(double[] figures, int rank) {
    return new KthSelector().select(figures, null, rank);
  }
}
