package dev.ambershim.core.job;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * One of a job's runs, worked out.
 *
 * @param index its place among the job's runs
 * @param entry the run as the job has it
 * @param log the log with the person's roles, without readings that cannot be
 * @param analysis its settled figures, or empty if there was a problem
 * @param problem why it could not be worked out
 * @param step how the temperature followed the load, where the log shows it
 */
public record RunResult(
    int index,
    RunEntry entry,
    RunLog log,
    Optional<RunAnalysis> analysis,
    Optional<Problem> problem,
    Optional<StepResponse> step) {
  /** The same figures for another place among the runs. */
  RunResult as(int place, RunEntry other) {
    return new RunResult(place, other, log, analysis, problem, step);
  }

  /**
   * Whether it is the same run with the same figures. A run that was judged once is the same object
   * ever after, which spares comparing its figures.
   */
  @SuppressWarnings("ReferenceEquality")
  public boolean same(RunResult other) {
    return index == other.index
        && entry.equals(other.entry)
        && log == other.log
        && analysis.orElse(null) == other.analysis.orElse(null);
  }

  /** Whether two lists are of the same runs in the same order. */
  public static boolean same(List<RunResult> some, List<RunResult> others) {
    return some.size() == others.size()
        && IntStream.range(0, some.size()).allMatch(i -> some.get(i).same(others.get(i)));
  }

  /** Whether its log has one of these cores. */
  public boolean hasCore(Set<String> names) {
    return log.with(Role.CORE).stream().anyMatch(c -> names.contains(c.name()));
  }
}
