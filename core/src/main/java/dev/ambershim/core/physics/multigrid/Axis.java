package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.physics.conduction.Planes;
import java.util.Arrays;

/** The cells along one axis, laid by {@link Planes}: every mark is an edge. */
final class Axis {
  /** Cell edges, m, rising; one more than cells. */
  final double[] edges;

  /** Edges of layers and heats, which coarser axes keep for as long as they can. */
  private final double[] marks;

  private final boolean even;

  private Axis(double[] edges, double[] marks, boolean even) {
    this.edges = edges;
    this.marks = marks;
    this.even = even;
  }

  /**
   * Lays the cells.
   *
   * @param marks places that must be edges, m, in any order
   * @param size how wide cells shall be, before they are cut
   * @param parts into how many every cell is cut
   */
  static Axis of(double[] marks, Planes.Size size, int parts) {
    return new Axis(Planes.of(marks, size, parts), Planes.distinct(marks), false);
  }

  /** The same with cells that follow the wanted size, at least so many between two marks. */
  static Axis even(double[] marks, Planes.Size size, int least) {
    return new Axis(Planes.even(marks, size, least), Planes.distinct(marks), true);
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

  /** Whether cells follow the wanted size alone. */
  boolean isEven() {
    return even;
  }

  /** The width of the narrowest cell, m; of even ones the width that half of them exceed. */
  double narrowWidth() {
    double[] widths = new double[cells()];
    Arrays.setAll(widths, this::width);
    Arrays.sort(widths);
    return widths[even ? widths.length / 2 : 0];
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

  /** The axis whose cells are the groups. */
  Axis joined(int[] groups) {
    double[] joined = new double[groups.length];
    for (int i = 0; i < groups.length; i++) {
      joined[i] = edges[groups[i]];
    }
    return new Axis(joined, marks, even);
  }

  /** The cells that make up {@code [from, to]}, both being edges: first, and one past the last. */
  int[] range(double from, double to) {
    return new int[] {Planes.nearest(edges, from), Planes.nearest(edges, to)};
  }
}
