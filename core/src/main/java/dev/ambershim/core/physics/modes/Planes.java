package dev.ambershim.core.physics.modes;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The planes between contact cells along one axis. Every edge of a layer is one. Between two edges
 * cells shrink quadratically towards both (cosine spacing), as the heat crowds at the edges of
 * footprints; that keeps second order there.
 */
final class Planes {
  /** Edges nearer than this to each other are one, m. */
  private static final double SAME = 1e-9;

  private Planes() {}

  /**
   * How wide cells shall be.
   *
   * @param low from here, m
   * @param high to here, m, they are
   * @param fine this wide, m
   * @param growth and beyond grow by this for each metre
   */
  record Size(double low, double high, double fine, double growth) {
    /** How many cells lie between two places, at least one. */
    int count(double from, double to) {
      return (int) Math.max(1, Math.round(reach(to) - reach(from)));
    }

    /** Cells between some origin and a place: ∫ dx / size(x). */
    private double reach(double x) {
      if (x < low) {
        return -Math.log1p(growth * (low - x) / fine) / growth;
      }
      double inside = (Math.min(x, high) - low) / fine;
      return inside + (x > high ? Math.log1p(growth * (x - high) / fine) / growth : 0);
    }
  }

  /**
   * Lays the planes.
   *
   * @param edges of all layers, m, in any order
   * @param parts into how many every cell of the coarsest grid is cut
   * @return m, rising
   */
  static double[] of(double[] edges, Size size, int parts) {
    double[] marks = distinct(edges);
    List<Double> all = new ArrayList<>(List.of(marks[0]));
    for (int m = 1; m < marks.length; m++) {
      double a = marks[m - 1];
      double b = marks[m];
      int count = size.count(a, b) * parts;
      for (int i = 1; i < count; i++) {
        all.add(a + (b - a) * (1 - Math.cos(Math.PI * i / count)) / 2);
      }
      all.add(b);
    }
    return all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Sorted, those that are one taken together. */
  static double[] distinct(double[] marks) {
    double[] sorted = marks.clone();
    Arrays.sort(sorted);
    int n = 1;
    for (int i = 1; i < sorted.length; i++) {
      if (sorted[i] - sorted[n - 1] > SAME) {
        sorted[n++] = sorted[i];
      }
    }
    return Arrays.copyOf(sorted, n);
  }

  /** The plane nearest to a place, as an index. */
  static int nearest(double[] planes, double at) {
    int found = Arrays.binarySearch(planes, at);
    if (found >= 0) {
      return found;
    }
    int up = Math.min(planes.length - 1, -found - 1);
    return up > 0 && at - planes[up - 1] < planes[up] - at ? up - 1 : up;
  }

  /** Width of a cell between planes, m. */
  static double width(double[] planes, int cell) {
    return planes[cell + 1] - planes[cell];
  }
}
