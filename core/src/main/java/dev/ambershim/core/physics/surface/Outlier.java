package dev.ambershim.core.physics.surface;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;

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
    List<Outlier> found = new ArrayList<>();
    boolean[] out = new boolean[rest.length];
    // One at a time: the worst would make its neighbours look wrong as well.
    while (found.size() < Math.max(1, rest.length / 10)) {
      double[] away = new double[rest.length];
      int worst = 0;
      for (int i = 0; i < rest.length; i++) {
        if (!out[i]) {
          int[] near = Arrays.stream(neighbours.of(i)).filter(j -> !out[j]).toArray();
          away[i] = near.length < 3 ? 0 : rest[i] - awaited(points, rest, i, near);
        }
        worst = Math.abs(away[i]) > Math.abs(away[worst]) ? i : worst;
      }
      double sigma = TO_SIGMA * median(Arrays.stream(away).map(Math::abs));
      double least = Math.max(Math.max(LEAST, SIGMAS * sigma), SHARE * flatness.zoneMicrometres());
      if (!(Math.abs(away[worst]) > least)) {
        break;
      }
      out[worst] = true;
      found.add(new Outlier(points.get(worst), away[worst]));
    }
    return found;
  }

  /** What the least-squares plane through the neighbours awaits at a place. */
  private static double awaited(List<ProbedPoint> points, double[] rest, int i, int[] near) {
    double mx = 0;
    double my = 0;
    double mz = 0;
    for (int j : near) {
      mx += points.get(j).xMillimetres() / near.length;
      my += points.get(j).yMillimetres() / near.length;
      mz += rest[j] / near.length;
    }
    double xx = 0;
    double xy = 0;
    double yy = 0;
    double xz = 0;
    double yz = 0;
    for (int j : near) {
      double u = points.get(j).xMillimetres() - mx;
      double v = points.get(j).yMillimetres() - my;
      xx += u * u;
      xy += u * v;
      yy += v * v;
      xz += u * (rest[j] - mz);
      yz += v * (rest[j] - mz);
    }
    double det = xx * yy - xy * xy;
    if (det < 1e-6 * xx * yy || det == 0) {
      return median(Arrays.stream(near).mapToDouble(j -> rest[j])); // neighbours on a line
    }
    double b = (xz * yy - yz * xy) / det;
    double c = (yz * xx - xz * xy) / det;
    return mz + b * (points.get(i).xMillimetres() - mx) + c * (points.get(i).yMillimetres() - my);
  }

  private static double median(DoubleStream values) {
    double[] sorted = values.sorted().toArray();
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  }
}
