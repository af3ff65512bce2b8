package dev.ambershim.core.runs.everyday;

import dev.ambershim.core.runs.everyday.ResponseFit.Fitted;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;
import org.hipparchus.special.Gamma;

/**
 * Seeks the lags that a log speaks for, and what it leaves open of them: the peak of the evidence
 * by Nelder and Mead's simplex, then draws about the peak that count by how much likelier they are
 * than drawn (importance sampling from Student's t; MacKay, <i>Information Theory, Inference, and
 * Learning Algorithms</i>, 27 and 29).
 */
final class LagSearch {
  /** Where parts lag as a rule, s: die and joint, lid, base, loop or heat sink. */
  private static final double[][] USUAL = {{1.5, 15, 300}, {1.0, 8, 45, 350}};

  /** How far they stray, as a logarithm. */
  private static final double STRAY = 1;

  /** Noise that lasts: the usual share, on the scale of its inverse hyperbolic tangent. */
  private static final double LASTING = 0.8;

  private static final double LASTING_STRAYS = 0.7;
  private static final int MOST_ROUNDS = 300;
  private static final double NEAR_ENOUGH = 0.005;

  /** A simplex that has shrunk on a slope goes on from where it stands. */
  private static final int STARTS = 2;

  private static final double STEP = 0.08;

  /** A peak so much lower, as a logarithm, adds nothing to what the highest says. */
  private static final double HOPELESS = 12;

  private final ResponseFit fit;
  private final double[] usual;
  private final double[] peak;
  private final double top;

  private static final int DRAWS = 300;
  private static final long SEED = 20_261_129;

  /** Degrees of freedom of the draws: tails that are wider than what they look for. */
  private static final int TAILS = 4;

  /** One reading of the log: how much it counts, as a logarithm, and what it says. */
  record Reading(double logWeight, Fitted fitted) {}

  private LagSearch(ResponseFit fit, double[] usualSeconds) {
    this.fit = fit;
    usual = usualSeconds;
    peak = peak();
    top = goal(at(peak), peak);
  }

  /** Readings with three and with four parts, and with either kind of meter. */
  static List<Reading> of(List<ResponseFit> fits) {
    List<LagSearch> searches = new ArrayList<>();
    List<ResponseFit> left = fits;
    for (double[] lags : USUAL) {
      List<LagSearch> these = left.stream().map(fit -> new LagSearch(fit, lags)).toList();
      searches.addAll(these);
      // A meter that three parts speak against so clearly is not saved by a fourth.
      left = hopeful(these).stream().map(search -> search.fit).toList();
    }
    return hopeful(searches).stream().flatMap(search -> search.readings().stream()).toList();
  }

  private static List<LagSearch> hopeful(List<LagSearch> searches) {
    double best = searches.stream().mapToDouble(s -> s.top).max().orElseThrow();
    return searches.stream().filter(s -> s.top > best - HOPELESS).toList();
  }

  private Fitted at(double[] x) {
    double[] lags = new double[usual.length];
    for (int k = 0; k < lags.length; k++) {
      lags[k] = usual[k] * Math.exp(STRAY * x[k]);
    }
    return fit.fit(lags, Math.tanh(LASTING + LASTING_STRAYS * x[lags.length]));
  }

  /** Log of evidence times prior; every coordinate is standard normal beforehand. */
  private static double goal(Fitted f, double[] x) {
    double squares = 0;
    for (double v : x) {
      squares += v * v;
    }
    return f.logEvidence() - squares / 2;
  }

  /** A simplex may wander on a plain: after many rounds it is as good as it gets. */
  private static boolean enough(int round, PointValuePair before, PointValuePair now) {
    return round >= MOST_ROUNDS || Math.abs(before.getValue() - now.getValue()) < NEAR_ENOUGH;
  }

  private double[] peak() {
    int n = usual.length + 1;
    double[] best = new double[n];
    for (int start = 0; start < STARTS; start++) {
      best =
          new SimplexOptimizer(LagSearch::enough)
              .optimize(
                  MaxEval.unlimited(),
                  GoalType.MAXIMIZE,
                  new ObjectiveFunction(x -> goal(at(x), x)),
                  new InitialGuess(best),
                  new NelderMeadSimplex(n, start == 0 ? 0.7 : 0.25))
              .getPoint();
    }
    return best;
  }

  /** How the evidence bends at its peak. */
  private RealMatrix curve(double[] best) {
    int n = best.length;
    double[][] single = new double[n][2];
    for (int i = 0; i < n; i++) {
      single[i][0] = beside(best, i, -1, i, 0);
      single[i][1] = beside(best, i, 1, i, 0);
    }
    RealMatrix curve = MatrixUtils.createRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      curve.setEntry(i, i, (2 * top - single[i][0] - single[i][1]) / (STEP * STEP));
      for (int j = 0; j < i; j++) {
        double mixed =
            (single[i][1] + single[j][1] - top - beside(best, i, 1, j, 1)) / (STEP * STEP);
        curve.setEntry(i, j, mixed);
        curve.setEntry(j, i, mixed);
      }
    }
    return curve;
  }

  private double beside(double[] best, int i, int first, int j, int second) {
    double[] x = best.clone();
    x[i] += first * STEP;
    x[j] += second * STEP;
    return goal(at(x), x);
  }

  private List<Reading> readings() {
    double[] best = peak;
    int n = best.length;
    EigenDecompositionSymmetric eigen = new EigenDecompositionSymmetric(curve(best));
    double[] wide = new double[n];
    double volume = 0;
    for (int i = 0; i < n; i++) {
      // The prior alone has a curvature of one; less is a flat place that the simplex stopped at.
      wide[i] = 1 / Math.sqrt(Math.max(1, eigen.getEigenvalue(i)));
      volume += Math.log(wide[i]);
    }
    SplittableRandom random = new SplittableRandom(SEED);
    List<Reading> readings = new ArrayList<>();
    for (int d = 0; d < DRAWS; d++) {
      double chi = 0;
      for (int k = 0; k < TAILS; k++) {
        double z = random.nextGaussian();
        chi += z * z;
      }
      double[] x = best.clone();
      double squares = 0;
      for (int i = 0; i < n; i++) {
        double z = random.nextGaussian() / Math.sqrt(chi / TAILS);
        squares += z * z;
        for (int j = 0; j < n; j++) {
          x[j] += z * wide[i] * eigen.getEigenvector(i).getEntry(j);
        }
      }
      double logDensity =
          Gamma.logGamma((TAILS + n) / 2.0)
              - n / 2.0 * Math.log(TAILS / 2.0)
              - (TAILS + n) / 2.0 * Math.log1p(squares / TAILS)
              - volume;
      Fitted f = at(x);
      readings.add(new Reading(goal(f, x) - logDensity, f));
    }
    return readings;
  }
}
