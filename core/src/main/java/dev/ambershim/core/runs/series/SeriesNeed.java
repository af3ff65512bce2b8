package dev.ambershim.core.runs.series;

import java.util.OptionalInt;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How many mounts of each candidate a difference takes to be told, in blocks, with all pairs at one
 * level: half of the studentized range's width and the power's own factor, times the standard error
 * of a difference, found from below (Montgomery, <i>Design and Analysis of Experiments</i>, section
 * 3.7; 95 % for all pairs together and 80 % power).
 *
 * @param candidates how many, 2 or more
 * @param scatterKelvin standard deviation between mounts, K, above 0
 */
public record SeriesNeed(int candidates, double scatterKelvin) {
  private static final double POWER = 0.8;
  private static final int FEWEST = 2;
  private static final int MOST = 60;

  /** The difference that so many mounts of each candidate tell, K; infinite with fewer than two. */
  public double tells(int mounts) {
    if (mounts < FEWEST) {
      return Double.POSITIVE_INFINITY;
    }
    double freedom = (candidates - 1.0) * (mounts - 1.0);
    double factor =
        new StudentizedRange(candidates, freedom).quantile(SeriesFit.LEVEL) / Math.sqrt(2)
            + new TDistribution(freedom).inverseCumulativeProbability(POWER);
    return factor * scatterKelvin * Math.sqrt(2.0 / mounts);
  }

  /**
   * Mounts of each candidate that tell a difference.
   *
   * @param kelvin the smallest that matters, above 0
   * @return 2 or more; empty if so many as can be asked for would not do
   */
  public OptionalInt mountsFor(double kelvin) {
    if (tells(MOST) > kelvin) {
      return OptionalInt.empty();
    }
    int low = FEWEST - 1;
    int high = MOST;
    while (high - low > 1) {
      int middle = (low + high) / 2;
      if (tells(middle) <= kelvin) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return OptionalInt.of(high);
  }
}
