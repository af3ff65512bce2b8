package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.material.Filling;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * Why cores differ beyond what geometry explains. Four things add up for each core: its sensor
 * (kelvin that stay whatever is done), its share of the heat, how thick the inner joint is over it
 * (both grow with the heat, and change with the build), and where it lies, which the layout only
 * guesses (grows with the heat, and stays). Given readings they are split by their prior variances
 * (normal prior, normal errors: Gelman et al., <i>Bayesian Data Analysis</i>, 3.5); readings at
 * several loads tell the sensor from the others. So where cores are more alike than the layout has
 * them, the layout is doubted first, and not an uneven joint that happens to hide it.
 *
 * <p>How large each of the four is differs from chip to chip: one has sensors that agree within a
 * kelvin, another a joint that is even all over. So each has a scale of its own about its prior,
 * and cores that are alike speak for small scales, not for large ones that cancel by chance (Gelman
 * et al., chapter 5). The scales lie on a grid, each set weighted by how well it foretells what was
 * seen.
 */
public final class CorePattern {
  /** Heat spreads sideways on its way, so that a thin spot counts less than fully. */
  private static final double FELT = 0.7;

  /** Share of the chip's heat that enters in cores, as the layout has it. */
  private static final double IN_CORES = 0.75;

  private static final int KINDS = 4;

  /** Scales of a kind, equally likely; in the root mean square about one. */
  private static final double[] SCALES = {0.25, 0.5, 1, 1.6};

  private static final double LEAST_WEIGHT = 1e-4;

  private final Response now;
  private final double joint;
  private final double heat;
  private final double[] geometry;
  private final double[][] mean;
  private final List<Split> splits;

  /**
   * What patterns show under one set of scales.
   *
   * @param weight its probability
   * @param mean of each core's four
   * @param root Cholesky's root of their covariance, equal for all cores
   */
  private record Split(double weight, double[][] mean, RealMatrix root) {}

  private CorePattern(
      Response now, double[] geometry, double joint, double heat, List<Split> splits) {
    this.geometry = geometry;
    this.now = now;
    this.joint = joint;
    this.heat = heat;
    this.splits = splits;
    mean = new double[now.cores()][KINDS];
    for (Split split : splits) {
      for (int c = 0; c < mean.length; c++) {
        for (int k = 0; k < KINDS; k++) {
          mean[c][k] += split.weight() * split.mean()[c][k];
        }
      }
    }
  }

  /**
   * Splits what patterns show.
   *
   * @param patterns those with another count of cores are left aside
   * @param logs the calibrated figures of the chip as it is
   * @param heat heat through the joints by the power reading
   */
  static CorePattern of(Response now, List<Question.Pattern> patterns, double[] logs, double heat) {
    int cores = now.cores();
    double noise = PriorTable.PLATEAU.sigma() / 2;
    double[] geometry = apart(now.coresKelvinPerWatt(logs));
    double joint = logs[now.situation().build().lidOn() ? 0 : 1];
    double[][] squares = new double[KINDS][KINDS];
    double[][] right = new double[cores][KINDS];
    for (Question.Pattern p : patterns) {
      if (p.celsius().size() != cores) {
        continue;
      }
      double watts = p.watts() * heat;
      double[] effect = effects(now, geometry, joint, watts);
      double[] seen = apart(p.celsius().stream().mapToDouble(Double::doubleValue).toArray());
      for (int i = 0; i < KINDS; i++) {
        for (int j = 0; j < KINDS; j++) {
          squares[i][j] += effect[i] * effect[j] / (noise * noise);
        }
        for (int c = 0; c < cores; c++) {
          right[c][i] += effect[i] * (seen[c] - geometry[c] * watts) / (noise * noise);
        }
      }
    }
    double[] prior = {
      PriorTable.CORE_SENSOR.sigma(),
      PriorTable.CORE_SHARE.sigma(),
      PriorTable.uneven(onDies(now)).sigma(),
      PriorTable.LAYOUT.sigma()
    };
    return new CorePattern(now, geometry, joint, heat, splits(prior, squares, right));
  }

  /**
   * All sets of scales with their weights, those of no weight left out.
   *
   * @param prior standard deviation of each kind at scale one
   * @param squares what the patterns add to the precision
   * @param right what they add to precision times mean, by core
   */
  private static List<Split> splits(double[] prior, double[][] squares, double[][] right) {
    int sets = (int) Math.pow(SCALES.length, KINDS);
    double[] evidence = new double[sets];
    CholeskyDecomposition[] solved = new CholeskyDecomposition[sets];
    double[][][] means = new double[sets][right.length][];
    for (int set = 0; set < sets; set++) {
      RealMatrix precision = new Array2DRowRealMatrix(squares);
      int left = set;
      for (int k = 0; k < KINDS; k++) {
        double sigma = prior[k] * SCALES[left % SCALES.length];
        left /= SCALES.length;
        precision.addToEntry(k, k, 1 / (sigma * sigma));
        evidence[set] -= Math.log(sigma);
      }
      solved[set] = new CholeskyDecomposition(precision, 1e-8, 1e-14);
      evidence[set] -= Math.log(solved[set].getDeterminant()) / 2;
      // Cores are told by their differences, of which there is one less.
      evidence[set] *= right.length - 1;
      for (int c = 0; c < right.length; c++) {
        ArrayRealVector sum = new ArrayRealVector(right[c], false);
        means[set][c] = solved[set].getSolver().solve(sum).toArray();
        evidence[set] += sum.dotProduct(new ArrayRealVector(means[set][c], false)) / 2;
      }
    }
    double highest = Arrays.stream(evidence).max().orElseThrow();
    double[] weight = Arrays.stream(evidence).map(e -> Math.exp(e - highest)).toArray();
    double all = Arrays.stream(weight).sum();
    List<Split> splits = new ArrayList<>();
    double kept = Arrays.stream(weight).filter(w -> w > LEAST_WEIGHT * all).sum();
    for (int set = 0; set < sets; set++) {
      if (weight[set] > LEAST_WEIGHT * all) {
        RealMatrix covariance = solved[set].getSolver().getInverse();
        RealMatrix root = new CholeskyDecomposition(covariance, 1e-8, 1e-14).getL();
        splits.add(new Split(weight[set] / kept, means[set], root));
      }
    }
    return splits;
  }

  private static Filling onDies(Response at) {
    Build build = at.situation().build();
    return build.lidOn() ? build.inner().filling() : build.outer().filling();
  }

  /** Cores of a response less their mean, which comes last. */
  private static double[] geometry(double[] coresAndMean) {
    return apart(Arrays.copyOf(coresAndMean, coresAndMean.length - 1));
  }

  private static double[] apart(double[] values) {
    double mean = 0;
    for (double v : values) {
      mean += v / values.length;
    }
    double[] all = values.clone();
    for (int c = 0; c < all.length; c++) {
      all[c] -= mean;
    }
    return all;
  }

  /** Kelvin for each unit of sensor, share, unevenness and layout. */
  private static double[] effects(Response at, double[] geometry, double jointLog, double watts) {
    double squares = 0;
    for (double g : geometry) {
      squares += g * g / geometry.length;
    }
    return new double[] {
      1,
      watts * IN_CORES / at.cores() * at.localKelvinPerWatt(),
      watts * at.dieJointKelvinPerWatt() * Math.exp(jointLog) * FELT,
      watts * Math.sqrt(squares)
    };
  }

  /** One way in which the cores may differ. */
  double[][] draw(SplittableRandom random) {
    double left = random.nextDouble();
    int at = 0;
    while (at < splits.size() - 1 && left > splits.get(at).weight()) {
      left -= splits.get(at++).weight();
    }
    Split split = splits.get(at);
    double[][] all = new double[mean.length][];
    for (int c = 0; c < all.length; c++) {
      double[] n = new double[KINDS];
      for (int k = 0; k < KINDS; k++) {
        n[k] = random.nextGaussian();
      }
      all[c] = split.root().operate(n);
      for (int k = 0; k < KINDS; k++) {
        all[c][k] += split.mean()[c][k];
      }
    }
    return all;
  }

  /**
   * Core temperatures less their mean, for one draw. What the patterns have shown was read at the
   * calibrated figures, so it is taken with those; a joint made anew over the dies brings its own
   * size and unevenness.
   *
   * @param at the response of the situation, as it is now or after an option
   * @param cores its cores and their mean, K/W, for the draw's figures
   * @param logs those figures
   * @param watts heat by the power reading
   * @param drawn heat through the joints by the power reading, in this draw
   * @param evenness how uneven a new joint is over each core, standard normal; empty if it stays
   */
  double[] pattern(
      Response at,
      double[] cores,
      double[][] draw,
      double[] logs,
      double watts,
      double drawn,
      Optional<double[]> evenness) {
    boolean lid = at.situation().build().lidOn();
    double size = evenness.isPresent() ? logs[lid ? 0 : 1] : joint;
    double[] effect = effects(at, geometry(cores), size, watts * heat);
    double mean = cores[cores.length - 1];
    double[] anew = evenness.orElse(null);
    double sigma = anew == null ? 0 : PriorTable.uneven(onDies(at)).sigma();
    double[] all = new double[cores.length - 1];
    for (int c = 0; c < all.length; c++) {
      double uneven = anew == null ? draw[c][2] : anew[c] * sigma;
      all[c] =
          (cores[c] - mean) * watts * drawn
              + draw[c][0] * effect[0]
              + draw[c][1] * effect[1]
              + uneven * effect[2]
              + draw[c][3] * effect[3];
    }
    return all;
  }

  /** Hottest less coolest. */
  public static double spread(double[] cores) {
    double high = Double.NEGATIVE_INFINITY;
    double low = Double.POSITIVE_INFINITY;
    for (double c : cores) {
      high = Math.max(high, c);
      low = Math.min(low, c);
    }
    return high - low;
  }

  /** Likely remainder of each core, K: what geometry does not explain; heat by the reading, W. */
  double[] remainderKelvin(double watts) {
    double[] effect = effects(now, geometry, joint, watts * heat);
    double[] all = new double[mean.length];
    for (int c = 0; c < all.length; c++) {
      for (int k = 0; k < KINDS; k++) {
        all[c] += mean[c][k] * effect[k];
      }
    }
    return all;
  }
}
