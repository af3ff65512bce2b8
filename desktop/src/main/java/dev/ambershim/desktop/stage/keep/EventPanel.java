package dev.ambershim.desktop.stage.keep;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.CareEvent;
import dev.ambershim.core.job.Job;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What happened to a chip in use, and a line to add to it. */
final class EventPanel extends Column {
  private final JobModel shell;
  private final KeepModel model;
  private final VBox rows = new Column(4);
  private final TextField day = new Box();
  private final ComboBox<String> kind = new ComboBox<>();
  private final TextField note = new Box();
  private final Label wrong = Labels.line("", "hint", "wrong");

  EventPanel(JobModel shell, KeepModel model) {
    super(8);
    this.shell = shell;
    this.model = model;
    getStyleClass().add("panel");
    setId("keep-events");
    day.setId("event-day");
    day.setPrefColumnCount(10);
    day.setAccessibleText("day on which it happened");
    kind.setId("event-kind");
    for (CareEvent.Kind k : CareEvent.Kind.values()) {
      kind.getItems().add(k.words());
    }
    kind.getSelectionModel().selectFirst();
    kind.setAccessibleText("what happened");
    note.setId("event-note");
    note.setAccessibleText("note on what happened");
    note.setPromptText("in your words");
    note.setPrefColumnCount(18);
    Button add = new Button("Add what happened");
    add.setId("event-add");
    add.disableProperty().bind(shell.readOnlyProperty());
    add.setOnAction(e -> add());
    note.setOnAction(e -> add());
    FlowPane line = new FlowPane(8, 6, Labels.line("Day"), day, kind, note, add);
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(Labels.line("What happened", "strong"), rows, line, wrong);
  }

  void show(Job job) {
    if (day.getText().isBlank()) {
      day.setText(model.today().toString());
    }
    rows.getChildren().clear();
    List<CareEvent> events = job.care().events();
    for (int i = events.size() - 1; i >= 0; i--) {
      rows.getChildren().add(row(i, events.get(i)));
    }
  }

  private HBox row(int index, CareEvent event) {
    Label date = Labels.line(Notation.date(event.date()));
    date.setMinWidth(140);
    Label what =
        Labels.line(event.kind().words() + (event.note().isEmpty() ? "" : ": " + event.note()));
    what.setMinWidth(0);
    Button out = new Button("Take out");
    out.setId("event-out-" + index);
    out.setMinWidth(USE_PREF_SIZE);
    out.setAccessibleText("Take out: " + event.kind().words());
    out.disableProperty().bind(shell.readOnlyProperty());
    out.setOnAction(e -> model.removeEvent(index));
    HBox row = new Strip(10, date, what, Labels.spring(), out);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void add() {
    try {
      CareEvent.Kind picked =
          Arrays.stream(CareEvent.Kind.values())
              .filter(k -> k.words().equals(kind.getValue()))
              .findFirst()
              .orElse(CareEvent.Kind.OTHER);
      model.add(new CareEvent(MomentText.readDay(day.getText(), "day"), picked, note.getText()));
      wrong.setText("");
      note.clear();
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }
}
