package dev.ambershim.core.runs.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * Rises by candidates and blocks, additive, by least squares (Montgomery, <i>Design and Analysis of
 * Experiments</i>, chapter 4). Blocks are coded to a sum of zero, so that a candidate's coefficient
 * is its mean over all blocks alike, whether it was mounted in each of them or not.
 */
final class Design {
  private final List<Mount> mounts;
  private final List<String> candidates;
  private final List<String> blocks;
  private final boolean blocked;
  private final RealMatrix x;
  private final RealMatrix covariance;
  private final double[] coefficients;
  private final double[] left;
  private final int slope;

  /**
   * Fits.
   *
   * @param mounts at least one of each candidate
   * @param rises of each mount, K, at one power
   * @param inBlocks whether blocks are taken out, where that can be done
   * @param inOrder whether a straight drift over the order is taken out; every mount has one then
   */
  Design(List<Mount> mounts, double[] rises, boolean inBlocks, boolean inOrder) {
    this.mounts = List.copyOf(mounts);
    candidates = distinct(mounts.stream().map(Mount::candidate).toList());
    blocks = distinct(mounts.stream().map(Mount::block).toList());
    blocked = inBlocks && blocks.size() > 1 && connected();
    int columns = candidates.size() + (blocked ? blocks.size() - 1 : 0) + (inOrder ? 1 : 0);
    slope = inOrder ? columns - 1 : -1;
    double mean =
        inOrder ? mounts.stream().mapToDouble(m -> m.order().orElseThrow()).average().orElse(0) : 0;
    x = new Array2DRowRealMatrix(mounts.size(), columns);
    for (int i = 0; i < mounts.size(); i++) {
      Mount m = mounts.get(i);
      x.setEntry(i, candidates.indexOf(m.candidate()), 1);
      if (blocked) {
        int b = blocks.indexOf(m.block());
        for (int k = 0; k < blocks.size() - 1; k++) {
          double code = b == blocks.size() - 1 ? -1 : b == k ? 1 : 0;
          x.setEntry(i, candidates.size() + k, code);
        }
      }
      if (inOrder) {
        x.setEntry(i, slope, m.order().orElseThrow() - mean);
      }
    }
    RealMatrix transposed = x.transpose();
    covariance = new QRDecomposition(transposed.multiply(x), 1e-10).getSolver().getInverse();
    coefficients = covariance.operate(transposed.operate(rises));
    left = rises.clone();
    double[] told = x.operate(coefficients);
    for (int i = 0; i < left.length; i++) {
      left[i] -= told[i];
    }
  }

  private static List<String> distinct(List<String> names) {
    return new ArrayList<>(new LinkedHashSet<>(names));
  }

  /** Whether every candidate can be compared with every other inside blocks. */
  private boolean connected() {
    Map<String, String> root = new HashMap<>();
    for (Mount m : mounts) {
      String block = "block " + m.block();
      String candidate = "candidate " + m.candidate();
      root.put(find(root, candidate), find(root, block));
    }
    return mounts.stream().map(m -> find(root, "candidate " + m.candidate())).distinct().count()
        == 1;
  }

  private static String find(Map<String, String> root, String name) {
    String at = name;
    while (root.containsKey(at) && !root.get(at).equals(at)) {
      at = root.get(at);
    }
    return at;
  }

  /** The candidates, in the order that they came in. */
  List<String> candidates() {
    return candidates;
  }

  boolean blocked() {
    return blocked;
  }

  /** Degrees of freedom that are left for the scatter. */
  int freedom() {
    return x.getRowDimension() - x.getColumnDimension();
  }

  /** Sum of the squares that the model leaves, K². */
  double squares() {
    double sum = 0;
    for (double l : left) {
      sum += l * l;
    }
    return sum;
  }

  /** A candidate's mean, K. */
  double mean(int candidate) {
    return coefficients[candidate];
  }

  /** Covariance of two candidates' means, in units of the variance of one mount. */
  double covariance(int one, int other) {
    return covariance.getEntry(one, other);
  }

  /** Variance of a difference of two candidates, in the same unit. */
  double variance(int one, int other) {
    return covariance(one, one) + covariance(other, other) - 2 * covariance(one, other);
  }

  /** What each block stands over the mean of all, K; none where blocks are not taken out. */
  double[] blockLevels() {
    double[] levels = new double[blocked ? blocks.size() : 0];
    for (int b = 0; b < levels.length - 1; b++) {
      levels[b] = coefficients[candidates.size() + b];
      levels[levels.length - 1] -= levels[b];
    }
    return levels;
  }

  /** The middle of each block in the order of all mounts, which all have one then. */
  double[] blockOrders() {
    return blocks.stream()
        .mapToDouble(
            b ->
                mounts.stream()
                    .filter(m -> m.block().equals(b))
                    .mapToDouble(m -> m.order().orElseThrow())
                    .average()
                    .orElseThrow())
        .toArray();
  }

  /** Drift, K for each step of the order. */
  double slope() {
    return coefficients[slope];
  }

  /** Its variance, in units of the variance of one mount. */
  double slopeVariance() {
    return covariance.getEntry(slope, slope);
  }

  /** What the model leaves of a mount, K. */
  double left(int mount) {
    return left[mount];
  }

  /** How far a mount drags the model to itself, 0 to 1. */
  double leverage(int mount) {
    double[] row = x.getRow(mount);
    double[] by = covariance.operate(row);
    double sum = 0;
    for (int i = 0; i < row.length; i++) {
      sum += row[i] * by[i];
    }
    return sum;
  }
}
