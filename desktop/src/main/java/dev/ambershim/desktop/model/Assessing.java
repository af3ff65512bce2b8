package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JudgedRuns;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import java.util.Map;
import java.util.Optional;

/**
 * Works jobs out, and keeps the last so that a step at the bench does not judge every run again.
 * Used on the line of work.
 */
final class Assessing {
  private final JudgedRuns judged = new JudgedRuns();
  private Assessment last;
  private Notation writing;

  /** Runs that were judged already. */
  JudgedRuns judged() {
    return judged;
  }

  /** What follows from a job and its logs. */
  synchronized Assessment of(Job job, Map<String, RunLog> logs, Notation notation) {
    Optional<Assessment> still =
        last == null || !notation.equals(writing) ? Optional.empty() : last.stillFor(job, logs);
    last = still.orElseGet(() -> Assessment.of(job, logs, notation, judged));
    writing = notation;
    return last;
  }
}
