package dev.ambershim.core.runs.judging;

import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * A sum of exponentials fitted to a series by weighted least squares: y(t) = c + Σ aᵢ·exp(−rᵢ·t),
 * or y(t) = Σ aᵢ·(1 − exp(−rᵢ·t)). Starting rates come from a search over a coarse grid with the
 * amplitudes solved linearly (variable projection; Golub &amp; Pereyra 1973, <i>SIAM J. Numer.
 * Anal.</i> 10, 413); then all are fitted together by Levenberg–Marquardt (Hipparchus). Checked
 * against the certified values of NIST StRD.
 *
 * @param constant c, or the sum of the amplitudes in the second form
 * @param amplitudes aᵢ, slowest rate last
 * @param rates rᵢ, falling
 * @param covariance of constant (first form only), amplitudes, and logarithms of rates, in this
 *     order; scaled by the residuals
 * @param residualSquares weighted sum of squares that is left
 * @param residuals what is left, in the order of the samples, not weighted
 */
record ExponentialFit(
    double constant,
    double[] amplitudes,
    double[] rates,
    RealMatrix covariance,
    double residualSquares,
    double[] residuals) {
  private static final int GRID = 14;

  /** Which sum is fitted. */
  enum Form {
    /** c + Σ aᵢ·exp(−rᵢ·t). */
    DECAY,
    /** Σ aᵢ·exp(−rᵢ·t). */
    PLAIN_DECAY,
    /** Σ aᵢ·(1 − exp(−rᵢ·t)). */
    RISE
  }

  /**
   * Fits.
   *
   * @param t times, rising
   * @param y values
   * @param weights each value's weight, above 0
   * @param terms count of exponentials, 1 to 3
   * @return null if no such sum can be told from the series
   */
  static ExponentialFit of(double[] t, double[] y, double[] weights, int terms, Form form) {
    Shape shape = new Shape(t, weights, terms, form);
    double[] target = new double[y.length];
    for (int i = 0; i < y.length; i++) {
      target[i] = shape.roots[i] * y[i];
    }
    double[] start = start(shape, target);
    if (start == null) {
      return null;
    }
    try {
      LeastSquaresOptimizer.Optimum optimum =
          new LevenbergMarquardtOptimizer()
              .withCostRelativeTolerance(1e-14)
              .withParameterRelativeTolerance(1e-12)
              .optimize(
                  new LeastSquaresBuilder()
                      .start(start)
                      .model(shape)
                      .target(target)
                      .maxEvaluations(2000)
                      .maxIterations(2000)
                      .build());
      return finish(shape, optimum, y, weights);
    } catch (MathRuntimeException e) {
      return null;
    }
  }

  private static ExponentialFit finish(
      Shape shape, LeastSquaresOptimizer.Optimum optimum, double[] y, double[] weights) {
    double[] p = optimum.getPoint().toArray();
    double[] model = shape.value(optimum.getPoint()).getFirst().toArray();
    double[] residuals = new double[y.length];
    double squares = 0;
    for (int i = 0; i < y.length; i++) {
      residuals[i] = y[i] - model[i] / shape.roots[i];
      squares += weights[i] * residuals[i] * residuals[i];
    }
    RealMatrix covariance =
        optimum.getCovariances(1e-14).scalarMultiply(squares / Math.max(1, y.length - p.length));
    int[] order = shape.fastestFirst(p);
    double[] amplitudes = new double[shape.terms];
    double[] rates = new double[shape.terms];
    int[] places = new int[p.length];
    for (int i = 0; i < shape.first; i++) {
      places[i] = i;
    }
    for (int i = 0; i < shape.terms; i++) {
      places[shape.first + i] = shape.first + order[i];
      places[shape.first + shape.terms + i] = shape.first + shape.terms + order[i];
      amplitudes[i] = p[shape.first + order[i]];
      rates[i] = Math.exp(p[shape.first + shape.terms + order[i]]);
    }
    double sum = 0;
    for (double a : amplitudes) {
      sum += a;
    }
    double constant = shape.first == 1 ? p[0] : shape.form == Form.RISE ? sum : 0;
    return new ExponentialFit(
        constant, amplitudes, rates, covariance.getSubMatrix(places, places), squares, residuals);
  }

  /** Best start on a grid of rates. */
  private static double[] start(Shape shape, double[] target) {
    double length = shape.t[shape.t.length - 1] - shape.t[0];
    double step = length / (shape.t.length - 1);
    double[] grid = new double[GRID];
    double low = Math.log(0.3 / length);
    double high = Math.log(3 / Math.min(step, length / 20));
    for (int i = 0; i < GRID; i++) {
      grid[i] = low + (high - low) * i / (GRID - 1);
    }
    double[][] columns = new double[GRID][];
    for (int i = 0; i < GRID; i++) {
      columns[i] = shape.column(grid[i]);
    }
    double[] best = null;
    double least = Double.POSITIVE_INFINITY;
    int[] pick = new int[shape.terms];
    for (int i = 0; i < shape.terms; i++) {
      pick[i] = i;
    }
    while (pick != null) {
      double[][] chosen = new double[shape.first + shape.terms][];
      if (shape.first == 1) {
        chosen[0] = shape.roots;
      }
      for (int i = 0; i < shape.terms; i++) {
        chosen[shape.first + i] = columns[pick[i]];
      }
      double[] linear = solve(chosen, target);
      double squares = linear == null ? Double.POSITIVE_INFINITY : left(chosen, linear, target);
      if (squares < least) {
        least = squares;
        best = new double[linear.length + shape.terms];
        System.arraycopy(linear, 0, best, 0, linear.length);
        for (int i = 0; i < shape.terms; i++) {
          best[linear.length + i] = grid[pick[i]];
        }
      }
      pick = next(pick);
    }
    return best;
  }

  /** Least squares by normal equations, good enough for a start; null if they are singular. */
  private static double[] solve(double[][] columns, double[] target) {
    int n = columns.length;
    double[][] normal = new double[n][n];
    double[] right = new double[n];
    for (int i = 0; i < n; i++) {
      right[i] = product(columns[i], target);
      for (int j = 0; j <= i; j++) {
        normal[i][j] = product(columns[i], columns[j]);
        normal[j][i] = normal[i][j];
      }
    }
    try {
      return new LUDecomposition(MatrixUtils.createRealMatrix(normal), 1e-14)
          .getSolver()
          .solve(new ArrayRealVector(right, false))
          .toArray();
    } catch (MathRuntimeException e) {
      return null;
    }
  }

  private static double left(double[][] columns, double[] linear, double[] target) {
    double sum = 0;
    for (int k = 0; k < target.length; k++) {
      double r = -target[k];
      for (int i = 0; i < linear.length; i++) {
        r += linear[i] * columns[i][k];
      }
      sum += r * r;
    }
    return sum;
  }

  private static double product(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  /** The next rising choice of grid places, or null after the last. */
  private static int[] next(int[] pick) {
    for (int i = pick.length - 1; i >= 0; i--) {
      if (pick[i] < GRID - (pick.length - i)) {
        int[] result = pick.clone();
        result[i]++;
        for (int j = i + 1; j < pick.length; j++) {
          result[j] = result[j - 1] + 1;
        }
        return result;
      }
    }
    return null;
  }

  /** The sum as a function of constant, amplitudes and logarithms of rates. */
  private static final class Shape implements MultivariateJacobianFunction {
    final double[] t;

    /** Square roots of the weights: rows are multiplied by them. */
    final double[] roots;

    final int terms;
    final Form form;

    /** Place of the first amplitude among the parameters. */
    final int first;

    Shape(double[] t, double[] weights, int terms, Form form) {
      this.t = t;
      roots = new double[t.length];
      for (int i = 0; i < t.length; i++) {
        roots[i] = Math.sqrt(weights[i]);
      }
      this.terms = terms;
      this.form = form;
      first = form == Form.DECAY ? 1 : 0;
    }

    private double basis(double decay) {
      return form == Form.RISE ? 1 - decay : decay;
    }

    @Override
    public Pair<RealVector, RealMatrix> value(RealVector point) {
      double[] value = new double[t.length];
      double[][] jacobian = new double[t.length][point.getDimension()];
      double sign = form == Form.RISE ? 1 : -1;
      for (int n = 0; n < t.length; n++) {
        double sum = 0;
        if (first == 1) {
          sum = point.getEntry(0);
          jacobian[n][0] = 1;
        }
        for (int i = 0; i < terms; i++) {
          double a = point.getEntry(first + i);
          double rate = Math.exp(point.getEntry(first + terms + i));
          double decay = Math.exp(-rate * t[n]);
          sum += a * basis(decay);
          jacobian[n][first + i] = basis(decay);
          jacobian[n][first + terms + i] = sign * a * rate * t[n] * decay;
        }
        value[n] = roots[n] * sum;
        for (int i = 0; i < jacobian[n].length; i++) {
          jacobian[n][i] *= roots[n];
        }
      }
      return new Pair<>(
          new ArrayRealVector(value, false), new Array2DRowRealMatrix(jacobian, false));
    }

    /** The basis at a rate, times the roots of the weights. */
    double[] column(double logRate) {
      double[] column = new double[t.length];
      double rate = Math.exp(logRate);
      for (int n = 0; n < column.length; n++) {
        column[n] = roots[n] * basis(Math.exp(-rate * t[n]));
      }
      return column;
    }

    int[] fastestFirst(double[] p) {
      int[] order = new int[terms];
      for (int i = 0; i < terms; i++) {
        int at = i;
        while (at > 0 && p[first + terms + order[at - 1]] < p[first + terms + i]) {
          order[at] = order[at - 1];
          at--;
        }
        order[at] = i;
      }
      return order;
    }
  }
}
