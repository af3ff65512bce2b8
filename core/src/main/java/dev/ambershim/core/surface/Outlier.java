package dev.ambershim.core.surface;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.exception.MathIllegalArgumentException;

/**
 * A place whose height does not go with those around it: more than six robust standard deviations
 * (1.4826 times the median absolute deviation; Huber, <i>Robust Statistics</i>, cited from memory)
 * from the plane through its neighbours, once the face's bow is taken off, and no small part of the
 * whole flatness. It is pointed at, and stays in every figure until the person probes it again or
 * takes it out.
 *
 * @param point the place
 * @param micrometres how far it lies from its neighbours
 */
public record Outlier(ProbedPoint point, double micrometres) {
  private static final int LEAST_POINTS = 9;
  private static final double SIGMAS = 6;
  private static final double TO_SIGMA = 1.4826;

  /** A crumb under the tip is not less than this, µm. */
  private static final double LEAST = 3;

  private static final double SHARE = 0.25;

  /** The places that do not go with the others. */
  static List<Outlier> of(
      List<ProbedPoint> points, Flatness flatness, Form form, Neighbours neighbours) {
    if (points.size() < LEAST_POINTS) {
      return List.of();
    }
    double[] rest = new double[points.size()];
    for (int i = 0; i < rest.length; i++) {
      double x = points.get(i).xMillimetres();
      double y = points.get(i).yMillimetres();
      rest[i] =
          flatness.deviations().get(i)
              - form.coefficients().get(0) * x * x
              - form.coefficients().get(1) * x * y
              - form.coefficients().get(2) * y * y;
    }
    double[] away = new double[rest.length];
    for (int i = 0; i < rest.length; i++) {
      away[i] = rest[i] - awaited(points, rest, i, neighbours.of(i));
    }
    double sigma = TO_SIGMA * median(Arrays.stream(away).map(Math::abs));
    double least = Math.max(Math.max(LEAST, SIGMAS * sigma), SHARE * flatness.zoneMicrometres());
    List<Outlier> found = new ArrayList<>();
    for (int i = 0; i < away.length; i++) {
      if (Math.abs(away[i]) > least) {
        found.add(new Outlier(points.get(i), away[i]));
      }
    }
    return found;
  }

  /** What the plane through the neighbours awaits at a place. */
  private static double awaited(List<ProbedPoint> points, double[] rest, int i, int[] neighbours) {
    double[] x = new double[neighbours.length];
    double[] y = new double[neighbours.length];
    double[] z = new double[neighbours.length];
    for (int k = 0; k < neighbours.length; k++) {
      x[k] = points.get(neighbours[k]).xMillimetres() - points.get(i).xMillimetres();
      y[k] = points.get(neighbours[k]).yMillimetres() - points.get(i).yMillimetres();
      z[k] = rest[neighbours[k]];
    }
    try {
      return Polynomial.fit(x, y, z, Polynomial.PLANE)[0];
    } catch (MathIllegalArgumentException line) {
      return median(Arrays.stream(z)); // neighbours on a line
    }
  }

  private static double median(java.util.stream.DoubleStream values) {
    double[] sorted = values.sorted().toArray();
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  }
}
