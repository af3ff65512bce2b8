package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.build.Response;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * What readings tell of the unknowns. Bayes' rule: the most likely point is found by damped
 * Gauss–Newton steps, the curvature there gives a normal approximation (Gelman et al., <i>Bayesian
 * Data Analysis</i>, 13.3), and {@link Posterior} draws from the true posterior. The same readings
 * give the same draws.
 */
public final class Calibration {
  /** How many draws carry a forecast. */
  static final int DRAWS = 1024;

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
  private final double worstMisfit;

  private Calibration(
      double[] likely, RealMatrix covariance, double[][] draws, double worstMisfit) {
    this.likely = likely;
    this.covariance = covariance;
    this.draws = draws;
    this.worstMisfit = worstMisfit;
  }

  /** The data of readings for a response. */
  static List<Datum> data(Response now, Unknowns unknowns, List<Reading> readings) {
    List<Datum> data = new ArrayList<>();
    for (Reading r : readings) {
      long together = readings.stream().filter(o -> o.mount().equals(r.mount())).count();
      data.add(
          new Datum(
              "cores",
              z ->
                  unknowns.riseKelvin(
                          now, unknowns.now(z), z, r.watts() * unknowns.heat(z), r.roomCelsius())
                      + unknowns.liftKelvin(z)
                      + unknowns.sensorsKelvin(z),
              r.coreCelsius() - r.roomCelsius(),
              cores(together)));
      if (r.coolantCelsius() != null && now.situation().cooler().kind().coolantShare() > 0) {
        data.add(coolant(unknowns, r.watts(), r.coolantCelsius() - r.roomCelsius()));
      }
      if (r.lidCelsius() != null && now.situation().build().lidOn()) {
        data.add(lid(now, unknowns, r.watts(), r.roomCelsius(), r.lidCelsius() - r.roomCelsius()));
      }
    }
    return data;
  }

  static Datum coolant(Unknowns unknowns, double watts, double observed) {
    return new Datum(
        "coolant", z -> unknowns.coolantKelvin(z, watts), observed, PriorTable.COOLANT.sigma());
  }

  /**
   * Standard error of a rise. Readings of one mount share what the mount did, so each of them
   * counts for its part of it.
   */
  static double cores(long ofOneMount) {
    return Math.hypot(
        PriorTable.WITHIN.sigma(), PriorTable.PLATEAU.sigma() * Math.sqrt((double) ofOneMount));
  }

  static Datum lid(Response now, Unknowns unknowns, double watts, double room, double observed) {
    return new Datum(
        "lid",
        z ->
            watts
                    * unknowns.heat(z)
                    * now.lidKelvinPerWatt(
                        Unknowns.warmed(now, unknowns.now(z), watts * unknowns.heat(z), room))
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
    return of(data, Runnable::run);
  }

  /** The same with help; what comes out does not hang on it. */
  static Calibration of(List<Datum> data, Executor helpers) {
    int[] all = IntStream.range(0, Unknowns.NOW).toArray();
    double[] likely = peak(new double[Unknowns.ALL], data, all);
    RealMatrix covariance = covariance(likely, data, all);
    return new Calibration(
        likely, covariance, Posterior.draws(data, likely, DRAWS, helpers), worstMisfit(data));
  }

  /**
   * The same with a part of its draws from other calibrations.
   *
   * @param share of this one
   * @param others calibrations under other assumptions
   * @param shares of these
   */
  Calibration mixed(double share, List<Calibration> others, List<Double> shares) {
    double all = share + shares.stream().mapToDouble(s -> s).sum();
    double[][] mixed = draws.clone();
    int at = (int) Math.round(share / all * mixed.length);
    for (int o = 0; o < others.size(); o++) {
      boolean last = o == others.size() - 1;
      int to =
          last
              ? mixed.length
              : Math.min(mixed.length, at + (int) Math.round(shares.get(o) / all * mixed.length));
      while (at < to) {
        mixed[at] = others.get(o).draws[at];
        at++;
      }
    }
    return new Calibration(likely, covariance, mixed, worstMisfit);
  }

  /**
   * The most likely unknowns by damped Gauss–Newton steps.
   *
   * @param from where to begin; read only
   * @param free places of the unknowns that may move; the others stay
   */
  static double[] peak(double[] from, List<Datum> data, int[] free) {
    double[] z = from.clone();
    double objective = objective(z, data);
    for (int step = 0; step < 30 && !data.isEmpty(); step++) {
      double[][] jacobian = jacobian(z, data, free);
      double[] residual = residuals(z, data);
      double[] right = new double[free.length];
      for (int i = 0; i < free.length; i++) {
        right[i] = -z[free[i]];
        for (int d = 0; d < residual.length; d++) {
          right[i] -= jacobian[d][i] * residual[d];
        }
      }
      double[] move =
          new CholeskyDecomposition(normal(jacobian, free.length))
              .getSolver()
              .solve(new ArrayRealVector(right, false))
              .toArray();
      double length = 1;
      double[] next = z;
      double there = Double.POSITIVE_INFINITY;
      while (length > 1e-4) {
        next = z.clone();
        for (int i = 0; i < free.length; i++) {
          next[free[i]] += length * move[i];
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
    return z;
  }

  /** Covariance of the free unknowns about a peak, in their order. */
  static RealMatrix covariance(double[] peak, List<Datum> data, int[] free) {
    return new CholeskyDecomposition(normal(jacobian(peak, data, free), free.length))
        .getSolver()
        .getInverse();
  }

  /** How many of its own standard deviations a reading lies from what the prior foretells. */
  private static double worstMisfit(List<Datum> data) {
    double[] zero = new double[Unknowns.ALL];
    double[][] jacobian = jacobian(zero, data, IntStream.range(0, Unknowns.NOW).toArray());
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

  /** Minus the logarithm of the posterior, but for a constant. */
  static double objective(double[] z, List<Datum> data) {
    double sum = 0;
    for (int i = 0; i < Unknowns.NOW; i++) {
      sum += z[i] * z[i] / 2;
    }
    for (double r : residuals(z, data)) {
      sum += r * r / 2;
    }
    return sum;
  }

  /** How far each datum lies from the model, in its own standard deviations. */
  static double[] residuals(double[] z, List<Datum> data) {
    double[] all = new double[data.size()];
    for (int d = 0; d < all.length; d++) {
      Datum datum = data.get(d);
      all[d] = (datum.model().applyAsDouble(z) - datum.observed()) / datum.sigma();
    }
    return all;
  }

  /** Slopes of the scaled residuals by the free unknowns. */
  private static double[][] jacobian(double[] z, List<Datum> data, int[] free) {
    double[][] all = new double[data.size()][];
    for (int d = 0; d < all.length; d++) {
      all[d] = slope(data.get(d).model(), z, free);
      for (int i = 0; i < all[d].length; i++) {
        all[d][i] /= data.get(d).sigma();
      }
    }
    return all;
  }

  /** Slopes of a function of the unknowns, by central differences. */
  static double[] slope(ToDoubleFunction<double[]> model, double[] z, int count) {
    return slope(model, z, IntStream.range(0, count).toArray());
  }

  private static double[] slope(ToDoubleFunction<double[]> model, double[] z, int[] along) {
    double step = 1e-4;
    double[] slope = new double[along.length];
    double[] moved = z.clone();
    for (int i = 0; i < along.length; i++) {
      moved[along[i]] = z[along[i]] + step;
      double up = model.applyAsDouble(moved);
      moved[along[i]] = z[along[i]] - step;
      slope[i] = (up - model.applyAsDouble(moved)) / (2 * step);
      moved[along[i]] = z[along[i]];
    }
    return slope;
  }

  /** Curvature of the objective: the prior's unit matrix and the data's squares. */
  private static RealMatrix normal(double[][] jacobian, int n) {
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

  /**
   * How far the worst reading lies from what the table foretells, in standard deviations of that
   * foretelling. Beyond three, chip, cooler or reading are not what they are taken for.
   */
  public double worstMisfit() {
    return worstMisfit;
  }
}
