package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.widget.Inquiry;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** What takes a stage's place for a while: one at a time, each made when it is first asked for. */
final class Inquiries {
  /** The questions that several stages ask, or none. */
  enum Asked {
    DIAGNOSIS,
    PRACTISE,
    SERIES,
    BEGIN
  }

  private final Supplier<Map<Asked, Supplier<Inquiry>>> makers;
  private final Map<Asked, Inquiry> made = new EnumMap<>(Asked.class);
  private final ReadOnlyObjectWrapper<Inquiry> shown = new ReadOnlyObjectWrapper<>();

  Inquiries(Supplier<Map<Asked, Supplier<Inquiry>>> makers) {
    this.makers = makers;
  }

  /** Whether this one is on screen. */
  boolean shows(Asked asked) {
    return shown.get() != null && shown().equals(Optional.ofNullable(made.get(asked)));
  }

  /** What is on screen in a stage's place. */
  Optional<Inquiry> shown() {
    return Optional.ofNullable(shown.get());
  }

  /** The same, watched; null for none. */
  ReadOnlyObjectProperty<Inquiry> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** The handbook's page on what is on screen. */
  Optional<String> page() {
    return made.entrySet().stream()
        .filter(e -> e.getValue().equals(shown.get()))
        .map(
            e ->
                switch (e.getKey()) {
                  case DIAGNOSIS -> "diagnosis";
                  case PRACTISE -> "practise";
                  case SERIES -> "series";
                  case BEGIN -> "README";
                })
        .findFirst();
  }

  /** Begins one; whatever was on screen must have ended. */
  Inquiry begin(Asked asked) {
    Inquiry begun = made.computeIfAbsent(asked, a -> makers.get().get(a).get());
    begun.open(true);
    shown.set(begun);
    return begun;
  }

  /** Ends what is on screen, if anything is. */
  void end() {
    if (shown.get() != null) {
      shown.get().open(false);
      shown.set(null);
    }
  }
}
