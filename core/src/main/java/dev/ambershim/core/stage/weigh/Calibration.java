package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.build.Response;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.random.SobolSequenceGenerator;

/**
 * What readings tell of the unknowns. Bayes' rule: the most likely point is found by damped
 * Gauss–Newton steps, the curvature there gives a normal approximation (Gelman et al., <i>Bayesian
 * Data Analysis</i>, 13.3), and draws from the true posterior start from it. The same readings give
 * the same draws; without any they are a Sobol sequence.
 */
public final class Calibration {
  /** How many draws carry a forecast. */
  static final int DRAWS = 1024;

  /** Slices before the first draw, and from draw to draw. */
  private static final int WALKED = 800;

  private static final int THINNED = 14;

  /** Slices start from wider than the approximation, so that they reach its longer tails. */
  private static final double FIRST_WIDER = 2;

  private static final double LATER_WIDER = 1.3;

  /** Part of the peak's covariance that stays in the walk's. */
  private static final double KEPT = 0.1;

  private static final int MOST_TRIES = 60;
  private static final long SEED = 20_260_602L;

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
    return new Calibration(z, covariance, sampled(z, covariance, data), worst);
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

  /**
   * Draws by elliptical slices (Murray, Adams &amp; MacKay 2010, <i>AISTATS</i>; from memory): a
   * point and a fresh draw of the approximation span an ellipse, on which a point as likely as a
   * chance level is looked for. However far the posterior is from the approximation, the draws are
   * its own; the nearer it is, the fewer points are tried.
   */
  private static double[][] sampled(double[] z, RealMatrix covariance, List<Datum> data) {
    int n = Unknowns.NOW;
    SobolSequenceGenerator sobol = new SobolSequenceGenerator(Unknowns.ALL);
    sobol.skipTo(1); // the first point is the corner 0
    SplittableRandom random = new SplittableRandom(SEED);
    Base base = Base.of(z, covariance, data.isEmpty() ? 1 : FIRST_WIDER);
    double[] at = new double[n];
    double[][] draws = new double[DRAWS][];
    if (!data.isEmpty()) {
      // The peak's curvature can be far from the whole; a first walk tells where it lies.
      double[][] walk = new double[WALKED][];
      for (int w = 0; w < WALKED; w++) {
        at = slice(at, base, data, random);
        walk[w] = base.place(at);
      }
      Base whole = Base.about(walk, covariance);
      at = whole.point(walk[WALKED - 1]);
      base = whole;
    }
    for (int d = 0; d < DRAWS; d++) {
      double[] u = sobol.nextVector();
      double[] normal = new double[u.length];
      for (int i = 0; i < u.length; i++) {
        normal[i] = NORMAL.inverseCumulativeProbability(u[i]);
      }
      if (!data.isEmpty()) {
        for (int k = 0; k < THINNED; k++) {
          at = slice(at, base, data, random);
        }
        System.arraycopy(at, 0, normal, 0, n);
      }
      draws[d] = base.place(normal);
    }
    return draws;
  }

  /**
   * The normal distribution that slices start from.
   *
   * @param middle where it lies
   * @param root triangular root of its covariance in the unknowns of now
   * @param wide factor on that, so that longer tails are reached
   */
  private record Base(double[] middle, RealMatrix root, double wide) {
    static Base of(double[] middle, RealMatrix covariance, double wide) {
      return new Base(middle, new CholeskyDecomposition(covariance, 1e-8, 1e-12).getL(), wide);
    }

    /** About a walk; a part of another covariance keeps it from falling in. */
    static Base about(double[][] walk, RealMatrix other) {
      int n = Unknowns.NOW;
      double[] mean = new double[Unknowns.ALL];
      for (double[] w : walk) {
        for (int i = 0; i < n; i++) {
          mean[i] += w[i] / walk.length;
        }
      }
      double[][] own = new double[n][n];
      for (double[] w : walk) {
        for (int i = 0; i < n; i++) {
          for (int j = 0; j < n; j++) {
            own[i][j] += (w[i] - mean[i]) * (w[j] - mean[j]) / walk.length;
          }
        }
      }
      RealMatrix mixed =
          new Array2DRowRealMatrix(own, false)
              .scalarMultiply(1 - KEPT)
              .add(other.scalarMultiply(KEPT));
      return Base.of(mean, mixed, LATER_WIDER);
    }

    /** The unknowns at a point; those that are made anew stay as they are. */
    double[] place(double[] normal) {
      double[] place = Arrays.copyOf(normal, Unknowns.ALL);
      for (int i = 0; i < Unknowns.NOW; i++) {
        place[i] = middle[i];
        for (int j = 0; j <= i; j++) {
          place[i] += wide * root.getEntry(i, j) * normal[j];
        }
      }
      return place;
    }

    /** The point of a place. */
    double[] point(double[] place) {
      double[] normal = new double[Unknowns.NOW];
      for (int i = 0; i < normal.length; i++) {
        double rest = place[i] - middle[i];
        for (int j = 0; j < i; j++) {
          rest -= wide * root.getEntry(i, j) * normal[j];
        }
        normal[i] = rest / (wide * root.getEntry(i, i));
      }
      return normal;
    }
  }

  /** Logarithm of the posterior over the approximation. */
  private static double over(double[] normal, Base base, List<Datum> data) {
    double square = 0;
    for (double v : normal) {
      square += v * v;
    }
    return square / 2 - objective(base.place(normal), data);
  }

  private static double[] slice(double[] at, Base base, List<Datum> data, SplittableRandom random) {
    double[] other = new double[at.length];
    for (int i = 0; i < other.length; i++) {
      other[i] = random.nextGaussian();
    }
    double level = over(at, base, data) + Math.log(1 - random.nextDouble());
    double angle = 2 * Math.PI * random.nextDouble();
    double low = angle - 2 * Math.PI;
    double high = angle;
    for (int tries = 0; tries < MOST_TRIES; tries++) {
      double[] next = new double[at.length];
      for (int i = 0; i < next.length; i++) {
        next[i] = at[i] * Math.cos(angle) + other[i] * Math.sin(angle);
      }
      if (over(next, base, data) >= level) {
        return next;
      }
      if (angle < 0) {
        low = angle;
      } else {
        high = angle;
      }
      angle = low + (high - low) * random.nextDouble();
    }
    return at;
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

  /**
   * How far the worst reading lies from what the table foretells, in standard deviations of that
   * foretelling. Beyond three, chip, cooler or reading are not what they are taken for.
   */
  public double worstMisfit() {
    return worstMisfit;
  }
}
