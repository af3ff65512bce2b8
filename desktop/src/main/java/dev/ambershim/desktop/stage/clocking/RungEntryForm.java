package dev.ambershim.desktop.stage.clocking;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;

/** Where a rung is written down: clock, how it ended, and what was read meanwhile. */
final class RungEntryForm extends Column {
  private static final String PASSED = Outcome.PASSED.words();

  private final JobModel model;
  private final ComboBox<String> side = new ComboBox<>();
  private final ComboBox<String> ended = new ComboBox<>();
  private final TextField clock = box("rung-clock", "MHz");
  private final TextField volts = box("rung-volts", "V");
  private final TextField hottest = box("rung-hottest", "");
  private final TextField room = box("rung-room", "");
  private final TextField minutes = box("rung-minutes", "min");
  private final Label wrong = Labels.line("", "hint", "wrong");

  RungEntryForm(JobModel model, boolean both) {
    super(4);
    this.model = model;
    side.setId("rung-side");
    side.setAccessibleText("before or after the work");
    clock.setAccessibleText("clock");
    volts.setAccessibleText("voltage");
    hottest.setAccessibleText("hottest core");
    room.setAccessibleText("room");
    minutes.setAccessibleText("minutes held");
    side.getItems().setAll(Side.BEFORE.words(), Side.AFTER.words());
    side.setValue(both ? Side.AFTER.words() : Side.BEFORE.words());
    ended.setId("rung-ended");
    ended.setAccessibleText("how it ended");
    ended.getItems().setAll(ways());
    ended.setValue(PASSED);
    Button add = new Button("Write the rung down");
    add.setId("add-rung");
    add.setOnAction(e -> add());
    minutes.setOnAction(e -> add());
    clock.setOnAction(e -> add());
    FlowPane entry = new FlowPane(6, 4);
    entry.getStyleClass().add("field-row");
    if (both) {
      entry.getChildren().add(side);
    }
    entry
        .getChildren()
        .addAll(
            named("clock", clock),
            ended,
            named("hottest core", hottest),
            named("room", room),
            named("voltage", volts),
            named("minutes held", minutes),
            add);
    units();
    model.notationProperty().addListener((o, was, is) -> units());
    entry.disableProperty().bind(model.readOnlyProperty());
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    getChildren().addAll(entry, wrong);
  }

  /** A box with its name, which stay together where the row breaks. */
  private static HBox named(String name, TextField field) {
    HBox pair = new Strip(6, Labels.line(name), field);
    pair.setAlignment(Pos.CENTER_LEFT);
    return pair;
  }

  private void units() {
    String celsius = model.notationProperty().get().symbol(Unit.CELSIUS);
    hottest.setPromptText(celsius);
    room.setPromptText(celsius);
  }

  private static List<String> ways() {
    List<String> ways = new ArrayList<>();
    for (Outcome outcome : Outcome.values()) {
      if (outcome == Outcome.FAILED) {
        Rung.FAILURES.forEach(f -> ways.add(outcome.words() + ": " + f));
      } else {
        ways.add(outcome.words());
      }
    }
    return ways;
  }

  private static TextField box(String id, String prompt) {
    TextField field = new Box();
    field.setId(id);
    field.setPromptText(prompt);
    field.setPrefWidth(70);
    return field;
  }

  /** Offers the clock that tells most next. */
  void offer(OptionalDouble next, Side of) {
    if (next.isPresent() && side.getValue().equals(of.words())) {
      Notation notation = model.notationProperty().get();
      clock.setPromptText(notation.editable(next.getAsDouble(), Unit.MEGAHERTZ));
    }
  }

  /** The side that is written down for. */
  Side side() {
    return side.getValue().equals(Side.AFTER.words()) ? Side.AFTER : Side.BEFORE;
  }

  /** Puts the keyboard into the box for the clock. */
  void focus() {
    clock.requestFocus();
  }

  private void add() {
    Notation n = model.notationProperty().get();
    try {
      String[] way = ended.getValue().split(": ", 2);
      Outcome outcome = outcome(way[0]);
      Rung rung =
          new Rung(
              n.read(clock.getText(), Unit.MEGAHERTZ, "clock"),
              read(n, volts, Unit.VOLT, "voltage"),
              outcome,
              way.length > 1 ? way[1] : "",
              read(n, hottest, Unit.CELSIUS, "hottest core"),
              read(n, room, Unit.CELSIUS, "room air"),
              null,
              read(n, minutes, Unit.COUNT, "minutes held"),
              "",
              null);
      Side of = side();
      model.edit(
          "rung " + n.text(rung.clockMegahertz(), Unit.MEGAHERTZ) + " " + of.words(),
          job -> job.withRung(new RungEntry(of, rung)));
      wrong.setText("");
      // Room, voltage and time mostly stay from rung to rung; clock and temperature never do.
      clock.clear();
      hottest.clear();
      ended.setValue(PASSED);
      clock.requestFocus();
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }

  private static Outcome outcome(String words) {
    for (Outcome outcome : Outcome.values()) {
      if (outcome.words().equals(words)) {
        return outcome;
      }
    }
    throw new IllegalArgumentException(words);
  }

  private static Double read(Notation n, TextField field, Unit unit, String name) {
    return field.getText().isBlank() ? null : n.read(field.getText(), unit, name);
  }
}
