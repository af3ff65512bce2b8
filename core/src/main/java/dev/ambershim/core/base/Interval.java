package dev.ambershim.core.base;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * A closed interval that holds the true value with a stated probability.
 *
 * @param low lower end, in the unit of the value it belongs to
 * @param high upper end, not below {@code low}
 * @param level probability between 0 and 1, such as 0.95
 */
public record Interval(double low, double high, double level) {
  private static final NormalDistribution NORMAL = new NormalDistribution();

  /**
   * Checks its ends.
   *
   * @throws IllegalArgumentException if the ends are out of order or not numbers
   */
  public Interval {
    if (!(low <= high)) {
      throw new IllegalArgumentException("interval ends out of order: " + low + ", " + high);
    }
  }

  /**
   * How many standard deviations to either side of its middle hold a share of a normal
   * distribution.
   *
   * @param share between 0 and 1, such as 0.95 for 1.96
   */
  public static double normalHalf(double share) {
    return NORMAL.inverseCumulativeProbability((1 + share) / 2);
  }

  /** An interval of half-width {@code half} around {@code centre}. */
  public static Interval around(double centre, double half, double level) {
    return new Interval(centre - half, centre + half, level);
  }

  /** Whether {@code value} lies inside, ends included. */
  public boolean contains(double value) {
    return low <= value && value <= high;
  }

  /** High minus low. */
  public double width() {
    return high - low;
  }

  /** The interval of the negated value. */
  public Interval negated() {
    return new Interval(-high, -low, level);
  }
}
