package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.keep.ChipLine;
import dev.ambershim.core.stage.keep.OwnAgeing;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.collections.FXCollections;
import javafx.collections.ObservableMap;

/**
 * What each chip of the logbook does, worked out one by one behind the list of jobs. What was not
 * touched since is not worked out again.
 */
public final class AllChips {
  /** More are listed, but only the last touched are worked out. */
  private static final int MOST = 300;

  private final JobModel model;
  private final ObservableMap<String, ChipLine> lines = FXCollections.observableHashMap();
  private final Map<String, String> touched = new HashMap<>();
  private Notation notation;
  private Iterator<JobHead> open = List.<JobHead>of().iterator();
  private boolean busy;

  AllChips(JobModel model) {
    this.model = model;
  }

  /** The lines by job, as they come; change it nowhere else. */
  public ObservableMap<String, ChipLine> lines() {
    return lines;
  }

  /** How the joints of all chips but one aged, as far as it was worked out. */
  public List<OwnAgeing.Seen> agedBut(String id) {
    return lines.entrySet().stream()
        .filter(e -> !e.getKey().equals(id))
        .sorted(Map.Entry.comparingByKey())
        .flatMap(e -> e.getValue().aged().stream())
        .toList();
  }

  /** Works out what is new, and forgets what is gone. */
  public void look() {
    List<JobHead> heads = List.copyOf(model.jobs());
    if (!model.notationProperty().get().equals(notation)) {
      notation = model.notationProperty().get();
      touched.clear();
    }
    lines.keySet().retainAll(heads.stream().map(JobHead::id).collect(Collectors.toSet()));
    touched.keySet().retainAll(lines.keySet());
    open = heads.stream().limit(MOST).iterator();
    next();
  }

  /** One chip at a time, so that an answer that a person waits for comes between. */
  private void next() {
    while (!busy && open.hasNext()) {
      JobHead head = open.next();
      if (!head.touchedAt().equals(touched.get(head.id()))) {
        busy = true;
        workOut(head, notation);
      }
    }
  }

  private Assessment assessed(String id, Notation written) {
    Logbook logbook = model.logbook();
    Job job = logbook.load(id).job();
    Map<String, RunLog> logs = new HashMap<>();
    for (RunEntry run : job.runs()) {
      try {
        logs.computeIfAbsent(run.sha256(), k -> logbook.files().log(run));
      } catch (Problem unreadable) {
        // The chip is told without this log.
      }
    }
    return Assessment.of(job, logs, written);
  }

  private void workOut(JobHead head, Notation written) {
    model
        .reckoning()
        .submit(
            "",
            progress -> {
              try {
                return Optional.of(ChipLine.of(assessed(head.id(), written), written));
              } catch (RuntimeException unreadable) {
                // A job that cannot be read or told is listed all the same, and the others too.
                return Optional.<ChipLine>empty();
              }
            },
            line -> {
              busy = false;
              if (written.equals(notation)) {
                touched.put(head.id(), head.touchedAt());
                line.ifPresent(l -> lines.put(head.id(), l));
              }
              next();
            });
  }
}
