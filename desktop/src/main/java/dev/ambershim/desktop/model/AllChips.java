package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.stage.keep.ChipLine;
import dev.ambershim.logbook.store.JobHead;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
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

  AllChips(JobModel model) {
    this.model = model;
  }

  /** The lines by job, as they come; change it nowhere else. */
  public ObservableMap<String, ChipLine> lines() {
    return lines;
  }

  /** Works out what is new. */
  public void look() {
    Notation notation = model.notationProperty().get();
    int asked = 0;
    for (JobHead head : model.jobs()) {
      if (asked++ >= MOST || head.touchedAt().equals(touched.get(head.id()))) {
        continue;
      }
      touched.put(head.id(), head.touchedAt());
      model
          .reckoning()
          .submit(
              "",
              progress -> {
                try {
                  return Optional.of(ChipLine.of(model.logbook().load(head.id()).job(), notation));
                } catch (Problem unreadable) {
                  // A job that cannot be read is listed all the same.
                  return Optional.<ChipLine>empty();
                }
              },
              line -> line.ifPresent(l -> lines.put(head.id(), l)));
    }
  }
}
