package dev.ambershim.core.physics.modes;

import java.util.Arrays;

/**
 * The modes of a line with adiabatic ends: cosines, orthonormal over its length.
 *
 * @param low where it begins, m
 * @param length m
 * @param count how many modes are taken, the even one included
 */
record Cosines(double low, double length, int count) {

  /** Eigenvalues of −d²/dx², 1/m², rising from 0. */
  double[] eigenvalues() {
    double[] all = new double[count];
    Arrays.setAll(all, p -> wave(p) * wave(p));
    return all;
  }

  /** The last of them. */
  double highest() {
    return wave(count - 1) * wave(count - 1);
  }

  private double wave(int mode) {
    return mode * Math.PI / length;
  }

  /** The mean of each mode between two places, 1/√m; its value where both are one. */
  double[] means(double from, double to) {
    double[] all = new double[count];
    double middle = (from + to) / 2 - low;
    double half = (to - from) / 2;
    double height = Math.sqrt(2 / length);
    all[0] = Math.sqrt(1 / length);
    for (int p = 1; p < count; p++) {
      double wave = wave(p);
      double mean = half == 0 ? 1 : Math.sin(wave * half) / (wave * half);
      all[p] = height * Math.cos(wave * middle) * mean;
    }
    return all;
  }

  /** A row of means for each cell between planes, from a plane on. */
  double[][] means(double[] planes, int from, int to) {
    double[][] all = new double[to - from][];
    Arrays.setAll(all, i -> means(planes[from + i], planes[from + i + 1]));
    return all;
  }
}
