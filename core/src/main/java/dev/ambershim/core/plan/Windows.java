package dev.ambershim.core.plan;

import java.util.Arrays;
import java.util.List;

/** Stretches of time in which hands may work, in minutes from a moment, in order and apart. */
final class Windows {
  static final Windows ALWAYS =
      new Windows(new double[] {Double.NEGATIVE_INFINITY}, new double[] {Double.POSITIVE_INFINITY});

  private static final double HAIR = 1e-9;

  private final double[] starts;
  private final double[] ends;

  private Windows(double[] starts, double[] ends) {
    this.starts = starts;
    this.ends = ends;
  }

  /** Windows as pairs of start and end, in order; pairs that touch become one. */
  static Windows of(List<double[]> pairs) {
    double[] starts = new double[pairs.size()];
    double[] ends = new double[pairs.size()];
    int n = 0;
    for (double[] pair : pairs) {
      if (n > 0 && pair[0] <= ends[n - 1] + HAIR) {
        ends[n - 1] = pair[1];
      } else {
        starts[n] = pair[0];
        ends[n] = pair[1];
        n++;
      }
    }
    return new Windows(Arrays.copyOf(starts, n), Arrays.copyOf(ends, n));
  }

  /**
   * The first moment from {@code t} on at which work of some minutes can begin and end without
   * leaving its window.
   *
   * @return infinity if there is none
   */
  double earliest(double t, double minutes) {
    for (int i = first(t); i < starts.length; i++) {
      double start = Math.max(t, starts[i]);
      if (start + minutes <= ends[i] + HAIR) {
        return start;
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  /** The first window that does not end before a time. */
  private int first(double t) {
    int low = 0;
    int high = starts.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (ends[middle] + HAIR < t) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** The longest of them, minutes. */
  double longest() {
    double longest = 0;
    for (int i = 0; i < starts.length; i++) {
      longest = Math.max(longest, ends[i] - starts[i]);
    }
    return longest;
  }

  /** The same windows, so many minutes later. */
  Windows shifted(double minutes) {
    int n = starts.length;
    double[] from = new double[n];
    double[] to = new double[n];
    for (int i = 0; i < n; i++) {
      from[i] = starts[i] + minutes;
      to[i] = ends[i] + minutes;
    }
    return new Windows(from, to);
  }

  /** The same windows with time running backwards. */
  Windows backwards() {
    int n = starts.length;
    double[] from = new double[n];
    double[] to = new double[n];
    for (int i = 0; i < n; i++) {
      from[i] = -ends[n - 1 - i];
      to[i] = -starts[n - 1 - i];
    }
    return new Windows(from, to);
  }
}
