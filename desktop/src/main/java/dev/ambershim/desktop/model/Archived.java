package dev.ambershim.desktop.model;

import dev.ambershim.logbook.store.Archive;
import java.util.Set;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Which jobs are put away, for the list of jobs. */
public final class Archived {
  private final JobModel model;
  private final ReadOnlyObjectWrapper<Set<String>> ids = new ReadOnlyObjectWrapper<>(Set.of());

  Archived(JobModel model) {
    this.model = model;
  }

  /** The jobs that are put away, as far as they were looked up. */
  public ReadOnlyObjectProperty<Set<String>> idsProperty() {
    return ids.getReadOnlyProperty();
  }

  /** Looks them up. */
  public void look() {
    model.work().submit("", progress -> Archive.ids(model.logbook()), ids::set);
  }

  /** Puts a job away, or brings it back. */
  public void put(String id, boolean away) {
    model
        .work()
        .submit(
            "",
            progress -> {
              Archive.put(model.logbook(), id, away);
              return Archive.ids(model.logbook());
            },
            ids::set);
  }
}
