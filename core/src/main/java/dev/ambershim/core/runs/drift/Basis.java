package dev.ambershim.core.runs.drift;

import java.util.ArrayList;
import java.util.List;

/**
 * What a model explains, as an orthonormal basis by modified Gram–Schmidt, made twice as clean by a
 * second pass (Golub &amp; Van Loan, <i>Matrix Computations</i>, 5.2).
 */
final class Basis {
  /** A column of which less than this is left is explained already. */
  private static final double NOTHING = 1e-7;

  private final List<double[]> directions;

  Basis() {
    directions = new ArrayList<>();
  }

  private Basis(List<double[]> directions) {
    this.directions = new ArrayList<>(directions);
  }

  /** The same with one more column. */
  Basis with(double[] column) {
    Basis more = new Basis(directions);
    more.add(column);
    return more;
  }

  /** Adds a column, unless it is explained already. */
  void add(double[] column) {
    double[] unit = direction(column);
    if (unit.length > 0) {
      directions.add(unit);
    }
  }

  /** How many independent columns it has. */
  int size() {
    return directions.size();
  }

  /** What of a column is left; read only. */
  double[] without(double[] column) {
    double[] left = column.clone();
    for (int pass = 0; pass < 2; pass++) {
      for (double[] q : directions) {
        double dot = dot(q, left);
        for (int i = 0; i < left.length; i++) {
          left[i] -= dot * q[i];
        }
      }
    }
    return left;
  }

  /** What of a column is left, of length one; no elements where nothing is left. */
  double[] direction(double[] column) {
    double[] left = without(column);
    double length = Math.sqrt(dot(left, left));
    if (!(length > NOTHING * Math.sqrt(dot(column, column)))) {
      return new double[0];
    }
    for (int i = 0; i < left.length; i++) {
      left[i] /= length;
    }
    return left;
  }

  static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }
}
