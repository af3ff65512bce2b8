package dev.ambershim.core.physics.surface;

import java.util.Arrays;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;

/**
 * The two parallel planes closest together that hold all points: ISO 12781-1's minimum zone. It is
 * the linear programme "least h with |z − a − b·x − c·y| ≤ h", solved exactly by exchange of the
 * four points that bear it, which is the simplex method on its dual (Cheney, <i>Introduction to
 * Approximation Theory</i>, 1966, the exchange method; cited from memory). It ends after finitely
 * many exchanges; nothing is searched for.
 */
final class MinimumZone {
  private static final int USUAL_EXCHANGES = 500;
  private static final int MOST_EXCHANGES = 20_000;

  private final double[] x;
  private final double[] y;
  private final double[] scaling;
  private final int[] bearing = new int[4];
  private final double[] sign = new double[4];
  private double[] z;

  /** Middle plane as a, b, c and half the width. */
  private double[] plane;

  /**
   * The places of a face, for one set of heights or many.
   *
   * @param x places, at least four and not all on one line; read only
   * @param y places
   */
  MinimumZone(double[] x, double[] y) {
    // Places are brought to about one, so that the small matrices are well conditioned.
    this.x = scaled(x);
    this.y = scaled(y);
    scaling = new double[] {middle(x), scale(x), middle(y), scale(y)};
    begin();
  }

  /**
   * The middle plane and half the zone's width, in the unit of z. Each call begins with the four
   * that bore the zone before.
   *
   * @param heights at the places
   * @return a, b, c and h
   */
  double[] of(double[] heights) {
    z = heights;
    double[] found = solve();
    double b = found[1] / scaling[1];
    double c = found[2] / scaling[3];
    return new double[] {found[0] - b * scaling[0] - c * scaling[2], b, c, found[3]};
  }

  private static double middle(double[] v) {
    return (Arrays.stream(v).min().orElse(0) + Arrays.stream(v).max().orElse(0)) / 2;
  }

  private static double scale(double[] v) {
    double half = (Arrays.stream(v).max().orElse(0) - Arrays.stream(v).min().orElse(0)) / 2;
    return half > 0 ? half : 1;
  }

  private static double[] scaled(double[] v) {
    double m = middle(v);
    double s = scale(v);
    return Arrays.stream(v).map(a -> (a - m) / s).toArray();
  }

  private double[] solve() {
    sides();
    double range = Arrays.stream(z).max().orElse(0) - Arrays.stream(z).min().orElse(0);
    double small = 1e-12 * Math.max(range, 1e-9);
    for (int turn = 0; turn < MOST_EXCHANGES; turn++) {
      DecompositionSolver basis = new LUDecomposition(matrix(), 1e-14).getSolver();
      DecompositionSolver transposed = new LUDecomposition(matrix().transpose(), 1e-14).getSolver();
      double[] heights = new double[4];
      for (int i = 0; i < 4; i++) {
        heights[i] = sign[i] * z[bearing[i]];
      }
      plane = transposed.solve(new ArrayRealVector(heights, false)).toArray();
      int enters = outside(small, turn > USUAL_EXCHANGES);
      if (enters < 0) {
        return plane;
      }
      double side = Math.signum(deviation(enters));
      double[] weights = basis.solve(new ArrayRealVector(new double[] {0, 0, 0, 1})).toArray();
      double[] step =
          basis
              .solve(
                  new ArrayRealVector(new double[] {side, side * x[enters], side * y[enters], 1}))
              .toArray();
      int leaves = -1;
      double least = Double.POSITIVE_INFINITY;
      for (int i = 0; i < 4; i++) {
        if (step[i] > 1e-12) {
          double ratio = Math.max(0, weights[i]) / step[i];
          // Bland's rule on ties, so that no exchange goes round in circles.
          if (ratio < least - 1e-15 || (ratio <= least && bearing[i] < bearing[leaves])) {
            least = ratio;
            leaves = i;
          }
        }
      }
      if (leaves < 0) {
        return plane;
      }
      bearing[leaves] = enters;
      sign[leaves] = side;
    }
    throw new IllegalStateException("the exchange did not end");
  }

  private double deviation(int i) {
    return z[i] - plane[0] - plane[1] * x[i] - plane[2] * y[i];
  }

  /** The point farthest outside the zone, or the first one; −1 if there is none. */
  private int outside(double small, boolean first) {
    int found = -1;
    double most = plane[3] + small;
    for (int i = 0; i < z.length; i++) {
      double away = Math.abs(deviation(i));
      if (away > most) {
        if (first) {
          return i;
        }
        most = away;
        found = i;
      }
    }
    return found;
  }

  private Array2DRowRealMatrix matrix() {
    double[][] m = new double[4][4];
    for (int i = 0; i < 4; i++) {
      m[0][i] = sign[i];
      m[1][i] = sign[i] * x[bearing[i]];
      m[2][i] = sign[i] * y[bearing[i]];
      m[3][i] = 1;
    }
    return new Array2DRowRealMatrix(m, false);
  }

  /** Three points far apart and a fourth. */
  private void begin() {
    int a = 0;
    int b = farthest(a);
    a = farthest(b);
    int c = offLine(a, b);
    int d = 0;
    while (d == a || d == b || d == c) {
      d++;
    }
    System.arraycopy(new int[] {a, b, c, d}, 0, bearing, 0, 4);
  }

  /** Signs from Radon's partition of the four, so that their weights are positive. */
  private void sides() {
    double[] share = {
      cross(bearing[1], bearing[2], bearing[3]),
      -cross(bearing[0], bearing[2], bearing[3]),
      cross(bearing[0], bearing[1], bearing[3]),
      -cross(bearing[0], bearing[1], bearing[2])
    };
    double height = 0;
    for (int i = 0; i < 4; i++) {
      height += share[i] * z[bearing[i]];
    }
    for (int i = 0; i < 4; i++) {
      sign[i] = share[i] * (height < 0 ? -1 : 1) < 0 ? -1 : 1;
    }
  }

  private double cross(int a, int b, int c) {
    return (x[b] - x[a]) * (y[c] - y[a]) - (x[c] - x[a]) * (y[b] - y[a]);
  }

  private int farthest(int from) {
    int found = from;
    double most = -1;
    for (int i = 0; i < x.length; i++) {
      double away = Math.hypot(x[i] - x[from], y[i] - y[from]);
      if (away > most) {
        most = away;
        found = i;
      }
    }
    return found;
  }

  private int offLine(int a, int b) {
    int found = a;
    double most = -1;
    for (int i = 0; i < x.length; i++) {
      double away = Math.abs(cross(a, b, i));
      if (away > most) {
        most = away;
        found = i;
      }
    }
    return found;
  }
}
