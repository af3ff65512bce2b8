package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.core.job.JudgedRuns;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * Works jobs out from the logs that were read for them, and keeps logs, judged runs and the last
 * answer, so that only what hangs on a change is made anew. Safe for several threads.
 */
public final class Assessing {
  /** Unpacking and judging take longer than fetching, so as many as these are done side by side. */
  private static final int MANY = 8;

  private final Map<String, RunLog> logs = new ConcurrentHashMap<>();
  private final JudgedRuns judged = new JudgedRuns();
  private Assessment last;
  private Notation writing;

  /** A log that was read, by its hash; null if it was not, or could not be. */
  RunLog log(String sha256) {
    return logs.get(sha256);
  }

  /** Takes a log that was just read. */
  void take(String sha256, RunLog log) {
    logs.put(sha256, log);
  }

  /** How many runs were judged so far. */
  int judgedRuns() {
    return judged.count();
  }

  /** Brings the logs of a job that are not there yet; an unreadable one stays away. */
  void fetch(Logbook logbook, StoredJob stored) {
    Map<String, RunEntry> wanted = new LinkedHashMap<>();
    stored.job().runs().stream()
        .filter(run -> !logs.containsKey(run.sha256()))
        .forEach(run -> wanted.putIfAbsent(run.sha256(), run));
    boolean many = wanted.size() >= MANY;
    Stream<RunEntry> runs = many ? wanted.values().parallelStream() : wanted.values().stream();
    runs.forEach(
        run -> {
          try {
            RunLog log = logbook.files().log(run);
            if (many) {
              judged.judge(run, log);
            }
            logs.put(run.sha256(), log);
          } catch (Problem unreadable) {
            logs.remove(run.sha256()); // the job stays usable without this log
          }
        });
  }

  /** Reads a job's logs again from the files as they came. */
  void readAnew(Logbook logbook, StoredJob stored) {
    judged.clear();
    forget(stored);
    for (RunEntry run : stored.job().runs()) {
      logs.computeIfAbsent(run.sha256(), hash -> logbook.files().readAnew(run));
    }
  }

  /** Forgets a job's logs. */
  void forget(StoredJob stored) {
    stored.job().runs().forEach(run -> logs.remove(run.sha256()));
  }

  /**
   * Judges a run before it is kept: what cannot be judged must not lie in a job. Columns whose
   * roles are to be said are no fault; the run's screen asks for them.
   *
   * @throws Problem {@link JudgedRuns#FAULT} if something in the log was not foreseen
   */
  void judge(RunEntry run, RunLog log) {
    Optional<Problem> fault =
        judged.judge(run, log).problem().filter(p -> p.key().equals(JudgedRuns.FAULT));
    if (fault.isPresent()) {
      throw new Problem(
          JudgedRuns.FAULT,
          Place.file(log.fileName()),
          "This log cannot be judged: something in it was not foreseen. It was not taken in.",
          "Export it anew, or a shorter stretch of it.",
          fault.get());
    }
  }

  /**
   * What follows from a job and its logs.
   *
   * @throws Problem {@code job.missing} if a part of the build is not there
   */
  synchronized Assessment of(Job job, Notation notation) {
    JobRules.built(job);
    Optional<Assessment> before =
        notation.equals(writing) ? Optional.ofNullable(last) : Optional.empty();
    last = Assessment.of(job, logs, notation, judged, before);
    writing = notation;
    return last;
  }
}
