package dev.ambershim.core.runs.drift;

import java.util.Arrays;

/**
 * The median of the slopes of all pairs, which a few bad checks do not move (Theil 1950; Sen 1968;
 * Gilbert 1987, 16.5).
 */
public final class TheilSen {
  private TheilSen() {}

  /**
   * The slope.
   *
   * @param times of the values, in any order; read only
   * @param values as many; read only
   * @return their unit over that of the times; not a number if all times are alike
   */
  public static double slope(double[] times, double[] values) {
    double[] slopes = new double[times.length * (times.length - 1) / 2];
    int count = 0;
    for (int i = 0; i < times.length; i++) {
      for (int j = i + 1; j < times.length; j++) {
        if (times[j] != times[i]) {
          slopes[count++] = (values[j] - values[i]) / (times[j] - times[i]);
        }
      }
    }
    if (count == 0) {
      return Double.NaN;
    }
    double[] sorted = Arrays.copyOf(slopes, count);
    Arrays.sort(sorted);
    return (sorted[(count - 1) / 2] + sorted[count / 2]) / 2;
  }
}
