package dev.ambershim.desktop.widget;

import java.util.Optional;
import javafx.beans.value.ObservableBooleanValue;

/** A view that takes a stage's place for a question that several stages ask. */
public interface Inquiry extends StageView {
  /** Begins to look for an answer, or ends it. */
  void open(boolean now);

  /** Whether a run that is conducted is its own, and not the stage's. */
  default boolean conducts() {
    return false;
  }

  /**
   * Takes back what was done last, or does it again.
   *
   * @param back whether to take it back
   * @return false if the open job's edits are meant, as it keeps none of its own
   */
  default boolean undo(boolean back) {
    return false;
  }

  /**
   * Whether there is something of its own to take back, or to do again.
   *
   * @return empty if the open job's edits are meant
   */
  default Optional<ObservableBooleanValue> undoable(boolean back) {
    return Optional.empty();
  }
}
