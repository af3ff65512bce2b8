package dev.ambershim.core.runs.series;

import dev.ambershim.core.base.SeededDraws;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.random.RandomDataGenerator;

/**
 * The chance of each candidate to be the coolest: draws of all means together from the multivariate
 * t distribution that least squares leave under a flat prior (Gelman et al., <i>Bayesian Data
 * Analysis</i>, section 14.2). The same figures give the same chances.
 */
final class Chances {
  private static final int DRAWS = 20_000;
  private static final int DRAWS_AHEAD = 1500;
  private static final long SEED = 20_261;

  /** Nodes and weights of a standard normal, Gauss and Hermite with five points. */
  private static final double[][] HERMITE = {
    {-2.856970013872806, 0.011257411327720688},
    {-1.355626179974266, 0.2220759220056126},
    {0, 0.5333333333333333},
    {1.355626179974266, 0.2220759220056126},
    {2.856970013872806, 0.011257411327720688}
  };

  private Chances() {}

  /**
   * Each candidate's chance.
   *
   * @param means K
   * @param covariance of the means, in units of the variance of one mount
   * @param scatter standard deviation of one mount, K
   * @param freedom of that
   */
  static double[] of(double[] means, double[][] covariance, double scatter, double freedom) {
    return of(means, covariance, scatter, freedom, DRAWS);
  }

  private static double[] of(
      double[] means, double[][] covariance, double scatter, double freedom, int draws) {
    int count = means.length;
    RandomDataGenerator random = SeededDraws.of(SEED);
    RealMatrix root = root(covariance);
    double[] best = new double[count];
    for (int d = 0; d < draws; d++) {
      double sigma = scatter * Math.sqrt(freedom / random.nextGamma(freedom / 2, 2));
      double[] z = new double[count];
      for (int i = 0; i < count; i++) {
        z[i] = random.nextNormal(0, 1);
      }
      double[] off = root.operate(z);
      int coolest = 0;
      for (int i = 1; i < count; i++) {
        if (means[i] + sigma * off[i] < means[coolest] + sigma * off[coolest]) {
          coolest = i;
        }
      }
      best[coolest]++;
    }
    for (int i = 0; i < count; i++) {
      best[i] /= draws;
    }
    return best;
  }

  private static RealMatrix root(double[][] covariance) {
    RealMatrix all = new Array2DRowRealMatrix(covariance);
    for (int i = 0; i < covariance.length; i++) {
      // What is known exactly has no root; so little more is no doubt.
      all.addToEntry(i, i, 1e-12);
    }
    return new CholeskyDecomposition(all, 1e-9, 1e-14).getL();
  }

  /**
   * The candidate whose next mount raises the chance of picking the coolest by most, in the mean of
   * what it may show (knowledge gradient: Frazier, Powell &amp; Dayanik 2009).
   *
   * @param among candidates that may be mounted, by index
   * @return an index out of these
   */
  static int next(
      double[] means, double[][] covariance, double scatter, double freedom, int[] among) {
    int best = among[0];
    double most = -1;
    for (int c : among) {
      double spread = Math.sqrt(covariance[c][c] + 1);
      double[] moves = new double[means.length];
      double[][] after = new double[means.length][means.length];
      for (int i = 0; i < means.length; i++) {
        moves[i] = covariance[i][c] / spread;
      }
      for (int i = 0; i < means.length; i++) {
        for (int j = 0; j < means.length; j++) {
          after[i][j] = covariance[i][j] - moves[i] * moves[j];
        }
      }
      double chance = 0;
      for (double[] node : HERMITE) {
        double[] shown = means.clone();
        for (int i = 0; i < means.length; i++) {
          shown[i] += scatter * moves[i] * node[0];
        }
        double[] then = of(shown, after, scatter, freedom, DRAWS_AHEAD);
        double picked = 0;
        for (double t : then) {
          picked = Math.max(picked, t);
        }
        chance += node[1] * picked;
      }
      if (chance > most) {
        most = chance;
        best = c;
      }
    }
    return best;
  }
}
