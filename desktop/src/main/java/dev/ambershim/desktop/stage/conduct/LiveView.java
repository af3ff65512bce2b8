package dev.ambershim.desktop.stage.conduct;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.picture.CoreMapPicture;
import dev.ambershim.core.runs.protocol.Status;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.core.stage.baseline.LivePicture;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.sensors.live.ConductedRun;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The run's own screen: what happens, what is left, how hot, and whether it can be trusted. */
final class LiveView extends Column {
  private final JobModel model;
  private final LiveModel live;
  private final Chip chip;
  private final Runnable close;
  private final RoomReadings rooms;
  private final Label phase = Labels.line("Beginning", "live-phase");
  private final Label left = Labels.line("", "live-figure");
  private final Label hottest = Labels.line("–", "live-figure");
  private final Label rise = Labels.line("–", "live-figure");
  private final Label settled = Labels.line("", "live-words");
  private final Label answer = Labels.line("", "live-answer");
  private final VBox conditions = new Column(2);
  private final PictureView course = new PictureView();
  private final PictureView cores = new PictureView();
  private final Button stop = new Button("Stop the run  Space");
  private final Side side;
  private boolean roomTold;

  /**
   * A screen for a run.
   *
   * @param side the side of the work that it is of
   * @param rooms takes the room at the end
   * @param close puts it away
   */
  LiveView(
      JobModel model, LiveModel live, Chip chip, Side side, RoomReadings rooms, Runnable close) {
    super(12);
    this.model = model;
    this.live = live;
    this.chip = chip;
    this.close = close;
    this.rooms = rooms;
    this.side = side;
    phase.setId("live-phase");
    left.setId("live-left");
    hottest.setId("live-hottest");
    settled.setId("live-settled");
    answer.setId("live-answer");
    conditions.setId("live-conditions");
    stop.setId("live-stop");
    course.setId("live-course");
    cores.setId("live-cores");
    stop.getStyleClass().add("next");
    stop.setOnAction(e -> pressed());
    HBox head = new Strip(18, phase, Labels.spring(), stop);
    head.setAlignment(Pos.CENTER_LEFT);
    HBox figures =
        new Strip(
            44,
            figure("left in all", left),
            figure("hottest sensor", hottest),
            figure("over room", rise));
    VBox words = new Column(8, settled, answer, conditions);
    words.setMinWidth(330);
    HBox lower = new Strip(24, words, cores);
    HBox.setHgrow(cores, Priority.ALWAYS);
    cores.setMinHeight(190);
    course.setMinHeight(190);
    VBox.setVgrow(course, Priority.ALWAYS);
    getChildren()
        .addAll(
            head,
            figures,
            course,
            lower,
            Labels.line(
                "Stay near a machine whose cooler was just mounted. Samples are on disk within two"
                    + " seconds; the run ends by itself at your limit, on a lost sensor or at a"
                    + " runaway.",
                "hint"));
    setPrefSize(1080, 680);
    // One press of the largest key ends it.
    sceneProperty().addListener((o, was, is) -> Platform.runLater(stop::requestFocus));
    live.statusProperty().addListener((o, was, is) -> show(is));
    live.outcomeProperty()
        .addListener(
            (o, was, is) -> {
              ended(is.stop().words());
              // Where a sensor tells the room, there is nothing to ask.
              if (!is.plateaus().isEmpty() && !roomTold) {
                askRoom();
              }
            });
    live.problemProperty().addListener((o, was, is) -> ended(is));
    model.assessmentProperty().addListener((o, was, is) -> tell(is));
    drawCourse();
  }

  private static VBox figure(String name, Label value) {
    return new Column(0, Labels.line(name, "quiet"), value);
  }

  private void pressed() {
    boolean over = live.outcomeProperty().get() != null || !live.problemProperty().get().isEmpty();
    if (over) {
      close.run();
    } else {
      stop.setDisable(true);
      live.stop();
    }
  }

  private void show(Status s) {
    if (s == null || live.outcomeProperty().get() != null) {
      return;
    }
    Notation n = model.notationProperty().get();
    phase.setText(
        Sentence.begin(s.phase().words()) + ", " + clock(s.leftInPhaseSeconds()) + " to go");
    left.setText(clock(s.leftSeconds()));
    hottest.setText(n.text(s.hottestCelsius(), Unit.CELSIUS));
    rise.setText(Double.isNaN(s.riseKelvin()) ? "–" : n.text(s.riseKelvin(), Unit.KELVIN));
    settled.setText(
        s.settled()
            .map(
                done ->
                    done
                        ? "Settled: its halves agree within "
                            + n.text(Math.abs(s.driftKelvin()), Unit.KELVIN)
                            + "."
                        : "Not settled yet: it still changes by "
                            + n.text(Math.abs(s.driftKelvin()), Unit.KELVIN)
                            + ".")
            .orElse("Too early to tell whether it settles."));
    conditions.getChildren().clear();
    for (Status.Condition c : s.conditions()) {
      String words = (c.holds() ? "Holds: " : "Does not hold: ") + c.name() + ", " + c.words();
      conditions
          .getChildren()
          .add(Labels.line(words, "live-words", c.holds() ? "quiet" : "broken"));
    }
    roomTold |= !Double.isNaN(s.riseKelvin());
    drawCourse();
    drawCores(s.coreCelsius(), n);
  }

  private void drawCourse() {
    double[][] trace = live.trace();
    Notation n = model.notationProperty().get();
    course.show(
        (w, h) -> LivePicture.of(live.protocol(), trace[0], trace[1], trace[0].length, n, w, h),
        dark());
  }

  private void drawCores(List<Double> figures, Notation n) {
    List<Patch> places = CoreLayout.of(chip).cores();
    if (places.size() != figures.size()) {
      return;
    }
    List<Patch> dies = chip.dies().stream().map(CoreLayout::patch).toList();
    CoreMapPicture.Panel own = CoreMapPicture.Panel.of("cores now", figures, Unit.CELSIUS);
    // A scale of ten kelvin at least, so that a degree of difference is no alarm.
    CoreMapPicture.Panel panel =
        new CoreMapPicture.Panel(
            own.name(), figures, own.unit(), own.low(), Math.max(own.high(), own.low() + 10));
    cores.show((w, h) -> CoreMapPicture.of(dies, places, List.of(panel), n, w, h), dark());
  }

  private boolean dark() {
    return model.themeProperty().get().dark();
  }

  private void ended(String words) {
    phase.setText("Ended");
    left.setText("–");
    settled.setText(words);
    conditions.getChildren().clear();
    stop.setDisable(false);
    stop.setText("Back to the runs  Space");
    stop.requestFocus();
  }

  /** What the run came to, as its stage says it, once it is among the job's runs. */
  private void tell(Assessment now) {
    ConductedRun.Outcome over = live.outcomeProperty().get();
    if (now == null || over == null || over.plateaus().isEmpty()) {
      return;
    }
    answer.setText(
        side == Side.BEFORE
            ? BaselineAnswer.of(now).sentence()
            : ProveAnswer.of(now, Optional.empty()).sentence());
  }

  /** The room once more, for a run whose room no sensor tells. */
  private void askRoom() {
    TextField field = new Box();
    field.setId("live-room");
    field.setPrefWidth(90);
    Label said = Labels.line("Read the room at the cooler's intake once more.", "hint");
    said.setId("live-room-said");
    field.setOnAction(
        e -> {
          try {
            said.setText(rooms.end(field.getText()));
            stop.requestFocus();
          } catch (Problem problem) {
            said.setText(problem.what() + " " + problem.remedy());
          }
        });
    Label unit = Labels.line(model.notationProperty().get().symbol(Unit.CELSIUS), "quiet");
    unit.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new Strip(8, Labels.line("Room at the end"), field, unit);
    row.setAlignment(Pos.CENTER_LEFT);
    conditions.getChildren().addAll(row, said);
  }

  /** Minutes and seconds. */
  static String clock(double seconds) {
    long whole = Math.round(seconds);
    return String.format(Locale.ROOT, "%d:%02d", whole / 60, whole % 60);
  }
}
