package dev.ambershim.core.picture;

/**
 * The part of a chart's time that is in sight.
 *
 * @param fromMinutes its start, minutes under load
 * @param toMinutes its end
 */
public record Span(double fromMinutes, double toMinutes) {
  /** Less than this cannot be told apart on any log: a second. */
  private static final double LEAST_MINUTES = 1 / 60.0;

  /** Checks that it is forward. */
  public Span {
    if (!(fromMinutes < toMinutes)) {
      throw new IllegalArgumentException(fromMinutes + " to " + toMinutes);
    }
  }

  /** Its length. */
  public double minutes() {
    return toMinutes - fromMinutes;
  }

  /**
   * The same seen from nearer (a factor below 1) or farther, with one place staying where it is.
   */
  public Span zoomed(double aboutMinutes, double factor) {
    double f = Math.max(factor, LEAST_MINUTES / minutes());
    return new Span(
        aboutMinutes - (aboutMinutes - fromMinutes) * f,
        aboutMinutes + (toMinutes - aboutMinutes) * f);
  }

  /** The same a little later, or earlier. */
  public Span moved(double minutes) {
    return new Span(fromMinutes + minutes, toMinutes + minutes);
  }

  /** The same pushed back inside a whole; the whole itself if it is longer. */
  public Span inside(Span whole) {
    if (minutes() >= whole.minutes()) {
      return whole;
    }
    if (fromMinutes < whole.fromMinutes) {
      return moved(whole.fromMinutes - fromMinutes);
    }
    return toMinutes > whole.toMinutes ? moved(whole.toMinutes - toMinutes) : this;
  }
}
