package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.stage.series.Series;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

/** What the series were like before each change, since the window opened. */
final class SeriesHistory {
  private static final int MOST = 200;

  private final Deque<Moment> before = new ArrayDeque<>();
  private final Deque<Moment> after = new ArrayDeque<>();
  private final ReadOnlyBooleanWrapper undoable = new ReadOnlyBooleanWrapper(false);
  private final ReadOnlyBooleanWrapper redoable = new ReadOnlyBooleanWrapper(false);

  /**
   * All series at a moment.
   *
   * @param all the newest first
   * @param shown the one on screen, or null
   */
  record Moment(List<Series> all, Series shown) {}

  /** Notes what is there before a change. */
  void note(List<Series> all, Series shown) {
    before.push(new Moment(all, shown));
    after.clear();
    if (before.size() > MOST) {
      before.removeLast();
    }
    tell();
  }

  private void tell() {
    undoable.set(!before.isEmpty());
    redoable.set(!after.isEmpty());
  }

  /** Whether there is a change to go back, or forward. */
  ReadOnlyBooleanProperty can(boolean back) {
    return (back ? undoable : redoable).getReadOnlyProperty();
  }

  /**
   * Goes back a change, or forward again.
   *
   * @param now what is there now
   * @return what to show; empty if there is no further change
   */
  Optional<Moment> travel(boolean back, Moment now) {
    Deque<Moment> from = back ? before : after;
    if (from.isEmpty()) {
      return Optional.empty();
    }
    (back ? after : before).push(now);
    Moment there = from.pop();
    tell();
    return Optional.of(there);
  }
}
