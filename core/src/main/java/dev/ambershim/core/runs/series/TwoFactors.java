package dev.ambershim.core.runs.series;

import dev.ambershim.core.base.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * A series whose candidates are two things together, such as paste × pattern: whether both add up,
 * and how the levels of each compare over all of the other (Montgomery, <i>Design and Analysis of
 * Experiments</i>, 5.3).
 *
 * @param first the pairs of levels of the first thing, the cooler one first, 95 % for these
 *     together
 * @param second the same of the second
 * @param chance how often things that add up would look so little like it
 */
public record TwoFactors(List<Judged.Pair> first, List<Judged.Pair> second, double chance) {
  /** What stands between the two in a candidate's name. */
  private static final Pattern BETWEEN = Pattern.compile("\\s+[×x*]\\s+");

  /** They are told not to add up where chance does so seldom. */
  private static final double TOLD = 0.05;

  /** Copies its lists. */
  public TwoFactors {
    first = List.copyOf(first);
    second = List.copyOf(second);
  }

  /** Whether nothing speaks against both adding up. */
  public boolean addUp() {
    return chance >= TOLD;
  }

  /**
   * Looks at a series as it was judged; empty where its candidates are not two things each, where
   * one of them has one level only, or where the mounts are too few.
   */
  public static Optional<TwoFactors> of(Judged judged) {
    List<String[]> parts =
        judged.mounts().stream().map(m -> BETWEEN.split(m.candidate(), -1)).toList();
    if (parts.stream().anyMatch(p -> p.length != 2 || p[0].isBlank() || p[1].isBlank())) {
      return Optional.empty();
    }
    List<String> one = distinct(parts.stream().map(p -> p[0].strip()).toList());
    List<String> two = distinct(parts.stream().map(p -> p[1].strip()).toList());
    if (one.size() < 2 || two.size() < 2 || !judged.ownScatter()) {
      return Optional.empty();
    }
    try {
      return Optional.of(new Additive(judged, parts, one, two).told());
    } catch (MathIllegalArgumentException apart) {
      // Levels that never met cannot be compared.
      return Optional.empty();
    }
  }

  private static List<String> distinct(List<String> names) {
    return new ArrayList<>(new LinkedHashSet<>(names));
  }

  /** Both things and the blocks, added up by least squares. */
  private static final class Additive {
    private final Judged judged;
    private final List<String> one;
    private final List<String> two;
    private final RealMatrix covariance;
    private final double[] coefficients;
    private final double squares;
    private final int freedom;

    Additive(Judged judged, List<String[]> parts, List<String> one, List<String> two) {
      this.judged = judged;
      this.one = one;
      this.two = two;
      List<Mount> mounts = judged.mounts();
      List<String> blocks =
          judged.blocked() ? distinct(mounts.stream().map(Mount::block).toList()) : List.of("");
      int columns = one.size() + two.size() - 1 + blocks.size() - 1;
      RealMatrix x = new Array2DRowRealMatrix(mounts.size(), columns);
      double[] rises = new double[mounts.size()];
      for (int i = 0; i < rises.length; i++) {
        rises[i] = mounts.get(i).riseAt(judged.watts());
        x.setEntry(i, one.indexOf(parts.get(i)[0].strip()), 1);
        code(x, i, one.size(), two.size(), two.indexOf(parts.get(i)[1].strip()));
        if (blocks.size() > 1) {
          int from = one.size() + two.size() - 1;
          code(x, i, from, blocks.size(), blocks.indexOf(mounts.get(i).block()));
        }
      }
      RealMatrix transposed = x.transpose();
      covariance = new QRDecomposition(transposed.multiply(x), 1e-10).getSolver().getInverse();
      coefficients = covariance.operate(transposed.operate(rises));
      double[] told = x.operate(coefficients);
      double sum = 0;
      for (int i = 0; i < rises.length; i++) {
        sum += (rises[i] - told[i]) * (rises[i] - told[i]);
      }
      squares = sum;
      freedom = rises.length - columns;
    }

    /** Levels that sum to zero: all but the last have a column, which the last takes off. */
    private static void code(RealMatrix x, int row, int from, int levels, int level) {
      for (int k = 0; k < levels - 1; k++) {
        x.setEntry(row, from + k, level == levels - 1 ? -1 : level == k ? 1 : 0);
      }
    }

    TwoFactors told() {
      double cells = judged.scatterKelvin() * judged.scatterKelvin() * judged.freedom();
      double extra = freedom - judged.freedom();
      double chance = 1;
      if (extra > 0 && judged.freedom() > 0) {
        double f =
            Math.max(0, squares - cells)
                / extra
                / (judged.scatterKelvin() * judged.scatterKelvin());
        chance = 1 - new FDistribution(extra, judged.freedom()).cumulativeProbability(f);
      }
      return new TwoFactors(pairs(one, 0, false), pairs(two, one.size(), true), chance);
    }

    private List<Judged.Pair> pairs(List<String> levels, int from, boolean coded) {
      double factor =
          new StudentizedRange(levels.size(), judged.freedom()).quantile(SeriesFit.LEVEL)
              / Math.sqrt(2);
      List<Judged.Pair> pairs = new ArrayList<>();
      for (int i = 0; i < levels.size(); i++) {
        for (int j = i + 1; j < levels.size(); j++) {
          double[] contrast = new double[coefficients.length];
          add(contrast, from, levels.size(), i, 1, coded);
          add(contrast, from, levels.size(), j, -1, coded);
          double[] by = covariance.operate(contrast);
          double kelvin = 0;
          double variance = 0;
          for (int k = 0; k < contrast.length; k++) {
            kelvin += contrast[k] * coefficients[k];
            variance += contrast[k] * by[k];
          }
          double half = factor * judged.scatterKelvin() * Math.sqrt(variance);
          boolean cooler = kelvin <= 0;
          double shown = -Math.abs(kelvin);
          pairs.add(
              new Judged.Pair(
                  levels.get(cooler ? i : j),
                  levels.get(cooler ? j : i),
                  shown,
                  Interval.around(shown, half, SeriesFit.LEVEL),
                  Math.abs(kelvin) > half));
        }
      }
      pairs.sort(Comparator.comparingDouble(Judged.Pair::kelvin));
      return pairs;
    }

    private static void add(
        double[] contrast, int from, int levels, int level, double sign, boolean coded) {
      if (!coded) {
        contrast[from + level] += sign;
        return;
      }
      for (int k = 0; k < levels - 1; k++) {
        contrast[from + k] += sign * (level == levels - 1 ? -1 : level == k ? 1 : 0);
      }
    }
  }
}
