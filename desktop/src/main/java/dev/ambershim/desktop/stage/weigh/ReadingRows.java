package dev.ambershim.desktop.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Reading;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The readings that the forecast rests on, and a row to add one by hand. */
final class ReadingRows extends Column {
  private final JobModel shell;
  private final VBox rows = new Column(4);

  /** What the rows were made for. */
  private List<Object> shown = List.of();

  private final TextField watts = box("reading-watts", "W");
  private final TextField core = box("reading-core", "cores");
  private final TextField room = box("reading-room", "room");
  private final TextField coolant = box("reading-coolant", "coolant");
  private final TextField lid = box("reading-lid", "lid");
  private final Label wrong = Labels.line("", "hint", "wrong");

  ReadingRows(JobModel shell) {
    super(6);
    this.shell = shell;
    Button add = new Button("Add the reading");
    add.setId("add-reading");
    add.setOnAction(e -> add());
    lid.setOnAction(e -> add());
    FlowPane entry =
        new FlowPane(
            6,
            4,
            Labels.line("By hand: heat"),
            watts,
            Labels.line("mean of cores"),
            core,
            Labels.line("room"),
            room,
            Labels.line("coolant, if known"),
            coolant,
            Labels.line("lid's middle, if known"),
            lid,
            add);
    entry.getStyleClass().add("field-row");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    getChildren().addAll(Labels.line("Readings before the work", "strong"), rows, entry, wrong);
  }

  private static TextField box(String id, String prompt) {
    TextField field = new Box();
    field.setId(id);
    field.setPromptText(prompt);
    field.setAccessibleText(prompt.equals("W") ? "heat" : prompt);
    field.setPrefWidth(66);
    return field;
  }

  /** Shows the readings of a weighing. */
  void show(List<Reading> readings) {
    Job job = shell.jobProperty().get();
    Notation notation = shell.notationProperty().get();
    int fromLogs = readings.size() - job.readings().size();
    List<Object> now = List.of(readings, fromLogs, notation);
    if (now.equals(shown)) {
      return;
    }
    shown = now;
    rows.getChildren().clear();
    for (int i = 0; i < readings.size(); i++) {
      HBox row = new Strip(8, Labels.line(words(readings.get(i), notation), "small"));
      row.getStyleClass().add("run-row");
      int typed = i - fromLogs;
      if (typed >= 0) {
        Button remove = new Button("Take out");
        remove.setId("remove-reading-" + typed);
        remove.setOnAction(e -> remove(typed));
        row.getChildren().addAll(Labels.spring(), remove);
      }
      rows.getChildren().add(row);
    }
    if (readings.isEmpty()) {
      rows.getChildren()
          .add(
              Labels.line(
                  "None yet. Add a run under Baseline, or type in a settled state: what the chip"
                      + " took, the mean of its cores, and the air at the cooler.",
                  "hint"));
    }
  }

  private static String words(Reading r, Notation notation) {
    return r.name()
        + ": "
        + notation.text(r.watts(), Unit.WATT)
        + ", cores "
        + notation.text(r.coreCelsius(), Unit.CELSIUS)
        + ", room "
        + notation.text(r.roomCelsius(), Unit.CELSIUS)
        + (r.coolantCelsius() == null
            ? ""
            : ", coolant " + notation.text(r.coolantCelsius(), Unit.CELSIUS))
        + (r.lidCelsius() == null ? "" : ", lid " + notation.text(r.lidCelsius(), Unit.CELSIUS));
  }

  private void remove(int typed) {
    shell.edit(
        "take a reading out",
        job -> {
          List<Reading> kept = new ArrayList<>(job.readings());
          kept.remove(typed);
          return job.withReadings(kept);
        });
  }

  private void add() {
    Notation n = shell.notationProperty().get();
    try {
      Reading reading =
          Reading.checked(
              "by hand",
              n.read(watts.getText(), Unit.WATT, "heat"),
              n.read(core.getText(), Unit.CELSIUS, "mean of cores"),
              n.read(room.getText(), Unit.CELSIUS, "room"),
              optional(n, coolant, "coolant"),
              optional(n, lid, "lid's middle"));
      shell.edit(
          "reading by hand",
          job -> {
            List<Reading> more = new ArrayList<>(job.readings());
            more.add(reading);
            return job.withReadings(more);
          });
      wrong.setText("");
      for (TextField field : List.of(watts, core, room, coolant, lid)) {
        field.clear();
      }
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }

  private static Double optional(Notation notation, TextField field, String name) {
    return field.getText().isBlank() ? null : notation.read(field.getText(), Unit.CELSIUS, name);
  }
}
