package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.plan.rescue.Node;
import dev.ambershim.core.plan.rescue.Rescue;
import dev.ambershim.core.stage.Lesson;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The way out of a mishap, answered check by check. */
final class RescueModel {
  private static final List<Accident> KINDS = List.of(Accident.values());

  private final JobModel shell;
  private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();

  RescueModel(JobModel shell) {
    this.shell = shell;
  }

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

  /** Begins with the question what happened. */
  void open() {
    show(new Asked(Optional.empty(), List.of()));
  }

  /** Mishaps of all jobs. */
  private List<Mishap> before() {
    Outlook outlook = shell.workbench().outlookProperty().get();
    return outlook == null ? List.of() : outlook.lessons().stream().map(Lesson::mishap).toList();
  }

  /**
   * Keeps how a mishap ended, and what of the plan is open again, in one edit.
   *
   * @param now the step on the bench
   * @return what to say; empty if the way has not ended or nothing may be kept
   */
  Optional<String> end(StepsModel.Shown now) {
    Asked asked = shown.get().asked();
    Optional<Node.End> ended = shown.get().end();
    if (ended.isEmpty() || shell.readOnly()) {
      return Optional.empty();
    }
    Accident accident = asked.accident().orElseThrow();
    Node.End end = ended.get();
    PlanStep on = Rescue.goesOn(now.plan(), end, now.step());
    boolean lost = end.harm() == Mishap.Harm.LOST;
    close();
    Mishap mishap =
        new Mishap(accident.words(), end.harm(), "", now.step().risk().orElse(null), accident);
    shell.edit(
        "rescue: " + accident.words(),
        job -> lost ? told(job, now, mishap) : goesOn(told(job, now, mishap), now.plan(), on));
    return Optional.of(
        lost
            ? "Kept. Weigh and the odds learn from it."
            : on.id().equals(now.step().id())
                ? "Kept. The plan goes on here."
                : "Kept. The plan goes on from here: what followed is open again.");
  }

  /** Records a mishap that has no way out of its own; empty if nothing may be kept. */
  Optional<String> note(StepsModel.Shown now, String what, Mishap.Harm harm, String lesson) {
    if (shell.readOnly()) {
      return Optional.empty();
    }
    Mishap mishap = new Mishap(what, harm, lesson, now.step().risk().orElse(null));
    shell.edit("mishap: " + now.step().title(), job -> told(job, now, mishap));
    return Optional.of(
        now.step().risk().isPresent()
            ? "Recorded. It counts in the odds and among the lessons."
            : "Recorded among the lessons. No odds of Weigh are about this step.");
  }

  /** A job that knows of a mishap; a chip that is lost ends up in the odds. */
  private static Job told(Job job, StepsModel.Shown now, Mishap mishap) {
    PlanStep step = now.step();
    Job told = job.withWork(job.work().with(step.id(), e -> e.withMishap(mishap)));
    boolean lost = mishap.harm() == Mishap.Harm.LOST && step.risk().isPresent();
    return lost && job.ruinedAt() == null ? told.ruined(step.risk().get()) : told;
  }

  private Job goesOn(Job job, Plan plan, PlanStep on) {
    WorkLog log = job.work();
    for (String id : plan.from(on.id())) {
      log = log.entry(id).done() ? log.reopened(id) : log;
    }
    return job.withWork(log.goingTo(on.id(), shell.workbench().now()));
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
            + shell
                .notationProperty()
                .get()
                .text(shell.jobProperty().get().terms().chipCoins(), Unit.COIN)
            + ".");
    lines.add(Rescue.record(accident, before()));
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
