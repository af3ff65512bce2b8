package dev.ambershim.core.surface;

import java.util.Arrays;
import java.util.List;

/** The eight nearest places to each place. */
final class Neighbours {
  private static final int MOST = 8;

  private final int[][] nearest;

  /** Finds them. */
  Neighbours(List<ProbedPoint> points) {
    int n = points.size();
    double[] x = points.stream().mapToDouble(ProbedPoint::xMillimetres).toArray();
    double[] y = points.stream().mapToDouble(ProbedPoint::yMillimetres).toArray();
    int count = Math.min(MOST, n - 1);
    nearest = new int[n][count];
    double[] away = new double[count];
    for (int i = 0; i < n; i++) {
      Arrays.fill(away, Double.POSITIVE_INFINITY);
      for (int j = 0; j < n; j++) {
        double dx = x[j] - x[i];
        double dy = y[j] - y[i];
        double d = dx * dx + dy * dy;
        if (j != i && d < away[count - 1]) {
          int k = count - 1;
          while (k > 0 && away[k - 1] > d) {
            away[k] = away[k - 1];
            nearest[i][k] = nearest[i][k - 1];
            k--;
          }
          away[k] = d;
          nearest[i][k] = j;
        }
      }
    }
  }

  int[] of(int i) {
    return nearest[i];
  }
}
