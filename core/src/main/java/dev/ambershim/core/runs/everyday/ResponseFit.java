package dev.ambershim.core.runs.everyday;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * One reading of the stretches: parts of the chip that lag by given times, and noise that lasts
 * from block to block by a given share. All else is linear, so Bayes' rule has a closed form
 * (Bishop, <i>Pattern Recognition and Machine Learning</i>, 3.3 and 3.5).
 */
final class ResponseFit {
  private static final int ROUNDS = 4;
  private static final double LEAST_VARIANCE = 1e-6;

  /** A part may carry all of the resistance or next to nothing, as a share of the whole. */
  private static final double PART_STRAYS = 0.7;

  /** The power that a part had settled to before may be off by this share of the mean. */
  private static final double BEFORE_STRAYS = 0.4;

  /** No part cools as it heats; noise may say so by this share of the whole. */
  private static final double BELOW_NOTHING = 0.02;

  private final List<Stretch> stretches;
  private final List<double[]> between = new ArrayList<>();
  private final List<double[]> rises = new ArrayList<>();
  private final double usual;
  private final double meanWatts;
  private final double powerDeviation;
  private final double[] roomKelvin;

  /**
   * A fit.
   *
   * @param logEvidence how likely it is
   * @param resistance of all parts, K/W
   * @param variance of that
   * @param quick what of it answers a step of the power within {@link Everyday#QUICK_SECONDS}, K/W
   * @param quickVariance of that
   * @param quickPerSecond how fast it still grows then, K/W·s
   */
  record Fitted(
      double logEvidence,
      double resistance,
      double variance,
      double quick,
      double quickVariance,
      double quickPerSecond) {}

  /**
   * Prepares stretches.
   *
   * @param usual the mean rise over the mean power, K/W
   * @param roomKelvin standard error of each log's rise as a whole; its kind's prior
   * @param meter what a sample of the power is taken for
   */
  ResponseFit(
      List<Stretch> stretches,
      double usual,
      double meanWatts,
      double powerDeviation,
      double[] roomKelvin,
      Stretch.Meter meter) {
    this.stretches = stretches;
    this.usual = usual;
    this.meanWatts = meanWatts;
    this.powerDeviation = powerDeviation;
    this.roomKelvin = roomKelvin.clone();
    for (Stretch stretch : stretches) {
      between.add(stretch.between(meter));
      rises.add(stretch.means(stretch.rise()));
    }
  }

  /** Fits parts of given lags, s, with noise of which a share lasts to the next block. */
  Fitted fit(double[] lags, double lasting) {
    int parts = lags.length;
    int unknowns = parts + stretches.size() * parts + roomKelvin.length;
    double[] mean = new double[unknowns];
    double[] deviation = new double[unknowns];
    Arrays.fill(mean, 0, parts, usual / parts);
    Arrays.fill(deviation, 0, parts, PART_STRAYS * usual);
    double before = usual * Math.hypot(powerDeviation, BEFORE_STRAYS * meanWatts);
    Arrays.fill(deviation, parts, parts + stretches.size() * parts, before);
    for (int l = 0; l < roomKelvin.length; l++) {
      deviation[parts + stretches.size() * parts + l] = roomKelvin[l];
    }
    double[][] sums = new double[unknowns + 1][unknowns + 1];
    int count = 0;
    for (int s = 0; s < stretches.size(); s++) {
      add(sums, s, lags, lasting);
      count += stretches.get(s).blocks();
    }
    return fit(sums, count, mean, deviation, lags, lasting);
  }

  /**
   * Adds a stretch's blocks to the sums of products of unknowns and rise, those of the rise last.
   * Each block counts by what it adds to the one before: noise lasts by a share.
   */
  private void add(double[][] sums, int index, double[] lags, double lasting) {
    Stretch stretch = stretches.get(index);
    int parts = lags.length;
    int last = sums.length - 1;
    Stretch.Lagged lagged = stretch.lagged(lags, meanWatts, between.get(index));
    double[] one = new double[stretch.blocks()];
    Arrays.fill(one, 1);
    // No other unknown has a part in this stretch.
    int[] of = new int[2 * parts + 2];
    double[][] columns = new double[of.length][];
    for (int k = 0; k < parts; k++) {
      of[k] = k;
      columns[k] = fresh(lagged.seen()[k], lasting);
      of[parts + k] = parts + index * parts + k;
      columns[parts + k] = fresh(lagged.left()[k], lasting);
    }
    of[2 * parts] = parts + stretches.size() * parts + stretch.log();
    columns[2 * parts] = fresh(one, lasting);
    of[2 * parts + 1] = last;
    columns[2 * parts + 1] = fresh(rises.get(index), lasting);
    for (int i = 0; i < of.length; i++) {
      for (int j = 0; j <= i; j++) {
        double sum = 0;
        for (int b = 0; b < columns[i].length; b++) {
          sum += columns[i][b] * columns[j][b];
        }
        sums[of[i]][of[j]] += sum;
      }
    }
  }

  /** What each block adds to the share of the one before that lasts. */
  private static double[] fresh(double[] blocks, double lasting) {
    double[] fresh = new double[blocks.length];
    fresh[0] = blocks[0] * Math.sqrt(1 - lasting * lasting);
    for (int b = 1; b < fresh.length; b++) {
      fresh[b] = blocks[b] - lasting * blocks[b - 1];
    }
    return fresh;
  }

  private Fitted fit(
      double[][] sums,
      int count,
      double[] mean,
      double[] deviation,
      double[] lags,
      double lasting) {
    int parts = lags.length;
    int unknowns = mean.length;
    double variance = 0.1;
    RealVector best = MatrixUtils.createRealVector(mean);
    CholeskyDecomposition solved = null;
    double squares = 0;
    for (int round = 0; round < ROUNDS; round++) {
      RealMatrix normal = MatrixUtils.createRealMatrix(unknowns, unknowns);
      double[] right = new double[unknowns];
      for (int i = 0; i < unknowns; i++) {
        double prior = 1 / (deviation[i] * deviation[i]);
        right[i] = sums[unknowns][i] / variance + prior * mean[i];
        for (int j = 0; j <= i; j++) {
          double value = sums[i][j] / variance + (i == j ? prior : 0);
          normal.setEntry(i, j, value);
          normal.setEntry(j, i, value);
        }
      }
      solved = new CholeskyDecomposition(normal, 1e-9, 0);
      best = solved.getSolver().solve(MatrixUtils.createRealVector(right));
      squares = squares(sums, best);
      if (round < ROUNDS - 1) {
        variance = Math.max(LEAST_VARIANCE, squares / count);
      }
    }
    double strayed = 0;
    double logPrior = 0;
    for (int i = 0; i < unknowns; i++) {
      double z = (best.getEntry(i) - mean[i]) / deviation[i];
      strayed += z * z;
      logPrior += 2 * Math.log(deviation[i]);
    }
    double evidence =
        -0.5
            * (count * Math.log(variance)
                - stretches.size() * Math.log(1 - lasting * lasting)
                + squares / variance
                + strayed
                + Math.log(solved.getDeterminant())
                + logPrior);
    for (int k = 0; k < parts; k++) {
      double below = Math.min(0, best.getEntry(k)) / (BELOW_NOTHING * usual);
      evidence -= below * below / 2;
    }
    double[] sum = new double[unknowns];
    double[] soon = new double[unknowns];
    double growth = 0;
    for (int k = 0; k < parts; k++) {
      sum[k] = 1;
      soon[k] = 1 - Math.exp(-Everyday.QUICK_SECONDS / lags[k]);
      growth += best.getEntry(k) * (1 - soon[k]) / lags[k];
    }
    RealVector whole = MatrixUtils.createRealVector(sum);
    RealVector quick = MatrixUtils.createRealVector(soon);
    DecompositionSolver solver = solved.getSolver();
    return new Fitted(
        evidence,
        whole.dotProduct(best),
        whole.dotProduct(solver.solve(whole)),
        quick.dotProduct(best),
        quick.dotProduct(solver.solve(quick)),
        growth);
  }

  /** The squares that a solution leaves. */
  private static double squares(double[][] sums, RealVector x) {
    int n = x.getDimension();
    double all = sums[n][n];
    for (int i = 0; i < n; i++) {
      all -= 2 * x.getEntry(i) * sums[n][i];
      for (int j = 0; j < n; j++) {
        all += x.getEntry(i) * x.getEntry(j) * (i >= j ? sums[i][j] : sums[j][i]);
      }
    }
    return Math.max(0, all);
  }
}
