package dev.ambershim.core.runs.judging;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How many mounts each side a difference takes to be seen: n = 2·(t₁₋α/₂ + t₁₋β)²·(σ/δ)² with
 * Student factors of 2·(n − 1) degrees of freedom, found from below; 95 % confidence and 80 %
 * power. It is the textbooks' sample size of a two-sample test; Cohen 1988, <i>Statistical Power
 * Analysis</i>, table 2.4.1, gives the same figures.
 */
final class RunsNeeded {
  private static final double CONFIDENCE = 0.95;
  private static final double POWER = 0.80;
  private static final int MOST = 1000;

  private RunsNeeded() {}

  /**
   * Least count each side.
   *
   * @param scatter standard deviation of one mount's result, above 0
   * @param difference the difference to see, above 0, in the same unit
   * @return 2 or more; {@link Integer#MAX_VALUE} if over a thousand would not do
   */
  static int eachSide(double scatter, double difference) {
    double ratio = scatter / difference;
    double normal =
        new NormalDistribution().inverseCumulativeProbability(0.5 + CONFIDENCE / 2)
            + new NormalDistribution().inverseCumulativeProbability(POWER);
    int n = (int) Math.max(2, Math.floor(2 * normal * normal * ratio * ratio));
    while (n <= MOST) {
      double freedom = 2.0 * (n - 1);
      // A two-sided factor of level 2·power − 1 is the one-sided one of that power.
      double factor =
          BatchMeans.quantile(freedom, CONFIDENCE) + BatchMeans.quantile(freedom, 2 * POWER - 1);
      if (n >= 2 * factor * factor * ratio * ratio) {
        return n;
      }
      n++;
    }
    return Integer.MAX_VALUE;
  }
}
