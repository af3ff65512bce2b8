package dev.ambershim.core.runs.series;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How far the farthest of several candidates lies from one reference, on either side, in standard
 * errors of a difference, where all are alike and mounted equally often (Dunnett 1964; Montgomery,
 * <i>Design and Analysis of Experiments</i>, section 3.5).
 *
 * @param others candidates beside the reference, 1 or more
 * @param freedom degrees of freedom of the standard error
 */
record AgainstReference(int others, double freedom) {
  private static final NormalDistribution NORMAL = new NormalDistribution();

  /** The chance that none lies farther than so many standard errors. */
  double cumulative(double distance) {
    return StandardError.cumulative(distance, freedom, this::ofNormal);
  }

  private double ofNormal(double distance) {
    double reach = distance * Math.sqrt(2);
    return StandardError.overNormal(
        z ->
            Math.pow(
                NORMAL.cumulativeProbability(z + reach) - NORMAL.cumulativeProbability(z - reach),
                others));
  }

  /** The distance that is not passed with a chance. */
  double quantile(double chance) {
    return StandardError.quantile(chance, freedom, StandardError.tabled(this::ofNormal));
  }
}
