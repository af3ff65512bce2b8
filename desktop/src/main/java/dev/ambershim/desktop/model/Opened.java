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
    Map<String, RunLog> logs = new HashMap<>();
    if (id.isEmpty()) {
      return new Opened(
          logbook,
          preferences,
          jobs,
          Optional.empty(),
          logs,
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          logbook.lostItsJobs());
    }
    try {
      StoredJob stored = logbook.load(id.get());
      if (stored.job().runs().size() > MANY_RUNS) {
        return new Opened(
            logbook,
            preferences,
            jobs,
            Optional.empty(),
            logs,
            Optional.empty(),
            Optional.empty(),
            id,
            false);
      }
      fetch(logbook, stored, logs, new JudgedRuns());
      Assessment assessment = Assessment.of(stored.job(), logs, preferences.notation());
      return new Opened(
          logbook,
          preferences,
          jobs,
          Optional.of(stored),
          logs,
          Optional.of(assessment),
          Optional.empty(),
          Optional.empty(),
          false);
    } catch (RuntimeException | Error failure) {
      Trouble trouble = Trouble.of(logbook, id.get(), title(jobs, id.get()), failure);
      return new Opened(
          logbook,
          preferences,
          jobs,
          Optional.empty(),
          Map.of(),
          Optional.empty(),
          Optional.of(trouble),
          Optional.empty(),
          false);
    }
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
