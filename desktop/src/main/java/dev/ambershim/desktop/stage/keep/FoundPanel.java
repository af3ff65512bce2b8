package dev.ambershim.desktop.stage.keep;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What was found on opening a chip again, and a line to write it down. */
final class FoundPanel extends Column {
  private final JobModel shell;
  private final KeepModel model;
  private final VBox rows = new Column(4);
  private final TextField day = new Box();
  private final Map<Found.Look, CheckBox> looks = new EnumMap<>(Found.Look.class);
  private final TextField note = new Box();
  private final TextField hours = use("found-hours");
  private final TextField warmUps = use("found-warm-ups");
  private final FoundPhotos photos;
  private final Label wrong = Labels.line("", "hint", "wrong");

  FoundPanel(JobModel shell, Desk desk, KeepModel model) {
    super(8);
    this.shell = shell;
    this.model = model;
    photos = new FoundPhotos(shell, desk);
    getStyleClass().add("panel");
    setId("keep-found");
    day.setId("found-day");
    day.setPrefColumnCount(10);
    day.setAccessibleText("day of the opening");
    FlowPane boxes = new FlowPane(18, 6);
    for (Found.Look look : Found.Look.values()) {
      CheckBox box = new CheckBox(look.words());
      box.setId("found-" + look.name());
      box.disableProperty().bind(shell.readOnlyProperty());
      looks.put(look, box);
      boxes.getChildren().add(box);
    }
    note.setId("found-note");
    note.setAccessibleText("what you learnt");
    note.setPromptText("what you learnt");
    note.setPrefColumnCount(22);
    note.setOnAction(e -> add());
    Button add = new Button("Write down what you found");
    add.setId("found-add");
    add.disableProperty().bind(shell.readOnlyProperty());
    add.setOnAction(e -> add());
    FlowPane line =
        new FlowPane(
            8,
            6,
            Labels.line("Day"),
            day,
            Labels.named("Hours of load, if known", hours),
            Labels.named("Warm-ups, if known", warmUps),
            note,
            add);
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Labels.line("Found on opening it again", "strong"), rows, boxes, photos, line, wrong);
  }

  private static TextField use(String id) {
    TextField field = new Box();
    field.setId(id);
    field.setPrefColumnCount(5);
    return field;
  }

  private Double read(TextField field, String name) {
    return field.getText().isBlank()
        ? null
        : (Double) shell.notationProperty().get().read(field.getText(), Unit.COUNT, name);
  }

  void show(Job job) {
    if (day.getText().isBlank()) {
      day.setText(model.today().toString());
    }
    rows.getChildren().clear();
    List<Found> found = job.care().found();
    for (int i = found.size() - 1; i >= 0; i--) {
      rows.getChildren().add(row(i, found.get(i)));
      if (found.get(i).photos() != null) {
        rows.getChildren().add(photos.pair(found.get(i)));
      }
    }
    photos.offer(job);
  }

  private HBox row(int index, Found found) {
    Label date = Labels.line(Notation.date(found.date()));
    date.setMinWidth(140);
    Label what =
        Labels.line(
            found.looks().stream().map(Found.Look::words).collect(Collectors.joining(", ")));
    what.setMinWidth(0);
    Button out = new Button("Take out");
    out.setId("found-out-" + index);
    out.setMinWidth(USE_PREF_SIZE);
    out.setAccessibleText("Take out the opening of " + Notation.date(found.date()));
    out.disableProperty().bind(shell.readOnlyProperty());
    out.setOnAction(e -> model.removeFound(index));
    HBox row = new Strip(10, date, what, Labels.spring(), out);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void add() {
    try {
      model.add(
          new Found(
                  MomentText.readDay(day.getText(), "day"),
                  looks.entrySet().stream()
                      .filter(e -> e.getValue().isSelected())
                      .map(Map.Entry::getKey)
                      .toList(),
                  note.getText(),
                  photos.typed(),
                  read(hours, "hours of load"),
                  read(warmUps, "warm-ups"))
              .checked());
      wrong.setText("");
      note.clear();
      hours.clear();
      warmUps.clear();
      photos.clear();
      looks.values().forEach(box -> box.setSelected(false));
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }
}
