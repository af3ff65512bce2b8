package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.Arrays;
import java.util.function.IntConsumer;

/**
 * Conjugate gradients in two precisions, preconditioned by a multigrid cycle. Residuals and
 * directions are kept in single precision, which halves what has to come from memory; the solution
 * that the steps add up to is kept in double, so that it is what the residual says. What rounding
 * leaves in the residual is taken out from time to time by forming it anew in double precision,
 * with the direction kept (Saad, <i>Iterative Methods for Sparse Linear Systems</i>, algorithm 9.1;
 * van der Vorst &amp; Ye, <i>Residual replacement strategies for Krylov subspace iterative
 * methods</i>, SIAM J. Sci. Comput. 22, 2000).
 */
final class ConjugateGradients {
  private static final int MOST = 400;

  /** Rounding may leave a residual of at most three times the wanted one. */
  private static final double ROUNDING = 9;

  /**
   * Residual, as a share of that in double precision at last, at which that is formed again; single
   * precision carries about six digits.
   */
  private static final double AFRESH = 1e-5;

  private final Conductances matrix;
  private final Multigrid multigrid;
  private final MultigridLevel finest;
  private final Team team;
  private final float[][] direction;

  /** The matrix times the direction. */
  private final float[][] product;

  private final double[] sums;
  private final PerThread<double[][]> scratch;
  private final PerThread<float[]> places32;
  private int iterations;

  /** What a residual of one stands for; and the last product of residual and cycle. */
  private double scale;

  private double rz;

  /** For one matrix; {@link #solve} may be called many times. */
  ConjugateGradients(Conductances matrix, Team team) {
    this.matrix = matrix;
    this.team = team;
    multigrid = new Multigrid(matrix, team);
    finest = multigrid.finest();
    direction = finest.field();
    product = finest.field();
    sums = new double[finest.pairs()];
    places32 = new PerThread<>(team, () -> new float[matrix.nx]);
    scratch = new PerThread<>(team, () -> new double[3][matrix.nx]);
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
   * @throws Problem {@code stack.unsolved} if it does not get there, to within a factor of three
   *     for rounding
   */
  void solve(double[][] right, double[][] x, double tolerance, SolveWatch watch) {
    iterations = 0;
    double whole = 0;
    for (double[] row : right) {
      whole += Conductances.squares(0, matrix.nx, row);
    }
    if (whole == 0) {
      zero(x);
      return;
    }
    double target = tolerance * tolerance * whole;
    double[][] sum = padded(x);
    double rr = isZero(x) ? start(right, whole) : residual(right, x, 1 / Math.sqrt(whole));
    Progress progress = new Progress(rr, target, watch);
    double last = Double.POSITIVE_INFINITY;
    // Residuals are kept of about the length one: single precision has room above and below then.
    scale = Math.sqrt(whole);
    rz = 0;
    // What is left in the end may be the rounding of double precision.
    while (rr > target && (rr <= 0.25 * last || rr > target * ROUNDING)) {
      last = rr;
      double expected = rr;
      turn(sum);
      try {
        expected = descend(sum, rr, Math.max(0.5 * target, AFRESH * AFRESH * rr), progress);
      } finally {
        turn(sum);
      }
      double before = scale;
      scale = Math.sqrt(Math.max(expected, target));
      rr = residual(right, x, 1 / scale);
      // The old direction is of use for as long as both precisions agree.
      rz = rr < 4 * expected ? rz * before / scale : 0;
    }
    if (Double.isNaN(rr)) {
      // No start for a later solution either.
      zero(x);
      throw unsolved("the residual is not a number");
    }
  }

  private static Problem unsolved(String how) {
    return new Problem(
        "stack.unsolved",
        Place.field("layers"),
        "The heat flow of this stack cannot be worked out (" + how + ").",
        "Its layers' resistances lie too far apart; look for a figure in the wrong unit.");
  }

  private static void zero(double[][] x) {
    for (double[] row : x) {
      Arrays.fill(row, 0);
    }
  }

  /** Tells a watch how far the residual has come, and asks it. */
  private record Progress(double first, double target, SolveWatch watch) {
    void at(double rr) {
      watch.check();
      watch.share(1 - Math.log(rr / target) / Math.log(first / target));
    }
  }

  /** The rows of a field and as many of zeros as the multigrid has more. */
  private double[][] padded(double[][] x) {
    double[][] rows = Arrays.copyOf(x, 2 * finest.pairs() * matrix.nz);
    for (int row = x.length; row < rows.length; row++) {
      rows[row] = new double[matrix.nx];
    }
    return rows;
  }

  private void turn(double[][] field) {
    pairs(pair -> Chequer.turn(pair, matrix.nz, field));
  }

  private static boolean isZero(double[][] x) {
    for (double[] row : x) {
      for (double value : row) {
        if (value != 0) {
          return false;
        }
      }
    }
    return true;
  }

  /** The residual of a field of zeros: the right-hand side. */
  private double start(double[][] right, double whole) {
    float[][] wanted = finest.wanted;
    double factor = 1 / Math.sqrt(whole);
    pairs(
        pair -> {
          for (int row = 2 * pair * matrix.nz; row < 2 * (pair + 1) * matrix.nz; row++) {
            if (row < right.length) {
              Conductances.narrow(0, matrix.nx, right[row], factor, wanted[row]);
            } else {
              Arrays.fill(wanted[row], 0);
            }
          }
          Chequer.turn(pair, matrix.nz, wanted);
        });
    return whole;
  }

  /** Sets the finest grid's right-hand side; returns the squared length of the true residual. */
  private double residual(double[][] right, double[][] x, double factor) {
    float[][] wanted = finest.wanted;
    pairs(
        pair -> {
          Chequer.clear(pair, matrix.nz, wanted);
          double squares = 0;
          for (int j = 2 * pair; j < Math.min(matrix.ny, 2 * pair + 2); j++) {
            squares += matrix.residualRow(j, right, x, factor, wanted, scratch.get());
          }
          Chequer.turn(pair, matrix.nz, wanted);
          sums[pair] = squares;
        });
    return sum();
  }

  /**
   * Steps for the residual that stands in the finest grid.
   *
   * @param x turned
   * @param rr squared length of the residual
   * @param enough what ends the steps
   * @return the squared length in the end
   */
  private double descend(double[][] x, double rr, double enough, Progress progress) {
    float[][] r = finest.wanted;
    float[][] z = finest.solution();
    float[][] p = direction;
    float[][] q = product;
    double alpha = 0;
    double unit = scale * scale;
    while (rr > enough) {
      if (iterations == MOST) {
        throw unsolved("after " + MOST + " steps the residual is " + Math.sqrt(rr));
      }
      iterations++;
      progress.at(rr);
      double before = rz;
      multigrid.cycle(team, pair -> sums[pair] = productOfRows(pair, r, z));
      rz = sum();
      float beta = before == 0 ? 0 : (float) (rz / before);
      double step = alpha * scale;
      // The step along the old direction is made while the new one is formed: one reading less.
      team.wave(
          finest.pairs(),
          matrix.cells(),
          pair ->
              finest.rows(
                  pair,
                  (row, from, to) -> {
                    if (step != 0) {
                      addTimes(from, to, step, p[row], x[row]);
                    }
                    turnTo(from, to, z[row], beta, p[row]);
                  }),
          pair -> {
            finest.negativeProduct(pair, p, q);
            sums[pair] = productOfRows(pair, p, q);
          });
      alpha = -rz / sum();
      float next = (float) alpha;
      alpha = next;
      pairs(
          pair -> {
            finest.rows(pair, (row, from, to) -> Rows.addTimes(from, to, next, q[row], r[row]));
            sums[pair] = productOfRows(pair, r, r);
          });
      rr = sum() * unit;
    }
    double rest = alpha * scale;
    pairs(pair -> finest.rows(pair, (row, from, to) -> addTimes(from, to, rest, p[row], x[row])));
    return rr;
  }

  private static void addTimes(int from, int to, double factor, float[] a, double[] sum) {
    for (int i = from; i < to; i++) {
      sum[i] += factor * a[i];
    }
  }

  private static void turnTo(int from, int to, float[] z, float beta, float[] direction) {
    for (int i = from; i < to; i++) {
      direction[i] = z[i] + beta * direction[i];
    }
  }

  /**
   * The product of two fields over a pair of rows of columns: slices are summed first, place by
   * place, since such sums are vector instructions and the sum along a row is not.
   */
  private double productOfRows(int pair, float[][] a, float[][] b) {
    float[] places = places32.get();
    Arrays.fill(places, 0);
    finest.rows(pair, (row, from, to) -> addProduct(from, to, a[row], b[row], places));
    double sum = 0;
    for (float p : places) {
      sum += p;
    }
    return sum;
  }

  private static void addProduct(int from, int to, float[] a, float[] b, float[] places) {
    for (int i = from; i < to; i++) {
      places[i] += a[i] * b[i];
    }
  }

  private void pairs(IntConsumer work) {
    team.each(finest.pairs(), matrix.cells(), work);
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
