package dev.ambershim.bench.coverage;

import java.util.Random;
import java.util.SplittableRandom;

/**
 * Chance of its own for each case. {@link Random}s whose seeds follow each other begin much alike,
 * so that what is drawn first in each case would be spread too evenly over the cases; the seeds are
 * mixed beforehand.
 */
final class Chance {
  private Chance() {}

  /** The chance of one case of a set, the same each time. */
  static Random of(String set, int index) {
    return new Random(new SplittableRandom(31L * set.hashCode() + index).nextLong());
  }
}
