package dev.ambershim.core.physics.surface;

import java.util.Arrays;
import java.util.List;

/**
 * How flat a probed face is, in the words of ISO 12781-1: local deviations from a reference plane
 * along its normal. About the least-squares plane: peak-to-valley (FLTt), peak-to-reference (FLTp),
 * reference-to-valley (FLTv) and root mean square (FLTq, over the points). About the minimum zone:
 * peak-to-valley alone, which no other plane undercuts.
 *
 * @param plane the least-squares plane
 * @param flttMicrometres peak to valley
 * @param fltpMicrometres peak to reference
 * @param fltvMicrometres reference to valley
 * @param fltqMicrometres root mean square
 * @param zone middle plane of the minimum zone
 * @param zoneMicrometres width of the minimum zone
 * @param deviations of each point from the least-squares plane along its normal, µm, in the order
 *     of the points
 */
public record Flatness(
    ReferencePlane plane,
    double flttMicrometres,
    double fltpMicrometres,
    double fltvMicrometres,
    double fltqMicrometres,
    ReferencePlane zone,
    double zoneMicrometres,
    List<Double> deviations) {
  /** Copies its list. */
  public Flatness {
    deviations = List.copyOf(deviations);
  }

  /**
   * Flatness of points, each place once.
   *
   * @throws dev.ambershim.core.base.Problem {@code probe.…} if they do not span a plane
   */
  public static Flatness of(List<ProbedPoint> points) {
    ProbeRules.spans(points);
    double[] x = points.stream().mapToDouble(ProbedPoint::xMillimetres).toArray();
    double[] y = points.stream().mapToDouble(ProbedPoint::yMillimetres).toArray();
    double[] z = points.stream().mapToDouble(ProbedPoint::micrometres).toArray();
    double[] fit = Polynomial.fit(x, y, z, Polynomial.PLANE);
    ReferencePlane plane = new ReferencePlane(fit[0], fit[1], fit[2]);
    double[] away = new double[z.length];
    for (int i = 0; i < z.length; i++) {
      away[i] = (z[i] - plane.at(x[i], y[i])) * plane.cosine();
    }
    double square = Arrays.stream(away).map(v -> v * v).sum();
    double high = Arrays.stream(away).max().orElseThrow();
    double low = Arrays.stream(away).min().orElseThrow();
    // Levelled first, so that distance along z and along the normal are the same.
    double[] zone = new MinimumZone(x, y).of(away);
    ReferencePlane tilt = new ReferencePlane(zone[0], zone[1], zone[2]);
    return new Flatness(
        plane,
        high - low,
        high,
        -low,
        Math.sqrt(square / z.length),
        plane.plus(tilt),
        2 * zone[3] * tilt.cosine(),
        Arrays.stream(away).boxed().toList());
  }
}
