package dev.ambershim.core.job;

import java.util.List;
import java.util.Optional;

/**
 * Which two states of a chip are compared.
 *
 * @param first name of the earlier state
 * @param second name of the later one
 */
public record Compared(String first, String second) {
  /**
   * What a job compares: what the person picked, as long as both states have runs; else the last
   * state before the work with the last one after it.
   */
  public static Compared of(Job job) {
    List<String> states = job.states();
    return Optional.ofNullable(job.compared())
        .filter(c -> states.contains(c.first()) && states.contains(c.second()))
        .orElseGet(() -> new Compared(last(job, Side.BEFORE), last(job, Side.AFTER)));
  }

  private static String last(Job job, Side side) {
    List<RunEntry> runs = job.runs(side);
    // Runs of the side's own name are the plain case; a named state is only taken without them.
    return runs.stream().anyMatch(r -> r.state().isEmpty()) || runs.isEmpty()
        ? side.words()
        : runs.get(runs.size() - 1).stateName();
  }
}
