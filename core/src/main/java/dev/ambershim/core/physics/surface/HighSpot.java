package dev.ambershim.core.physics.surface;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A place that stands up: higher than the places around it, and at least half as high over the
 * least-squares plane as the highest. A flat plate laid on the face meets these first.
 *
 * @param xMillimetres place
 * @param yMillimetres place
 * @param micrometres height over the least-squares plane
 */
public record HighSpot(double xMillimetres, double yMillimetres, double micrometres) {
  private static final double SHARE = 0.5;
  private static final int MOST = 12;

  /** Below this a place stands up no more than paper does, µm. */
  private static final double LEAST = 0.05;

  /** The high spots of points, the highest first. */
  static List<HighSpot> of(List<ProbedPoint> points, Flatness flatness, Neighbours neighbours) {
    List<HighSpot> spots = new ArrayList<>();
    double least = Math.max(LEAST, SHARE * flatness.fltpMicrometres());
    List<Double> away = flatness.deviations();
    for (int i = 0; i < points.size(); i++) {
      if (away.get(i) >= least && highest(i, away, neighbours.of(i))) {
        ProbedPoint p = points.get(i);
        spots.add(new HighSpot(p.xMillimetres(), p.yMillimetres(), away.get(i)));
      }
    }
    return spots.stream()
        .sorted(Comparator.comparingDouble(HighSpot::micrometres).reversed())
        .limit(MOST)
        .toList();
  }

  private static boolean highest(int i, List<Double> away, int[] around) {
    for (int j : around) {
      // Of two alike the first counts, so that a level patch is one spot.
      if (away.get(j) > away.get(i) || (away.get(j).equals(away.get(i)) && j < i)) {
        return false;
      }
    }
    return true;
  }
}
