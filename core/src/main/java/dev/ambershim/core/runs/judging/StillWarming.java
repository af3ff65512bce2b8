package dev.ambershim.core.runs.judging;

import java.util.Arrays;

/**
 * What is left to warm at the end of a run. A cooler's slow part follows its load by y(t) = c −
 * A·exp(−t/τ). For each τ of a grid, A has a normal prior (a slow part is about a third of a rise,
 * by common practice) and a straight regression gives its posterior; the grid is weighted by how
 * well each τ explains the run (Bayesian linear model: Gelman et al., <i>Bayesian Data
 * Analysis</i>, 14.2, with A as the one coefficient).
 *
 * <p>Ends at slower things than the slowest τ: a case or a room that warms for hours.
 */
final class StillWarming {
  /** Nothing can be told, or nothing is left. */
  static final StillWarming NOTHING = new StillWarming(0, 0, Double.NaN, 0, 1, new double[2]);

  private static final int BLOCKS = 60;
  private static final int GRID = 40;
  private static final double QUICKEST_SECONDS = 15;

  /** Large own loops; what is slower is the room's. */
  private static final double SLOWEST_SECONDS = 1500;

  private static final double SLOW_SHARE = 0.35;
  private static final double SLOW_SHARE_SIGMA = 0.25;

  /** The quick parts of die, joints and lid are over by then. */
  private static final double QUICK_SECONDS = 30;

  private static final double LEAST_KELVIN = 0.33;

  private static final int TABLE = 257;
  private static final double NEGLIGIBLE = 1e-4;

  /** Less than this is added as one figure, and not followed in time. */
  private static final double LITTLE_KELVIN = 0.15;

  /** The noise of the settled part is in the fit, too; set by simulation. */
  private static final double WIDER = 1.5;

  private final double kelvin;
  private final double standardError;
  private final double minutes;
  private final double startSeconds;
  private final double lengthSeconds;

  /** What is left at even steps over the load, K. */
  private final double[] table;

  private StillWarming(
      double kelvin,
      double standardError,
      double minutes,
      double startSeconds,
      double lengthSeconds,
      double[] table) {
    this.kelvin = kelvin;
    this.standardError = standardError;
    this.minutes = minutes;
    this.startSeconds = startSeconds;
    this.lengthSeconds = lengthSeconds;
    this.table = table;
  }

  /** What the settled part's mean will still gain, K. */
  double kelvin() {
    return kelvin;
  }

  /** How well that is known, K. */
  double standardError() {
    return standardError;
  }

  /**
   * Minutes of load after which less than a third of a kelvin would be left; not a number where it
   * lasted as long, and only the doubt is large.
   */
  double minutes() {
    return minutes;
  }

  /** What is left at a time of the log, K. */
  double at(double seconds) {
    double place = (seconds - startSeconds) / lengthSeconds * (table.length - 1);
    int below = (int) Math.max(0, Math.min(table.length - 2, Math.floor(place)));
    double share = Math.max(0, Math.min(1, place - below));
    return table[below] + share * (table[below + 1] - table[below]);
  }

  /** A series with what is left to warm on top; samples without a figure stay so. */
  double[] added(double[] seconds, double[] series) {
    if (this == NOTHING) {
      return series;
    }
    double[] all = series.clone();
    for (int i = 0; i < all.length; i++) {
      all[i] += at(seconds[i]);
    }
    return all;
  }

  /**
   * Fits a run.
   *
   * @param seconds time of each sample; read only
   * @param rise rise over room air, or temperature; not a number where missing; read only
   * @param under the samples under load, rising
   * @param left samples that do not count; read only
   * @param used the settled samples
   * @param wholeKelvin the rise from rest, which the prior goes by
   * @param fromRest whether the log shows the load's beginning; else it may be warm already
   */
  static StillWarming of(
      double[] seconds,
      double[] rise,
      int[] under,
      boolean[] left,
      int[] used,
      double wholeKelvin,
      boolean fromRest) {
    double start = seconds[under[0]];
    double length = seconds[under[under.length - 1]] - start;
    double first = Math.max(Math.min(QUICK_SECONDS, length / 4), length / 10);
    if (!(length > first)) {
      return NOTHING;
    }
    double[] t = new double[BLOCKS];
    double[] y = new double[BLOCKS];
    int[] count = new int[BLOCKS];
    for (int i : under) {
      double since = seconds[i] - start;
      if (since < first || left[i]) {
        continue;
      }
      double place = BLOCKS * (since - first) / (length - first);
      int block = (int) Math.max(0, Math.min(BLOCKS - 1, place));
      t[block] += since;
      y[block] += rise[i];
      count[block]++;
    }
    int n = 0;
    for (int b = 0; b < BLOCKS; b++) {
      if (count[b] > 0) {
        t[n] = t[b] / count[b];
        y[n] = y[b] / count[b];
        n++;
      }
    }
    if (n < 10 || !(wholeKelvin > 0)) {
      return NOTHING;
    }
    // Some of the settled samples have about the same mean decay as all of them.
    int stride = Math.max(1, used.length / 200);
    double[] settled = new double[used.length / stride];
    for (int k = 0; k < settled.length; k++) {
      settled[k] = seconds[used[k * stride]] - start;
    }
    return fit(
        Arrays.copyOf(t, n), Arrays.copyOf(y, n), settled, wholeKelvin, fromRest, start, length);
  }

  private static StillWarming fit(
      double[] t,
      double[] y,
      double[] settled,
      double whole,
      boolean fromRest,
      double start,
      double length) {
    double noise = noise(t, y);
    double centre = BatchMeans.mean(y);
    double prior = fromRest ? SLOW_SHARE * whole : 0;
    double priorVariance = Math.pow(SLOW_SHARE_SIGMA * whole, 2);
    double[] evidence = new double[GRID];
    double[] remains = new double[GRID];
    double[] variance = new double[GRID];
    double[] seconds = new double[GRID];
    double[] amplitude = new double[GRID];
    double best = Double.NEGATIVE_INFINITY;
    for (int g = 0; g < GRID; g++) {
      double tau = tau(g);
      double[] decay = decays(t, tau);
      double middle = BatchMeans.mean(decay);
      double squares = 0;
      double products = 0;
      double all = 0;
      for (int k = 0; k < t.length; k++) {
        double x = middle - decay[k];
        squares += x * x;
        products += x * (y[k] - centre);
        all += (y[k] - centre) * (y[k] - centre);
      }
      double precision = squares / noise + 1 / priorVariance;
      double mean = (products / noise + prior / priorVariance) / precision;
      evidence[g] =
          -0.5
              * (all / noise
                  + prior * prior / priorVariance
                  - mean * mean * precision
                  + Math.log(priorVariance * precision));
      double there = BatchMeans.mean(decays(settled, tau));
      remains[g] = mean * there;
      variance[g] = there * there / precision;
      seconds[g] = tau;
      amplitude[g] = mean;
      best = Math.max(best, evidence[g]);
    }
    double weights = 0;
    double kelvin = 0;
    double square = 0;
    int likely = 0;
    double[] table = new double[TABLE];
    for (int g = 0; g < GRID; g++) {
      double weight = Math.exp(evidence[g] - best);
      weights += weight;
      kelvin += weight * remains[g];
      square += weight * (remains[g] * remains[g] + variance[g]);
      likely = evidence[g] > evidence[likely] ? g : likely;
      for (int k = 0; weight > NEGLIGIBLE && k < TABLE; k++) {
        table[k] += weight * amplitude[g] * Math.exp(-k * length / (TABLE - 1) / seconds[g]);
      }
    }
    for (int k = 0; k < TABLE; k++) {
      table[k] /= weights;
    }
    kelvin /= weights;
    double error = Math.sqrt(Math.max(0, square / weights - kelvin * kelvin));
    double enough = seconds[likely] * Math.log(Math.max(1, amplitude[likely] / LEAST_KELVIN)) / 60;
    double minutes = 60 * enough > length ? enough : Double.NaN;
    if (Math.abs(kelvin) < LITTLE_KELVIN) {
      // Following the little that is left would follow the noise's own slow part, too.
      Arrays.fill(table, kelvin);
      return new StillWarming(kelvin, error, minutes, start, length, table);
    }
    return new StillWarming(kelvin, WIDER * error, minutes, start, length, table);
  }

  private static double tau(int g) {
    return QUICKEST_SECONDS * Math.pow(SLOWEST_SECONDS / QUICKEST_SECONDS, (double) g / (GRID - 1));
  }

  private static double[] decays(double[] t, double tau) {
    double[] decay = new double[t.length];
    for (int k = 0; k < t.length; k++) {
      decay[k] = Math.exp(-t[k] / tau);
    }
    return decay;
  }

  /**
   * Variance of a block's mean about the best of the curves; memory between blocks widens it as a
   * first-order autoregression would.
   */
  private static double noise(double[] t, double[] y) {
    double least = Double.POSITIVE_INFINITY;
    double[] residuals = y;
    for (int g = 0; g < GRID; g++) {
      double[] decay = decays(t, tau(g));
      double middle = BatchMeans.mean(decay);
      double centre = BatchMeans.mean(y);
      double squares = 0;
      double products = 0;
      for (int k = 0; k < t.length; k++) {
        squares += (decay[k] - middle) * (decay[k] - middle);
        products += (decay[k] - middle) * (y[k] - centre);
      }
      double slope = squares > 0 ? products / squares : 0;
      double[] rest = new double[t.length];
      double sum = 0;
      for (int k = 0; k < t.length; k++) {
        rest[k] = y[k] - centre - slope * (decay[k] - middle);
        sum += rest[k] * rest[k];
      }
      if (sum < least) {
        least = sum;
        residuals = rest;
      }
    }
    double memory = Math.max(0, Math.min(0.9, BatchMeans.lagOne(residuals)));
    return Math.max(1e-8, least / (t.length - 3) * (1 + memory) / (1 - memory));
  }
}
