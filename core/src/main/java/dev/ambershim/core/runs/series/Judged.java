package dev.ambershim.core.runs.series;

import dev.ambershim.core.base.Interval;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * A series as it was judged.
 *
 * @param ranking the candidates, the coolest first
 * @param pairs every two of them, in the order of the ranking
 * @param against every other candidate less the reference, told at one level together (Dunnett);
 *     empty where none was named
 * @param watts the power that all rises were brought to
 * @param scatterKelvin standard deviation of one mount about what the model says, K
 * @param freedom its degrees of freedom
 * @param ownScatter whether the mounts tell it by themselves, and nothing usual was mixed in
 * @param blocked whether blocks were taken out
 * @param drift how the bench crept over the order of the mounts, where that is known
 * @param driftTakenOut whether a drift within the blocks was taken out as well
 * @param outliers mounts that stand far from what the model says; they count all the same
 * @param mounts those that count
 * @param spoiled those that do not
 * @param mountsToPart more mounts, of the best two together, that would part them with a chance of
 *     80 %; 0 where they are parted; empty if no reasonable number would
 * @param next the candidate whose next mount tells most; empty where nothing is left to tell
 */
public record Judged(
    List<Mean> ranking,
    List<Pair> pairs,
    List<Pair> against,
    double watts,
    double scatterKelvin,
    double freedom,
    boolean ownScatter,
    boolean blocked,
    Optional<BenchDrift> drift,
    boolean driftTakenOut,
    List<Outlier> outliers,
    List<Mount> mounts,
    List<Mount> spoiled,
    OptionalInt mountsToPart,
    Optional<String> next) {
  /**
   * A candidate.
   *
   * @param candidate its name
   * @param kelvin its rise at the series' mean power and in the mean of the blocks, K
   * @param interval of that, 95 %
   * @param chanceBest the chance that it is the coolest of all
   * @param group letters that it shares with every candidate that it cannot be told from
   * @param mounts how many of it count
   * @param price what one use costs, where it is known
   */
  public record Mean(
      String candidate,
      double kelvin,
      Interval interval,
      double chanceBest,
      String group,
      int mounts,
      OptionalDouble price) {}

  /**
   * Two candidates.
   *
   * @param first its name
   * @param second its name
   * @param kelvin first less second, K
   * @param interval of that, 95 % for all pairs together
   * @param told whether they differ beyond chance
   */
  public record Pair(String first, String second, double kelvin, Interval interval, boolean told) {
    /** Whether it is of both candidates, in either order. */
    public boolean of(String one, String other) {
      return (first.equals(one) && second.equals(other))
          || (first.equals(other) && second.equals(one));
    }
  }

  /**
   * How the bench crept, candidates apart.
   *
   * @param perMount K from one mount to the next
   * @param interval of that, 95 %
   */
  public record BenchDrift(double perMount, Interval interval) {
    /** Whether it is more than chance. */
    public boolean told() {
      return !interval.contains(0);
    }
  }

  /**
   * A mount that stands apart.
   *
   * @param mount which
   * @param kelvin how far over what the others say of it, K
   */
  public record Outlier(Mount mount, double kelvin) {}

  /** Copies its lists. */
  public Judged {
    ranking = List.copyOf(ranking);
    pairs = List.copyOf(pairs);
    against = List.copyOf(against);
    outliers = List.copyOf(outliers);
    mounts = List.copyOf(mounts);
    spoiled = List.copyOf(spoiled);
  }

  /** The pair of two candidates. */
  public Pair pair(String one, String other) {
    return pairs.stream().filter(p -> p.of(one, other)).findFirst().orElseThrow();
  }

  /** The candidates that cannot be told from the coolest, it being the first. */
  public List<Mean> leaders() {
    Mean best = ranking.get(0);
    return ranking.stream()
        .filter(
            m ->
                m.candidate().equals(best.candidate())
                    || !pair(best.candidate(), m.candidate()).told())
        .toList();
  }
}
