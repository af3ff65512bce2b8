package dev.ambershim.desktop.shell;

import dev.ambershim.core.job.Assessment;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.problem.Problem;
import dev.ambershim.core.runlog.RunLog;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A logbook with the job that was open last, worked out and ready to show.
 *
 * @param logbook the logbook
 * @param preferences what the person has set
 * @param jobs all jobs
 * @param stored the job to show, if there is any
 * @param logs its logs by hash
 * @param assessment what follows from it
 */
public record Opened(
    Logbook logbook,
    Preferences preferences,
    List<JobHead> jobs,
    Optional<StoredJob> stored,
    Map<String, RunLog> logs,
    Optional<Assessment> assessment) {
  /** Reads a logbook's last job and works it out; takes as long as that takes. */
  public static Opened of(Logbook logbook) {
    Preferences preferences = Preferences.of(logbook);
    List<JobHead> jobs = logbook.list();
    Optional<String> id =
        jobs.stream().map(JobHead::id).filter(preferences.lastJob()::equals).findFirst();
    if (id.isEmpty()) {
      id = jobs.stream().map(JobHead::id).findFirst();
    }
    Optional<StoredJob> stored = id.map(logbook::load);
    Map<String, RunLog> logs = new HashMap<>();
    stored.ifPresent(s -> fetch(logbook, s, logs));
    Optional<Assessment> assessment =
        stored.map(s -> Assessment.of(s.job(), logs, preferences.notation()));
    return new Opened(logbook, preferences, jobs, stored, logs, assessment);
  }

  /** Brings the logs of a job that are not there yet; an unreadable one stays away. */
  static void fetch(Logbook logbook, StoredJob stored, Map<String, RunLog> logs) {
    for (RunEntry run : stored.job().runs()) {
      if (!logs.containsKey(run.sha256())) {
        try {
          logs.put(run.sha256(), logbook.log(run));
        } catch (Problem unreadable) {
          logs.remove(run.sha256()); // the job stays usable without this log
        }
      }
    }
  }
}
