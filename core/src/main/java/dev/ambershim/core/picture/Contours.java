package dev.ambershim.core.picture;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

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

  private static final int NONE = -1;

  private final double[][] heights;
  private final double level;
  private final int rows;

  /**
   * Two for each edge of the table: the edges that a line goes on to. An edge is twice its lower
   * node's number, and one more where it goes along the first index. Plain numbers, as these lines
   * are drawn anew with every step of a slider.
   */
  private final int[] next;

  private Contours(double[][] heights, double level) {
    this.heights = heights;
    this.level = level;
    rows = heights.length == 0 ? 0 : heights[0].length;
    next = new int[4 * heights.length * rows];
    Arrays.fill(next, NONE);
  }

  /**
   * The lines of one level.
   *
   * @param heights by column and row; read only; a mesh with a corner that is no number has no line
   */
  public static List<Line> at(double[][] heights, double level) {
    Contours contours = new Contours(heights, level);
    for (int i = 0; i + 1 < heights.length; i++) {
      for (int j = 0; j + 1 < contours.rows; j++) {
        contours.mesh(i, j);
      }
    }
    return contours.joined();
  }

  private int edge(int column, int row, boolean along) {
    return 2 * (column * rows + row) + (along ? 1 : 0);
  }

  private void mesh(int i, int j) {
    boolean first = heights[i][j] >= level;
    boolean right = heights[i + 1][j] >= level;
    boolean over = heights[i][j + 1] >= level;
    boolean across = heights[i + 1][j + 1] >= level;
    if (first == right && first == over && first == across) {
      return;
    }
    double sum = heights[i][j] + heights[i + 1][j] + heights[i][j + 1] + heights[i + 1][j + 1];
    if (Double.isNaN(sum)) {
      return;
    }
    // Around the mesh: below, right, over, left.
    int[] crossed = new int[4];
    int count = 0;
    if (first != right) {
      crossed[count++] = edge(i, j, true);
    }
    if (right != across) {
      crossed[count++] = edge(i + 1, j, false);
    }
    if (over != across) {
      crossed[count++] = edge(i, j + 1, true);
    }
    if (first != over) {
      crossed[count++] = edge(i, j, false);
    }
    if (count == 2) {
      join(crossed[0], crossed[1]);
    } else {
      // A saddle: its middle says which corners lie together.
      boolean withFirst = sum / 4 >= level == first;
      join(crossed[0], crossed[withFirst ? 1 : 3]);
      join(crossed[2], crossed[withFirst ? 3 : 1]);
    }
  }

  private void join(int a, int b) {
    next[next[2 * a] == NONE ? 2 * a : 2 * a + 1] = b;
    next[next[2 * b] == NONE ? 2 * b : 2 * b + 1] = a;
  }

  private List<Line> joined() {
    List<Line> lines = new ArrayList<>();
    for (int start = 0; 2 * start < next.length; start++) {
      if (next[2 * start] == NONE && next[2 * start + 1] == NONE) {
        continue;
      }
      Deque<Integer> line = new ArrayDeque<>();
      line.add(start);
      for (int at = step(start); at != NONE; at = step(at)) {
        line.addLast(at);
      }
      for (int at = step(start); at != NONE; at = step(at)) {
        line.addFirst(at);
      }
      lines.add(placed(List.copyOf(line)));
    }
    return lines;
  }

  /** The next crossing along a line, taken out of those that are left; none at its end. */
  private int step(int at) {
    int way = next[2 * at] != NONE ? 2 * at : 2 * at + 1;
    int to = next[way];
    if (to != NONE) {
      next[way] = NONE;
      next[next[2 * to] == at ? 2 * to : 2 * to + 1] = NONE;
    }
    return to;
  }

  private Line placed(List<Integer> line) {
    double[] columns = new double[line.size()];
    double[] across = new double[line.size()];
    for (int k = 0; k < columns.length; k++) {
      int edge = line.get(k);
      int column = edge / 2 / rows;
      int row = edge / 2 % rows;
      boolean along = edge % 2 == 1;
      double here = heights[column][row];
      double there = along ? heights[column + 1][row] : heights[column][row + 1];
      double share = (level - here) / (there - here);
      columns[k] = column + (along ? share : 0);
      across[k] = row + (along ? 0 : share);
    }
    return new Line(columns, across);
  }
}
