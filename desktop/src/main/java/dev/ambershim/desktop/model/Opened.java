package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.JudgedRuns;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * A logbook with the job that was open last, worked out and ready to show.
 *
 * @param logbook the logbook
 * @param preferences what the person has set
 * @param jobs all jobs
 * @param stored the job to show, if there is any
 * @param logs its logs by hash
 * @param assessing works on from there, with the runs that were judged
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
    Map<String, RunLog> logs,
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
            Map.of(),
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
      Map<String, RunLog> read = new HashMap<>();
      fetch(logbook, found, read, assessing.judged());
      Assessment told = assessing.of(found.job(), read, preferences.notation());
      return new Opened(
          logbook,
          preferences,
          jobs,
          Optional.of(found),
          read,
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
    return new Opened(
        logbook, preferences, jobs, stored, logs, assessing, assessment, why, later, lost);
  }

  static String title(List<JobHead> jobs, String id) {
    return jobs.stream().filter(j -> j.id().equals(id)).map(JobHead::title).findFirst().orElse("");
  }

  /** Brings the logs of a job that are not there yet; an unreadable one stays away. */
  static void fetch(
      Logbook logbook, StoredJob stored, Map<String, RunLog> logs, JudgedRuns judged) {
    Map<String, RunEntry> wanted = new LinkedHashMap<>();
    stored.job().runs().stream()
        .filter(run -> !logs.containsKey(run.sha256()))
        .forEach(run -> wanted.putIfAbsent(run.sha256(), run));
    Map<String, RunLog> read = new ConcurrentHashMap<>();
    boolean many = wanted.size() >= 8;
    // Unpacking and judging take longer than fetching, so many are done side by side.
    Stream<RunEntry> runs = many ? wanted.values().parallelStream() : wanted.values().stream();
    runs.forEach(
        run -> {
          try {
            RunLog log = logbook.log(run);
            read.put(run.sha256(), log);
            if (many) {
              judged.judge(run, log);
            }
          } catch (Problem unreadable) {
            read.remove(run.sha256()); // the job stays usable without this log
          }
        });
    logs.putAll(read);
  }
}
