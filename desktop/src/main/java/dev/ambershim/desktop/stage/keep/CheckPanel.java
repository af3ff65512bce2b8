package dev.ambershim.desktop.stage.keep;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The checks of a chip, the newest first, and a line to write one down. */
final class CheckPanel extends Column {
  /** Older ones on demand. */
  private static final int NEWEST = 6;

  private final JobModel shell;
  private final KeepModel model;
  private final VBox rows = new Column(4);
  private final ToggleButton all = new ToggleButton();
  private final TextField day = box("check-day", 10);
  private final TextField cores = box("check-cores", 5);
  private final TextField room = box("check-room", 5);
  private final TextField watts = box("check-watts", 5);
  private final TextField coolant = box("check-coolant", 5);
  private final Label wrong = Labels.line("", "hint", "wrong");
  private final Label units = Labels.line("");

  CheckPanel(JobModel shell, KeepModel model) {
    super(8);
    this.shell = shell;
    this.model = model;
    getStyleClass().add("panel");
    setId("keep-checks");
    day.setAccessibleText("day of the check");
    cores.setAccessibleText("mean of the cores");
    room.setAccessibleText("room");
    watts.setAccessibleText("heat");
    coolant.setAccessibleText("coolant, if you read it");
    all.setId("check-all");
    all.getStyleClass().add("part-button");
    all.setOnAction(e -> show(shell.jobProperty().get(), shell.notationProperty().get()));
    Button add = new Button("Write this check down");
    add.setId("check-add");
    add.disableProperty().bind(shell.readOnlyProperty());
    add.setOnAction(e -> type());
    coolant.setOnAction(e -> type());
    watts.setOnAction(e -> type());
    FlowPane line =
        new FlowPane(
            14,
            6,
            Labels.named("Day", day),
            Labels.named("Mean of the cores", cores),
            Labels.named("Room", room),
            Labels.named("Coolant", coolant, units),
            Labels.named("Heat", watts, Labels.line("W")),
            add);
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Labels.line("Checks", "strong"),
            rows,
            all,
            Labels.line("A check by hand, under a load that has settled", "strong"),
            line,
            wrong);
  }

  private static TextField box(String id, int letters) {
    TextField field = new Box();
    field.setId(id);
    field.setPrefColumnCount(letters);
    return field;
  }

  void show(Job job, Notation notation) {
    units.setText(notation.symbol(Unit.CELSIUS));
    if (day.getText().isBlank()) {
      day.setText(model.today().toString());
    }
    rows.getChildren().clear();
    List<KeptCheck> checks = job.care().checks();
    if (checks.isEmpty()) {
      rows.getChildren().add(Labels.line("No check yet.", "hint"));
    }
    int last = all.isSelected() ? 0 : Math.max(0, checks.size() - NEWEST);
    for (int i = checks.size() - 1; i >= last; i--) {
      rows.getChildren().add(row(i, checks.get(i), notation));
    }
    all.setText(all.isSelected() ? "Newest only" : "All " + checks.size() + " checks");
    all.setVisible(checks.size() > NEWEST);
    all.setManaged(checks.size() > NEWEST);
  }

  private HBox row(int index, KeptCheck check, Notation notation) {
    Label date = Labels.line(Notation.date(check.date()));
    date.setMinWidth(140);
    Label rise =
        Labels.line(
            notation.text(check.riseKelvin(), Unit.KELVIN)
                + " over the room at "
                + notation.text(check.watts(), Unit.WATT));
    rise.setMinWidth(230);
    String name = check.source().isEmpty() ? "" : ", " + check.source();
    String state = check.state().isEmpty() ? "" : check.state() + ": ";
    Label from = Labels.line(state + check.from().words() + name, "quiet");
    from.setMinWidth(0);
    Button out = new Button("Take out");
    out.setId("check-out-" + index);
    out.setMinWidth(USE_PREF_SIZE);
    out.setAccessibleText("Take out the check of " + Notation.date(check.date()));
    out.disableProperty().bind(shell.readOnlyProperty());
    out.setOnAction(e -> model.removeCheck(index));
    HBox row = new Strip(10, date, rise, from, Labels.spring(), out);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** The room as typed, for logs without one. */
  OptionalDouble room() {
    return room.getText().isBlank()
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            shell.notationProperty().get().read(room.getText(), Unit.CELSIUS, "room"));
  }

  private void type() {
    Notation n = shell.notationProperty().get();
    try {
      double air = n.read(room.getText(), Unit.CELSIUS, "room");
      double mean = n.read(cores.getText(), Unit.CELSIUS, "mean of the cores");
      model.add(
          new KeptCheck(
              MomentText.readDay(day.getText(), "day"),
              KeptCheck.From.TYPED,
              "",
              mean - air,
              n.read(watts.getText(), Unit.WATT, "heat"),
              null,
              coolant.getText().isBlank()
                  ? null
                  : n.read(coolant.getText(), Unit.CELSIUS, "coolant") - air,
              "",
              1));
      wrong.setText("");
      cores.clear();
      watts.clear();
      coolant.clear();
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }
}
