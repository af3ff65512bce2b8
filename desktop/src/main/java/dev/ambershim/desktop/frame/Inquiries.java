package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.widget.Inquiry;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

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
  private Inquiry shown;

  Inquiries(Supplier<Map<Asked, Supplier<Inquiry>>> makers) {
    this.makers = makers;
  }

  /** Whether this one is on screen. */
  boolean shows(Asked asked) {
    return shown != null && shown().equals(Optional.ofNullable(made.get(asked)));
  }

  /** What is on screen in a stage's place. */
  Optional<Inquiry> shown() {
    return Optional.ofNullable(shown);
  }

  /** The handbook's page on what is on screen. */
  Optional<String> page() {
    return made.entrySet().stream()
        .filter(e -> e.getValue().equals(shown))
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
    shown = made.computeIfAbsent(asked, a -> makers.get().get(a).get());
    shown.open(true);
    return shown;
  }

  /** Ends what is on screen, if anything is. */
  void end() {
    if (shown != null) {
      shown.open(false);
      shown = null;
    }
  }
}
