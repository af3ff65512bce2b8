package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.rescue.Node;
import dev.ambershim.core.plan.rescue.Rescue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The way out of a mishap, answered check by check. */
final class RescueModel {
  private static final List<Accident> KINDS = List.of(Accident.values());

  private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
  private List<Mishap> before = List.of();
  private double chipCoins;
  private Notation notation = Notation.METRIC;

  /**
   * What is asked.
   *
   * @param accident what happened; empty while it is still to be picked
   * @param answers what was answered so far
   */
  record Asked(Optional<Accident> accident, List<Boolean> answers) {}

  /**
   * What stands on the screen.
   *
   * @param asked what it is about
   * @param head one line
   * @param lines the rest, a line each
   * @param keys which keys do what
   * @param end where the way ends, if it does here
   */
  record Shown(Asked asked, String head, List<String> lines, String keys, Optional<Node.End> end) {}

  /**
   * Begins with the question what happened.
   *
   * @param mishaps of all jobs
   * @param chip what the chip would cost anew
   */
  void open(List<Mishap> mishaps, double chip, Notation how) {
    before = List.copyOf(mishaps);
    chipCoins = chip;
    notation = how;
    show(new Asked(Optional.empty(), List.of()));
  }

  void close() {
    shown.set(null);
  }

  boolean isOpen() {
    return shown.get() != null;
  }

  /** The letter of a mishap. */
  static char letter(Accident accident) {
    return (char) ('A' + KINDS.indexOf(accident));
  }

  /** Picks what happened by its letter; false if there is none of it. */
  boolean pick(char letter) {
    int at = letter - 'A';
    if (shown.get().asked().accident().isPresent() || at < 0 || at >= KINDS.size()) {
      return false;
    }
    show(new Asked(Optional.of(KINDS.get(at)), List.of()));
    return true;
  }

  /** Answers the check that is asked; false if none is. */
  boolean answer(boolean yes) {
    Asked asked = shown.get().asked();
    if (asked.accident().isEmpty() || shown.get().end().isPresent()) {
      return false;
    }
    List<Boolean> more = new ArrayList<>(asked.answers());
    more.add(yes);
    show(new Asked(asked.accident(), more));
    return true;
  }

  /** Takes the last answer back, or the pick; false if there is nothing to take back. */
  boolean back() {
    Asked asked = shown.get().asked();
    if (asked.accident().isEmpty()) {
      return false;
    }
    List<Boolean> less = asked.answers();
    show(
        less.isEmpty()
            ? new Asked(Optional.empty(), List.of())
            : new Asked(asked.accident(), less.subList(0, less.size() - 1)));
    return true;
  }

  private void show(Asked asked) {
    shown.set(asked.accident().map(a -> about(asked, a)).orElseGet(() -> pick(asked)));
  }

  private static Shown pick(Asked asked) {
    List<String> lines = new ArrayList<>();
    for (Accident accident : KINDS) {
      lines.add(letter(accident) + "  " + accident.words());
    }
    return new Shown(
        asked,
        "Rescue: what happened?",
        lines,
        "letter  pick   0  something else, only noted   Esc  back to the step",
        Optional.empty());
  }

  private Shown about(Asked asked, Accident accident) {
    Rescue rescue = Rescue.of(accident);
    List<String> lines = new ArrayList<>();
    if (asked.answers().isEmpty()) {
      String stop = String.join(" ", rescue.stop());
      lines.add(stop.startsWith("Stop") ? stop : "Stop. " + stop);
      rescue.caution().ifPresent(c -> lines.add("Caution. " + c.words()));
    }
    Node node = rescue.at(asked.answers());
    if (node instanceof Node.Ask ask) {
      lines.add("■ " + ask.check());
      lines.add(ask.how());
      return new Shown(
          asked,
          "Rescue: " + accident.words(),
          lines,
          "Y  yes   N  no   Backspace  one back   Esc  back to the step",
          Optional.empty());
    }
    Node.End end = (Node.End) node;
    lines.add(end.what());
    lines.add(
        "As it stands: "
            + end.harm().words()
            + (end.minutes() > 0 ? "; about " + Notation.minutes(end.minutes()) + "." : ".")
            + " The chip anew would cost "
            + notation.text(chipCoins, Unit.COIN)
            + ".");
    lines.add(Rescue.record(accident, before));
    return new Shown(
        asked,
        "Rescue: " + accident.words(),
        lines,
        "Space  keep it and go on from there   Backspace  one back   Esc  back to the step",
        Optional.of(end));
  }

  ReadOnlyObjectProperty<Shown> shownProperty() {
    return shown.getReadOnlyProperty();
  }
}
