package dev.ambershim.core.runs.series;

import dev.ambershim.core.base.GaussLegendre;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.analysis.solvers.UnivariateSolverUtils;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.special.Gamma;

/**
 * What several comparisons with one estimated standard error have in common: their joint chance is
 * that for a known standard error, integrated over its chi distribution by Gauss and Legendre.
 */
final class StandardError {
  private static final NormalDistribution NORMAL = new NormalDistribution();
  private static final int POINTS = 48;

  /** Beyond so many standard deviations nothing is left. */
  private static final double FAR = 8;

  /** From so many degrees of freedom the standard error is as good as known. */
  private static final double KNOWN = 5000;

  private static final double MOST = 2000;

  /** Places of a table, and how far they lie apart, in standard errors. */
  private static final int PLACES = 161;

  private static final double APART = 0.1;

  private StandardError() {}

  /**
   * The chance of at most a figure.
   *
   * @param figure in standard errors
   * @param freedom of the standard error, above 0
   * @param known the chance where the standard error is known
   */
  static double cumulative(double figure, double freedom, DoubleUnaryOperator known) {
    if (!(figure > 0)) {
      return 0;
    }
    if (freedom > KNOWN) {
      return known.applyAsDouble(figure);
    }
    double spread = FAR / Math.sqrt(2 * freedom);
    double logScale =
        Math.log(2) + freedom / 2 * Math.log(freedom / 2) - Gamma.logGamma(freedom / 2);
    double sum =
        GaussLegendre.of(POINTS, Math.max(0, 1 - spread), 1 + spread)
            .integrate(
                s ->
                    Math.exp(logScale + (freedom - 1) * Math.log(s) - freedom * s * s / 2)
                        * known.applyAsDouble(figure * s));
    return Math.min(1, sum);
  }

  /** The mean of a function of a standard normal figure. */
  static double overNormal(DoubleUnaryOperator function) {
    return GaussLegendre.of(POINTS, -FAR, FAR)
        .integrate(z -> NORMAL.density(z) * function.applyAsDouble(z));
  }

  /**
   * The figure that is not passed with a chance.
   *
   * @param freedom of the standard error, above 0
   * @param quick the chance where the standard error is known, from a table: some ten thousand
   *     figures are asked for
   */
  static double quantile(double chance, double freedom, DoubleUnaryOperator quick) {
    DoubleUnaryOperator off = q -> cumulative(q, freedom, quick) - chance;
    double[] ends = UnivariateSolverUtils.bracket(off::applyAsDouble, 3, 0, MOST, 1, 1.3, 60);
    return new BracketingNthOrderBrentSolver(1e-6, 1e-8, 5)
        .solve(200, off::applyAsDouble, ends[0], ends[1]);
  }

  /** A smooth function through places a tenth apart (cubic splines), each of them an integral. */
  static DoubleUnaryOperator tabled(DoubleUnaryOperator known) {
    double[] x = new double[PLACES];
    double[] y = new double[PLACES];
    for (int i = 0; i < PLACES; i++) {
      x[i] = i * APART;
      y[i] = known.applyAsDouble(x[i]);
    }
    PolynomialSplineFunction through = new SplineInterpolator().interpolate(x, y);
    return q -> through.isValidPoint(q) ? through.value(q) : known.applyAsDouble(q);
  }
}
