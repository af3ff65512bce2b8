package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.Ranking;
import java.util.List;
import java.util.Optional;

/**
 * What may make the chip hot besides its joints as they are, and could be put right without opening
 * it.
 *
 * @param causes the causes that matter, the likeliest first
 * @param first the one to look for before anything is opened, if it is likely enough
 * @param fullWatts the load that the causes' cost is told at
 */
public record Suspicion(List<Cause> causes, Optional<Cause> first, double fullWatts) {
  /** Nothing is suspected. */
  static final Suspicion NONE = new Suspicion(List.of(), Optional.empty(), 1);

  /** Causes less likely, or cheaper than this, change no forecast that anybody would notice. */
  private static final double LEAST_PROBABILITY = 0.1;

  private static final double LEAST_KELVIN = 1;

  /** More are not told apart anyway. */
  private static final int MOST = 2;

  /** Copies its list. */
  public Suspicion {
    causes = List.copyOf(causes);
  }

  /** What a ranking means for a weighing. */
  public static Suspicion of(Ranking ranking, double fullWatts) {
    return new Suspicion(
        ranking.causes().stream()
            .filter(c -> c.reversible(ranking.outermost()))
            .filter(c -> c.probability() >= LEAST_PROBABILITY && c.kelvin() >= LEAST_KELVIN)
            .limit(MOST)
            .toList(),
        ranking.lookFirst(),
        fullWatts);
  }
}
