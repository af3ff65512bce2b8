package dev.ambershim.desktop.weigh;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.job.Assessment;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobFields;
import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.notation.Unit;
import dev.ambershim.core.picture.LadderPicture;
import dev.ambershim.desktop.draw.PictureView;
import dev.ambershim.desktop.shell.AnswerPane;
import dev.ambershim.desktop.shell.Labels;
import dev.ambershim.desktop.shell.ShellModel;
import dev.ambershim.desktop.shell.Stage;
import dev.ambershim.desktop.shell.StageView;
import java.util.List;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The answer, the resistance ladder before and after, and the words about the job. */
public final class WeighView implements StageView {
  private final ShellModel model;
  private final AnswerPane answer = new AnswerPane(Stage.WEIGH.question(), "weigh-answer");
  private final PictureView ladder = new PictureView();
  private final TextField title = new TextField();
  private final TextField chip = new TextField();
  private final TextField cooler = new TextField();
  private final TextArea notes = new TextArea();
  private final Label builds = Labels.wrapped("");
  private final VBox node;

  /** A view of the model's job. */
  public WeighView(ShellModel model) {
    this.model = model;
    ladder.setId("ladder");
    ladder.setMinHeight(236);
    ladder.setPrefHeight(280);
    VBox.setVgrow(ladder, Priority.SOMETIMES);
    node =
        new VBox(
            answer,
            panel(ladder),
            Labels.wrapped(
                "Every figure belongs to a layer of the section: pick a layer there to see how it"
                    + " is known, and to put it right.",
                "hint"),
            words());
    node.getStyleClass().add("stage");
    model.assessmentProperty().addListener((o, was, is) -> refresh());
    model.themeProperty().addListener((o, was, is) -> refresh());
    refresh();
  }

  private static VBox panel(Node... children) {
    VBox box = new VBox(children);
    box.getStyleClass().add("panel");
    VBox.setVgrow(box, Priority.SOMETIMES);
    return box;
  }

  private VBox words() {
    notes.setPromptText("Notes on this job");
    notes.setPrefRowCount(2);
    notes.setWrapText(true);
    text(title, "title", "title", "job title", Job::title);
    text(chip, "chip-name", "chip.name", "chip name", j -> j.chip().name());
    text(cooler, "cooler-name", "cooler.name", "cooler name", j -> j.cooler().name());
    notes.setId("notes");
    notes
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                model.edit("notes", j -> JobFields.withWords(j, "notes", notes.getText()));
              }
            });
    HBox row =
        new HBox(
            8, Labels.line("Job"), title, Labels.line("Chip"), chip, Labels.line("Cooler"), cooler);
    row.getStyleClass().add("field-row");
    for (TextField field : List.of(title, chip, cooler)) {
      field.setStyle("-fx-alignment: center-left;");
      HBox.setHgrow(field, Priority.ALWAYS);
    }
    return panel(builds, row, notes);
  }

  private void text(
      TextField field, String id, String path, String what, Function<Job, String> read) {
    field.setId(id);
    field.disableProperty().bind(model.readOnlyProperty());
    Runnable keep =
        () -> {
          if (!field.getText().equals(read.apply(model.jobProperty().get()))) {
            model.edit(what, j -> JobFields.withWords(j, path, field.getText().strip()));
          }
        };
    field.setOnAction(e -> keep.run());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                keep.run();
              }
            });
  }

  private void refresh() {
    Assessment now = model.assessmentProperty().get();
    if (now == null) {
      return;
    }
    Notation notation = model.notationProperty().get();
    Job job = now.job();
    answer.show(
        now.expectation(),
        List.of(
            "By series resistances with closed-form spreading; in about nine cases of ten it lies in"
                + " this range."),
        notation);
    ladder.show(
        (w, h) ->
            LadderPicture.of(
                now.ladderBefore(), now.ladderAfter(), now.heatWatts(), notation, w, h),
        model.themeProperty().get().dark());
    builds.setText(
        "Before: "
            + words(job.before(), notation)
            + ".  After: "
            + words(job.after(), notation)
            + ".");
    fill(title, job.title());
    fill(chip, job.chip().name());
    fill(cooler, job.cooler().name());
    if (!notes.isFocused()) {
      notes.setText(job.notes());
    }
  }

  private static void fill(TextField field, String text) {
    if (!field.isFocused()) {
      field.setText(text);
    }
  }

  private static String words(Build build, Notation notation) {
    String outer =
        build.outer().filling().words()
            + " of "
            + notation.text(build.outer().bondLineMicrometres(), Unit.MICROMETRE);
    return build.lidOn()
        ? build.inner().filling().words()
            + " of "
            + notation.text(build.inner().bondLineMicrometres(), Unit.MICROMETRE)
            + " under the lid, "
            + outer
            + " on it"
        : "bare die with " + outer;
  }

  @Override
  public Node node() {
    return node;
  }

  @Override
  public void toggleWorking() {
    answer.toggleWorking();
  }
}
