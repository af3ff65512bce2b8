package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Interval;
import org.hipparchus.stat.descriptive.rank.Percentile;

/**
 * The middle of equally likely values.
 *
 * @param median half of them lie below
 * @param range where eight cases of ten lie, at {@link Weighing#LEVEL}
 */
record Middle(double median, Interval range) {
  /** The middle of some values, which are read only. */
  static Middle of(double[] values) {
    // Once sorted in part for one quantile, values are sorted in part for the others.
    Percentile quantile = new Percentile();
    quantile.setData(values);
    double low = quantile.evaluate(50 * (1 - Weighing.LEVEL));
    double high = quantile.evaluate(50 * (1 + Weighing.LEVEL));
    return new Middle(quantile.evaluate(50), new Interval(low, high, Weighing.LEVEL));
  }
}
