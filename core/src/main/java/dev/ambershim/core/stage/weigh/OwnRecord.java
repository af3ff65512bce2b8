package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.plan.Odds;
import dev.ambershim.core.plan.Step;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import org.hipparchus.random.RandomDataGenerator;

/**
 * How often the person has done each step, and how often it ended in ruin. The believed odds count
 * as {@value #WEIGHT} earlier tries: with a Beta distribution for the chance, the updated odds are
 * (odds × weight + ruins) / (weight + tries) (the conjugate case for a share; Gelman et al.,
 * <i>Bayesian Data Analysis</i>, 2.4).
 *
 * @param tries by step
 * @param ruins by step, counted among the tries
 */
public record OwnRecord(Map<Step, Integer> tries, Map<Step, Integer> ruins) {
  /** How many tries the believed odds stand for. */
  public static final int WEIGHT = 40;

  /** No record. */
  public static final OwnRecord NONE = new OwnRecord(Map.of(), Map.of());

  /** Copies its maps. */
  public OwnRecord {
    tries = copy(tries);
    ruins = copy(ruins);
  }

  private static Map<Step, Integer> copy(Map<Step, Integer> from) {
    Map<Step, Integer> to = new EnumMap<>(Step.class);
    to.putAll(from);
    return Collections.unmodifiableMap(to);
  }

  /** Chance of ruin at a step, 0 to 1. */
  public double chance(Step step, Odds believed) {
    double prior = step.percent(believed) / 100;
    return (prior * WEIGHT + ruins.getOrDefault(step, 0)) / (WEIGHT + tries.getOrDefault(step, 0));
  }

  /** Chance that at least one of several steps ends in ruin, 0 to 1. */
  public double chance(Iterable<Step> steps, Odds believed) {
    return odds(steps, believed).mean();
  }

  /** The same with how well it is known. */
  public Chance odds(Iterable<Step> steps, Odds believed) {
    double well = 1;
    double wellSquared = 1;
    for (Step step : steps) {
      double of = WEIGHT + tries.getOrDefault(step, 0);
      double kept = of * (1 - chance(step, believed));
      well *= kept / of;
      wellSquared *= kept * (kept + 1) / (of * (of + 1));
    }
    return new Chance(1 - well, wellSquared - well * well);
  }

  /**
   * A chance that is itself not known exactly: a Beta distribution of this mean and variance. For
   * one step it is the very distribution; for several its first two moments are those of the
   * product.
   *
   * @param mean between 0 and 1
   * @param variance not negative
   */
  public record Chance(double mean, double variance) {
    /** A chance as it may be. */
    double draw(RandomDataGenerator random) {
      if (!(mean > 0 && mean < 1 && variance > 0)) {
        return mean;
      }
      double weight = mean * (1 - mean) / variance - 1;
      return random.nextBeta(mean * weight, (1 - mean) * weight);
    }
  }
}
