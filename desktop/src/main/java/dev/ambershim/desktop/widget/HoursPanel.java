package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.desktop.model.JobModel;
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

/** When the person may work, and from when or until when. */
public final class HoursPanel extends Column {
  /** What is set in time. */
  public interface Timed {
    /** When the person may work; null while there is nothing to set in time. */
    Hours hours();

    /** When to start, or null for now. */
    Instant startAt();

    /** When to be done, or null for an open end. */
    Instant doneBy();

    /** Takes other hours. */
    void setHours(Hours hours);

    /** Takes another start and end, either of which may be null. */
    void between(Instant startAt, Instant doneBy);
  }

  private final JobModel model;
  private final Timed timed;
  private final TextField from = field("hours-from", 66);
  private final TextField to = field("hours-to", 66);
  private final List<ToggleButton> days = new ArrayList<>();
  private final TextField start = field("start-at", 150);
  private final TextField end = field("done-by", 150);
  private final Label wrong = Labels.line("", "hint", "wrong");
  private boolean filling;

  /**
   * A panel of something that is set in time.
   *
   * @param ends whether an end may be asked for, and not only a start
   */
  public HoursPanel(JobModel model, Timed timed, boolean ends) {
    super(8);
    this.model = model;
    this.timed = timed;
    getStyleClass().add("panel");
    wrong.setId("hours-wrong");
    HBox hours = row(Labels.line("You may work from"), from, Labels.line("to"), to);
    for (DayOfWeek day : DayOfWeek.values()) {
      ToggleButton button = new ToggleButton(day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH));
      button.setId("day-" + day.getValue());
      button.getStyleClass().setAll("part-button");
      button.setOnAction(e -> keepHours());
      days.add(button);
    }
    Runnable week =
        () -> {
          hours.getChildren().removeAll(days);
          int first = model.looks().firstDayProperty().get().getValue() - 1;
          for (int i = 0; i < days.size(); i++) {
            hours.getChildren().add(days.get((first + i) % days.size()));
          }
        };
    model.looks().firstDayProperty().addListener((o, was, is) -> week.run());
    week.run();
    from.setAccessibleText("you may work from");
    to.setAccessibleText("you may work to");
    start.setAccessibleText("start at");
    end.setAccessibleText("be done by");
    start.setPromptText("now");
    end.setPromptText("open");
    HBox times = row(Labels.line("Start at"), start);
    if (ends) {
      times.getChildren().addAll(Labels.line("or be done by"), end);
    }
    getChildren()
        .addAll(hours, times, Labels.line("Such as 18:30 or 2026-06-16 18:30.", "hint"), wrong);
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
    TextField field = new Box();
    field.setId(id);
    field.setPrefWidth(width);
    return field;
  }

  private static HBox row(Node... nodes) {
    HBox row = new Strip(6, nodes);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void say(String text) {
    wrong.setText(text);
    wrong.setVisible(!text.isEmpty());
    wrong.setManaged(!text.isEmpty());
  }

  private void keepHours() {
    if (filling || model.readOnly() || timed.hours() == null) {
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
    if (!hours.equals(timed.hours())) {
      timed.setHours(hours);
    }
  }

  private void keepEnds() {
    if (filling || model.readOnly() || timed.hours() == null) {
      return;
    }
    try {
      Instant from = read(start, timed.startAt(), "start at");
      Instant until = read(end, timed.doneBy(), "done by");
      say("");
      timed.between(from, until);
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
    return typed.equals(text(was))
        ? was
        : MomentText.read(typed, model.workbench().zone(), model.workbench().now(), name);
  }

  private String text(Instant at) {
    if (at == null) {
      return "";
    }
    Notation notation = model.notationProperty().get();
    var there = at.atZone(model.workbench().zone());
    return there.toLocalDate() + " " + notation.time(there.toLocalTime());
  }

  /** Shows what is set now. */
  public void show() {
    Hours hours = timed.hours();
    if (hours == null) {
      return;
    }
    filling = true;
    fill(from, hours.from());
    fill(to, hours.to());
    for (int i = 0; i < days.size(); i++) {
      days.get(i).setSelected(hours.days().contains(i + 1));
      days.get(i).setDisable(model.readOnly());
    }
    fill(start, text(timed.startAt()));
    fill(end, text(timed.doneBy()));
    filling = false;
  }

  private void fill(TextField field, String text) {
    field.setDisable(model.readOnly());
    // What is being typed is not taken from under the person's hands.
    if (!field.isFocused()) {
      Filled.with(field, text);
    }
  }
}
