package dev.ambershim.core.job;

import dev.ambershim.core.plan.StepEntry;
import dev.ambershim.core.plan.WorkLog;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/**
 * Two copies of one job, brought together: every dated or measured thing that only one of them has
 * is in it, none of them twice. Where both say something of one figure, mine stands.
 *
 * @param job both together
 * @param added what came from the other copy, such as "2 checks"; empty if it had nothing new
 */
public record JobMerge(Job job, List<String> added) {
  /** Copies its list. */
  public JobMerge {
    added = List.copyOf(added);
  }

  /** Brings a copy of a job into mine. */
  public static JobMerge of(Job mine, Job theirs) {
    List<String> added = new ArrayList<>();
    Care care = mine.care();
    WorkLog work = mine.work();
    Job both =
        mine.withRuns(
                both(
                    mine.runs(),
                    theirs.runs(),
                    r -> List.of(r.side(), r.sha256()),
                    added,
                    "run",
                    "runs"))
            .withReadings(
                both(mine.readings(), theirs.readings(), r -> r, added, "reading", "readings"))
            .withRungs(both(mine.rungs(), theirs.rungs(), r -> r, added, "rung", "rungs"))
            .withCare(
                care.withChecks(
                        both(
                            care.checks(),
                            theirs.care().checks(),
                            c -> c,
                            added,
                            "check",
                            "checks"))
                    .withEvents(
                        both(
                            care.events(),
                            theirs.care().events(),
                            e -> e,
                            added,
                            "event",
                            "events"))
                    .withFound(
                        both(
                            care.found(),
                            theirs.care().found(),
                            f -> f,
                            added,
                            "opening",
                            "openings")))
            .withWork(
                work.withEntries(
                        both(
                            work.entries(),
                            theirs.work().entries(),
                            StepEntry::id,
                            added,
                            "step",
                            "steps"))
                    .withFlaws(
                        both(work.flaws(), theirs.work().flaws(), f -> f, added, "flaw", "flaws")));
    return new JobMerge(both, added);
  }

  private static <T> List<T> both(
      List<T> mine,
      List<T> theirs,
      Function<T, Object> same,
      List<String> added,
      String one,
      String many) {
    List<T> all = new ArrayList<>(mine);
    Set<Object> held = new HashSet<>();
    mine.forEach(m -> held.add(same.apply(m)));
    for (T their : theirs) {
      if (held.add(same.apply(their))) {
        all.add(their);
      }
    }
    int more = all.size() - mine.size();
    if (more > 0) {
      added.add(more + " " + (more == 1 ? one : many));
    }
    return all;
  }

  /** What was added, in words; empty if nothing was. */
  public String words() {
    return String.join(", ", added);
  }
}
