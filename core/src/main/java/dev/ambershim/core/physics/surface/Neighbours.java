package dev.ambershim.core.physics.surface;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

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
    // Along x one soon comes to places that lie too far away in x alone.
    int[] order =
        IntStream.range(0, n)
            .boxed()
            .sorted(Comparator.comparingDouble(i -> x[i]))
            .mapToInt(i -> i)
            .toArray();
    double[] away = new double[count];
    for (int k = 0; k < n; k++) {
      int i = order[k];
      Arrays.fill(away, Double.POSITIVE_INFINITY);
      for (int at = k - 1; at >= 0 && !far(x[i] - x[order[at]], away); at--) {
        keep(nearest[i], away, order[at], square(x, y, i, order[at]));
      }
      for (int at = k + 1; at < n && !far(x[order[at]] - x[i], away); at++) {
        keep(nearest[i], away, order[at], square(x, y, i, order[at]));
      }
    }
  }

  private static boolean far(double dx, double[] away) {
    return dx * dx >= away[away.length - 1];
  }

  private static double square(double[] x, double[] y, int i, int j) {
    double dx = x[j] - x[i];
    double dy = y[j] - y[i];
    return dx * dx + dy * dy;
  }

  /** Puts a place among the nearest so far, if it is nearer than the farthest of them. */
  private static void keep(int[] nearest, double[] away, int j, double square) {
    int k = away.length - 1;
    if (square >= away[k]) {
      return;
    }
    while (k > 0 && away[k - 1] > square) {
      away[k] = away[k - 1];
      nearest[k] = nearest[k - 1];
      k--;
    }
    away[k] = square;
    nearest[k] = j;
  }

  int[] of(int i) {
    return nearest[i];
  }
}
