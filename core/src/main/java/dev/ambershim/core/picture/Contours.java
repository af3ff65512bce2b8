package dev.ambershim.core.picture;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Lines of equal height through a table of heights, by marching squares (Lorensen &amp; Cline 1987
 * in the plane, from memory): straight within each mesh, and joined from mesh to mesh.
 */
public final class Contours {
  /**
   * A line.
   *
   * @param columns places along the table's first index
   * @param rows places along its second
   */
  public record Line(double[] columns, double[] rows) {}

  /** A crossing of an edge of the table: from a node to the next one right or above. */
  private record Edge(int column, int row, boolean along) {}

  private final double[][] heights;
  private final double level;
  private final Map<Edge, List<Edge>> next = new HashMap<>();

  private Contours(double[][] heights, double level) {
    this.heights = heights;
    this.level = level;
  }

  /**
   * The lines of one level.
   *
   * @param heights by column and row; read only; a mesh with a corner that is no number has no line
   */
  public static List<Line> at(double[][] heights, double level) {
    Contours contours = new Contours(heights, level);
    for (int i = 0; i + 1 < heights.length; i++) {
      for (int j = 0; j + 1 < heights[i].length; j++) {
        contours.mesh(i, j);
      }
    }
    return contours.joined();
  }

  private boolean above(int column, int row) {
    return heights[column][row] >= level;
  }

  private void mesh(int i, int j) {
    double sum = heights[i][j] + heights[i + 1][j] + heights[i][j + 1] + heights[i + 1][j + 1];
    boolean first = above(i, j);
    boolean right = above(i + 1, j);
    boolean over = above(i, j + 1);
    boolean across = above(i + 1, j + 1);
    boolean none = first == right && first == over && first == across;
    if (none || Double.isNaN(sum)) {
      return;
    }
    List<Edge> crossed = new ArrayList<>(4);
    // Around the mesh: below, right, over, left.
    if (first != right) {
      crossed.add(new Edge(i, j, true));
    }
    if (right != across) {
      crossed.add(new Edge(i + 1, j, false));
    }
    if (over != across) {
      crossed.add(new Edge(i, j + 1, true));
    }
    if (first != over) {
      crossed.add(new Edge(i, j, false));
    }
    if (crossed.size() == 2) {
      join(crossed.get(0), crossed.get(1));
    } else if (crossed.size() == 4) {
      // A saddle: its middle says which corners lie together.
      boolean withFirst = sum / 4 >= level == first;
      join(crossed.get(0), crossed.get(withFirst ? 1 : 3));
      join(crossed.get(2), crossed.get(withFirst ? 3 : 1));
    }
  }

  private void join(Edge a, Edge b) {
    next.computeIfAbsent(a, e -> new ArrayList<>(2)).add(b);
    next.computeIfAbsent(b, e -> new ArrayList<>(2)).add(a);
  }

  private List<Line> joined() {
    List<Line> lines = new ArrayList<>();
    while (!next.isEmpty()) {
      Edge start = next.keySet().iterator().next();
      Deque<Edge> line = new ArrayDeque<>();
      line.add(start);
      for (Edge at = start; (at = step(at)) != null; ) {
        line.addLast(at);
      }
      for (Edge at = start; (at = step(at)) != null; ) {
        line.addFirst(at);
      }
      lines.add(placed(List.copyOf(line)));
    }
    return lines;
  }

  /** The next crossing along a line, taken out of those that are left; null at its end. */
  private Edge step(Edge at) {
    List<Edge> ways = next.get(at);
    if (ways == null) {
      return null;
    }
    Edge to = ways.get(0);
    drop(at, to);
    drop(to, at);
    return to;
  }

  private void drop(Edge at, Edge way) {
    List<Edge> ways = next.get(at);
    ways.remove(way);
    if (ways.isEmpty()) {
      next.remove(at);
    }
  }

  private Line placed(List<Edge> line) {
    double[] columns = new double[line.size()];
    double[] rows = new double[line.size()];
    for (int k = 0; k < columns.length; k++) {
      Edge e = line.get(k);
      double here = heights[e.column()][e.row()];
      double there =
          e.along() ? heights[e.column() + 1][e.row()] : heights[e.column()][e.row() + 1];
      double share = (level - here) / (there - here);
      columns[k] = e.column() + (e.along() ? share : 0);
      rows[k] = e.row() + (e.along() ? 0 : share);
    }
    return new Line(columns, rows);
  }
}
