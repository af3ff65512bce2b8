package dev.ambershim.core.runs.series;

import dev.ambershim.core.base.SeededDraws;
import java.util.OptionalInt;
import org.hipparchus.random.RandomDataGenerator;

/**
 * How many more mounts of two candidates, half of each and side by side, would part them: drawn
 * from what is known of their difference and of the scatter, so that a difference that may well be
 * nothing asks for many (Spiegelhalter, Abrams &amp; Myles 2004, predictive power).
 *
 * @param kelvin their difference as it was found
 * @param variance of that, in units of the variance of one mount
 * @param scatter standard deviation of one mount, K
 * @param freedom of that
 * @param family how many candidates are judged together
 * @param blocked whether new mounts come in blocks, each with a level of its own
 */
record MountsToPart(
    double kelvin, double variance, double scatter, double freedom, int family, boolean blocked) {
  private static final double CHANCE = 0.8;
  private static final double LEVEL = 0.95;
  private static final int MOST = 60;
  private static final int DRAWS = 2000;

  /** An even number; empty if so many as can be asked for would not do. */
  OptionalInt count() {
    if (chance(MOST) < CHANCE) {
      return OptionalInt.empty();
    }
    int low = 0;
    int high = MOST / 2;
    while (high - low > 1) {
      int middle = (low + high) / 2;
      if (chance(2 * middle) < CHANCE) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return OptionalInt.of(2 * high);
  }

  /** The chance that so many more mounts part them. */
  double chance(int more) {
    double fresh = 4.0 / more;
    double both = 1 / (1 / variance + 1 / fresh);
    double added = blocked ? more / 2.0 : more;
    double then = freedom + added;
    double factor = new StudentizedRange(family, then).quantile(LEVEL) / Math.sqrt(2);
    RandomDataGenerator random = SeededDraws.of(more);
    int parted = 0;
    for (int i = 0; i < DRAWS; i++) {
      double sigma = scatter * Math.sqrt(freedom / random.nextGamma(freedom / 2, 2));
      double truth = kelvin + sigma * Math.sqrt(variance) * random.nextNormal(0, 1);
      double seen = truth + sigma * Math.sqrt(fresh) * random.nextNormal(0, 1);
      double difference = (kelvin / variance + seen / fresh) * both;
      double squares =
          (freedom * scatter * scatter + sigma * sigma * random.nextGamma(added / 2, 2)) / then;
      if (Math.abs(difference) > factor * Math.sqrt(squares * both)) {
        parted++;
      }
    }
    return (double) parted / DRAWS;
  }
}
