package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.stage.weigh.Calibration.Datum;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.random.SobolSequenceGenerator;

/**
 * Equally likely draws of the unknowns, given data. The hot place bends the posterior: the smaller
 * it is, the less it matters, and the joints take over what it leaves. So it goes over a grid, and
 * in each of its cells the other unknowns are tried about their own peak (Laplace's approximation
 * on a grid: Tierney & Kadane 1986, <i>JASA</i> 81; Rue et al. 2009, <i>JRSS B</i> 71) with the
 * long tails of Student's distribution. Each trial weighs what the true posterior gives it over
 * what it was tried by, and draws are taken by weight (importance resampling: Gelman et al.,
 * <i>Bayesian Data Analysis</i>, 10.4). Papers from memory.
 *
 * <p>The sensors' common error only adds to a reading. It is left out of the trials and drawn
 * afterwards from its own normal distribution, which makes what is to be met several times as wide.
 */
final class Posterior {
  private static final int TRIED = 6_144;
  private static final long SEED = 20_260_602L;

  /** Cells of the hot place's grid, in its standard deviations. */
  private static final double REACH = 4;

  private static final int CELLS = 20;
  private static final double WIDTH = 2 * REACH / CELLS;

  /** Share of the trials that go by the prior, lest a cell be missed. */
  private static final double BY_PRIOR = 0.1;

  /** Degrees of freedom of the trials' tails. */
  private static final int FREEDOM = 5;

  private static final NormalDistribution NORMAL = new NormalDistribution();

  /** Draws of the prior by a Sobol sequence; made once, as they take as long as a posterior. */
  private static final double[][] PRIORS = priors();

  /** What moves in a cell. */
  private static final int[] FREE =
      IntStream.range(0, Unknowns.NOW).filter(i -> i != Unknowns.HOT_PLACE).toArray();

  /** Of these, what is tried. */
  private static final int[] TRIED_ALONG =
      IntStream.range(0, FREE.length).filter(i -> FREE[i] != Unknowns.SENSORS).toArray();

  /** The same for all; made once, as {@link #PRIORS} are. */
  private static final Noise[] NOISE = noise();

  private final List<Datum> data;

  /** What one unit of the sensors' error does to each datum, in its own standard deviations. */
  private final double[] slope;

  private final double precision;

  private final double[][] tried = new double[TRIED][];
  private final double[] weight = new double[TRIED];

  private Posterior(List<Datum> data, double[] likely, Executor helpers) {
    this.data = data;
    double[] none = new double[Unknowns.ALL];
    double[] one = new double[Unknowns.ALL];
    one[Unknowns.SENSORS] = 1;
    slope = Calibration.residuals(one, data);
    double[] zero = Calibration.residuals(none, data);
    double squares = 1;
    for (int d = 0; d < slope.length; d++) {
      slope[d] -= zero[d];
      squares += slope[d] * slope[d];
    }
    precision = squares;
    tryAll(cells(likely), helpers);
  }

  /**
   * Draws.
   *
   * @param data what was observed; without any the draws are the prior's, by a Sobol sequence
   * @param likely the most likely unknowns; read only
   * @param count how many, {@link Calibration#DRAWS} at most
   * @param helpers work beside the caller; the draws do not hang on them
   */
  static double[][] draws(List<Datum> data, double[] likely, int count, Executor helpers) {
    double[][] draws = priors(count);
    if (data.isEmpty()) {
      return draws;
    }
    Posterior posterior = new Posterior(data, likely, helpers);
    // What is made anew is no part of it: each draw keeps its own.
    int[] picked = posterior.resampled(count);
    for (int d = 0; d < count; d++) {
      double normal = draws[d][Unknowns.SENSORS];
      System.arraycopy(posterior.tried[picked[d]], 0, draws[d], 0, Unknowns.NOW);
      draws[d][Unknowns.SENSORS] = posterior.sensors(draws[d], normal);
    }
    return draws;
  }

  private static double[][] priors() {
    SobolSequenceGenerator sobol = new SobolSequenceGenerator(Unknowns.ALL);
    sobol.skipTo(1); // the first point is the corner 0
    double[][] draws = new double[Calibration.DRAWS][];
    for (int d = 0; d < draws.length; d++) {
      draws[d] = sobol.nextVector();
      for (int i = 0; i < draws[d].length; i++) {
        draws[d][i] = NORMAL.inverseCumulativeProbability(draws[d][i]);
      }
    }
    return draws;
  }

  private static Noise[] noise() {
    SplittableRandom random = new SplittableRandom(SEED);
    Noise[] all = new Noise[TRIED];
    Arrays.setAll(all, t -> Noise.drawn(random));
    return all;
  }

  private static double[][] priors(int count) {
    return Arrays.stream(PRIORS, 0, count).map(double[]::clone).toArray(double[][]::new);
  }

  /**
   * A cell of the grid.
   *
   * @param middle the most likely unknowns with the hot place at the cell's middle
   * @param root rows of Cholesky's root of the tried unknowns' covariance there
   * @param logRoot logarithm of its determinant
   * @param logMass logarithm of the cell's probability by Laplace, but for a constant
   */
  private record Cell(double[] middle, double[][] root, double logRoot, double logMass) {}

  /**
   * Where in its cell a place is tried.
   *
   * @param aside by cells from the middle, -0.5 to 0.5
   * @param tailed numbers of Student's distribution, one for each unknown that is tried
   * @param logDensity of these, but for a constant
   */
  private record Noise(double aside, double[] tailed, double logDensity) {
    static Noise drawn(SplittableRandom random) {
      double aside = random.nextDouble() - 0.5;
      double[] tailed = new double[TRIED_ALONG.length];
      double square = 0;
      for (int i = 0; i < tailed.length; i++) {
        tailed[i] = random.nextGaussian();
        square += tailed[i] * tailed[i];
      }
      double chi = 0;
      for (int i = 0; i < FREEDOM; i++) {
        double g = random.nextGaussian();
        chi += g * g;
      }
      double stretch = Math.sqrt(FREEDOM / chi);
      for (int i = 0; i < tailed.length; i++) {
        tailed[i] *= stretch;
      }
      double tail = Math.log1p(stretch * stretch * square / FREEDOM);
      return new Noise(aside, tailed, -0.5 * (FREEDOM + tailed.length) * tail);
    }
  }

  /**
   * A place that is tried.
   *
   * @param place unknowns of now, the sensors' error 0
   * @param logDensity by what it was tried within its cell, but for a constant
   */
  private record Trial(double[] place, double logDensity) {}

  private static double hotPlace(int cell) {
    return -REACH + (cell + 0.5) * WIDTH;
  }

  /** All cells, each from its neighbour's peak, outwards from the likely one. */
  private List<Cell> cells(double[] likely) {
    int start =
        (int) Math.max(0, Math.min(CELLS - 1, (likely[Unknowns.HOT_PLACE] + REACH) / WIDTH));
    Cell[] cells = new Cell[CELLS];
    double[] at = likely;
    for (int c = start; c >= 0; c--) {
      cells[c] = cell(at, c);
      at = cells[c].middle();
    }
    at = cells[start].middle();
    for (int c = start + 1; c < CELLS; c++) {
      cells[c] = cell(at, c);
      at = cells[c].middle();
    }
    return List.of(cells);
  }

  private Cell cell(double[] from, int cell) {
    double[] begin = from.clone();
    begin[Unknowns.HOT_PLACE] = hotPlace(cell);
    double[] middle = Calibration.peak(begin, data, FREE);
    RealMatrix covariance = Calibration.covariance(middle, data, FREE);
    double half = logDeterminant(new CholeskyDecomposition(covariance, 1e-8, 1e-14).getL());
    RealMatrix root =
        new CholeskyDecomposition(covariance.getSubMatrix(TRIED_ALONG, TRIED_ALONG), 1e-8, 1e-14)
            .getL();
    return new Cell(
        middle, root.getData(), logDeterminant(root), half - Calibration.objective(middle, data));
  }

  private static double logDeterminant(RealMatrix root) {
    double sum = 0;
    for (int i = 0; i < root.getRowDimension(); i++) {
      sum += Math.log(root.getEntry(i, i));
    }
    return sum;
  }

  /** How likely a trial falls into each cell. */
  private static double[] shares(List<Cell> cells) {
    double highest = cells.stream().mapToDouble(Cell::logMass).max().orElseThrow();
    double[] share = new double[CELLS];
    double sum = 0;
    double prior = 0;
    for (int c = 0; c < CELLS; c++) {
      share[c] = Math.exp(cells.get(c).logMass() - highest);
      sum += share[c];
      prior += NORMAL.density(hotPlace(c));
    }
    for (int c = 0; c < CELLS; c++) {
      share[c] = (1 - BY_PRIOR) * share[c] / sum + BY_PRIOR * NORMAL.density(hotPlace(c)) / prior;
    }
    return share;
  }

  private void tryAll(List<Cell> cells, Executor helpers) {
    double[] share = shares(cells);
    double passed = 0;
    int begin = 0;
    List<Callable<Double>> weighed = new ArrayList<>();
    for (int c = 0; c < CELLS; c++) {
      passed += share[c];
      int end = c == CELLS - 1 ? TRIED : (int) Math.round(passed * TRIED);
      Trial[] here = new Trial[Math.max(0, end - begin)];
      for (int i = 0; i < here.length; i++) {
        here[i] = trial(cells, c, NOISE[begin + i]);
      }
      int from = begin;
      double logShare = Math.log(share[c]);
      weighed.add(() -> weigh(here, from, logShare));
      begin += here.length;
    }
    double highest = Double.NEGATIVE_INFINITY;
    for (double high : SideBySide.all(weighed, helpers)) {
      highest = Math.max(highest, high);
    }
    for (int i = 0; i < TRIED; i++) {
      weight[i] = Math.exp(weight[i] - highest);
    }
  }

  /** Puts a cell's trials in their places; returns the logarithm of the highest weight. */
  private double weigh(Trial[] here, int from, double logShare) {
    // In order, so that what is picked by equal steps is spread evenly along the inner joint too.
    Arrays.sort(
        here, (a, b) -> Double.compare(a.place()[Unknowns.INNER], b.place()[Unknowns.INNER]));
    double highest = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < here.length; i++) {
      Trial trial = here[i];
      tried[from + i] = trial.place();
      weight[from + i] = -objective(trial.place()) - trial.logDensity() - logShare;
      highest = Math.max(highest, weight[from + i]);
    }
    return highest;
  }

  /** A place in a cell, by noise that has no cell yet. */
  private static Trial trial(List<Cell> cells, int cell, Noise noise) {
    Cell here = cells.get(cell);
    double[] below = cells.get(Math.max(0, cell - 1)).middle();
    double[] above = cells.get(Math.min(CELLS - 1, cell + 1)).middle();
    double[] place = new double[Unknowns.ALL];
    place[Unknowns.HOT_PLACE] = hotPlace(cell) + noise.aside() * WIDTH;
    for (int i = 0; i < TRIED_ALONG.length; i++) {
      int along = FREE[TRIED_ALONG[i]];
      double[] root = here.root()[i];
      double sum = here.middle()[along] + noise.aside() * (above[along] - below[along]) / 2;
      for (int j = 0; j <= i; j++) {
        sum += root[j] * noise.tailed()[j];
      }
      place[along] = sum;
    }
    return new Trial(place, noise.logDensity() - here.logRoot());
  }

  private double along(double[] residuals) {
    double sum = 0;
    for (int d = 0; d < slope.length; d++) {
      sum += slope[d] * residuals[d];
    }
    return sum;
  }

  /** Minus the logarithm of the posterior with the sensors' error integrated out; it is 0 here. */
  private double objective(double[] z) {
    double[] residuals = Calibration.residuals(z, data);
    double along = along(residuals);
    double sum = -along * along / precision / 2;
    for (double r : residuals) {
      sum += r * r / 2;
    }
    for (int i = 0; i < Unknowns.NOW; i++) {
      sum += z[i] * z[i] / 2;
    }
    return sum;
  }

  /** The sensors' error for the other unknowns, from a standard normal draw. */
  private double sensors(double[] z, double normal) {
    z[Unknowns.SENSORS] = 0;
    return -along(Calibration.residuals(z, data)) / precision + normal / Math.sqrt(precision);
  }

  /** Places that are equally likely, in no order that a draw's other figures could follow. */
  private int[] resampled(int count) {
    double sum = 0;
    for (double w : weight) {
      sum += w;
    }
    int[] picked = new int[count];
    double passed = weight[0];
    int at = 0;
    for (int i = 0; i < count; i++) {
      double aim = (i + 0.5) / count * sum;
      while (passed < aim && at < weight.length - 1) {
        passed += weight[++at];
      }
      picked[i] = at;
    }
    SplittableRandom random = new SplittableRandom(SEED + 1);
    for (int i = count - 1; i > 0; i--) {
      int other = random.nextInt(i + 1);
      int kept = picked[i];
      picked[i] = picked[other];
      picked[other] = kept;
    }
    return picked;
  }
}
