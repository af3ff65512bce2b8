package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.Arrays;

/** The resistance of joints over the cells of a contact, m²·K/W; maps are averaged exactly. */
final class JointCells {
  private JointCells() {}

  /**
   * Half of a layer's contact resistance: what lies at one of its faces.
   *
   * @return m²·K/W
   */
  static double face(StackLayer layer) {
    return layer.contactSquareMillimetreKelvinPerWatt() * 1e-6 / 2;
  }

  /**
   * Adds a joint's own resistance and both of its faces'.
   *
   * @param x planes along x, m; cells between {@code left} and on
   * @param y planes along y, m
   * @param to by the cells, changed
   */
  static void add(StackLayer joint, double[] x, int left, double[] y, int low, double[][] to) {
    double k = joint.conductivityWattsPerMetreKelvin();
    double faces = 2 * face(joint);
    double[][] metres = thickness(joint, x, left, to.length, y, low, to[0].length);
    for (int i = 0; i < to.length; i++) {
      for (int j = 0; j < to[i].length; j++) {
        to[i][j] += metres[i][j] / k + faces;
      }
    }
  }

  /** Mean thickness of each cell, m. */
  private static double[][] thickness(
      StackLayer joint, double[] x, int left, int columns, double[] y, int low, int rows) {
    double[][] all = new double[columns][rows];
    ThicknessMap map = joint.map().orElse(null);
    if (map instanceof ThicknessMap.Grid grid) {
      double[][] acrossX = shares(grid.xMillimetres(), x, left, columns);
      double[][] acrossY = shares(grid.yMillimetres(), y, low, rows);
      double[][] half = new double[columns][grid.yMillimetres().length];
      Dense.addProduct(acrossX, Dense.transposed(grid.micrometres()), half);
      Dense.addProduct(half, Dense.transposed(acrossY), all);
      for (double[] row : all) {
        for (int j = 0; j < row.length; j++) {
          row[j] *= 1e-6;
        }
      }
      return all;
    }
    for (int i = 0; i < columns; i++) {
      double cx = (x[left + i] + x[left + i + 1]) * 0.5e3;
      for (int j = 0; j < rows; j++) {
        double cy = (y[low + j] + y[low + j + 1]) * 0.5e3;
        all[i][j] = joint.thicknessAt(cx, cy) * 1e-6;
      }
    }
    return all;
  }

  /**
   * How much each node of a table counts in each cell's mean, as the table is straight between its
   * nodes and even beyond them.
   */
  private static double[][] shares(double[] nodes, double[] planes, int first, int count) {
    double[][] all = new double[count][nodes.length];
    for (int i = 0; i < count; i++) {
      double a = planes[first + i] * 1e3;
      double b = planes[first + i + 1] * 1e3;
      double from = a;
      int next = 0;
      while (next < nodes.length && nodes[next] <= a) {
        next++;
      }
      while (from < b) {
        double to = next < nodes.length ? Math.min(b, nodes[next]) : b;
        double weight = (to - from) / (b - a);
        double middle = (from + to) / 2;
        if (next == 0) {
          all[i][0] += weight;
        } else if (next == nodes.length) {
          all[i][next - 1] += weight;
        } else {
          double share = (middle - nodes[next - 1]) / (nodes[next] - nodes[next - 1]);
          all[i][next - 1] += weight * (1 - share);
          all[i][next] += weight * share;
        }
        from = to;
        next++;
      }
    }
    return all;
  }

  /** The resistance of a contact's cells. */
  static double[][] of(StackCase stack, Boxes boxes, Contact contact) {
    double[][] all = contact.cells();
    int lower = boxes.boxes.get(contact.below()).layer();
    boolean coolant = contact.above() == Contact.COOLANT;
    int upper = coolant ? stack.layers().size() : boxes.boxes.get(contact.above()).layer();
    double even = face(stack.layers().get(lower));
    if (coolant) {
      // The face towards the coolant counts in the last joint's own faces.
      even += 1 / stack.filmWattsPerSquareMetreKelvin();
    } else {
      even += face(stack.layers().get(upper));
    }
    for (double[] row : all) {
      Arrays.fill(row, even);
    }
    for (int l = lower + 1; l < upper; l++) {
      add(stack.layers().get(l), boxes.x, contact.left(), boxes.y, contact.low(), all);
    }
    return all;
  }
}
