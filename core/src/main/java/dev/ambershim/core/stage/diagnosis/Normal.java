package dev.ambershim.core.stage.diagnosis;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;

/**
 * Bayes' rule for straight lines with normal errors: the normal equations of some rows, whatever
 * the prior (Gelman et al., <i>Bayesian Data Analysis</i>, 14.8).
 */
final class Normal {
  private final double[][] squares;
  private final double[] sides;
  private double misfit;
  private double logSigmas;
  private int rows;

  Normal(int unknowns) {
    squares = new double[unknowns][unknowns];
    sides = new double[unknowns];
  }

  /** Adds rows. */
  void add(List<Straight.Row> more) {
    for (Straight.Row row : more) {
      double weight = 1 / (row.sigma() * row.sigma());
      double off = row.read() - row.expected();
      double[] slopes = row.slopes();
      for (int i = 0; i < slopes.length; i++) {
        if (slopes[i] != 0) {
          double w = weight * slopes[i];
          sides[i] += w * off;
          double[] to = squares[i];
          for (int j = 0; j <= i; j++) {
            to[j] += w * slopes[j];
          }
        }
      }
      misfit += weight * off * off;
      logSigmas += Math.log(row.sigma());
      rows++;
    }
  }

  /**
   * What the rows make of a prior.
   *
   * @param logEvidence logarithm of the density of what was read
   * @param likely the unknowns, as they are likeliest
   * @param free which unknowns stray at all
   * @param spread of the prior, by the free ones
   * @param precision the inverse of their covariance, in these spreads
   */
  record Belief(
      double logEvidence,
      double[] likely,
      int[] free,
      double[] spread,
      CholeskyDecomposition precision) {}

  /**
   * The belief after the rows.
   *
   * @param prior likely values
   * @param spread standard deviations; 0 holds an unknown at its likely value
   * @param noise how many times as noisy the rows are
   */
  Belief belief(double[] prior, double[] spread, double noise) {
    int[] free = IntStream.range(0, prior.length).filter(i -> spread[i] > 0).toArray();
    double share = 1 / (noise * noise);
    int n = free.length;
    // About the prior: what is left of the sides once every unknown is at its likely value.
    double[] side = new double[n];
    double rest = misfit;
    double[] moved = times(prior);
    for (int i = 0; i < prior.length; i++) {
      rest += prior[i] * (moved[i] - 2 * sides[i]);
    }
    double[][] a = new double[n][n];
    double logs = 0;
    for (int i = 0; i < n; i++) {
      int at = free[i];
      side[i] = spread[at] * share * (sides[at] - moved[at]);
      for (int j = 0; j <= i; j++) {
        double value = share * spread[at] * spread[free[j]] * squares[at][free[j]];
        a[i][j] = value;
        a[j][i] = value;
      }
      a[i][i] += 1;
    }
    CholeskyDecomposition split =
        new CholeskyDecomposition(new Array2DRowRealMatrix(a, false), 1e-6, 0);
    double[][] lower = split.getL().getData();
    double[] found = split.getSolver().solve(new ArrayRealVector(side, false)).toArray();
    double gain = 0;
    for (int i = 0; i < n; i++) {
      gain += found[i] * side[i];
      logs += Math.log(lower[i][i]);
    }
    double[] likely = prior.clone();
    for (int i = 0; i < n; i++) {
      likely[free[i]] += spread[free[i]] * found[i];
    }
    double log =
        -0.5 * (share * rest - gain)
            - logs
            - logSigmas
            - rows * Math.log(noise)
            - rows * 0.5 * Math.log(2 * Math.PI);
    return new Belief(
        log, likely, free, Arrays.stream(free).mapToDouble(i -> spread[i]).toArray(), split);
  }

  private double[] times(double[] x) {
    double[] all = new double[x.length];
    for (int i = 0; i < x.length; i++) {
      for (int j = 0; j <= i; j++) {
        all[i] += squares[i][j] * x[j];
        if (j < i) {
          all[j] += squares[i][j] * x[i];
        }
      }
    }
    return all;
  }
}
