package dev.ambershim.core.conduction;

import java.util.function.IntConsumer;

/**
 * Iterative refinement: the residual is formed in double precision, its correction is found by
 * conjugate gradients in single precision, preconditioned by a multigrid cycle, until double
 * precision has what it wants (Saad, <i>Iterative Methods for Sparse Linear Systems</i>, algorithm
 * 9.1; Higham, <i>Accuracy and Stability of Numerical Algorithms</i>, chapter 12). Single precision
 * halves what has to come from memory, which is what the solution waits for.
 */
final class ConjugateGradients {
  private static final int MOST = 400;

  /** Rounding may leave a residual of at most three times the wanted one. */
  private static final double ROUNDING = 9;

  /** How far one correction goes at most; single precision carries about six digits. */
  private static final double CORRECTION = 1e-4;

  /** How far it goes where that takes few steps: then nothing is lost by starting afresh. */
  private static final double QUICK = 1e-2;

  private static final int FEW = 3;

  private final Conductances matrix;
  private final Multigrid multigrid;
  private final MultigridLevel finest;
  private final Team team;
  private final float[][] correction;
  private final float[][] direction;
  private final double[] sums;
  private final ThreadLocal<double[][]> scratch;
  private final ThreadLocal<float[]> places32;
  private int iterations;

  /** For one matrix; {@link #solve} may be called many times. */
  ConjugateGradients(Conductances matrix, Team team) {
    this.matrix = matrix;
    this.team = team;
    multigrid = new Multigrid(matrix, team);
    finest = multigrid.finest();
    correction = new float[matrix.ny * matrix.nz][matrix.nx];
    direction = new float[matrix.ny * matrix.nz][matrix.nx];
    sums = new double[matrix.ny];
    places32 = ThreadLocal.withInitial(() -> new float[matrix.nx]);
    scratch = ThreadLocal.withInitial(() -> new double[3][matrix.nx]);
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
   * @throws IllegalStateException if it does not get there, to within a factor of three for
   *     rounding
   */
  void solve(double[][] right, double[][] x, double tolerance, SolveWatch watch) {
    iterations = 0;
    double whole = each(row -> dot(right[row], right[row]));
    double target = tolerance * tolerance * whole;
    double first = 0;
    double last = Double.POSITIVE_INFINITY;
    // Of about the length one, so that single precision has room above and below.
    double scale = Math.sqrt(whole);
    while (whole > 0) {
      double rr = residual(right, x, 1 / scale);
      if (rr <= target || (rr > 0.25 * last && rr <= target * ROUNDING)) {
        return; // there, or what is left is the rounding of double precision
      }
      last = rr;
      first = Math.max(first, rr);
      correct(rr / scale / scale, target / scale / scale, first / scale / scale, watch);
      double factor = scale;
      each(row -> addTimes(factor, correction[row], x[row]));
      scale = Math.max(Math.sqrt(target), Math.sqrt(rr) * CORRECTION);
    }
    each(
        row -> {
          java.util.Arrays.fill(x[row], 0);
          return 0;
        });
  }

  /** Sets the finest grid's right-hand side; returns the squared length of the true residual. */
  private double residual(double[][] right, double[][] x, double factor) {
    float[][] wanted = finest.wanted;
    rows(j -> sums[j] = matrix.residualRow(j, right, x, factor, wanted, scratch.get()));
    return sum();
  }

  /** Finds the correction for the residual that stands in the finest grid. */
  private void correct(double start, double target, double first, SolveWatch watch) {
    float[][] r = finest.wanted;
    int last = iterations;
    double rz = 0;
    double rr = start;
    float alpha = 0;
    each(
        row -> {
          java.util.Arrays.fill(correction[row], 0);
          java.util.Arrays.fill(direction[row], 0);
          return 0;
        });
    while (rr > Math.max(0.25 * target, enough(iterations - last) * start)) {
      if (iterations == MOST) {
        throw new IllegalStateException(
            "no solution after " + MOST + " iterations; residual " + Math.sqrt(rr / first));
      }
      iterations++;
      watch.check();
      watch.share(1 - Math.log(rr / target) / Math.log(first / target));
      float[][] z = multigrid.cycle(team);
      double before = rz;
      rows(j -> sums[j] = productOfRows(j, r, z));
      rz = sum();
      float beta = before == 0 ? 0 : (float) (rz / before);
      float step = alpha;
      // The step along the old direction is made while the new one is formed: one reading less.
      each(row -> stepAndTurn(step, correction[row], z[row], beta, direction[row]));
      float[][] q = finest.spare();
      rows(
          j -> {
            finest.negativeProductRow(j, direction, q);
            sums[j] = productOfRows(j, direction, q);
          });
      alpha = (float) (-rz / sum());
      float next = alpha;
      rows(
          j -> {
            for (int row = j * matrix.nz; row < (j + 1) * matrix.nz; row++) {
              addTimes(next, q[row], r[row]);
            }
            sums[j] = productOfRows(j, r, r);
          });
      rr = sum();
    }
    float rest = alpha;
    each(row -> addTimes(rest, direction[row], correction[row]));
  }

  /** Squared residual, as a share of that at the start, that ends a correction of so many steps. */
  private static double enough(int steps) {
    return steps <= FEW ? QUICK * QUICK : CORRECTION * CORRECTION;
  }

  /** Four sums at once: one would wait for itself at every step. */
  private static double dot(double[] a, double[] b) {
    double s0 = 0;
    double s1 = 0;
    double s2 = 0;
    double s3 = 0;
    int i = 0;
    for (; i + 3 < a.length; i += 4) {
      s0 += a[i] * b[i];
      s1 += a[i + 1] * b[i + 1];
      s2 += a[i + 2] * b[i + 2];
      s3 += a[i + 3] * b[i + 3];
    }
    for (; i < a.length; i++) {
      s0 += a[i] * b[i];
    }
    return s0 + s1 + (s2 + s3);
  }

  private static double addTimes(double factor, float[] from, double[] to) {
    for (int i = 0; i < to.length; i++) {
      to[i] += factor * from[i];
    }
    return 0;
  }

  private static double stepAndTurn(
      float step, float[] correction, float[] z, float beta, float[] direction) {
    for (int i = 0; i < direction.length; i++) {
      correction[i] += step * direction[i];
    }
    for (int i = 0; i < direction.length; i++) {
      direction[i] = z[i] + beta * direction[i];
    }
    return 0;
  }

  /**
   * The product of two fields over a row of columns: slices are summed first, place by place, since
   * such sums are vector instructions and the sum along a row is not.
   */
  private double productOfRows(int j, float[][] a, float[][] b) {
    float[] places = places32.get();
    java.util.Arrays.fill(places, 0);
    for (int row = j * matrix.nz; row < (j + 1) * matrix.nz; row++) {
      addProduct(a[row], b[row], places);
    }
    double sum = 0;
    for (float p : places) {
      sum += p;
    }
    return sum;
  }

  private static void addProduct(float[] a, float[] b, float[] places) {
    for (int i = 0; i < places.length; i++) {
      places[i] += a[i] * b[i];
    }
  }

  private static double addTimes(float factor, float[] from, float[] to) {
    for (int i = 0; i < to.length; i++) {
      to[i] += factor * from[i];
    }
    return 0;
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
