package dev.ambershim.core.physics.modes;

import java.util.Arrays;

/**
 * Products of small dense matrices kept as rows. Loops run over whole rows without an offset, since
 * only such loops are turned into vector instructions by the Java 17 compiler.
 */
final class Dense {
  private Dense() {}

  /**
   * Adds a product.
   *
   * @param a rows × inner, read
   * @param b inner × columns, read
   * @param out rows × columns, changed
   */
  static void addProduct(double[][] a, double[][] b, double[][] out) {
    int inner = b.length;
    for (int i = 0; i < a.length; i++) {
      double[] from = a[i];
      double[] to = out[i];
      int k = 0;
      for (; k + 3 < inner; k += 4) {
        addFour(
            to, from[k], b[k], from[k + 1], b[k + 1], from[k + 2], b[k + 2], from[k + 3], b[k + 3]);
      }
      for (; k < inner; k++) {
        addTo(to, from[k], b[k]);
      }
    }
  }

  private static void addFour(
      double[] to,
      double f0,
      double[] b0,
      double f1,
      double[] b1,
      double f2,
      double[] b2,
      double f3,
      double[] b3) {
    for (int j = 0; j < to.length; j++) {
      to[j] += f0 * b0[j] + f1 * b1[j] + (f2 * b2[j] + f3 * b3[j]);
    }
  }

  static void addTo(double[] to, double f, double[] b) {
    for (int j = 0; j < to.length; j++) {
      to[j] += f * b[j];
    }
  }

  /** Rows as columns. */
  static double[][] transposed(double[][] a) {
    double[][] t = new double[a[0].length][a.length];
    for (int i = 0; i < a.length; i++) {
      for (int j = 0; j < t.length; j++) {
        t[j][i] = a[i][j];
      }
    }
    return t;
  }

  /** The product of two vectors that are kept as rows. */
  static double dot(double[][] a, double[][] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      double[] p = a[i];
      double[] q = b[i];
      for (int j = 0; j < p.length; j++) {
        sum += p[j] * q[j];
      }
    }
    return sum;
  }

  /**
   * Adds a multiple.
   *
   * @param to changed
   * @param from read
   */
  static void add(double[][] to, double factor, double[][] from) {
    for (int i = 0; i < to.length; i++) {
      addTo(to[i], factor, from[i]);
    }
  }

  /** Multiplies all by a factor. */
  static void scale(double[][] all, double factor) {
    for (double[] row : all) {
      for (int j = 0; j < row.length; j++) {
        row[j] *= factor;
      }
    }
  }

  /** A copy of all rows. */
  static double[][] copy(double[][] a) {
    double[][] all = new double[a.length][];
    Arrays.setAll(all, i -> a[i].clone());
    return all;
  }
}
