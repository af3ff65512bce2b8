package dev.ambershim.core.stage.diagnosis;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;

/**
 * What a suspect foretells for the readings of a test: a normal distribution. Each reading has an
 * error of its own; all move with the unknowns, of which there are far fewer than readings where
 * cores are loaded one by one. So the covariance is a diagonal and a few columns, and densities
 * come from a matrix of the columns' size (Woodbury's identity: Golub &amp; Van Loan, <i>Matrix
 * Computations</i>, 2.1.4, from memory).
 */
final class OutcomeForecast {
  private final int cause;
  private final double weight;
  private final double[] mean;

  /** Standard error of each reading's own. */
  private final double[] sigma;

  /** How each reading moves, by its own error, for one standard deviation of each column. */
  private final double[][] moves;

  /** Rows of Cholesky's root of the unit matrix and the moves' squares. */
  private final double[][] root;

  private final double logs;

  /**
   * A forecast by its parts; it keeps the arrays and changes none.
   *
   * @param sigma standard error of each reading's own, by row
   * @param moves by row, how many of these it moves for one standard deviation of each column
   */
  OutcomeForecast(int cause, double weight, double[] mean, double[] sigma, double[][] moves) {
    this.cause = cause;
    this.weight = weight;
    this.mean = mean;
    this.sigma = sigma;
    this.moves = moves;
    int n = moves[0].length;
    double[][] squares = new double[n][n];
    for (double[] row : moves) {
      for (int i = 0; i < n; i++) {
        for (int j = 0; j <= i; j++) {
          squares[i][j] += row[i] * row[j];
        }
      }
    }
    for (int i = 0; i < n; i++) {
      squares[i][i] += 1;
      for (int j = 0; j < i; j++) {
        squares[j][i] = squares[i][j];
      }
    }
    root =
        new CholeskyDecomposition(new Array2DRowRealMatrix(squares, false), 1e-6, 0)
            .getL()
            .getData();
    double sum = Math.log(weight);
    for (double s : sigma) {
      sum -= Math.log(s);
    }
    for (int i = 0; i < n; i++) {
      sum -= Math.log(root[i][i]);
    }
    logs = sum;
  }

  /**
   * A forecast.
   *
   * @param cause which cause the suspect counts for
   * @param weight how likely the suspect is
   * @param suspect seated as the test leaves it
   * @param belief what is known of the unknowns of now
   * @param now where these stand
   * @param wide where the unknowns of the test stand
   * @param rows of the test's readings, at least one
   */
  static OutcomeForecast of(
      int cause,
      double weight,
      Suspect suspect,
      Normal.Belief belief,
      Layout now,
      Layout wide,
      List<Straight.Row> rows) {
    int[] from = wide.from(now);
    double[] likely = new double[wide.size()];
    double[] spread = new double[wide.size()];
    wide.priors(suspect, likely, spread);
    int[] place = new int[now.size()];
    Arrays.fill(place, -1);
    for (int i = 0; i < belief.free().length; i++) {
      place[belief.free()[i]] = i;
    }
    int[] anew =
        IntStream.range(0, from.length).filter(p -> from[p] < 0 && spread[p] > 0).toArray();
    double[][] split = belief.precision().getL().getData();
    double noise = Layout.noise(suspect);
    double[] mean = new double[rows.size()];
    double[] sigma = new double[rows.size()];
    double[][] moves = new double[rows.size()][];
    for (int r = 0; r < moves.length; r++) {
      double[] slopes = rows.get(r).slopes();
      mean[r] = rows.get(r).expected();
      sigma[r] = rows.get(r).sigma() * noise;
      double[] row = new double[split.length + anew.length];
      for (int p = 0; p < slopes.length; p++) {
        mean[r] += slopes[p] * (from[p] < 0 ? likely[p] : belief.likely()[from[p]]);
        if (from[p] >= 0 && place[from[p]] >= 0) {
          int at = place[from[p]];
          row[at] += slopes[p] * belief.spread()[at];
        }
      }
      forwards(split, row);
      for (int i = 0; i < anew.length; i++) {
        row[split.length + i] = slopes[anew[i]] * spread[anew[i]];
      }
      for (int i = 0; i < row.length; i++) {
        row[i] /= sigma[r];
      }
      moves[r] = row;
    }
    return new OutcomeForecast(cause, weight, mean, sigma, moves);
  }

  /**
   * Solves with a lower triangle.
   *
   * @param x the right side, of which as much is overwritten as the triangle has rows
   */
  private static void forwards(double[][] lower, double[] x) {
    for (int i = 0; i < lower.length; i++) {
      double[] row = lower[i];
      double sum = x[i];
      for (int k = 0; k < i; k++) {
        sum -= row[k] * x[k];
      }
      x[i] = sum / row[i];
    }
  }

  int cause() {
    return cause;
  }

  double weight() {
    return weight;
  }

  /** Readings as they may come out. */
  double[] draw(SplittableRandom random) {
    double[] z = new double[root.length];
    Arrays.setAll(z, i -> random.nextGaussian());
    double[] y = new double[mean.length];
    for (int r = 0; r < y.length; r++) {
      double sum = random.nextGaussian();
      for (int i = 0; i < z.length; i++) {
        sum += moves[r][i] * z[i];
      }
      y[r] = mean[r] + sigma[r] * sum;
    }
    return y;
  }

  /**
   * Logarithm of the weight times the density of an outcome, but for a constant that all forecasts
   * of a test share.
   *
   * @param outcome by row, as drawn; read only
   */
  double logWeight(double[] outcome) {
    double[] along = new double[root.length];
    double squares = 0;
    for (int r = 0; r < outcome.length; r++) {
      double off = (outcome[r] - mean[r]) / sigma[r];
      squares += off * off;
      double[] row = moves[r];
      for (int i = 0; i < along.length; i++) {
        along[i] += off * row[i];
      }
    }
    forwards(root, along);
    for (double a : along) {
      squares -= a * a;
    }
    return logs - 0.5 * squares;
  }
}
