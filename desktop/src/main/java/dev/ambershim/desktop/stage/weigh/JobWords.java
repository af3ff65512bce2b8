package dev.ambershim.desktop.stage.weigh;

import dev.ambershim.core.job.Job;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Filled;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** The words about a job: its title, what chip and cooler are called, and notes. */
final class JobWords extends Column {
  private final JobModel model;
  private final TextField title = new Box();
  private final TextField chip = new Box();
  private final TextField cooler = new Box();
  private final TextArea notes = new TextArea();

  JobWords(JobModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    notes.setId("notes");
    notes.setPromptText("Notes on this job");
    notes.setAccessibleText("notes on this job");
    notes.setPrefRowCount(2);
    notes.setWrapText(true);
    text(title, "title", "job title", Job::title, Job::withTitle);
    text(
        chip,
        "chip-name",
        "chip name",
        j -> j.chip().name(),
        (j, t) -> j.withChip(j.chip().withName(t)));
    text(
        cooler,
        "cooler-name",
        "cooler name",
        j -> j.cooler().name(),
        (j, t) -> j.withCooler(j.cooler().withName(t)));
    notes
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                model.edit("notes", j -> j.withNotes(notes.getText()));
              }
            });
    HBox row =
        new Strip(
            8, Labels.line("Job"), title, Labels.line("Chip"), chip, Labels.line("Cooler"), cooler);
    row.getStyleClass().add("field-row");
    for (TextField field : List.of(title, chip, cooler)) {
      field.setStyle("-fx-alignment: center-left;");
      HBox.setHgrow(field, Priority.ALWAYS);
    }
    getChildren().addAll(row, notes);
  }

  private void text(
      TextField field,
      String id,
      String what,
      Function<Job, String> read,
      BiFunction<Job, String, Job> write) {
    field.setId(id);
    field.setAccessibleText(what);
    field.disableProperty().bind(model.readOnlyProperty());
    Runnable keep =
        () -> {
          if (!field.getText().equals(read.apply(model.jobProperty().get()))) {
            model.edit(what, j -> write.apply(j, field.getText().strip()));
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

  void show(Job job) {
    fill(title, job.title());
    fill(chip, job.chip().name());
    fill(cooler, job.cooler().name());
    if (!notes.isFocused()) {
      Filled.with(notes, job.notes());
    }
  }

  private static void fill(TextField field, String text) {
    if (!field.isFocused()) {
      Filled.with(field, text);
    }
  }
}
