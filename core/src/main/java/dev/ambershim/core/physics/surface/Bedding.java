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
    State now = state(a, b);
    for (int turn = 0; turn < MOST; turn++) {
      // Moments about the load, and how they change with the tilt.
      double ridge = 1e-9 * (now.aa() + now.bb() + 1);
      double det = (now.aa() + ridge) * (now.bb() + ridge) - now.ab() * now.ab();
      double da = (now.a() * (now.bb() + ridge) - now.b() * now.ab()) / det;
      double db = (now.b() * (now.aa() + ridge) - now.a() * now.ab()) / det;
      double step = 1;
      State next = state(a + da, b + db);
      while (next.height() > now.height() && step > 1e-9) {
        step /= 2;
        next = state(a + step * da, b + step * db);
      }
      a += step * da;
      b += step * db;
      boolean rests = now.height() - next.height() < 1e-12 * GRAIN;
      now = next;
      if (rests) {
        break;
      }
    }
    double top = top(a, b);
    return new ReferencePlane(top - a * x0 - b * y0, a, b);
  }

  /** How high the highest place stands over a plane through the load's foot, µm. */
  private double top(double a, double b) {
    double top = Double.NEGATIVE_INFINITY;
    for (int j = 0; j < ys.length; j++) {
      for (int i = 0; i < xs.length; i++) {
        top = Math.max(top, heights[j][i] - a * (xs[i] - x0) - b * (ys[j] - y0));
      }
    }
    return top;
  }

  /**
   * The smooth height of a plane over the load.
   *
   * @param height µm
   * @param a how fast it falls with the slope along x, mm: the moment of what bears
   * @param b likewise along y
   * @param aa how fast that changes, mm²/µm
   * @param ab likewise, crosswise
   * @param bb likewise along y
   */
  private record State(double height, double a, double b, double aa, double ab, double bb) {}

  private State state(double a, double b) {
    double top = top(a, b);
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
    return new State(
        top + GRAIN * Math.log(sum),
        mx,
        my,
        (xx / sum - mx * mx) / GRAIN,
        (xy / sum - mx * my) / GRAIN,
        (yy / sum - my * my) / GRAIN);
  }
}
