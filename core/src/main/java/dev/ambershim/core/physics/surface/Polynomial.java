package dev.ambershim.core.physics.surface;

import java.util.Arrays;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;

/**
 * Least-squares polynomials over a face: z = a + b·x + c·y, or with d·x² + e·x·y + f·y². By QR
 * decomposition on places brought to about one.
 */
public final class Polynomial {
  static final int PLANE = 3;

  /** With d·(x² + y²) + e·x·y only: what five places, corners and middle, can tell. */
  public static final int DOME = 5;

  static final int QUADRATIC = 6;

  private Polynomial() {}

  /**
   * Coefficients in the unit of z per power of mm.
   *
   * @param terms {@link #PLANE}, {@link #DOME} or {@link #QUADRATIC}; six figures for the last two
   */
  static double[] fit(double[] x, double[] y, double[] z, int terms) {
    double mx = Arrays.stream(x).average().orElse(0);
    double my = Arrays.stream(y).average().orElse(0);
    double s = 1e-12;
    for (int i = 0; i < x.length; i++) {
      s = Math.max(s, Math.max(Math.abs(x[i] - mx), Math.abs(y[i] - my)));
    }
    double[][] rows = new double[x.length][];
    for (int i = 0; i < x.length; i++) {
      double u = (x[i] - mx) / s;
      double v = (y[i] - my) / s;
      rows[i] =
          switch (terms) {
            case PLANE -> new double[] {1, u, v};
            case DOME -> new double[] {1, u, v, u * u + v * v, u * v};
            default -> new double[] {1, u, v, u * u, u * v, v * v};
          };
    }
    double[] k =
        new QRDecomposition(new Array2DRowRealMatrix(rows, false), 1e-10)
            .getSolver()
            .solve(new ArrayRealVector(z, false))
            .toArray();
    double b = k[1] / s;
    double c = k[2] / s;
    if (terms == PLANE) {
      return new double[] {k[0] - b * mx - c * my, b, c};
    }
    double d = k[3] / s / s;
    double e = k[4] / s / s;
    double f = terms == DOME ? d : k[5] / s / s;
    return new double[] {
      k[0] - b * mx - c * my + d * mx * mx + e * mx * my + f * my * my,
      b - 2 * d * mx - e * my,
      c - 2 * f * my - e * mx,
      d,
      e,
      f
    };
  }

  /** Value of a fit at a place. */
  static double at(double[] k, double x, double y) {
    double plane = k[0] + k[1] * x + k[2] * y;
    return k.length == PLANE ? plane : plane + k[3] * x * x + k[4] * x * y + k[5] * y * y;
  }
}
