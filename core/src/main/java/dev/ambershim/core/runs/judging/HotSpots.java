package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * What a pattern of core temperatures hints at: one side hotter, the rim or the middle hotter, one
 * core alone. Each is tested against what is left of the pattern without it (F test of a regression
 * on place), and has to reach a size that matters. They are hints: cores also differ by their
 * sensors and by their share of the load (common practice: a few kelvin).
 */
public final class HotSpots {
  /** Patterns smaller than this are what cores and sensors do anyway; common practice. */
  private static final double LEAST_KELVIN = 4;

  /** In a change the sensors' own offsets cancel, so less counts; common practice. */
  private static final double LEAST_CHANGE_KELVIN = 2;

  private static final double SIGNIFICANCE = 0.05;
  private static final double LONE_DEVIATIONS = 4;

  /** What a pattern looks like. */
  public enum Kind {
    SIDE,
    RIM,
    MIDDLE,
    ONE_CORE
  }

  /**
   * A hint.
   *
   * @param kind the pattern
   * @param kelvin its size: from one side to the other, from middle to rim, or over the other cores
   * @param sentence what is seen and what it may be
   * @param test what would tell
   */
  public record Hint(Kind kind, double kelvin, String sentence, String test) {}

  private final double least;
  private final Notation notation;
  private final List<Hint> hints = new ArrayList<>();

  private HotSpots(double least, Notation notation) {
    this.least = least;
    this.notation = notation;
  }

  /**
   * Looks for patterns in one state.
   *
   * @param kelvin each core's rise less what is expected of it, or its rise
   * @param xMillimetres each core's centre from left to right, or empty if the places are not known
   * @param yMillimetres each core's centre from front to back
   * @return the largest pattern of place first, then a lone core; empty if there is none
   */
  public static List<Hint> of(
      double[] kelvin, double[] xMillimetres, double[] yMillimetres, Notation notation) {
    return new HotSpots(LEAST_KELVIN, notation).look(kelvin, xMillimetres, yMillimetres);
  }

  /** The same in the change of each core from one state to another. */
  public static List<Hint> ofChange(
      double[] kelvin, double[] xMillimetres, double[] yMillimetres, Notation notation) {
    return new HotSpots(LEAST_CHANGE_KELVIN, notation).look(kelvin, xMillimetres, yMillimetres);
  }

  private List<Hint> look(double[] kelvin, double[] xMillimetres, double[] yMillimetres) {
    int n = kelvin.length;
    double[] left = kelvin.clone();
    if (xMillimetres.length == n && n >= 6) {
      double[] x = scaled(xMillimetres);
      double[] y = scaled(yMillimetres);
      double[] far = new double[n];
      for (int i = 0; i < n; i++) {
        far[i] = x[i] * x[i] + y[i] * y[i];
      }
      side(left, x, y);
      rim(left, centred(far));
      hints.sort((a, b) -> Double.compare(b.kelvin(), a.kelvin()));
    }
    if (n >= 4) {
      lone(left);
    }
    return hints;
  }

  /** Both directions together; takes the pattern out of what is left if it counts. */
  private void side(double[] left, double[] x, double[] y) {
    boolean flatX = range(x) < 1e-9;
    boolean flatY = range(y) < 1e-9;
    List<double[]> columns = new ArrayList<>();
    if (!flatX) {
      columns.add(x);
    }
    if (!flatY) {
      columns.add(y);
    }
    if (columns.isEmpty()) {
      return;
    }
    double[] slopes = fit(left, columns);
    double[] pattern = pattern(columns, slopes, left.length);
    if (!counts(left, pattern, columns.size())) {
      return;
    }
    double alongX = flatX ? 0 : slopes[0];
    double alongY = flatY ? 0 : slopes[flatX ? 0 : 1];
    hints.add(
        new Hint(
            Kind.SIDE,
            range(pattern),
            "The "
                + direction(alongX, alongY)
                + " side is hotter, by "
                + notation.text(range(pattern), Unit.KELVIN)
                + " across the cores: the cooler or the lid may sit tilted, or a film may be thin"
                + " there.",
            "Mount the cooler again with even turns, turned half round if it fits. If the hot side"
                + " turns with it, it is the cooler; if it stays, it is under the lid."));
    subtract(left, pattern);
  }

  private void rim(double[] left, double[] far) {
    if (range(far) < 1e-9) {
      return;
    }
    List<double[]> columns = List.of(far);
    double[] slope = fit(left, columns);
    double[] pattern = pattern(columns, slope, left.length);
    if (!counts(left, pattern, 1)) {
      return;
    }
    boolean rim = slope[0] > 0;
    String by = notation.text(range(pattern), Unit.KELVIN);
    hints.add(
        new Hint(
            rim ? Kind.RIM : Kind.MIDDLE,
            range(pattern),
            rim
                ? "The rim is hotter than the middle, by "
                    + by
                    + ": lid or cold plate may be bowed outwards and touch in the middle only."
                : "The middle is hotter than the rim, by "
                    + by
                    + ": lid or cold plate may be hollow in the middle, or a film may have a hole"
                    + " there.",
            "Probe lid and cold plate for flatness, or look at the print that the paste leaves."));
    subtract(left, pattern);
  }

  private void lone(double[] left) {
    int hottest = 0;
    for (int i = 1; i < left.length; i++) {
      hottest = left[i] > left[hottest] ? i : hottest;
    }
    double[] others = new double[left.length - 1];
    for (int i = 0; i < others.length; i++) {
      others[i] = left[i < hottest ? i : i + 1];
    }
    double above = left[hottest] - BatchMeans.mean(others);
    double scatter = BatchMeans.standardDeviation(others);
    if (above < least || above < LONE_DEVIATIONS * scatter) {
      return;
    }
    hints.add(
        new Hint(
            Kind.ONE_CORE,
            above,
            "Core "
                + hottest
                + " alone is hotter than the others, by "
                + notation.text(above, Unit.KELVIN)
                + ": a hole in the film over it, or a core or sensor that always reads high.",
            "Load that core alone, then a neighbour alone. If it stays as far ahead at little"
                + " power, it is the sensor; if it falls to the others, it is the joint over it."));
  }

  private static String direction(double alongX, double alongY) {
    String across = alongX > 0 ? "right" : "left";
    String deep = alongY > 0 ? "back" : "front";
    if (Math.abs(alongY) < 0.4 * Math.abs(alongX)) {
      return across;
    }
    return Math.abs(alongX) < 0.4 * Math.abs(alongY) ? deep : deep + " " + across;
  }

  /** Whether a pattern reaches a size that matters and stands out from what is left without it. */
  private boolean counts(double[] all, double[] pattern, int terms) {
    int freedom = all.length - terms - 1;
    if (range(pattern) < least || freedom < 2) {
      return false;
    }
    double mean = BatchMeans.mean(all);
    double explained = 0;
    double open = 0;
    for (int i = 0; i < all.length; i++) {
      explained += pattern[i] * pattern[i];
      open += Math.pow(all[i] - mean - pattern[i], 2);
    }
    if (open <= 0) {
      return true;
    }
    double f = explained / terms / (open / freedom);
    return 1 - new FDistribution(terms, freedom).cumulativeProbability(f) < SIGNIFICANCE;
  }

  /** Least squares of centred columns. */
  private static double[] fit(double[] y, List<double[]> columns) {
    double[][] rows = new double[y.length][columns.size()];
    double mean = BatchMeans.mean(y);
    double[] centred = new double[y.length];
    for (int i = 0; i < y.length; i++) {
      centred[i] = y[i] - mean;
      for (int c = 0; c < columns.size(); c++) {
        rows[i][c] = columns.get(c)[i];
      }
    }
    RealMatrix matrix = MatrixUtils.createRealMatrix(rows);
    RealVector found =
        new QRDecomposition(matrix).getSolver().solve(MatrixUtils.createRealVector(centred));
    return found.toArray();
  }

  private static double[] pattern(List<double[]> columns, double[] slopes, int n) {
    double[] result = new double[n];
    for (int i = 0; i < n; i++) {
      for (int c = 0; c < slopes.length; c++) {
        result[i] += slopes[c] * columns.get(c)[i];
      }
    }
    return result;
  }

  private static void subtract(double[] from, double[] pattern) {
    for (int i = 0; i < from.length; i++) {
      from[i] -= pattern[i];
    }
  }

  private static double range(double[] y) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double v : y) {
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    return high - low;
  }

  private static double[] centred(double[] y) {
    double mean = BatchMeans.mean(y);
    double[] result = new double[y.length];
    for (int i = 0; i < y.length; i++) {
      result[i] = y[i] - mean;
    }
    return result;
  }

  /** Centred, and as wide as one. */
  private static double[] scaled(double[] y) {
    double[] result = centred(y);
    double width = range(y);
    for (int i = 0; i < result.length && width > 0; i++) {
      result[i] /= width;
    }
    return result;
  }
}
