package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;

/**
 * Runs that were judged, kept by all that their figures hang on: the log's hash, the roles that the
 * person gave, and the room. A run is judged once, however often the job changes or names it. Safe
 * for several threads, so that many runs can be judged side by side.
 */
public final class JudgedRuns {
  private static final int STEP_SAMPLES = 20_000;

  private final Map<Key, RunResult> known = new ConcurrentHashMap<>();

  private final AtomicInteger count = new AtomicInteger();

  /** The key of the problem that something in a log was not foreseen. */
  public static final String FAULT = "run.fault";

  private record Key(
      String sha256, Map<String, Role> roles, OptionalDouble room, Set<String> without) {
    static Key of(RunEntry entry, Set<String> without) {
      return new Key(entry.sha256(), entry.roles(), entry.typedRoom(), without);
    }
  }

  /**
   * Judges a run ahead of the job that it belongs to.
   *
   * @param read its log as it was read
   * @return its figures, or why there are none
   */
  public RunResult judge(RunEntry entry, RunLog read) {
    return of(0, entry, read, Set.of());
  }

  /** A run's figures, without cores that do not count. */
  public RunResult of(int index, RunEntry entry, RunLog read, Set<String> without) {
    return known
        .computeIfAbsent(
            Key.of(entry, without),
            k -> {
              count.incrementAndGet();
              return result(entry, read, without);
            })
        .as(index, entry);
  }

  /** How many runs were judged so far; what was known counts once. */
  public int count() {
    return count.get();
  }

  /** Lets go of what these runs do not need. */
  public void keepOnly(Collection<RunEntry> runs) {
    Set<String> wanted = runs.stream().map(RunEntry::sha256).collect(Collectors.toSet());
    known.keySet().removeIf(key -> !wanted.contains(key.sha256()));
  }

  /** Lets go of everything, as when logs were read anew. */
  public void clear() {
    known.clear();
  }

  /** Told by some hundred samples; a run whose step was not foreseen is a run none the less. */
  private static Optional<StepResponse> step(RunLog log, OptionalDouble room) {
    try {
      return RunAnalyser.step(log.thinned(STEP_SAMPLES), room);
    } catch (RuntimeException fault) {
      return Optional.empty();
    }
  }

  private static RunResult result(RunEntry entry, RunLog read, Set<String> without) {
    RunLog log = read.withRoles(entry.roles());
    try {
      log = log.believed();
      RunAnalysis analysis = RunAnalyser.analyse(log, entry.typedRoom(), without);
      return new RunResult(
          0, entry, log, Optional.of(analysis), Optional.empty(), step(log, entry.typedRoom()));
    } catch (Problem problem) {
      return new RunResult(0, entry, log, Optional.empty(), Optional.of(problem), Optional.empty());
    } catch (RuntimeException fault) {
      // One run must not take the others with it.
      Problem problem =
          new Problem(
              FAULT,
              Place.file(entry.fileName()),
              "This run cannot be judged: something in it was not foreseen.",
              "Look at its columns, or take the run out; the other runs count.",
              fault);
      return new RunResult(0, entry, log, Optional.empty(), Optional.of(problem), Optional.empty());
    }
  }
}
