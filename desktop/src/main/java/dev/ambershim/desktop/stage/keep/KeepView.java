package dev.ambershim.desktop.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.CareFigures;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.OwnJoint;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.keep.ChipLine;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.stage.conduct.ConductSheet;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.FieldRow;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.Strip;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.collections.MapChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Whether it ages: the answer, the course, the checks, what happened. */
public final class KeepView implements StageView {
  private static final List<String> TABLES = List.of(".csv", ".txt", ".log", ".tsv", ".jsonl");

  private final JobModel shell;
  private final Desk desk;
  private final KeepModel model;
  private final AnswerPane answer = new AnswerPane(Stage.KEEP.question(), "keep-answer");
  private final PictureView course = new PictureView();
  private final VBox drawn = new Column(6);
  private final VBox notes = new Column(4);
  private final VBox figures = new Column(6);
  private final Button own = new Button();
  private final CheckPanel checks;
  private final EventPanel events;
  private final FoundPanel found;
  private final Parts parts;
  private final Node papers;
  private final VBox node;

  /** A view of the model's job. */
  public KeepView(JobModel shell, Desk desk) {
    this.shell = shell;
    this.desk = desk;
    model = new KeepModel(shell);
    checks = new CheckPanel(shell, model);
    events = new EventPanel(shell, model);
    found = new FoundPanel(shell, desk, model);
    course.setId("keep-course");
    drawn.getStyleClass().add("panel");
    notes.getStyleClass().add("panel");
    notes.setId("keep-notes");
    figures.getStyleClass().add("panel");
    parts =
        answer.parts(
            List.of(
                Part.of("course", drawn),
                Part.of("checks", checks),
                Part.of("events", events),
                Part.of("found", found)));
    papers = papers();
    node = new Column(answer, buttons(), drawn, notes);
    Later.belowTheFold(
        shell,
        () -> node.getChildren().add(checks),
        () -> node.getChildren().add(events),
        () -> node.getChildren().addAll(found, figures));
    node.getStyleClass().add("stage");
    model.shownProperty().addListener((o, was, is) -> tell());
    WhenSeen view = new WhenSeen(shell, Stage.KEEP, this::lists);
    shell.jobProperty().addListener((o, was, is) -> view.changed());
    shell.notationProperty().addListener((o, was, is) -> view.changed());
    shell.themeProperty().addListener((o, was, is) -> tell());
    own.setId("keep-own");
    own.disableProperty().bind(shell.readOnlyProperty());
    shell.chips().lines().addListener((MapChangeListener<String, ChipLine>) change -> offerOwn());
    shell
        .stageProperty()
        .addListener(
            (o, was, is) -> {
              if (is == Stage.KEEP) {
                shell.chips().look();
              }
            });
    lists();
    tell();
  }

  private Node buttons() {
    Button add = new Button("Add a log as a check");
    add.setId("keep-add");
    add.getStyleClass().add("next");
    add.disableProperty().bind(shell.readOnlyProperty());
    add.setOnAction(
        e ->
            desk.files()
                .picker()
                .open("Logs of this chip in use", "Logs", "*.csv", "*.txt", "*.log", "*.tsv")
                .forEach(this::take));
    Button conduct = new Button("Conduct a check  Ctrl+J");
    conduct.setId("keep-conduct");
    conduct.disableProperty().bind(shell.readOnlyProperty());
    conduct.setOnAction(e -> conduct());
    HBox row =
        new Strip(
            10,
            add,
            conduct,
            Labels.line("or drop a log: a steady load, or an hour of ordinary use.", "hint"));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private Node papers() {
    Button remind = new Button("Write reminders for your calendar");
    remind.setId("keep-remind");
    remind.setOnAction(e -> desk.files().reminderTarget().ifPresent(model::writeReminders));
    Button certify = new Button("Write a certificate for a sale");
    certify.setId("keep-certify");
    certify.setOnAction(e -> desk.files().certificateTarget().ifPresent(model::writeCertificate));
    return new Strip(10, remind, certify);
  }

  private void take(Path file) {
    try {
      model.take(file, checks.room());
    } catch (Problem problem) {
      shell.say(problem.getMessage());
    }
  }

  /** Lists and boxes, which need nothing worked out. */
  private void lists() {
    Job job = shell.jobProperty().get();
    if (job == null) {
      return;
    }
    checks.show(job, shell.notationProperty().get());
    events.show(job);
    found.show(job);
    figures.getChildren().setAll(Labels.line("What it is watched by", "strong"));
    Figures.of(job, CareFigures.CARE, Side.AFTER)
        .forEach(f -> figures.getChildren().add(new FieldRow(shell, f)));
    figures.getChildren().add(own);
    offerOwn();
  }

  /** Offers to reckon with the person's own joints, where other chips tell how they aged. */
  private void offerOwn() {
    Job job = shell.jobProperty().get();
    if (job == null) {
      return;
    }
    List<OwnJoint> told = model.ownJoints();
    boolean taken = !job.care().ownJoints().isEmpty();
    boolean newer = !told.isEmpty() && !told.equals(job.care().ownJoints());
    own.setText(
        newer
            ? "Reckon with your own joints on other chips (" + told.size() + ")"
            : "Reckon without your own joints");
    visible(own, newer || taken);
    own.setOnAction(e -> model.reckonWith(newer ? told : List.of()));
  }

  private void tell() {
    KeepAnswer told = model.shownProperty().get();
    if (told == null || shell.jobProperty().get() == null) {
      answer.show("Working out the course…");
      visible(drawn, false);
      visible(notes, false);
      return;
    }
    Notation notation = shell.notationProperty().get();
    answer.show(told, notation);
    List<Drawing> pictures = told.pictures();
    visible(drawn, !pictures.isEmpty());
    drawn.getChildren().clear();
    for (Drawing d : pictures) {
      course.setMinHeight(d.height());
      course.setPrefHeight(d.height());
      course.show((w, h) -> d.painter().at(w, h), shell.themeProperty().get().dark());
      drawn.getChildren().addAll(Labels.line(d.caption(), "hint"), course);
    }
    visible(notes, !told.notes().isEmpty());
    notes.getChildren().clear();
    told.notes().forEach(n -> notes.getChildren().add(Labels.line(n, "reason")));
    notes.getChildren().add(papers);
  }

  private static void visible(Node node, boolean is) {
    node.setVisible(is);
    node.setManaged(is);
  }

  @Override
  public boolean takes(Path file) {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    boolean log = !shell.readOnly() && TABLES.stream().anyMatch(name::endsWith);
    if (log) {
      take(file);
    }
    return log;
  }

  @Override
  public void part(int number) {
    parts.go(number);
  }

  @Override
  public Node node() {
    return node;
  }

  @Override
  public void toggleWorking() {
    answer.toggleWorking();
  }

  @Override
  public void conduct() {
    ConductSheet.open(shell, desk, Side.AFTER, model::coming);
  }
}
