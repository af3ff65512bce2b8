package dev.ambershim.core.job;

import dev.ambershim.core.problem.Problem;
import dev.ambershim.core.runlog.Role;
import dev.ambershim.core.runlog.RunAnalyser;
import dev.ambershim.core.runlog.RunAnalysis;
import dev.ambershim.core.runlog.RunLog;
import dev.ambershim.core.runlog.StepResponse;
import java.util.Optional;
import java.util.Set;

/**
 * One of a job's runs, worked out.
 *
 * @param index its place among the job's runs
 * @param entry the run as the job has it
 * @param log the log with the person's roles, without readings that cannot be
 * @param analysis its settled figures, or empty if there was a problem
 * @param problem why it could not be worked out
 */
public record RunResult(
    int index,
    RunEntry entry,
    RunLog log,
    Optional<RunAnalysis> analysis,
    Optional<Problem> problem) {
  /** The same figures for another place among the runs. */
  RunResult as(int place, RunEntry other) {
    return new RunResult(place, other, log, analysis, problem);
  }

  /** Whether its log has one of these cores. */
  boolean hasCore(Set<String> names) {
    return log.with(Role.CORE).stream().anyMatch(c -> names.contains(c.name()));
  }

  /**
   * How the temperature followed the load, where the log shows it. Worked out when it is asked for,
   * which takes longer than all else here and is asked by few.
   */
  public Optional<StepResponse> step() {
    return analysis.isPresent() ? RunAnalyser.step(log, entry.typedRoom()) : Optional.empty();
  }
}
