package dev.ambershim.core.physics.fit;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/**
 * Finds the feet for one set of heights after another over the same places: each begins from the
 * feet of the one before. The shares of three feet at every place are kept once they are known,
 * since a million draws use a handful of triangles.
 */
public final class Resting {
  private static final int USUAL_EXCHANGES = 200;
  private static final int MOST_EXCHANGES = 100_000;

  /** Up to so many places every triangle has a slot of its own. */
  private static final int FEW = 24;

  private final Coordinate[] at;
  private final double xLoad;
  private final double yLoad;
  private final Triangle[] kept;
  private Triangle now;

  /** Three feet, and their shares at each place and at the load. */
  private record Triangle(int a, int b, int c, double[] shares, double[] load) {}

  public Resting(List<Feature> features, double xLoad, double yLoad) {
    this.xLoad = xLoad;
    this.yLoad = yLoad;
    int[] feet = RestingContact.around(features, xLoad, yLoad);
    at =
        features.stream()
            .map(f -> new Coordinate(f.xMillimetres(), f.yMillimetres()))
            .toArray(Coordinate[]::new);
    kept = new Triangle[at.length <= FEW ? at.length * at.length * at.length : 0];
    now = triangle(feet[0], feet[1], feet[2]);
  }

  private Triangle triangle(int a, int b, int c) {
    int slot = kept.length == 0 ? -1 : (a * at.length + b) * at.length + c;
    if (slot >= 0 && kept[slot] != null) {
      return kept[slot];
    }
    double[] shares = new double[3 * at.length];
    for (int i = 0; i < at.length; i++) {
      double[] w = RestingContact.weights(at, a, b, c, at[i].x, at[i].y);
      System.arraycopy(w, 0, shares, 3 * i, 3);
    }
    Triangle made =
        new Triangle(a, b, c, shares, RestingContact.weights(at, a, b, c, xLoad, yLoad));
    if (slot >= 0) {
      kept[slot] = made;
    }
    return made;
  }

  int[] feet() {
    return new int[] {now.a, now.b, now.c};
  }

  /** The least share of the load that any foot bears. */
  double leastWeight() {
    return Math.min(now.load[0], Math.min(now.load[1], now.load[2]));
  }

  /** How far a top lies under the plate, in the unit of the heights. */
  public double clearance(int i, double[] heights) {
    double[] s = now.shares;
    return s[3 * i] * heights[now.a]
        + s[3 * i + 1] * heights[now.b]
        + s[3 * i + 2] * heights[now.c]
        - heights[i];
  }

  /** Plane through the feet: height over the origin and slopes. */
  double[] plane(double[] heights) {
    double whole = RestingContact.cross(at, now.a, now.b, now.c);
    double ux = at[now.b].x - at[now.a].x;
    double uy = at[now.b].y - at[now.a].y;
    double vx = at[now.c].x - at[now.a].x;
    double vy = at[now.c].y - at[now.a].y;
    double u = heights[now.b] - heights[now.a];
    double v = heights[now.c] - heights[now.a];
    double xSlope = (u * vy - v * uy) / whole;
    double ySlope = (v * ux - u * vx) / whole;
    return new double[] {
      heights[now.a] - xSlope * at[now.a].x - ySlope * at[now.a].y, xSlope, ySlope
    };
  }

  /** Exchanges feet until no top stands through the plate. */
  public void settle(double[] heights) {
    for (int turn = 0; turn < MOST_EXCHANGES; turn++) {
      boolean bland = turn > USUAL_EXCHANGES;
      double deepest = -1e-12;
      int enters = -1;
      double za = heights[now.a];
      double zb = heights[now.b];
      double zc = heights[now.c];
      double[] s = now.shares;
      for (int i = 0, k = 0; i < heights.length; i++, k += 3) {
        double gap = s[k] * za + s[k + 1] * zb + s[k + 2] * zc - heights[i];
        if (gap < deepest) {
          deepest = gap;
          enters = i;
          if (bland) {
            break;
          }
        }
      }
      if (enters < 0 || enters == now.a || enters == now.b || enters == now.c) {
        return;
      }
      exchange(enters);
    }
    throw new IllegalStateException("the feet did not settle");
  }

  private void exchange(int enters) {
    int leaves = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int t = 0; t < 3; t++) {
      double share = now.shares[3 * enters + t];
      if (share > 1e-12) {
        double ratio = Math.max(0, now.load[t]) / share;
        if (ratio < least - 1e-15 || (ratio <= least && foot(t) < foot(leaves))) {
          least = ratio;
          leaves = t;
        }
      }
    }
    now =
        triangle(
            leaves == 0 ? enters : now.a,
            leaves == 1 ? enters : now.b,
            leaves == 2 ? enters : now.c);
  }

  private int foot(int t) {
    return t == 0 ? now.a : t == 1 ? now.b : now.c;
  }
}
