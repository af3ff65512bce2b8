package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.desktop.model.JobModel;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Runs in words, a row a run, with what can be done to each. */
public final class RunRows extends Column {
  private static final int MOST_MOUNTS = 9;

  private final JobModel model;
  private final Desk shell;
  private int asked;
  private List<RunResult> shown = List.of();
  private Notation shownIn;

  /** No rows yet. */
  public RunRows(JobModel model, Desk shell) {
    super(4);
    this.model = model;
    this.shell = shell;
    getStyleClass().add("panel");
  }

  /** Shows runs, a moment after the answer and the picture. */
  public void show(List<RunResult> runs) {
    int mine = ++asked;
    Later.afterThePicture(
        () -> {
          // Only the newest wish counts; an older one would undo it.
          if (asked == mine) {
            fill(runs);
          }
        });
  }

  private void fill(List<RunResult> runs) {
    Notation notation = model.notationProperty().get();
    if (notation.equals(shownIn) && RunResult.same(shown, runs)) {
      return;
    }
    shown = runs;
    shownIn = notation;
    getChildren().clear();
    for (RunResult run : runs) {
      getChildren().add(row(run));
    }
    setVisible(!runs.isEmpty());
    setManaged(!runs.isEmpty());
  }

  private VBox row(RunResult run) {
    Side side = run.entry().side();
    Label which = Labels.line(side.words(), side == Side.BEFORE ? "side-before" : "side-after");
    Label name = Labels.line(run.entry().fileName(), "strong");
    name.setTooltip(new Tooltip(run.entry().fileName()));
    name.setMinWidth(60);
    Side other = side == Side.BEFORE ? Side.AFTER : Side.BEFORE;
    Button columns = button("Columns", "columns-" + run.index(), () -> shell.showColumns(run));
    Button move =
        button(
            "To " + other.words(),
            "move-" + run.index(),
            () -> model.runs().move(run.index(), other));
    int mount = run.entry().mount();
    Button mounted =
        button(
            "Mount " + mount,
            "mount-" + run.index(),
            () -> model.runs().setMount(run.index(), mount % MOST_MOUNTS + 1));
    mounted.setAccessibleHelp("Runs of one mount: the cooler stayed on. Press for the next mount.");
    mounted.setTooltip(new Tooltip(mounted.getAccessibleHelp()));
    mounted.setDisable(model.readOnly());
    Button remove =
        button("Remove", "remove-" + run.index(), () -> model.runs().remove(run.index()));
    move.setDisable(model.readOnly());
    remove.setDisable(model.readOnly());
    HBox head =
        new Strip(
            which,
            name,
            Labels.spring(),
            Picks.onDemand(
                run.entry().state().isEmpty() ? "State" : run.entry().state(),
                "state-" + run.index(),
                model.readOnly(),
                () -> state(run)),
            mounted,
            columns,
            move,
            remove);
    head.getStyleClass().add("run-row");
    which.setMinWidth(Region.USE_PREF_SIZE);
    VBox box = new Column(2, head);
    if (run.problem().isPresent()) {
      box.getChildren().add(Labels.line(run.problem().get().getMessage(), "hint", "wrong"));
    }
    run.analysis().ifPresent(a -> figures(box, run, a));
    return box;
  }

  /** The state that the run is of: one of those there are, or a new one by typing its name. */
  private ComboBox<String> state(RunResult run) {
    ComboBox<String> box = new ComboBox<>();
    box.setId("state-" + run.index());
    box.setEditable(true);
    box.setPrefWidth(118);
    box.getItems().setAll(model.jobProperty().get().states());
    box.setValue(run.entry().stateName());
    box.setDisable(model.readOnly());
    box.setTooltip(new Tooltip("The chip's state. Type a name for a further one."));
    Picks.follow(
        box,
        name ->
            model.edit(
                "state " + name,
                job -> job.withRun(run.index(), job.runs().get(run.index()).inState(name))));
    return box;
  }

  private void figures(VBox box, RunResult run, RunAnalysis a) {
    Notation n = model.notationProperty().get();
    if (a.unfit().isPresent()) {
      box.getChildren()
          .add(Labels.line("Does not count: " + a.unfit().get() + ".", "hint", "wrong"));
    }
    if (a.settledSamples() > 0) {
      String text =
          (a.hasRoom() ? "Rise " + n.text(a.riseKelvin(), Unit.KELVIN) + ", " : "")
              + "mean "
              + n.text(a.meanCoreCelsius(), Unit.CELSIUS)
              + ", hottest core "
              + n.text(a.hottestCoreCelsius(), Unit.CELSIUS)
              + (Double.isNaN(a.spreadKelvin())
                  ? ""
                  : ", spread " + n.text(a.spreadKelvin(), Unit.KELVIN))
              + (a.powerWatts() > 0
                  ? ", "
                      + n.text(a.powerWatts(), Unit.WATT)
                      + (a.hasRoom()
                          ? ", " + n.text(a.resistanceKelvinPerWatt(), Unit.KELVIN_PER_WATT)
                          : "")
                  : "")
              + "; settled "
              + Math.round(a.plateauSeconds() / 60)
              + " min.";
      box.getChildren().add(Labels.line(text));
    }
    a.remarks().forEach(r -> box.getChildren().add(Labels.line(r, "hint")));
    run.log().notes().remarks().forEach(r -> box.getChildren().add(Labels.line(r, "hint")));
    if (run.log().with(Role.ROOM).isEmpty()) {
      box.getChildren().add(room(run));
    }
  }

  private HBox room(RunResult run) {
    Notation n = model.notationProperty().get();
    TextField field = new Box();
    field.setId("room-" + run.index());
    field.setDisable(model.readOnly());
    run.entry().typedRoom().ifPresent(c -> field.setText(n.editable(c, Unit.CELSIUS)));
    Label hint = Labels.line("Read a thermometer at the cooler's intake.", "hint");
    Runnable keep =
        () -> {
          try {
            model.runs().setRoom(run.index(), field.getText());
          } catch (Problem problem) {
            hint.setText(problem.what() + " " + problem.remedy());
            hint.getStyleClass().add("wrong");
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
    HBox row =
        new Strip(
            Labels.line("Room air"), field, Labels.line(n.symbol(Unit.CELSIUS), "quiet"), hint);
    row.getStyleClass().add("field-row");
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static Button button(String words, String id, Runnable action) {
    Button button = new Button(words);
    // The file's name gives way before the words on a button do.
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setId(id);
    button.getStyleClass().add("small");
    button.setOnAction(e -> action.run());
    return button;
  }
}
