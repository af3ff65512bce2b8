package dev.ambershim.core.job;

/**
 * How one of the person's own joints of the same filling aged on another chip.
 *
 * @param sharePerYear growth of the rise, as a share of it
 * @param variance of that share
 */
public record OwnJoint(double sharePerYear, double variance) {
  /** Whether it can be reckoned with. */
  boolean sound() {
    return Math.abs(sharePerYear) <= 5 && variance > 0 && variance <= 100;
  }
}
