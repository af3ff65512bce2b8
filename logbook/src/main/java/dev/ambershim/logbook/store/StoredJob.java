package dev.ambershim.logbook.store;

import dev.ambershim.core.job.Job;
import java.util.Optional;

/**
 * A job as it stands in the logbook.
 *
 * @param id its key
 * @param job the job
 * @param undo what undo would take back, in words, or empty
 * @param redo what redo would bring again, or empty
 */
public record StoredJob(String id, Job job, Optional<String> undo, Optional<String> redo) {
  /**
   * The same with a job that is at hand, where that is equal: whoever shows it sees at a glance
   * that nothing changed.
   */
  public StoredJob holding(Job same) {
    return job.equals(same) ? new StoredJob(id, same, undo, redo) : this;
  }
}
