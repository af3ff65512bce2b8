package dev.ambershim.desktop.model;

import dev.ambershim.core.stage.Assessment;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.util.List;
import java.util.Optional;

/**
 * A logbook with the job that was open last, worked out and ready to show.
 *
 * @param logbook the logbook
 * @param preferences what the person has set
 * @param jobs all jobs
 * @param stored the job to show, if there is any
 * @param assessing works on from there, with the logs that were read
 * @param assessment what follows from it
 * @param trouble why the last job is not shown, if it could not be opened
 * @param toOpen the job to open once the window is up, since it takes longer than the window
 * @param lost whether it held jobs the last time it was open, and holds none
 */
public record Opened(
    Logbook logbook,
    Preferences preferences,
    List<JobHead> jobs,
    Optional<StoredJob> stored,
    Assessing assessing,
    Optional<Assessment> assessment,
    Optional<Trouble> trouble,
    Optional<String> toOpen,
    boolean lost) {
  /** A job with more runs is opened once the window is up. */
  private static final int MANY_RUNS = 40;

  /**
   * Reads a logbook's last job and works it out; takes as long as that takes. Whatever is wrong
   * with that job, the logbook opens.
   */
  public static Opened of(Logbook logbook) {
    Preferences preferences = Preferences.of(logbook);
    List<JobHead> jobs = logbook.list();
    Optional<String> id =
        jobs.stream().map(JobHead::id).filter(preferences.lastJob()::equals).findFirst();
    if (id.isEmpty()) {
      id = jobs.stream().map(JobHead::id).findFirst();
    }
    Opened bare =
        new Opened(
            logbook,
            preferences,
            jobs,
            Optional.empty(),
            new Assessing(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            id.isEmpty() && logbook.lostItsJobs());
    return id.map(bare::with).orElse(bare);
  }

  /** The same with a job. */
  private Opened with(String id) {
    try {
      StoredJob found = logbook.load(id);
      if (found.job().runs().size() > MANY_RUNS) {
        return with(Optional.empty(), Optional.of(id));
      }
      assessing.fetch(logbook, found);
      Assessment told = assessing.of(found.job(), preferences.notation());
      return new Opened(
          logbook,
          preferences,
          jobs,
          Optional.of(found),
          assessing,
          Optional.of(told),
          trouble,
          toOpen,
          lost);
    } catch (RuntimeException | Error failure) {
      return with(Optional.of(Trouble.of(logbook, id, title(jobs, id), failure)), Optional.empty());
    }
  }

  private Opened with(Optional<Trouble> why, Optional<String> later) {
    return new Opened(logbook, preferences, jobs, stored, assessing, assessment, why, later, lost);
  }

  static String title(List<JobHead> jobs, String id) {
    return jobs.stream().filter(j -> j.id().equals(id)).map(JobHead::title).findFirst().orElse("");
  }
}
