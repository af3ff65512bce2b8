package dev.ambershim.desktop.stage.open;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WorkModel;
import dev.ambershim.desktop.widget.Labels;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** When the person may work, and from when or until when. */
final class HoursPanel extends VBox {
  private final JobModel model;
  private final WorkModel bench;
  private final TextField from = field("hours-from", 66);
  private final TextField to = field("hours-to", 66);
  private final List<ToggleButton> days = new ArrayList<>();
  private final TextField start = field("start-at", 150);
  private final TextField end = field("done-by", 150);
  private final Label wrong = Labels.wrapped("", "hint", "wrong");
  private boolean filling;

  HoursPanel(JobModel model) {
    super(8);
    this.model = model;
    bench = model.workbench();
    getStyleClass().add("panel");
    wrong.setId("hours-wrong");
    HBox hours = row(Labels.line("You may work from"), from, Labels.line("to"), to);
    for (DayOfWeek day : DayOfWeek.values()) {
      ToggleButton button = new ToggleButton(day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH));
      button.setId("day-" + day.getValue());
      button.getStyleClass().setAll("part-button");
      button.setOnAction(e -> keepHours());
      days.add(button);
      hours.getChildren().add(button);
    }
    start.setPromptText("now");
    end.setPromptText("open");
    HBox ends = row(Labels.line("Start at"), start, Labels.line("or be done by"), end);
    getChildren()
        .addAll(hours, ends, Labels.line("Such as 18:30 or 2026-06-16 18:30.", "hint"), wrong);
    for (TextField field : List.of(from, to)) {
      field.setOnAction(e -> keepHours());
      field.focusedProperty().addListener((o, was, is) -> left(is, this::keepHours));
    }
    for (TextField field : List.of(start, end)) {
      field.setOnAction(e -> keepEnds());
      field.focusedProperty().addListener((o, was, is) -> left(is, this::keepEnds));
    }
    say("");
  }

  private static void left(boolean focused, Runnable then) {
    if (!focused) {
      then.run();
    }
  }

  private static TextField field(String id, double width) {
    TextField field = new TextField();
    field.setId(id);
    field.setPrefWidth(width);
    return field;
  }

  private static HBox row(Node... nodes) {
    HBox row = new HBox(6, nodes);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void say(String text) {
    wrong.setText(text);
    wrong.setVisible(!text.isEmpty());
    wrong.setManaged(!text.isEmpty());
  }

  private void keepHours() {
    if (filling || model.readOnly() || model.jobProperty().get() == null) {
      return;
    }
    List<Integer> on = new ArrayList<>();
    for (int i = 0; i < days.size(); i++) {
      if (days.get(i).isSelected()) {
        on.add(i + 1);
      }
    }
    Hours hours = new Hours(from.getText().strip(), to.getText().strip(), on);
    if (!hours.sound()) {
      say(
          new Problem(
                  "hours.unsound",
                  Place.field("hours"),
                  "These hours leave no time to work.",
                  "Type them as 18:00 to 22:00, the first before the second, with one day at least.")
              .getMessage());
      return;
    }
    say("");
    if (!hours.equals(model.jobProperty().get().work().hours())) {
      bench.setHours(hours);
    }
  }

  private void keepEnds() {
    if (filling || model.readOnly() || model.jobProperty().get() == null) {
      return;
    }
    try {
      WorkLog log = model.jobProperty().get().work();
      Instant from = read(start, log.startAt(), "start at");
      Instant until = read(end, log.doneBy(), "done by");
      say("");
      bench.edit("start and end", old -> old.between(from, until));
    } catch (Problem problem) {
      say(problem.getMessage());
    }
  }

  /** What a box says; unchanged, it stays what it was to the second. */
  private Instant read(TextField field, Instant was, String name) {
    String typed = field.getText().strip();
    if (typed.isEmpty()) {
      return null;
    }
    return typed.equals(text(was)) ? was : MomentText.read(typed, bench.zone(), bench.now(), name);
  }

  private String text(Instant at) {
    if (at == null) {
      return "";
    }
    Notation notation = model.notationProperty().get();
    var there = at.atZone(bench.zone());
    return there.toLocalDate() + " " + notation.time(there.toLocalTime());
  }

  void show(WorkLog log) {
    filling = true;
    fill(from, log.hours().from());
    fill(to, log.hours().to());
    for (int i = 0; i < days.size(); i++) {
      days.get(i).setSelected(log.hours().days().contains(i + 1));
      days.get(i).setDisable(model.readOnly());
    }
    fill(start, text(log.startAt()));
    fill(end, text(log.doneBy()));
    filling = false;
  }

  private void fill(TextField field, String text) {
    field.setDisable(model.readOnly());
    // What is being typed is not taken from under the person's hands.
    if (!field.isFocused()) {
      field.setText(text);
    }
  }
}
