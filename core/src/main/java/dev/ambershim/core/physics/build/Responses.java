package dev.ambershim.core.physics.build;

import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Solved situations, kept so that another price or another reading asks for no new solution. Used
 * by one thread at a time; situations that are not known yet are shared out to the caller's
 * executor.
 */
public final class Responses {
  private static final int KEPT = 120;

  private final Map<Situation, Response> known =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Situation, Response> eldest) {
          return size() > KEPT;
        }
      };

  private final Executor executor;

  /** Solves one after another on the caller's thread. */
  public Responses() {
    this(Runnable::run);
  }

  /**
   * Solves on given threads.
   *
   * @param executor works on several situations at a time; the result does not depend on how many
   */
  public Responses(Executor executor) {
    this.executor = executor;
  }

  /**
   * The responses of situations.
   *
   * @param watch told the share that is done; asked whether to stop
   * @throws java.util.concurrent.CancellationException if the watch says so
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if a stack cannot be
   */
  public synchronized Map<Situation, Response> of(Set<Situation> situations, SolveWatch watch) {
    List<Situation> missing = situations.stream().filter(s -> !known.containsKey(s)).toList();
    AtomicInteger done = new AtomicInteger();
    List<Response> solved =
        SideBySide.each(
            missing,
            situation -> {
              Response response =
                  Response.of(situation, new SolveWatch(share -> {}, watch.cancelled()));
              watch.progress().accept((double) done.incrementAndGet() / missing.size());
              return response;
            },
            executor);
    // Taken out before new ones come in, as these may push out old ones.
    Map<Situation, Response> all = new LinkedHashMap<>();
    situations.forEach(s -> all.put(s, known.get(s)));
    for (int i = 0; i < missing.size(); i++) {
      known.put(missing.get(i), solved.get(i));
      all.put(missing.get(i), solved.get(i));
    }
    return all;
  }

  /**
   * Responses from what was solved before, without solving: a first answer while the new solutions
   * are still on their way.
   *
   * @return empty if a situation is too far from all that was solved
   */
  public synchronized Optional<Map<Situation, Response>> near(Set<Situation> situations) {
    List<Response> solved = new ArrayList<>(known.values());
    Map<Situation, Response> all = new LinkedHashMap<>();
    for (Situation situation : situations) {
      Optional<Response> found = Optional.ofNullable(known.get(situation));
      // The one that was asked for last is the likeliest to be near.
      for (int i = solved.size() - 1; i >= 0 && found.isEmpty(); i--) {
        found = solved.get(i).movedTo(situation);
      }
      if (found.isEmpty()) {
        return Optional.empty();
      }
      all.put(situation, found.get());
    }
    return Optional.of(all);
  }

  /** Whether all of these were solved. */
  public synchronized boolean holds(Set<Situation> situations) {
    return known.keySet().containsAll(situations);
  }
}
