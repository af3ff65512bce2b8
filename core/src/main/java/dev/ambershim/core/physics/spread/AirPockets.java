package dev.ambershim.core.physics.spread;

import java.util.Arrays;

/**
 * Air between the plates: free where it can get to the edge of the face, else shut in, in which
 * case its amount stays and its pressure rises as the paste closes in on it (Boyle). A pocket
 * smaller than a third of a cell is not followed.
 */
final class AirPockets {
  static final double ATMOSPHERE = 101_325;
  private static final double SMALLEST = 0.3;

  private final FaceGrid grid;
  private final int[] pocket;
  private final int[] stack;
  private final double[] gas;
  private double[] pressures = new double[0];

  /** Air in open cells at one atmosphere. */
  AirPockets(FaceGrid grid) {
    this.grid = grid;
    pocket = new int[grid.size()];
    stack = new int[grid.size()];
    gas = new double[grid.size()];
    Arrays.fill(gas, Double.NaN);
  }

  /** Whether a cell's air is shut in. */
  boolean shut(int cell) {
    return pocket[cell] > 0;
  }

  /** Pressure over the atmosphere in a cell that is not full, Pa. */
  double over(int cell) {
    return pocket[cell] > 0 ? pressures[pocket[cell]] - ATMOSPHERE : 0;
  }

  /** Whether any air is shut in. */
  boolean any() {
    return pressures.length > 1;
  }

  /**
   * Finds the pockets anew.
   *
   * @param full whether each cell is full of paste
   * @param volume paste in each cell, m³
   * @param room room in each cell, m³
   * @param most pressure over the atmosphere that a pocket can have, Pa
   */
  void find(boolean[] full, double[] volume, double[] room, double most) {
    int w = grid.columns();
    int d = grid.rows();
    Arrays.fill(pocket, -1);
    int top = 0;
    for (int c = 0; c < pocket.length; c++) {
      int i = c % w;
      int j = c / w;
      boolean edge = i == 0 || j == 0 || i == w - 1 || j == d - 1;
      if (!grid.face()[c] || (edge && !full[c])) {
        pocket[c] = 0;
        stack[top++] = c;
      }
    }
    flood(top, 0, full);
    int count = 1;
    double[] amounts = new double[8];
    double[] voids = new double[8];
    for (int c = 0; c < pocket.length; c++) {
      if (pocket[c] >= 0 || full[c]) {
        continue;
      }
      pocket[c] = count;
      stack[0] = c;
      flood(1, count, full);
      if (count >= amounts.length) {
        amounts = Arrays.copyOf(amounts, 2 * count);
        voids = Arrays.copyOf(voids, 2 * count);
      }
      count++;
    }
    for (int c = 0; c < pocket.length; c++) {
      double free = Math.max(0, room[c] - volume[c]);
      if (pocket[c] > 0) {
        amounts[pocket[c]] += Double.isNaN(gas[c]) ? ATMOSPHERE * free : gas[c];
        voids[pocket[c]] += free;
      } else if (full[c] && gas[c] > 0) {
        // What a cell held when it filled goes to the pocket beside it, if there is one.
        int to = neighbour(c, w, d);
        if (to > 0) {
          amounts[to] += gas[c];
        }
        gas[c] = 0;
      }
    }
    pressures = new double[count];
    for (int k = 1; k < count; k++) {
      pressures[k] = Math.min(ATMOSPHERE + most, amounts[k] / Math.max(voids[k], 1e-18));
    }
    for (int c = 0; c < pocket.length; c++) {
      if (pocket[c] > 0) {
        double free = Math.max(0, room[c] - volume[c]);
        if (voids[pocket[c]] < SMALLEST * room[c]) {
          pocket[c] = 0;
          gas[c] = 0;
        } else {
          gas[c] = pressures[pocket[c]] * free;
        }
      } else if (!full[c]) {
        gas[c] = Double.NaN;
      }
    }
  }

  private int neighbour(int c, int w, int d) {
    int i = c % w;
    int j = c / w;
    int found = 0;
    found = Math.max(found, i > 0 ? pocket[c - 1] : 0);
    found = Math.max(found, i + 1 < w ? pocket[c + 1] : 0);
    found = Math.max(found, j > 0 ? pocket[c - w] : 0);
    return Math.max(found, j + 1 < d ? pocket[c + w] : 0);
  }

  private void flood(int from, int mark, boolean[] full) {
    int w = grid.columns();
    int top = from;
    while (top > 0) {
      int c = stack[--top];
      int i = c % w;
      top = visit(i > 0, c - 1, mark, full, top);
      top = visit(i + 1 < w, c + 1, mark, full, top);
      top = visit(c >= w, c - w, mark, full, top);
      top = visit(c + w < pocket.length, c + w, mark, full, top);
    }
  }

  private int visit(boolean there, int c, int mark, boolean[] full, int top) {
    if (there && pocket[c] < 0 && !full[c]) {
      pocket[c] = mark;
      stack[top] = c;
      return top + 1;
    }
    return top;
  }
}
