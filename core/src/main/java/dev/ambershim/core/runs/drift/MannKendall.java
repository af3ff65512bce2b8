package dev.ambershim.core.runs.drift;

import java.util.HashMap;
import java.util.Map;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * Mann and Kendall's test for a trend, which asks for no distribution of the scatter (Gilbert 1987,
 * <i>Statistical Methods for Environmental Pollution Monitoring</i>, 16.4): how many later values
 * are higher, less how many are lower. The chance is exact where no two are alike and there are few
 * of them, else by a normal distribution with a correction for ties and for steps.
 *
 * @param score the sum of signs over all pairs in their order
 * @param chance of a score as far from zero where there is no trend, either way
 */
public record MannKendall(int score, double chance) {
  private static final int MOST_EXACT = 40;

  /** Tests values in the order of their times; at least two. */
  public static MannKendall of(double[] values) {
    int n = values.length;
    int score = 0;
    Map<Double, Integer> alike = new HashMap<>();
    for (int i = 0; i < n; i++) {
      alike.merge(values[i], 1, Integer::sum);
      for (int j = i + 1; j < n; j++) {
        score += (int) Math.signum(values[j] - values[i]);
      }
    }
    if (alike.size() == n && n <= MOST_EXACT) {
      return new MannKendall(score, Math.min(1, 2 * upper(n, Math.abs(score))));
    }
    double variance = n * (n - 1.0) * (2.0 * n + 5);
    for (int t : alike.values()) {
      variance -= t * (t - 1.0) * (2.0 * t + 5);
    }
    double z = (score - Math.signum(score)) / Math.sqrt(variance / 18);
    return new MannKendall(
        score, score == 0 ? 1 : 2 * new NormalDistribution().cumulativeProbability(-Math.abs(z)));
  }

  /**
   * The chance of a score at least so high among all orders of n values: the number of orders with
   * so many pairs in the wrong order, by recursion over n (Kendall, <i>Rank Correlation
   * Methods</i>, 5).
   */
  static double upper(int n, int score) {
    int pairs = n * (n - 1) / 2;
    double[] share = {1};
    for (int m = 2; m <= n; m++) {
      double[] next = new double[m * (m - 1) / 2 + 1];
      for (int i = 0; i < share.length; i++) {
        for (int j = 0; j < m; j++) {
          next[i + j] += share[i] / m;
        }
      }
      share = next;
    }
    double sum = 0;
    for (int wrong = 0; wrong <= pairs; wrong++) {
      sum += pairs - 2 * wrong >= score ? share[wrong] : 0;
    }
    return sum;
  }
}
