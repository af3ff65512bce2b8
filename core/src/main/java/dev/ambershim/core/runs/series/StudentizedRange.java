package dev.ambershim.core.runs.series;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How far the largest of several equal means lies over the smallest, in standard errors of one mean
 * (Tukey 1953; Montgomery, <i>Design and Analysis of Experiments</i>, appendix of studentized
 * ranges). The range of normal figures is integrated over where its lowest lies.
 *
 * @param count means, 2 or more
 * @param freedom degrees of freedom of the standard error, above 0; infinite for one that is known
 */
record StudentizedRange(int count, double freedom) {
  private static final NormalDistribution NORMAL = new NormalDistribution();

  /** By the count of means: they are few, and each table is many integrals. */
  private static final Map<Integer, DoubleUnaryOperator> TABLES = new ConcurrentHashMap<>();

  /** The chance that the range is at most so many standard errors. */
  double cumulative(double range) {
    return StandardError.cumulative(range, freedom, this::ofNormal);
  }

  /** The same for a standard error that is known. */
  private double ofNormal(double range) {
    return count
        * StandardError.overNormal(
            z ->
                Math.pow(
                    NORMAL.cumulativeProbability(z + range) - NORMAL.cumulativeProbability(z),
                    count - 1.0));
  }

  /** The range that is not passed with a chance. */
  double quantile(double chance) {
    DoubleUnaryOperator quick =
        TABLES.computeIfAbsent(count, c -> StandardError.tabled(this::ofNormal));
    return StandardError.quantile(chance, freedom, quick);
  }
}
