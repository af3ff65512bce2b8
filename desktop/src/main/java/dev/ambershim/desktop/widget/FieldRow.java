package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.desktop.model.JobModel;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;

/**
 * One figure to edit: name, figure, unit, and beneath it how to measure it or what is wrong with
 * it, and what it holds of the forecast's uncertainty. Enter or leaving the box keeps it; Escape
 * brings the kept figure back.
 */
public final class FieldRow extends Column {
  private final JobModel model;
  private Figure field;
  private final TextField box = new Box();
  private final Label hint;

  /** What the box showed when it was last filled. */
  private String shown = "";

  /** A row for a figure of the model's job. */
  public FieldRow(JobModel model, Figure field) {
    super(1);
    this.model = model;
    this.field = field;
    Notation notation = model.notationProperty().get();
    box.setId("field-" + field.id());
    box.setDisable(model.readOnly());
    Label name = Labels.line(field.label());
    name.setLabelFor(box);
    name.setWrapText(true);
    name.setMinHeight(USE_PREF_SIZE);
    Label unit = Labels.line(notation.symbol(field.unit()), "quiet");
    unit.setMinWidth(62);
    HBox row = new HBox(name, Labels.spring(), box, unit);
    row.getStyleClass().add("field-row");
    row.setAlignment(Pos.CENTER_LEFT);
    hint = Labels.line("", "hint");
    getChildren().addAll(row, hint);
    reset();
    box.setOnAction(e -> keep());
    box.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                keep();
              }
            });
    box.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            reset();
            e.consume();
          }
        });
  }

  /**
   * Shows the job's figure, unless the person is typing here.
   *
   * @param same the figure of this row, as the job has it now
   */
  public void refresh(Figure same) {
    field = same;
    if (!box.isFocused() || box.getText().equals(shown)) {
      reset();
    }
  }

  private void reset() {
    Job job = model.jobProperty().get();
    Notation notation = model.notationProperty().get();
    shown = field.shown(job, notation);
    Filled.with(box, shown);
    box.setPromptText(field.prompt(job, notation));
    explain();
  }

  /** Says anew what is known of the figure, unless what was typed is wrong. */
  public void explain() {
    Job job = model.jobProperty().get();
    Notation notation = model.notationProperty().get();
    if (job == null || (box.getStyleClass().contains("wrong") && box.isFocused())) {
      return;
    }
    calm(
        Optional.ofNullable(field.read(job))
            .flatMap(kept -> field.doubt(kept, notation))
            .orElse((field.how() + share(notation)).strip()));
  }

  /** What the figure holds of the forecast's uncertainty, where Weigh reckons with that. */
  private String share(Notation notation) {
    Weighing weighing = model.weighingProperty().get();
    return weighing == null
        ? ""
        : weighing.doubts().words(field.name(), notation).map(words -> " " + words).orElse("");
  }

  private void calm(String words) {
    box.getStyleClass().remove("wrong");
    hint.getStyleClass().remove("wrong");
    hint.setText(words);
  }

  private void keep() {
    String shown = field.shown(model.jobProperty().get(), model.notationProperty().get());
    if (box.getText().strip().equals(shown)) {
      reset();
      return;
    }
    try {
      model.type(field, box.getText());
      reset();
    } catch (Problem problem) {
      if (!box.getStyleClass().contains("wrong")) {
        box.getStyleClass().add("wrong");
        hint.getStyleClass().add("wrong");
      }
      hint.setText(problem.what() + " " + problem.remedy());
    }
  }
}
