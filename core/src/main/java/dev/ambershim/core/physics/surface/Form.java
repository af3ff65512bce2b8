package dev.ambershim.core.physics.surface;

import java.util.List;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.exception.MathIllegalArgumentException;

/**
 * Bow, twist and slope of a face, from a least-squares quadratic over it, levelled by the
 * least-squares plane first.
 *
 * <ul>
 *   <li>bow: the quadratic's height in the middle over the mean of its four corners; positive is
 *       convex, the middle proud;
 *   <li>twist: how far one corner of the quadratic lies out of the plane of the other three;
 *   <li>slope: how far the least-squares plane rises over the face. It is the wedge only when the
 *       gauge was set to the opposite face; else it is how the part lay.
 * </ul>
 *
 * Words for a shape are given only where the quadratic stands out of what remains beside it (F
 * test, one in a hundred) and is not small. Five places, such as corners and middle, tell a dome
 * and a twist, but not a bow along one side alone.
 *
 * @param bowMicrometres bow
 * @param twistMicrometres twist
 * @param slopeMicrometres rise of the plane over the face's two sides together
 * @param restMicrometres root mean square of what the quadratic leaves
 * @param shape in a word
 * @param coefficients of the quadratic without the plane, µm per mm²: x², x·y, y²; noughts when it
 *     could not be fitted
 */
public record Form(
    double bowMicrometres,
    double twistMicrometres,
    double slopeMicrometres,
    double restMicrometres,
    Shape shape,
    List<Double> coefficients) {
  /** What no practitioner would call anything but flat, µm. */
  private static final double SMALL = 1;

  /** A bow below this share of the slope is lost in it. */
  private static final double LOST = 0.1;

  private static final double SURE = 0.99;

  /** Copies its list. */
  public Form {
    coefficients = List.copyOf(coefficients);
  }

  /** The form of points whose flatness is known. */
  public static Form of(List<ProbedPoint> points, Flatness flatness) {
    double[] x = points.stream().mapToDouble(ProbedPoint::xMillimetres).toArray();
    double[] y = points.stream().mapToDouble(ProbedPoint::yMillimetres).toArray();
    double[] z = flatness.deviations().stream().mapToDouble(d -> d).toArray();
    double[] box = box(x, y);
    double slope =
        Math.abs(flatness.plane().xSlope()) * 2 * box[2]
            + Math.abs(flatness.plane().ySlope()) * 2 * box[3];
    double[] k = fit(x, y, z, Polynomial.QUADRATIC);
    int terms = k == null ? Polynomial.DOME : Polynomial.QUADRATIC;
    k = k == null ? fit(x, y, z, Polynomial.DOME) : k;
    if (k == null) {
      boolean flat = flatness.zoneMicrometres() <= SMALL;
      return new Form(
          0,
          0,
          slope,
          flatness.fltqMicrometres(),
          slope > SMALL && flat ? Shape.WEDGE : Shape.FLAT,
          List.of(0.0, 0.0, 0.0));
    }
    double a = box[2];
    double b = box[3];
    double bow = -(k[3] * a * a + k[5] * b * b);
    double twist = 4 * k[4] * a * b;
    double rest = 0;
    double whole = 0;
    for (int i = 0; i < z.length; i++) {
      double left = z[i] - Polynomial.at(k, x[i], y[i]);
      rest += left * left;
      whole += z[i] * z[i];
    }
    int freedom = z.length - terms;
    // Principal curvatures over the face's half sides, as heights.
    double mean = (k[3] * a * a + k[5] * b * b) / 2;
    double root = Math.hypot((k[3] * a * a - k[5] * b * b) / 2, k[4] * a * b / 2);
    double size = 2 * Math.max(Math.abs(mean + root), Math.abs(mean - root));
    boolean stands =
        freedom < 1
            || rest <= 1e-18 * whole
            || (whole - rest) / (terms - 3) / (rest / freedom)
                > new FDistribution(terms - 3, freedom).inverseCumulativeProbability(SURE);
    boolean bent = stands && size > SMALL && size >= LOST * slope;
    Shape shape = Shape.FLAT;
    if (bent) {
      double more = mean + root;
      double less = mean - root;
      boolean saddle = more * less < 0 && Math.min(more, -less) > 0.3 * Math.max(more, -less);
      shape = saddle ? Shape.SADDLE : mean < 0 ? Shape.CONVEX : Shape.CONCAVE;
    } else if (slope > SMALL && slope > flatness.fltqMicrometres() * 4) {
      shape = Shape.WEDGE;
    }
    return new Form(
        bow, twist, slope, Math.sqrt(rest / z.length), shape, List.of(k[3], k[4], k[5]));
  }

  /** Coefficients, or null when the places do not tell them. */
  private static double[] fit(double[] x, double[] y, double[] z, int terms) {
    try {
      return z.length < terms ? null : Polynomial.fit(x, y, z, terms);
    } catch (MathIllegalArgumentException degenerate) {
      return null; // all on a conic, such as four corners
    }
  }

  /** Middle in x and y, half sides in x and y. */
  static double[] box(double[] x, double[] y) {
    double[] ends = {
      Double.POSITIVE_INFINITY,
      Double.NEGATIVE_INFINITY,
      Double.POSITIVE_INFINITY,
      Double.NEGATIVE_INFINITY
    };
    for (int i = 0; i < x.length; i++) {
      ends[0] = Math.min(ends[0], x[i]);
      ends[1] = Math.max(ends[1], x[i]);
      ends[2] = Math.min(ends[2], y[i]);
      ends[3] = Math.max(ends[3], y[i]);
    }
    return new double[] {
      (ends[0] + ends[1]) / 2,
      (ends[2] + ends[3]) / 2,
      (ends[1] - ends[0]) / 2,
      (ends[3] - ends[2]) / 2
    };
  }
}
