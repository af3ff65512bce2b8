package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import dev.ambershim.core.plan.StepEntry;
import dev.ambershim.core.plan.Trouble;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.Lesson;
import dev.ambershim.core.stage.open.ScheduleWords;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.VBox;

/** The steps of a plan in their order in time, and everything about the picked one. */
public final class StepList extends Column {
  private final JobModel model;
  private final ListView<PlanStep> list = new ListView<>();
  private final VBox detail = new Column(4);
  private final Thumbnails photos;
  private final Map<String, Slot> slots = new HashMap<>();
  private WorkLog log = WorkLog.EMPTY;
  private Outlook outlook;

  /**
   * An empty list.
   *
   * @param id what tests find the list by
   */
  public StepList(JobModel model, String id) {
    super(8);
    this.model = model;
    photos = new Thumbnails(model.workbench(), 96);
    getStyleClass().add("panel");
    list.setId(id);
    list.setAccessibleText("steps");
    list.setPrefHeight(300);
    list.setMinHeight(180);
    list.setFixedCellSize(30);
    list.setCellFactory(view -> new Row());
    detail.setId(id + "-detail");
    list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> showDetail(is));
    getChildren().addAll(list, detail, photos);
  }

  /** Shows the steps of a plan that belong here. */
  public void show(Outlook now, Predicate<PlanStep> here) {
    outlook = now;
    log = now.job().work();
    slots.clear();
    List<PlanStep> order = new ArrayList<>();
    now.plan().steps().stream().filter(s -> log.entry(s.id()).done()).forEach(order::add);
    now.schedule().map(Schedule::slots).orElse(List.of()).forEach(s -> take(s, order));
    now.plan().steps().stream().filter(s -> !order.contains(s)).forEach(order::add);
    PlanStep picked = list.getSelectionModel().getSelectedItem();
    List<PlanStep> shown = order.stream().filter(here).toList();
    if (shown.equals(list.getItems())) {
      list.refresh();
    } else {
      list.getItems().setAll(shown);
    }
    if (picked != null) {
      pick(picked.id());
    }
    showDetail(list.getSelectionModel().getSelectedItem());
  }

  private void take(Slot slot, List<PlanStep> order) {
    slots.put(slot.step().id(), slot);
    order.add(slot.step());
  }

  /** Picks a step by its name. */
  public void pick(String id) {
    list.getItems().stream()
        .filter(s -> s.id().equals(id))
        .findFirst()
        .ifPresent(
            s -> {
              list.getSelectionModel().select(s);
              list.scrollTo(Math.max(0, list.getItems().indexOf(s) - 2));
            });
  }

  /** When a step was done, or is to begin; null if that is not known. */
  private Instant at(PlanStep step) {
    StepEntry entry = log.entry(step.id());
    if (entry.done()) {
      return entry.doneAt();
    }
    Slot slot = slots.get(step.id());
    return slot == null ? null : slot.begin();
  }

  private Optional<LocalDate> day(Instant at) {
    return Optional.ofNullable(at).map(a -> a.atZone(model.workbench().zone()).toLocalDate());
  }

  private void showDetail(PlanStep step) {
    detail.getChildren().clear();
    photos.show(step == null ? List.of() : log.entry(step.id()).photos());
    if (step == null) {
      detail.getChildren().add(Labels.line("Pick a step to read all about it.", "hint"));
      return;
    }
    add(step.title(), "strong");
    add(step.action(), "reason");
    add("Why: " + step.reason(), "reason");
    add("Look for: " + step.look(), "reason");
    for (Trouble trouble : step.wrong()) {
      add(
          trouble.sign() + ": " + trouble.meaning() + ". First: " + trouble.first() + ".",
          "reason");
    }
    step.caution().ifPresent(c -> add("Caution: " + c.words(), "reason"));
    step.hold().ifPresent(h -> add("Hold point: " + h.check(), "reason"));
    if (!step.tools().isEmpty()) {
      add("At hand: " + String.join(", ", step.tools()) + ".", "quiet");
    }
    step.passes()
        .ifPresent(
            w ->
                add(
                    "Then "
                        + w.what()
                        + ": "
                        + Notation.minutes(w.span().low())
                        + " at least, "
                        + Notation.minutes(w.span().likely())
                        + " as a rule, "
                        + Notation.minutes(w.span().high())
                        + " to be safe; it depends on: "
                        + w.depends()
                        + ".",
                    "quiet"));
    entryWords(log.entry(step.id()));
    for (Lesson lesson : outlook.lessons(step.id())) {
      add("Last time: " + lesson.words(), "reason");
    }
  }

  private void entryWords(StepEntry entry) {
    if (!entry.overridden().isEmpty()) {
      add("Passed without its check, because: " + entry.overridden(), "reason");
    }
    if (!entry.reading().isEmpty()) {
      add("Reading: " + entry.reading(), "reason");
    }
    if (!entry.note().isEmpty()) {
      add("Note: " + entry.note(), "reason");
    }
    if (entry.mishap() != null) {
      add("Mishap, " + entry.mishap().harm().words() + ": " + entry.mishap().what(), "reason");
    }
  }

  private void add(String text, String style) {
    detail.getChildren().add(Labels.line(text, style));
  }

  /** A row: done or not, when, what, how long, and whether something holds there. */
  private final class Row extends ListCell<PlanStep> {
    @Override
    protected void updateItem(PlanStep step, boolean empty) {
      super.updateItem(step, empty);
      if (empty || step == null) {
        setText(null);
        setGraphic(null);
        return;
      }
      StepEntry entry = log.entry(step.id());
      ScheduleWords words =
          new ScheduleWords(model.notationProperty().get(), model.workbench().zone());
      Instant at = at(step);
      PlanStep above = getIndex() == 0 ? null : list.getItems().get(getIndex() - 1);
      boolean sameDay = above != null && day(at(above)).equals(day(at));
      String mark =
          entry.done() ? "✓" : entry.begunAt() != null ? "▸" : step.hold().isPresent() ? "■" : "·";
      String when = at == null ? "" : sameDay ? words.time(at) : words.moment(at);
      Label state = Labels.line(mark);
      state.setMinWidth(20);
      Label time = Labels.line(when, "quiet");
      time.setMinWidth(150);
      time.setAlignment(Pos.CENTER_RIGHT);
      Label title = Labels.line(step.title(), entry.done() ? "quiet" : "reason");
      String length =
          Notation.minutes(step.hands().likely())
              + step.passes().map(w -> " + " + Notation.minutes(w.span().likely())).orElse("");
      setGraphic(new Strip(6, state, time, title, Labels.spring(), Labels.line(length, "quiet")));
      setText(null);
    }
  }
}
