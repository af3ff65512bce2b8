package dev.ambershim.core.conduction;

import java.util.function.IntConsumer;

/**
 * Conjugate gradients in double precision, preconditioned by a multigrid cycle in single precision
 * (Saad, <i>Iterative Methods for Sparse Linear Systems</i>, algorithm 9.1).
 */
final class ConjugateGradients {
  private static final int MOST = 300;

  private final Conductances matrix;
  private final Multigrid multigrid;
  private final Team team;
  private final double[][] residual;
  private final double[][] direction;
  private final double[][] product;
  private final double[] sums;
  private final ThreadLocal<double[][]> shifted;
  private int iterations;

  /** For one matrix; {@link #solve} may be called many times. */
  ConjugateGradients(Conductances matrix, Team team) {
    this.matrix = matrix;
    this.team = team;
    multigrid = new Multigrid(matrix, team);
    residual = matrix.field();
    direction = matrix.field();
    product = matrix.field();
    sums = new double[matrix.ny];
    shifted = ThreadLocal.withInitial(() -> new double[2][matrix.nx]);
  }

  /** Iterations of the last solution. */
  int iterations() {
    return iterations;
  }

  /**
   * Solves A·x = right.
   *
   * @param right read
   * @param x the starting field, overwritten by the solution
   * @param tolerance on the residual's length as a share of that of {@code right}
   * @throws java.util.concurrent.CancellationException if the watch says so
   * @throws IllegalStateException if it does not get there
   */
  void solve(double[][] right, double[][] x, double tolerance, SolveWatch watch) {
    double target = tolerance * tolerance * each(row -> dot(right[row], right[row]));
    apply(x);
    double rr = each(row -> subtract(right[row], product[row], residual[row]));
    double first = rr;
    double rz = 0;
    for (iterations = 0; rr > target; iterations++) {
      if (iterations == MOST) {
        throw new IllegalStateException(
            "no solution after " + MOST + " iterations; residual " + Math.sqrt(rr));
      }
      watch.check();
      watch.share(1 - Math.log(rr / target) / Math.log(first / target));
      double scale = Math.sqrt(rr); // keeps single precision within its range
      float[][] wanted = multigrid.wanted();
      each(row -> narrow(residual[row], 1 / scale, wanted[row]));
      float[][] z = multigrid.cycle(team);
      double before = rz;
      rz = each(row -> dot(residual[row], z[row])) * scale;
      double beta = iterations == 0 ? 0 : rz / before;
      each(row -> turn(z[row], scale, beta, direction[row]));
      double alpha = rz / apply(direction);
      rr = each(row -> advance(alpha, direction[row], product[row], x[row], residual[row]));
    }
  }

  private double apply(double[][] field) {
    rows(j -> sums[j] = matrix.applyRow(j, field, product, shifted.get()));
    return sum();
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  private static double dot(double[] a, float[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  private static double subtract(double[] a, double[] b, double[] out) {
    for (int i = 0; i < out.length; i++) {
      out[i] = a[i] - b[i];
    }
    return dot(out, out);
  }

  private static double narrow(double[] from, double factor, float[] to) {
    for (int i = 0; i < to.length; i++) {
      to[i] = (float) (from[i] * factor);
    }
    return 0;
  }

  private static double turn(float[] z, double scale, double beta, double[] direction) {
    for (int i = 0; i < direction.length; i++) {
      direction[i] = z[i] * scale + beta * direction[i];
    }
    return 0;
  }

  private static double advance(
      double alpha, double[] direction, double[] product, double[] x, double[] residual) {
    for (int i = 0; i < x.length; i++) {
      x[i] += alpha * direction[i];
    }
    for (int i = 0; i < x.length; i++) {
      residual[i] -= alpha * product[i];
    }
    return dot(residual, residual);
  }

  /** Works on one row and returns its share of a sum. */
  private interface Row {
    double at(int row);
  }

  private double each(Row work) {
    rows(
        j -> {
          double sum = 0;
          for (int row = j * matrix.nz; row < (j + 1) * matrix.nz; row++) {
            sum += work.at(row);
          }
          sums[j] = sum;
        });
    return sum();
  }

  private void rows(IntConsumer work) {
    team.each(matrix.ny, matrix.cells(), work);
  }

  /** Row by row, so that it does not depend on the number of threads. */
  private double sum() {
    double sum = 0;
    for (double s : sums) {
      sum += s;
    }
    return sum;
  }
}
