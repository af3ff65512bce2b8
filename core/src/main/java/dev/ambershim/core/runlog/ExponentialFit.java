package dev.ambershim.core.runlog;

import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
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
    Shape shape = new Shape(t, terms, form);
    double[] start = start(shape, y, weights);
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
                      .target(y)
                      .weight(new DiagonalMatrix(weights))
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
      residuals[i] = y[i] - model[i];
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
  private static double[] start(Shape shape, double[] y, double[] weights) {
    double length = shape.t[shape.t.length - 1] - shape.t[0];
    double step = length / (shape.t.length - 1);
    double[] grid = new double[GRID];
    double low = Math.log(0.3 / length);
    double high = Math.log(3 / Math.min(step, length / 20));
    for (int i = 0; i < GRID; i++) {
      grid[i] = low + (high - low) * i / (GRID - 1);
    }
    double[] best = null;
    double least = Double.POSITIVE_INFINITY;
    int[] pick = new int[shape.terms];
    for (int i = 0; i < shape.terms; i++) {
      pick[i] = i;
    }
    while (pick != null) {
      double[] logRates = new double[shape.terms];
      for (int i = 0; i < shape.terms; i++) {
        logRates[i] = grid[pick[i]];
      }
      double[] linear = new double[shape.first + shape.terms];
      double squares = shape.amplitudes(logRates, y, weights, linear);
      if (squares < least) {
        least = squares;
        best = new double[linear.length + shape.terms];
        System.arraycopy(linear, 0, best, 0, linear.length);
        System.arraycopy(logRates, 0, best, linear.length, shape.terms);
      }
      pick = next(pick);
    }
    return best;
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
    final int terms;
    final Form form;

    /** Place of the first amplitude among the parameters. */
    final int first;

    Shape(double[] t, int terms, Form form) {
      this.t = t;
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
        value[n] = sum;
      }
      return new Pair<>(
          new ArrayRealVector(value, false), new Array2DRowRealMatrix(jacobian, false));
    }

    /** Best amplitudes at given rates; returns the weighted squares left. */
    double amplitudes(double[] logRates, double[] y, double[] weights, double[] into) {
      double[][] rows = new double[t.length][first + terms];
      double[] target = new double[t.length];
      for (int n = 0; n < t.length; n++) {
        double w = Math.sqrt(weights[n]);
        if (first == 1) {
          rows[n][0] = w;
        }
        for (int i = 0; i < terms; i++) {
          rows[n][first + i] = w * basis(Math.exp(-Math.exp(logRates[i]) * t[n]));
        }
        target[n] = w * y[n];
      }
      RealMatrix matrix = MatrixUtils.createRealMatrix(rows);
      RealVector goal = new ArrayRealVector(target, false);
      try {
        RealVector solution = new QRDecomposition(matrix, 1e-12).getSolver().solve(goal);
        for (int i = 0; i < into.length; i++) {
          into[i] = solution.getEntry(i);
        }
        double left = matrix.operate(solution).subtract(goal).getNorm();
        return left * left;
      } catch (MathRuntimeException e) {
        return Double.POSITIVE_INFINITY;
      }
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
