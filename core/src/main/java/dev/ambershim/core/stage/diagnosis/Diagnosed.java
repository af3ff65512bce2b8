package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Latest;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;

/**
 * Causes that were worked out, so that several stages ask for them once: the latest few cases, and
 * the stack that was solved last. Used by any thread.
 */
public final class Diagnosed {
  private static final int KEPT = 8;

  private final Executor helpers;
  private final Map<JobCase, Ranking> known = new Latest<>(KEPT);

  private JobCase solvedFor;
  private Diagnosis solved;

  /**
   * Nothing yet.
   *
   * @param helpers works beside whoever asks
   */
  public Diagnosed(Executor helpers) {
    this.helpers = helpers;
  }

  /** The causes of a case, if they were worked out. */
  public Optional<Ranking> known(JobCase given) {
    synchronized (known) {
      return Optional.ofNullable(known.get(given));
    }
  }

  /**
   * The causes of a case.
   *
   * @throws dev.ambershim.core.base.Problem {@code stack.…} or {@code diagnose.…}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public synchronized Ranking of(JobCase given, SolveWatch watch) {
    Optional<Ranking> before = known(given);
    if (before.isPresent()) {
      return before.get();
    }
    DiagnosisCase asked = given.given();
    if (solved == null || !solvedFor.sameStack(given)) {
      solved = new Diagnosis(asked, helpers, watch);
      solvedFor = given;
    }
    Ranking ranking = solved.of(asked, watch);
    synchronized (known) {
      known.put(given, ranking);
    }
    return ranking;
  }
}
