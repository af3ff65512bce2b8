package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.core.job.JudgedRuns;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import java.util.Map;
import java.util.Optional;

/**
 * Works jobs out, and keeps the last, so that only what hangs on a change is made anew. Safe for
 * several threads, one at a time.
 */
public final class Assessing {
  private final JudgedRuns judged = new JudgedRuns();
  private Assessment last;
  private Notation writing;

  /** Runs that were judged already. */
  JudgedRuns judged() {
    return judged;
  }

  /**
   * What follows from a job and its logs.
   *
   * @throws dev.ambershim.core.base.Problem {@code job.missing} if a part of the build is not there
   */
  synchronized Assessment of(Job job, Map<String, RunLog> logs, Notation notation) {
    JobRules.built(job);
    Optional<Assessment> before =
        notation.equals(writing) ? Optional.ofNullable(last) : Optional.empty();
    last = Assessment.of(job, logs, notation, judged, before);
    writing = notation;
    return last;
  }
}
