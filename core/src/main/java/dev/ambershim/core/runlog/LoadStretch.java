package dev.ambershim.core.runlog;

import java.util.Arrays;

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
    double[] sorted = Arrays.stream(signal).filter(v -> !Double.isNaN(v)).sorted().toArray();
    if (sorted.length == 0) {
      return new LoadStretch(0, signal.length);
    }
    // A rest may be short, so the low level is the fifth lowest sample; fewer are slips of a
    // sensor.
    double low = sorted[Math.min(4, sorted.length - 1)];
    double high = sorted[(int) (0.9 * (sorted.length - 1))];
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
    double[] inside =
        Arrays.stream(signal, bestFrom, bestTo).filter(v -> !Double.isNaN(v)).sorted().toArray();
    double floor = inside[inside.length / 2] - 0.15 * (high - low);
    while (bestTo - bestFrom > 1 && !(signal[bestTo - 1] >= floor)) {
      bestTo--;
    }
    return new LoadStretch(bestFrom, bestTo);
  }
}
