package dev.ambershim.core.physics.surface;

/**
 * How a stiff flat face beds down on an uneven one that it is pressed onto at the middle. On three
 * separate high places it rests as a plate rests on tops. On a smooth dome such a plate could tip
 * either way; what lies in the joint keeps it level there. So each place bears by exp(−gap / δ),
 * with δ of about the grain of a paste or the roughness of the faces, and forces and moments
 * balance. That is the smooth form of the linear programme for the lowest plane over the load, with
 * one solution always (log-sum-exp; Boyd &amp; Vandenberghe, <i>Convex Optimization</i>, 3.1.5,
 * cited from memory), found by Newton's method with halved steps.
 */
final class Bedding {
  /** What the joint gives, µm; common practice. */
  private static final double GRAIN = 2;

  private static final int MOST = 200;

  private final double[] xs;
  private final double[] ys;
  private final double[][] heights;
  private final double x0;
  private final double y0;

  private Bedding(double[] xs, double[] ys, double[][] heights) {
    this.xs = xs;
    this.ys = ys;
    this.heights = heights;
    x0 = (xs[0] + xs[xs.length - 1]) / 2;
    y0 = (ys[0] + ys[ys.length - 1]) / 2;
  }

  /**
   * The face's plane, touching at least one place.
   *
   * @param xs places, rising; read only
   * @param heights µm, rows by y; read only
   */
  static ReferencePlane on(double[] xs, double[] ys, double[][] heights) {
    return new Bedding(xs, ys, heights).settle();
  }

  private ReferencePlane settle() {
    double a = 0;
    double b = 0;
    double value = state(a, b)[0];
    for (int turn = 0; turn < MOST; turn++) {
      double[] s = state(a, b);
      // Moments about the load, and how they change with the tilt.
      double ridge = 1e-9 * (s[3] + s[5] + 1);
      double det = (s[3] + ridge) * (s[5] + ridge) - s[4] * s[4];
      double da = (s[1] * (s[5] + ridge) - s[2] * s[4]) / det;
      double db = (s[2] * (s[3] + ridge) - s[1] * s[4]) / det;
      double step = 1;
      double next = state(a + da, b + db)[0];
      while (next > value && step > 1e-9) {
        step /= 2;
        next = state(a + step * da, b + step * db)[0];
      }
      a += step * da;
      b += step * db;
      if (value - next < 1e-12 * GRAIN) {
        break;
      }
      value = next;
    }
    double top = Double.NEGATIVE_INFINITY;
    for (int j = 0; j < ys.length; j++) {
      for (int i = 0; i < xs.length; i++) {
        top = Math.max(top, heights[j][i] - a * (xs[i] - x0) - b * (ys[j] - y0));
      }
    }
    return new ReferencePlane(top - a * x0 - b * y0, a, b);
  }

  /** The smooth height over the load, its slope against a and b, and the curvature. */
  private double[] state(double a, double b) {
    double top = Double.NEGATIVE_INFINITY;
    for (int j = 0; j < ys.length; j++) {
      for (int i = 0; i < xs.length; i++) {
        top = Math.max(top, heights[j][i] - a * (xs[i] - x0) - b * (ys[j] - y0));
      }
    }
    double sum = 0;
    double mx = 0;
    double my = 0;
    double xx = 0;
    double xy = 0;
    double yy = 0;
    for (int j = 0; j < ys.length; j++) {
      double v = ys[j] - y0;
      for (int i = 0; i < xs.length; i++) {
        double u = xs[i] - x0;
        double p = Math.exp((heights[j][i] - a * u - b * v - top) / GRAIN);
        sum += p;
        mx += p * u;
        my += p * v;
        xx += p * u * u;
        xy += p * u * v;
        yy += p * v * v;
      }
    }
    mx /= sum;
    my /= sum;
    return new double[] {
      top + GRAIN * Math.log(sum),
      mx,
      my,
      (xx / sum - mx * mx) / GRAIN,
      (xy / sum - mx * my) / GRAIN,
      (yy / sum - my * my) / GRAIN
    };
  }
}
