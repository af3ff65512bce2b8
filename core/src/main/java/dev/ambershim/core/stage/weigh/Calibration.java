package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.build.Response;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.random.SobolSequenceGenerator;

/**
 * What readings tell of the unknowns. Bayes' rule: the most likely point is found by damped
 * Gauss–Newton steps, the curvature there gives a normal approximation, and draws from it are
 * weighted by the true posterior and resampled (importance resampling; Gelman et al., <i>Bayesian
 * Data Analysis</i>, 10.4 and 13.3). With a linear model the approximation is exact. Draws come
 * from a Sobol sequence, so the same readings give the same draws.
 */
public final class Calibration {
  /** How many draws carry a forecast. */
  static final int DRAWS = 1024;

  private static final int TRIED = 4 * DRAWS;

  /** Draws reach a little further than the approximation, so that weights stay bounded. */
  private static final double WIDER = 1.2;

  private static final NormalDistribution NORMAL = new NormalDistribution();

  /**
   * Something observed.
   *
   * @param what in words
   * @param model what it would be for given unknowns
   * @param observed what it was
   * @param sigma standard error
   */
  record Datum(String what, ToDoubleFunction<double[]> model, double observed, double sigma) {}

  private final double[] likely;
  private final RealMatrix covariance;
  private final double[][] draws;
  private final double effectiveDraws;
  private final double worstMisfit;

  private Calibration(
      double[] likely,
      RealMatrix covariance,
      double[][] draws,
      double effectiveDraws,
      double worstMisfit) {
    this.likely = likely;
    this.covariance = covariance;
    this.draws = draws;
    this.effectiveDraws = effectiveDraws;
    this.worstMisfit = worstMisfit;
  }

  /** The data of readings for a response. */
  static List<Datum> data(Response now, Unknowns unknowns, List<Reading> readings) {
    List<Datum> data = new ArrayList<>();
    for (Reading r : readings) {
      data.add(
          new Datum(
              "cores",
              z ->
                  r.watts() * unknowns.heat(z) * now.meanKelvinPerWatt(unknowns.now(z))
                      + unknowns.liftKelvin(z)
                      + unknowns.sensorsKelvin(z),
              r.coreCelsius() - r.roomCelsius(),
              PriorTable.PLATEAU.sigma()));
      if (r.coolantCelsius() != null && now.situation().cooler().kind().coolantShare() > 0) {
        data.add(coolant(unknowns, r.watts(), r.coolantCelsius() - r.roomCelsius()));
      }
      if (r.lidCelsius() != null && now.situation().build().lidOn()) {
        data.add(lid(now, unknowns, r.watts(), r.lidCelsius() - r.roomCelsius()));
      }
    }
    return data;
  }

  static Datum coolant(Unknowns unknowns, double watts, double observed) {
    return new Datum(
        "coolant", z -> unknowns.coolantKelvin(z, watts), observed, PriorTable.COOLANT.sigma());
  }

  static Datum lid(Response now, Unknowns unknowns, double watts, double observed) {
    return new Datum(
        "lid",
        z ->
            watts * unknowns.heat(z) * now.lidKelvinPerWatt(unknowns.now(z))
                + unknowns.liftKelvin(z),
        observed,
        PriorTable.LID.sigma());
  }

  /**
   * Updates the unknowns.
   *
   * @param data what was observed; none leaves the prior
   */
  static Calibration of(List<Datum> data) {
    int n = Unknowns.NOW;
    double[] z = new double[Unknowns.ALL];
    double objective = objective(z, data);
    for (int step = 0; step < 30 && !data.isEmpty(); step++) {
      double[][] jacobian = jacobian(z, data);
      double[] residual = residuals(z, data);
      RealMatrix normal = normal(jacobian);
      double[] right = new double[n];
      for (int i = 0; i < n; i++) {
        right[i] = -z[i];
        for (int d = 0; d < residual.length; d++) {
          right[i] -= jacobian[d][i] * residual[d];
        }
      }
      double[] move =
          new CholeskyDecomposition(normal)
              .getSolver()
              .solve(new org.hipparchus.linear.ArrayRealVector(right, false))
              .toArray();
      double length = 1;
      double[] next = z;
      double there = Double.POSITIVE_INFINITY;
      while (length > 1e-4) {
        next = z.clone();
        for (int i = 0; i < n; i++) {
          next[i] += length * move[i];
        }
        there = objective(next, data);
        if (there <= objective) {
          break;
        }
        length /= 2;
      }
      if (!(there < objective)) {
        break;
      }
      boolean settled = objective - there < 1e-10 * (1 + objective);
      z = next;
      objective = there;
      if (settled) {
        break;
      }
    }
    RealMatrix covariance =
        new CholeskyDecomposition(normal(jacobian(z, data))).getSolver().getInverse();
    double worst = worstMisfit(data);
    return sampled(z, covariance, data, worst);
  }

  /** How many of its own standard deviations a reading lies from what the prior foretells. */
  private static double worstMisfit(List<Datum> data) {
    double[] zero = new double[Unknowns.ALL];
    double[][] jacobian = jacobian(zero, data);
    double[] residual = residuals(zero, data);
    double worst = 0;
    for (int d = 0; d < residual.length; d++) {
      double spread = 1;
      for (double j : jacobian[d]) {
        spread += j * j;
      }
      worst = Math.max(worst, Math.abs(residual[d]) / Math.sqrt(spread));
    }
    return worst;
  }

  private static Calibration sampled(
      double[] z, RealMatrix covariance, List<Datum> data, double worst) {
    int n = Unknowns.NOW;
    RealMatrix root = new CholeskyDecomposition(covariance, 1e-10, 1e-12).getL();
    boolean prior = data.isEmpty();
    double wide = prior ? 1 : WIDER;
    SobolSequenceGenerator sobol = new SobolSequenceGenerator(Unknowns.ALL);
    sobol.skipTo(1); // the first point is the corner 0
    double[][] tried = new double[prior ? DRAWS : TRIED][Unknowns.ALL];
    double[] logWeight = new double[tried.length];
    double highest = Double.NEGATIVE_INFINITY;
    for (int t = 0; t < tried.length; t++) {
      double[] u = sobol.nextVector();
      double[] normal = new double[u.length];
      double square = 0;
      for (int i = 0; i < u.length; i++) {
        normal[i] = NORMAL.inverseCumulativeProbability(u[i]);
        square += i < n ? normal[i] * normal[i] : 0;
      }
      for (int i = 0; i < u.length; i++) {
        tried[t][i] = i < n ? z[i] : normal[i];
        for (int j = 0; i < n && j <= i; j++) {
          tried[t][i] += wide * root.getEntry(i, j) * normal[j];
        }
      }
      logWeight[t] = prior ? 0 : square / 2 - objective(tried[t], data);
      highest = Math.max(highest, logWeight[t]);
    }
    double[] weight = new double[tried.length];
    double sum = 0;
    double squares = 0;
    for (int t = 0; t < weight.length; t++) {
      weight[t] = Math.exp(logWeight[t] - highest);
      sum += weight[t];
      squares += weight[t] * weight[t];
    }
    double[][] draws = new double[DRAWS][];
    double passed = weight[0];
    int at = 0;
    for (int i = 0; i < DRAWS; i++) {
      double aim = (i + 0.5) / DRAWS * sum;
      while (passed < aim && at < weight.length - 1) {
        passed += weight[++at];
      }
      draws[i] = tried[at];
    }
    return new Calibration(z, covariance, draws, sum * sum / squares, worst);
  }

  private static double objective(double[] z, List<Datum> data) {
    double sum = 0;
    for (int i = 0; i < Unknowns.NOW; i++) {
      sum += z[i] * z[i] / 2;
    }
    for (double r : residuals(z, data)) {
      sum += r * r / 2;
    }
    return sum;
  }

  private static double[] residuals(double[] z, List<Datum> data) {
    double[] all = new double[data.size()];
    for (int d = 0; d < all.length; d++) {
      Datum datum = data.get(d);
      all[d] = (datum.model().applyAsDouble(z) - datum.observed()) / datum.sigma();
    }
    return all;
  }

  /** Slopes of the scaled residuals by the unknowns of now. */
  private static double[][] jacobian(double[] z, List<Datum> data) {
    double[][] all = new double[data.size()][];
    for (int d = 0; d < all.length; d++) {
      all[d] = slope(data.get(d).model(), z, Unknowns.NOW);
      for (int i = 0; i < all[d].length; i++) {
        all[d][i] /= data.get(d).sigma();
      }
    }
    return all;
  }

  /** Slopes of a function of the unknowns, by central differences. */
  static double[] slope(ToDoubleFunction<double[]> model, double[] z, int count) {
    double step = 1e-4;
    double[] slope = new double[count];
    for (int i = 0; i < count; i++) {
      double[] moved = z.clone();
      moved[i] = z[i] + step;
      double up = model.applyAsDouble(moved);
      moved[i] = z[i] - step;
      slope[i] = (up - model.applyAsDouble(moved)) / (2 * step);
    }
    return slope;
  }

  /** Curvature of the objective: the prior's unit matrix and the data's squares. */
  private static RealMatrix normal(double[][] jacobian) {
    int n = Unknowns.NOW;
    RealMatrix all = new Array2DRowRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        double sum = i == j ? 1 : 0;
        for (double[] row : jacobian) {
          sum += row[i] * row[j];
        }
        all.setEntry(i, j, sum);
      }
    }
    return all;
  }

  /** The most likely unknowns. */
  double[] likely() {
    return likely.clone();
  }

  /** Covariance of the first unknowns about their most likely values. */
  double covariance(int i, int j) {
    return covariance.getEntry(i, j);
  }

  /** Equally likely draws of all unknowns. */
  double[][] draws() {
    return draws;
  }

  /** How many independent draws the weighted ones are worth. */
  double effectiveDraws() {
    return effectiveDraws;
  }

  /**
   * How far the worst reading lies from what the table foretells, in standard deviations of that
   * foretelling. Beyond three, chip, cooler or reading are not what they are taken for.
   */
  public double worstMisfit() {
    return worstMisfit;
  }

  /** Variance of a linear combination of the first unknowns. */
  double variance(double[] slope) {
    double sum = 0;
    for (int i = 0; i < Unknowns.NOW; i++) {
      for (int j = 0; j < Unknowns.NOW; j++) {
        sum += slope[i] * slope[j] * covariance.getEntry(i, j);
      }
    }
    return sum;
  }

  /** Covariance of two linear combinations of the first unknowns. */
  double covariance(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < Unknowns.NOW; i++) {
      for (int j = 0; j < Unknowns.NOW; j++) {
        sum += a[i] * b[j] * covariance.getEntry(i, j);
      }
    }
    return sum;
  }
}
