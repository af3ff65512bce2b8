package dev.ambershim.core.physics.fit;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

/**
 * How a flat plate rests that is pressed at one point onto many tops: on the three whose triangle
 * holds that point and whose plane clears all others, a facet of the tops' upper hull. Found as the
 * linear programme "lowest plane over the load that clears every top", by exchange of one foot at a
 * time, so it is exact and needs no search over all triples. Nothing bends: plate, board and chip
 * are taken as stiff.
 *
 * @param feet indices of the three tops in the features
 * @param touching names of all tops in their plane, each once, in the order of the features
 * @param heightMillimetres the plate's underside over x = y = 0
 * @param xSlope mm per mm
 * @param ySlope mm per mm
 * @param clearances of each feature under the plate, mm
 * @param rocking whether the load stands right over an edge or a corner of the triangle, so that
 *     the plate can tip either way
 */
public record RestingContact(
    List<Integer> feet,
    List<String> touching,
    double heightMillimetres,
    double xSlope,
    double ySlope,
    List<Double> clearances,
    boolean rocking) {
  /** Within this of the plane a top touches: far below what any gauge tells, mm. */
  static final double TOUCH = 1e-6;

  private static final double EDGE = 1e-9;

  /** Copies its lists. */
  public RestingContact {
    feet = List.copyOf(feet);
    touching = List.copyOf(touching);
    clearances = List.copyOf(clearances);
  }

  /** Tilt of the plate against level, degrees. */
  public double tiltDegrees() {
    return Math.toDegrees(Math.atan(Math.hypot(xSlope, ySlope)));
  }

  /** The plate's underside at a place, mm. */
  public double at(double xMillimetres, double yMillimetres) {
    return heightMillimetres + xSlope * xMillimetres + ySlope * yMillimetres;
  }

  /**
   * How the plate rests.
   *
   * @param features the tops, at least three and not on one line
   * @param xLoad where it is pressed, mm
   * @param yLoad where it is pressed, mm
   * @throws Problem {@code rest.few}, {@code rest.line}, {@code rest.twice}, {@code rest.unstable}
   */
  public static RestingContact of(List<Feature> features, double xLoad, double yLoad) {
    double[] heights = features.stream().mapToDouble(f -> f.height().nominal()).toArray();
    Resting resting = new Resting(features, xLoad, yLoad);
    resting.settle(heights);
    int[] feet = resting.feet();
    List<Double> clearances = new ArrayList<>();
    Set<String> touching = new LinkedHashSet<>();
    for (int i = 0; i < heights.length; i++) {
      double gap = resting.clearance(i, heights);
      boolean foot = i == feet[0] || i == feet[1] || i == feet[2];
      clearances.add(foot ? 0 : Math.max(0, gap));
      if (foot || gap <= TOUCH) {
        touching.add(features.get(i).name());
      }
    }
    double[] plane = resting.plane(heights);
    return new RestingContact(
        List.of(feet[0], feet[1], feet[2]),
        List.copyOf(touching),
        plane[0],
        plane[1],
        plane[2],
        clearances,
        resting.leastWeight() < EDGE);
  }

  /**
   * Three feet around the load to begin with, from the outline of all tops.
   *
   * @throws Problem as {@link #of}
   */
  static int[] around(List<Feature> features, double xLoad, double yLoad) {
    if (features.size() < 3) {
      throw new Problem(
          "rest.few",
          Place.field("features"),
          features.size() + (features.size() == 1 ? " top is" : " tops are") + " too few.",
          "Give at least three: a plate rests on three.");
    }
    twice(features);
    Coordinate[] places =
        features.stream()
            .map(f -> new Coordinate(f.xMillimetres(), f.yMillimetres()))
            .toArray(Coordinate[]::new);
    Coordinate[] hull =
        new ConvexHull(places, new GeometryFactory()).getConvexHull().getCoordinates();
    double span = 0;
    for (Coordinate c : places) {
      span = Math.max(span, c.distance(places[0]));
    }
    int[] ring = ring(hull, places);
    double widest = 0;
    for (int i = 1; i + 1 < ring.length; i++) {
      widest = Math.max(widest, Math.abs(cross(places, ring[0], ring[i], ring[i + 1])));
    }
    if (!(widest > 1e-9 * span * span)) {
      throw new Problem(
          "rest.line",
          Place.field("features"),
          "All tops lie on one line.",
          "Give tops to both sides of it, or the corners of the wide ones.");
    }
    for (int i = 1; i + 1 < ring.length; i++) {
      double[] w = weights(places, ring[0], ring[i], ring[i + 1], xLoad, yLoad);
      if (w != null && Math.min(w[0], Math.min(w[1], w[2])) >= -EDGE) {
        return new int[] {ring[0], ring[i], ring[i + 1]};
      }
    }
    throw unstable(features, places, ring, new Coordinate(xLoad, yLoad));
  }

  private static int[] ring(Coordinate[] hull, Coordinate[] places) {
    // The hull closes on its first corner.
    int[] ring = new int[Math.max(0, hull.length - 1)];
    for (int i = 0; i < ring.length; i++) {
      for (int j = 0; j < places.length; j++) {
        if (places[j].equals2D(hull[i])) {
          ring[i] = j;
          break;
        }
      }
    }
    return ring;
  }

  private static void twice(List<Feature> features) {
    Map<List<Double>, Feature> seen = new HashMap<>();
    for (Feature f : features) {
      Feature other = seen.putIfAbsent(List.of(f.xMillimetres() + 0.0, f.yMillimetres() + 0.0), f);
      if (other != null && Math.abs(other.height().nominal() - f.height().nominal()) > TOUCH) {
        throw new Problem(
            "rest.twice",
            Place.field(f.name()),
            "It stands where "
                + (other.name().equals(f.name()) ? "it stands already" : other.name() + " stands")
                + ", with another height.",
            "Keep the higher one, or put the place right.");
      }
    }
  }

  private static Problem unstable(
      List<Feature> features, Coordinate[] places, int[] ring, Coordinate load) {
    int edge = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < ring.length; i++) {
      double away =
          org.locationtech.jts.algorithm.Distance.pointToSegment(
              load, places[ring[i]], places[ring[(i + 1) % ring.length]]);
      if (away < least) {
        least = away;
        edge = i;
      }
    }
    String one = features.get(ring[edge]).name();
    String other = features.get(ring[(edge + 1) % ring.length]).name();
    return new Problem(
        "rest.unstable",
        Place.field("load"),
        "The plate is unstable: the load lies "
            + Notation.METRIC.significant(least)
            + " mm outside the feet, so it tips over "
            + (one.equals(other) ? one : one + " and " + other)
            + ".",
        "Press nearer to the middle, or give the tops beyond it.");
  }

  static double cross(Coordinate[] at, int a, int b, int c) {
    return (at[b].x - at[a].x) * (at[c].y - at[a].y) - (at[c].x - at[a].x) * (at[b].y - at[a].y);
  }

  /** Shares of three corners at a place; null when they lie on a line. */
  static double[] weights(Coordinate[] at, int a, int b, int c, double x, double y) {
    double whole = cross(at, a, b, c);
    if (whole == 0) {
      return null;
    }
    double wa = ((at[b].x - x) * (at[c].y - y) - (at[c].x - x) * (at[b].y - y)) / whole;
    double wb = ((at[c].x - x) * (at[a].y - y) - (at[a].x - x) * (at[c].y - y)) / whole;
    return new double[] {wa, wb, 1 - wa - wb};
  }
}
