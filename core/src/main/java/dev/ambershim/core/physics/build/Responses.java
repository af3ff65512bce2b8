package dev.ambershim.core.physics.build;

import dev.ambershim.core.base.Latest;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Solved situations, kept so that another price or another reading asks for no new solution, and a
 * joint that is a little thicker seldom does: each is solved at the next place of a fixed lattice
 * and moved from there. Used by one thread at a time; what is not known yet is shared out to the
 * caller's executor.
 */
public final class Responses {
  private static final int KEPT = 120;

  /** By their places on the lattice. */
  private final Map<Situation, Response> known = new Latest<>(KEPT);

  /** Moved from there; the same situation has the same response, so that a caller can tell. */
  private final Map<Situation, Response> moved = new Latest<>(4 * KEPT);

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
    Map<Situation, Situation> places = new LinkedHashMap<>();
    situations.forEach(s -> places.put(s, Response.onLattice(s)));
    List<Situation> missing =
        places.values().stream().distinct().filter(s -> !known.containsKey(s)).toList();
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
    Map<Situation, Response> at = new HashMap<>();
    places.values().forEach(p -> at.put(p, known.get(p)));
    for (int i = 0; i < missing.size(); i++) {
      known.put(missing.get(i), solved.get(i));
      at.put(missing.get(i), solved.get(i));
    }
    Map<Situation, Response> all = new LinkedHashMap<>();
    places.forEach((s, place) -> all.put(s, moved(at.get(place), s)));
    return all;
  }

  private Response moved(Response from, Situation to) {
    return moved.computeIfAbsent(to, s -> from.movedTo(s).orElseThrow());
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
      Optional<Response> found =
          Optional.ofNullable(known.get(Response.onLattice(situation)))
              .map(at -> moved(at, situation));
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
}
