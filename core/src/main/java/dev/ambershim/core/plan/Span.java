package dev.ambershim.core.plan;

/**
 * A time that is not known for sure, in minutes.
 *
 * <p>The mean and the standard deviation are those of PERT: (low + 4 likely + high) / 6 and (high −
 * low) / 6 (Malcolm, Roseboom, Clark &amp; Fazar, <i>Operations Research</i> 7, 1959; from memory).
 *
 * @param low if all goes well
 * @param likely as a rule
 * @param high if it does not
 */
public record Span(double low, double likely, double high) {
  /** No time at all. */
  public static final Span NONE = new Span(0, 0, 0);

  /**
   * Checks the order.
   *
   * @throws IllegalArgumentException if they are not in order, or below zero
   */
  public Span {
    if (!(low >= 0 && low <= likely && likely <= high)) {
      throw new IllegalArgumentException(low + ", " + likely + ", " + high);
    }
  }

  /** The mean by PERT, minutes. */
  public double mean() {
    return (low + 4 * likely + high) / 6;
  }

  /** The standard deviation by PERT, minutes. */
  public double deviation() {
    return (high - low) / 6;
  }

  /** This and another, one after the other. */
  public Span plus(Span other) {
    return new Span(low + other.low, likely + other.likely, high + other.high);
  }
}
