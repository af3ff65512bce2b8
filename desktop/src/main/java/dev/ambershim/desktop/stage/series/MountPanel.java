package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;

/** The mount that is due: what to do, where its figures go, and what to do if it was spoiled. */
final class MountPanel extends Column {
  private final JobModel shell;
  private final SeriesModel model;
  private final Label due = Labels.line("", "strong");
  private final Label hint = Labels.line("", "hint");
  private final TextField cores = box("series-cores", 6);
  private final TextField room = box("series-room", 5);
  private final TextField watts = box("series-watts", 5);
  private final TextField note = box("series-note", 13);
  private final TextField why = box("series-why", 16);
  private final Button spoil = new Button("It was spoiled");
  private final Button spoilLast = new Button("The last one was spoiled");
  private final Button takeOut = new Button("Take the last one out");
  private final Label units = Labels.line("");
  private final Label wrong = Labels.line("", "hint", "wrong");
  private final Node entry;
  private final LiftPanel lift;

  /**
   * A panel.
   *
   * @param conduct conducts the run of this mount
   */
  MountPanel(JobModel shell, Desk desk, SeriesModel model, Runnable conduct) {
    super(8);
    this.shell = shell;
    this.model = model;
    getStyleClass().add("panel");
    due.setId("series-due");
    wrong.setId("series-wrong");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    note.setPromptText("mess, ease of cleaning");
    why.setPromptText("why it was spoiled");
    why.setAccessibleText("why it was spoiled");
    lift = new LiftPanel(shell, desk, model, this::trying);
    entry = figures(desk, conduct);
    getChildren().addAll(due, hint, entry, spoiling(), lift, wrong);
  }

  private static TextField box(String id, int letters) {
    TextField field = new Box();
    field.setId(id);
    field.setPrefColumnCount(letters);
    return field;
  }

  private Button button(String id, String words, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.disableProperty().bind(shell.readOnlyProperty());
    button.setOnAction(e -> trying(action));
    return button;
  }

  private Node figures(Desk desk, Runnable conduct) {
    Button write = button("series-write", "Write it down", this::write);
    write.getStyleClass().add("next");
    Button log =
        button(
            "series-log",
            "Add its log",
            () ->
                desk
                    .files()
                    .picker()
                    .open("The log of this mount", "Logs", "*.csv", "*.txt", "*.log", "*.tsv")
                    .stream()
                    .findFirst()
                    .ifPresent(this::take));
    Button run = button("series-run", "Conduct it  Ctrl+J", conduct);
    cores.setOnAction(e -> trying(this::write));
    watts.setOnAction(e -> trying(this::write));
    FlowPane line =
        new FlowPane(
            14,
            6,
            Labels.named("Mean of the cores", cores),
            Labels.named("Room", room, units),
            Labels.named("Heat", watts, Labels.line("W")),
            Labels.named("Note", note),
            write,
            log,
            run);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private Node spoiling() {
    spoil.setId("series-spoil");
    spoilLast.setId("series-spoil-last");
    takeOut.setId("series-undo");
    spoil.setOnAction(
        e ->
            trying(
                () -> {
                  model.spoil(why.getText(), note.getText());
                  clear();
                }));
    spoilLast.setOnAction(
        e ->
            trying(
                () -> {
                  model.spoilLast(why.getText());
                  why.clear();
                }));
    takeOut.setOnAction(e -> trying(model::takeOut));
    FlowPane line = new FlowPane(14, 6, why, spoil, spoilLast, takeOut);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  /** Does something, and shows what is wrong with it. */
  void trying(Runnable action) {
    try {
      action.run();
      wrong.setText("");
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }

  /** Says what is wrong. */
  void say(String words) {
    wrong.setText(words);
  }

  private void write() {
    Notation n = shell.notationProperty().get();
    double air = n.read(room.getText(), Unit.CELSIUS, "room");
    double mean = n.read(cores.getText(), Unit.CELSIUS, "mean of the cores");
    model.write(mean - air, n.read(watts.getText(), Unit.WATT, "heat"), air, note.getText());
    clear();
  }

  /** The room stays: it moves slowly. */
  private void clear() {
    cores.clear();
    watts.clear();
    note.clear();
    why.clear();
    cores.requestFocus();
  }

  /** Takes a log as the mount that is due. */
  void take(Path file) {
    OptionalDouble air =
        room.getText().isBlank()
            ? OptionalDouble.empty()
            : OptionalDouble.of(
                shell.notationProperty().get().read(room.getText(), Unit.CELSIUS, "room"));
    model.runs().take(file, air, note.getText());
    note.clear();
  }

  /** Shows the mount that is due. */
  void show(Series now) {
    setVisible(now != null);
    setManaged(now != null);
    if (now == null) {
      return;
    }
    units.setText(shell.notationProperty().get().symbol(Unit.CELSIUS));
    due.setText(now.dueInWords());
    boolean open = now.next().isPresent();
    for (Node part : List.of(entry, spoil)) {
      part.setVisible(open);
      part.setManaged(open);
    }
    boolean counts = now.last().filter(m -> m.spoiled().isEmpty()).isPresent();
    spoilLast.setDisable(shell.readOnly() || !counts);
    spoil.setDisable(shell.readOnly());
    takeOut.setDisable(shell.readOnly() || now.made().isEmpty());
    hint.setText(
        open
            ? now.left(shell.notationProperty().get()) + " " + now.howInWords()
            : "Plan another series for more mounts.");
    lift.show(now);
  }
}
