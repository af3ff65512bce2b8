package dev.ambershim.core.runs.judging;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Mean of a settled series and its standard error when neighbouring samples resemble each other, by
 * non-overlapping batch means (Law, <i>Simulation Modeling and Analysis</i>, 5th ed., section 9.5):
 * the series is cut into equal batches long enough that their means hardly depend on each other,
 * and what dependence is left widens the error as a first-order autoregression would (the
 * correction of Tafazzoli, Wilson, Lada &amp; Steiger 2011, <i>INFORMS Journal on Computing</i>
 * 23(2); from memory).
 *
 * @param mean mean of the series
 * @param standardError standard error of the mean
 * @param degreesOfFreedom batches less one
 * @param batches count of batches
 * @param settledMemory whether the batch means passed the test for independence
 */
public record BatchMeans(
    double mean, double standardError, int degreesOfFreedom, int batches, boolean settledMemory) {
  private static final Map<List<Double>, Double> QUANTILES = new ConcurrentHashMap<>();

  /** Degrees of freedom of what is taken as known. */
  private static final int KNOWN = 200;

  /** From here on Student's factor is the normal one to five digits. */
  private static final double ENDLESS = 1e5;

  private static final int[] COUNTS = {30, 24, 20, 16, 12, 10};

  /** Fewest samples that are worth batching. */
  public static final int FEWEST = 20;

  /**
   * Works out mean and standard error of a settled series.
   *
   * @param y the series, at least {@value #FEWEST} figures; read only
   * @throws IllegalArgumentException if there are fewer
   */
  public static BatchMeans of(double[] y) {
    if (y.length < FEWEST) {
      throw new IllegalArgumentException(
          "batch means need " + FEWEST + " samples, not " + y.length);
    }
    double total = 0;
    for (double v : y) {
      total += v;
    }
    BatchMeans result = null;
    for (int k : COUNTS) {
      int batches = Math.min(k, y.length / 2);
      double[] means = batchMeans(y, batches);
      double r1 = lagOne(means);
      // One-sided test at about 10 %: with few batches a milder bound would let memory through.
      boolean independent = r1 < 1.28 / Math.sqrt(batches);
      result = summary(total / y.length, means, independent);
      if (independent) {
        return result;
      }
    }
    return result;
  }

  private static double[] batchMeans(double[] y, int batches) {
    double[] means = new double[batches];
    for (int b = 0; b < batches; b++) {
      int from = (int) ((long) b * y.length / batches);
      int to = (int) ((long) (b + 1) * y.length / batches);
      double sum = 0;
      for (int i = from; i < to; i++) {
        sum += y[i];
      }
      means[b] = sum / (to - from);
    }
    return means;
  }

  private static BatchMeans summary(double mean, double[] means, boolean independent) {
    double centre = mean(means);
    double squares = 0;
    for (double m : means) {
      squares += (m - centre) * (m - centre);
    }
    int k = means.length;
    // What memory is left between batches: r1 is low by about 1/k, and then counts as that of a
    // first-order autoregression, whose mean varies (1 + r) / (1 - r) times as much.
    double left = Math.min(0.8, Math.max(0, lagOne(means) + 1.0 / k));
    double variance = squares / (k - 1) / k * (1 + left) / (1 - left);
    return new BatchMeans(mean, Math.sqrt(variance), k - 1, k, independent);
  }

  /**
   * Lag-1 autocorrelation coefficient, Σ(yᵢ−ȳ)(yᵢ₊₁−ȳ) / Σ(yᵢ−ȳ)², as NIST StRD states it; 0 for a
   * constant series.
   */
  public static double lagOne(double[] y) {
    double mean = mean(y);
    double top = 0;
    double bottom = 0;
    for (int i = 0; i < y.length; i++) {
      double d = y[i] - mean;
      bottom += d * d;
      if (i + 1 < y.length) {
        top += d * (y[i + 1] - mean);
      }
    }
    return bottom == 0 ? 0 : top / bottom;
  }

  /** Mean that stays exact to rounding for far-off series: a first mean, then its correction. */
  public static double mean(double[] y) {
    double sum = 0;
    for (double v : y) {
      sum += v;
    }
    double first = sum / y.length;
    double rest = 0;
    for (double v : y) {
      rest += v - first;
    }
    return first + rest / y.length;
  }

  /** Sample standard deviation with n − 1. */
  public static double standardDeviation(double[] y) {
    double mean = mean(y);
    double squares = 0;
    for (double v : y) {
      squares += (v - mean) * (v - mean);
    }
    return Math.sqrt(squares / (y.length - 1));
  }

  /** The same with a known figure added. */
  BatchMeans plus(double known) {
    return new BatchMeans(mean + known, standardError, degreesOfFreedom, batches, settledMemory);
  }

  /** The same with an independent standard error on top (Welch–Satterthwaite). */
  BatchMeans wider(double error) {
    if (!(error > 0)) {
      return this;
    }
    double freedom = Math.min(KNOWN, freedom(standardError, degreesOfFreedom, error));
    return new BatchMeans(
        mean, Math.hypot(standardError, error), (int) freedom, batches, settledMemory);
  }

  /**
   * Degrees of freedom of two errors in squares, one of which is known in size (JCGM 100:2008,
   * G.4.1).
   *
   * @param error one with so many
   * @param known one with endless
   */
  static double freedom(double error, double degreesOfFreedom, double known) {
    double own = error * error;
    double all = own + known * known;
    return own == 0 ? ENDLESS : Math.min(ENDLESS, all * all / (own * own) * degreesOfFreedom);
  }

  /** The same times a known figure above 0. */
  BatchMeans times(double known) {
    return new BatchMeans(
        mean * known, standardError * known, degreesOfFreedom, batches, settledMemory);
  }

  /** Half-width of the interval of a level around the mean. */
  public double halfWidth(double level) {
    return quantile(degreesOfFreedom, level) * standardError;
  }

  /** Two-sided Student factor. */
  public static double quantile(double degreesOfFreedom, double level) {
    // The few whole numbers that occur are asked for again and again, and each takes a search to
    // find; what lies between them hardly comes twice.
    return degreesOfFreedom == Math.rint(degreesOfFreedom)
        ? QUANTILES.computeIfAbsent(
            List.of(degreesOfFreedom, level), pair -> searched(degreesOfFreedom, level))
        : searched(degreesOfFreedom, level);
  }

  private static double searched(double degreesOfFreedom, double level) {
    return new TDistribution(degreesOfFreedom).inverseCumulativeProbability(0.5 + level / 2);
  }
}
