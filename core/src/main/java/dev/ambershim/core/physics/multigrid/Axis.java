package dev.ambershim.core.physics.multigrid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The cells along one axis: every mark is an edge, and between marks the cells follow a wanted size
 * that grows with the distance from where the heat enters.
 */
final class Axis {
  /** Cell edges, m, rising; one more than cells. */
  final double[] edges;

  /** Edges of layers, which coarser axes keep for as long as they can. */
  private final double[] marks;

  private Axis(double[] edges, double[] marks) {
    this.edges = edges;
    this.marks = marks;
  }

  /**
   * Lays the cells.
   *
   * @param marks places that must be edges, m, in any order
   * @param fine wanted cell size between {@code low} and {@code high}, m
   * @param growth how much the wanted size grows for each metre beyond
   */
  static Axis snapped(double[] marks, double low, double high, double fine, double growth) {
    return snapped(marks, low, high, fine, growth, 1);
  }

  /** The same with at least so many cells between two marks. */
  static Axis snapped(
      double[] marks, double low, double high, double fine, double growth, int least) {
    double[] sorted = distinct(marks);
    List<Double> edges = new ArrayList<>();
    edges.add(sorted[0]);
    for (int m = 1; m < sorted.length; m++) {
      double a = sorted[m - 1];
      double b = sorted[m];
      double need = reach(b, low, high, fine, growth) - reach(a, low, high, fine, growth);
      int count = Math.max(least, (int) Math.ceil(need - 1e-9));
      double start = reach(a, low, high, fine, growth);
      for (int i = 1; i < count; i++) {
        edges.add(place(start + need * i / count, a, b, low, high, fine, growth));
      }
      edges.add(b);
    }
    return new Axis(edges.stream().mapToDouble(Double::doubleValue).toArray(), sorted);
  }

  /** Sorted, with marks nearer than a nanometre to each other taken as one. */
  private static double[] distinct(double[] marks) {
    double[] sorted = marks.clone();
    Arrays.sort(sorted);
    int n = 1;
    for (int i = 1; i < sorted.length; i++) {
      if (sorted[i] - sorted[n - 1] > 1e-9) {
        sorted[n++] = sorted[i];
      }
    }
    return Arrays.copyOf(sorted, n);
  }

  /** How many cells of the wanted size lie between some origin and a place: ∫ dx / size(x). */
  private static double reach(double x, double low, double high, double fine, double growth) {
    if (x < low) {
      return -Math.log1p(growth * (low - x) / fine) / growth;
    }
    if (x > high) {
      return (high - low) / fine + Math.log1p(growth * (x - high) / fine) / growth;
    }
    return (x - low) / fine;
  }

  /** The place where {@code reach} has a value, between two edges. */
  private static double place(
      double wanted, double a, double b, double low, double high, double fine, double growth) {
    double x;
    double inner = (high - low) / fine;
    if (wanted < 0) {
      x = low - fine * Math.expm1(-wanted * growth) / growth;
    } else if (wanted > inner) {
      x = high + fine * Math.expm1((wanted - inner) * growth) / growth;
    } else {
      x = low + wanted * fine;
    }
    return Math.min(b, Math.max(a, x));
  }

  /** Number of cells. */
  int cells() {
    return edges.length - 1;
  }

  /** The cell that holds a place. */
  int cellAt(double place) {
    int at = Arrays.binarySearch(edges, place);
    return Math.min(cells() - 1, Math.max(0, at >= 0 ? at : -at - 2));
  }

  /** Width of a cell, m. */
  double width(int cell) {
    return edges[cell + 1] - edges[cell];
  }

  /** Centre of a cell, m. */
  double centre(int cell) {
    return (edges[cell] + edges[cell + 1]) / 2;
  }

  /** The width that half of the cells exceed, m. */
  double medianWidth() {
    double[] widths = new double[cells()];
    for (int i = 0; i < widths.length; i++) {
      widths[i] = width(i);
    }
    Arrays.sort(widths);
    return widths[widths.length / 2];
  }

  /**
   * The first cell of each group when neighbours are joined in twos to a width of at most {@code
   * size}; wider cells stay alone. A group ends at a layer's edge if it has half that width by
   * then.
   */
  int[] groups(double size) {
    int[] starts = new int[cells() + 1];
    int count = 0;
    int from = 0;
    for (int i = 1; i <= cells(); i++) {
      boolean end = i == cells();
      boolean full = !end && (i - from == 2 || edges[i + 1] - edges[from] > size * (1 + 1e-9));
      boolean mark = !end && edges[i] - edges[from] >= 0.5 * size && isMark(edges[i]);
      if (end || full || mark) {
        starts[count++] = from;
        from = i;
      }
    }
    starts[count] = cells();
    return Arrays.copyOf(starts, count + 1);
  }

  private boolean isMark(double edge) {
    return Arrays.binarySearch(marks, edge) >= 0;
  }

  /** Pairs of cells, none of them across a mark. */
  int[] pairs() {
    int[] starts = new int[cells() + 1];
    int count = 0;
    int from = 0;
    for (int i = 1; i <= cells(); i++) {
      if (i == cells() || i - from == 2 || isMark(edges[i])) {
        starts[count++] = from;
        from = i;
      }
    }
    starts[count] = cells();
    return Arrays.copyOf(starts, count + 1);
  }

  /** The axis whose cells are the groups. */
  Axis joined(int[] groups) {
    double[] joined = new double[groups.length];
    for (int i = 0; i < groups.length; i++) {
      joined[i] = edges[groups[i]];
    }
    return new Axis(joined, marks);
  }

  /** The cells that make up {@code [from, to]}, both being edges: first, and one past the last. */
  int[] range(double from, double to) {
    return new int[] {nearest(from), nearest(to)};
  }

  private int nearest(double edge) {
    int at = Arrays.binarySearch(edges, edge);
    if (at >= 0) {
      return at;
    }
    int up = -at - 1;
    if (up == 0) {
      return 0;
    }
    if (up == edges.length) {
      return edges.length - 1;
    }
    return edge - edges[up - 1] < edges[up] - edge ? up - 1 : up;
  }
}
