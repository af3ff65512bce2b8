package dev.ambershim.core.physics.surface;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.List;

/** What must hold of probed points before anything is computed from them. */
final class ProbeRules {
  /** Three points always lie in a plane. */
  static final int LEAST_POINTS = 4;

  /** Nearer than this, two points are one place probed twice, mm. */
  static final double SAME_PLACE = 0.005;

  private static final double MOST_RANGE = 10_000;
  private static final double LEAST_RANGE = 0.1;
  private static final double LEAST_SPAN = 0.5;
  private static final double MOST_SPAN = 1000;

  private ProbeRules() {}

  /**
   * Points that a plane can be laid through in one way only.
   *
   * @throws Problem {@code probe.few} or {@code probe.line}
   */
  static void spans(List<ProbedPoint> points) {
    if (points.size() < LEAST_POINTS) {
      throw new Problem(
          "probe.few",
          Place.NOWHERE,
          points.size() + (points.size() == 1 ? " place is" : " places are") + " too few.",
          "Probe at least "
              + LEAST_POINTS
              + " places, better 9 or more: three always lie in a plane.");
    }
    double mx = points.stream().mapToDouble(ProbedPoint::xMillimetres).average().orElse(0);
    double my = points.stream().mapToDouble(ProbedPoint::yMillimetres).average().orElse(0);
    double xx = 0;
    double xy = 0;
    double yy = 0;
    for (ProbedPoint p : points) {
      double u = p.xMillimetres() - mx;
      double v = p.yMillimetres() - my;
      xx += u * u;
      xy += u * v;
      yy += v * v;
    }
    // The lesser principal moment against the greater: nought when all lie on a line.
    double half = (xx + yy) / 2;
    double root = Math.hypot((xx - yy) / 2, xy);
    if (!(half - root > 1e-6 * (half + root))) {
      throw new Problem(
          "probe.line",
          Place.NOWHERE,
          "All places lie on one line.",
          "Probe places to both sides of it as well, such as a grid of 3 by 3.");
    }
  }

  /**
   * Figures that are in their units.
   *
   * @throws Problem {@code probe.unit} if heights or places cannot be in the unit they stand in
   */
  static void units(List<ProbedPoint> points) {
    double range = range(points, 'z');
    if (range > MOST_RANGE) {
      throw unit(
          "z_um",
          text(range / 1000) + " mm between the lowest and the highest place cannot be.",
          "Heights are in µm. Look for a slipped cell, or for another unit.");
    }
    if (range > 0 && range < LEAST_RANGE) {
      throw unit(
          "z_um",
          "All heights lie within "
              + text(range)
              + " µm, which looks like millimetres; this column is µm.",
          "Multiply by 1000, or name the column z_mm.");
    }
    double span = Math.max(range(points, 'x'), range(points, 'y'));
    if (span < LEAST_SPAN && points.size() >= LEAST_POINTS) {
      throw unit(
          "x_mm, y_mm",
          "All places lie within " + text(span) + " mm.",
          "Places are in mm. Look for another unit.");
    }
    if (span > MOST_SPAN) {
      throw unit(
          "x_mm, y_mm",
          "The places lie " + text(span) + " mm apart, which looks like micrometres.",
          "Places are in mm. Divide by 1000, or look for a slipped cell.");
    }
  }

  private static double range(List<ProbedPoint> points, char axis) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (ProbedPoint p : points) {
      double v = axis == 'x' ? p.xMillimetres() : axis == 'y' ? p.yMillimetres() : p.micrometres();
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    return points.isEmpty() ? 0 : high - low;
  }

  private static Problem unit(String field, String what, String remedy) {
    return new Problem("probe.unit", Place.field(field), what, remedy);
  }

  static String text(double value) {
    return Notation.METRIC.significant(value);
  }
}
