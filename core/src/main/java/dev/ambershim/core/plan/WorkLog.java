package dev.ambershim.core.plan;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * How a job is worked: by what ways, at what hours, and what was done so far.
 *
 * @param ways what was planned, and how the person works
 * @param hours when the person may work
 * @param startAt when to start, or null for now
 * @param doneBy when all shall be done, or null
 * @param at the step that the bench shows, by id; empty for the first that is open
 * @param entries what was done, by step
 * @param timers waits that are or were timed
 * @param flaws what was found on the faces
 */
@RecordBuilder
public record WorkLog(
    Ways ways,
    Hours hours,
    Instant startAt,
    Instant doneBy,
    String at,
    List<StepEntry> entries,
    List<StepTimer> timers,
    List<Flaw> flaws)
    implements WorkLogBuilder.With {
  /** Nothing planned, nothing done. */
  public static final WorkLog EMPTY =
      new WorkLog(Ways.USUAL, Hours.ANY, null, null, "", List.of(), List.of(), List.of());

  /** Copies its lists and fills in what an older job does not say. */
  public WorkLog {
    ways = ways == null ? Ways.USUAL : ways;
    hours = hours == null || !hours.sound() ? Hours.ANY : hours;
    at = at == null ? "" : at;
    entries = entries == null ? List.of() : List.copyOf(entries);
    timers = timers == null ? List.of() : List.copyOf(timers);
    flaws = flaws == null ? List.of() : List.copyOf(flaws);
  }

  /** What was done at a step. */
  public StepEntry entry(String id) {
    return entries.stream()
        .filter(e -> e.id().equals(id))
        .findFirst()
        .orElseGet(() -> StepEntry.of(id));
  }

  /** The steps that are done. */
  public Set<String> done() {
    return entries.stream()
        .filter(StepEntry::done)
        .map(StepEntry::id)
        .collect(Collectors.toUnmodifiableSet());
  }

  /** Whether anything was begun. */
  public boolean begun() {
    return entries.stream().anyMatch(e -> e.begunAt() != null);
  }

  /** The same with another entry for a step. */
  public WorkLog with(String id, UnaryOperator<StepEntry> change) {
    List<StepEntry> all = new ArrayList<>(entries);
    StepEntry was = entry(id);
    StepEntry is = change.apply(was);
    int place = all.indexOf(was);
    if (place < 0) {
      all.add(is);
    } else {
      all.set(place, is);
    }
    return withEntries(all);
  }

  /** The same with the bench at another step, which counts as begun. */
  public WorkLog goingTo(String id, Instant now) {
    WorkLog begun = with(id, e -> e.begun(now));
    return begun.withAt(id);
  }

  /**
   * The same with a step done.
   *
   * @param used what it took off the shelf
   */
  public WorkLog done(String id, Instant now, List<Use> used) {
    return with(id, e -> e.done() ? e : e.doneAt(now).withUsed(used));
  }

  /** The same with a step open again; what it used goes back. */
  public WorkLog reopened(String id) {
    return with(id, StepEntry::opened);
  }

  /** The same with another timer. */
  public WorkLog withTimer(StepTimer timer) {
    List<StepTimer> all = new ArrayList<>(timers);
    all.add(timer);
    return withTimers(all);
  }

  /** The same with a timer put away. */
  public WorkLog ending(StepTimer timer, Instant now) {
    return withTimers(timers.stream().map(t -> t.equals(timer) ? t.ended(now) : t).toList());
  }

  /** The timer of a step that still counts, if there is one. */
  public Optional<StepTimer> running(String step) {
    return timers.stream().filter(t -> t.step().equals(step) && t.endedAt() == null).findFirst();
  }

  /** The newest timer of a step, whether it counts or not. */
  public Optional<StepTimer> timer(String step) {
    return timers.stream().filter(t -> t.step().equals(step)).reduce((a, b) -> b);
  }

  /** The same for another option. */
  public WorkLog planning(OptionKind option) {
    return withWays(ways.with(option));
  }

  /** The same with another start and end; null for now and for none. */
  public WorkLog between(Instant start, Instant end) {
    return withStartAt(start).withDoneBy(end);
  }
}
