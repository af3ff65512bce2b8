package dev.ambershim.desktop.stage.open;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Lesson;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.open.OpenAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.desktop.model.WorkModel;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.HoursPanel;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.StepList;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** When the work is done, the course of the hours, the steps; then hours, ways and kit. */
public final class OpenView implements StageView {
  private final JobModel model;
  private final Desk shell;
  private final WorkModel bench;
  private final AnswerPane answer = new AnswerPane(Stage.OPEN.question(), "open-answer");
  private final PictureView hours = new PictureView();
  private final VBox hoursPanel = new Column(hours);
  private final StepList steps;
  private HoursPanel when;
  private WaysPanel ways;
  private KitPanel kit;
  private final VBox lessons = new Column(3);
  private final Parts parts;
  private final VBox node;

  /** A view of the model's job. */
  public OpenView(JobModel model, Desk shell) {
    this.model = model;
    this.shell = shell;
    bench = model.workbench();
    answer.lookup("#open-answer").getStyleClass().add("long");
    hours.setId("open-hours");
    hours.setAccessibleText("the steps in time");
    hoursPanel.getStyleClass().add("panel");
    steps = new StepList(model, "open-steps");
    lessons.getStyleClass().add("panel");
    lessons.setId("open-lessons");
    hours.onPick(steps::pick);
    HBox foot = new Strip(10);
    foot.setMinHeight(34);
    foot.setAlignment(Pos.CENTER_LEFT);
    Later.afterOpening(model, () -> foot.getChildren().addAll(buttons()));
    parts =
        answer.parts(
            List.of(
                Part.of("hours", hoursPanel),
                Part.of("steps", steps),
                new Part("when", () -> when),
                new Part("ways", () -> ways),
                new Part("kit", () -> kit)));
    node = new Column(answer, foot, hoursPanel, steps);
    node.getStyleClass().add("stage");
    bench.outlookProperty().addListener((o, was, is) -> refresh());
    model.themeProperty().addListener((o, was, is) -> refresh());
    model.notationProperty().addListener((o, was, is) -> refresh());
    bench.watch();
    refresh();
    // What the plan rests on.
    Later.belowTheFold(model, this::addHours, this::addWays, this::addKit);
  }

  private void addHours() {
    when = new HoursPanel(model, new JobTimes(model), true);
    node.getChildren().add(when);
    refresh();
  }

  private void addWays() {
    ways = new WaysPanel(model);
    node.getChildren().add(ways);
    refresh();
  }

  private void addKit() {
    kit = new KitPanel(model);
    node.getChildren().addAll(kit, lessons);
    refresh();
  }

  private List<Node> buttons() {
    Button go = new Button("At the bench  F2");
    go.setId("go-to-bench");
    go.getStyleClass().add("next");
    go.setOnAction(e -> shell.toggleBench());
    Button calendar = new Button("Calendar…");
    calendar.setId("write-calendar");
    calendar.setOnAction(e -> shell.files().calendarTarget().ifPresent(bench::writeCalendar));
    Button card = new Button("Card…");
    card.setId("write-card");
    card.setOnAction(e -> shell.files().cardTarget().ifPresent(bench::writeCard));
    return List.of(go, calendar, card);
  }

  private void refresh() {
    Outlook now = bench.outlookProperty().get();
    if (now == null) {
      answer.show("Planning the work…");
      return;
    }
    Notation notation = model.notationProperty().get();
    OpenAnswer said =
        OpenAnswer.of(
            now.plan(), now.job().work(), now.schedule(), now.problem(), notation, bench.zone());
    answer.show(said, notation);
    for (Drawing drawing : said.pictures()) {
      hours.setMinHeight(drawing.height());
      hours.setPrefHeight(drawing.height());
      hours.show(drawing.painter()::at, model.themeProperty().get().dark());
    }
    hoursPanel.setVisible(now.schedule().isPresent());
    hoursPanel.setManaged(now.schedule().isPresent());
    steps.show(now, step -> true);
    if (when != null) {
      when.show();
    }
    if (ways != null) {
      ways.show(now);
    }
    if (kit != null) {
      kit.show(now);
      lessons(now.lessons());
    }
  }

  private void lessons(List<Lesson> all) {
    lessons.setVisible(!all.isEmpty());
    lessons.setManaged(!all.isEmpty());
    lessons.getChildren().setAll(Labels.line("Lessons of your jobs", "strong"));
    for (Lesson lesson : all) {
      lessons.getChildren().add(Labels.line(lesson.title() + ": " + lesson.words(), "reason"));
    }
  }

  @Override
  public void part(int number) {
    parts.go(number);
  }

  @Override
  public Node node() {
    return node;
  }
}
