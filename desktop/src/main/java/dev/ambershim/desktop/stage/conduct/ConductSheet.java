package dev.ambershim.desktop.stage.conduct;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.SteadyLoad;
import dev.ambershim.sensors.live.GrowingLog;
import dev.ambershim.sensors.machine.MachineSource;
import dev.ambershim.sensors.rig.ConductionRig;
import dev.ambershim.sensors.rig.Fault;
import dev.ambershim.sensors.rig.RigSetup;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.WindowEvent;

/** How a run is to go: where from, by which protocol, to which limit. */
public final class ConductSheet {
  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");
  private static final String RIG_FAST = "the simulated rig, 60 times faster";
  private static final String RIG = "the simulated rig, in real time";
  private static final String OWN = "this machine, with the built-in load";
  private static final String OWN_BY_HAND = "this machine; I start the load myself";
  private static final String LOG = "a log that grows; I start the load myself";
  private static final long PATIENCE_MILLISECONDS = 30_000;

  private final JobModel model;
  private final Desk shell;
  private final Side side;
  private final IntConsumer coming;
  private final ComboBox<String> from =
      choice("conduct-from", RIG_FAST, RIG, OWN, OWN_BY_HAND, LOG);
  private final ComboBox<String> school = choice("conduct-protocol");
  private final ComboBox<String> fault = choice("conduct-fault", "no fault");
  private final TextField plateau = field("conduct-plateau");
  private final TextField plateaus = field("conduct-plateaus");
  private final TextField warmUp = field("conduct-warm-up");
  private final TextField coolDown = field("conduct-cool-down");
  private final TextField stop = field("conduct-stop");
  private final TextField clock = field("conduct-clock");
  private final TextField volts = field("conduct-volts");
  private final TextField fan = field("conduct-fan");
  private final TextField pump = field("conduct-pump");
  private final TextField room = field("conduct-room");
  private final TextField size = field("conduct-fault size");
  private final Label wrong = Labels.line("", "hint", "wrong");

  private ConductSheet(JobModel model, Desk shell, Side side, IntConsumer coming) {
    this.coming = coming;
    this.model = model;
    this.shell = shell;
    this.side = side;
    for (Protocol p : Protocol.SCHOOLS) {
      school.getItems().add(p.name());
    }
    for (Fault f : Fault.values()) {
      fault.getItems().add(f.words());
    }
    size.setText(notation().editable(0.6, Unit.COUNT));
    school.setOnAction(e -> fill());
    school.getSelectionModel().selectFirst();
    fill();
  }

  /** Lays the sheet over the window; the run's logs go to a side of the job. */
  public static void open(JobModel model, Desk shell, Side side) {
    open(model, shell, side, logs -> {});
  }

  /**
   * The same for what waits for the run.
   *
   * @param coming is told how many logs come in, just before they do
   */
  public static void open(JobModel model, Desk shell, Side side, IntConsumer coming) {
    if (model.jobProperty().get() == null) {
      return;
    }
    shell.showSheet(
        "Conduct a run " + side.words() + " the work",
        new ConductSheet(model, shell, side, coming).content());
  }

  private static ComboBox<String> choice(String id, String... items) {
    ComboBox<String> box = new ComboBox<>();
    box.setId(id);
    box.getItems().addAll(items);
    box.getSelectionModel().selectFirst();
    box.setPrefWidth(340);
    return box;
  }

  private static TextField field(String id) {
    TextField field = new Box();
    field.setId(id);
    field.setPrefWidth(90);
    return field;
  }

  private Notation notation() {
    return model.notationProperty().get();
  }

  private Protocol chosen() {
    return Protocol.SCHOOLS.get(Math.max(0, school.getSelectionModel().getSelectedIndex()));
  }

  private void fill() {
    Protocol p = chosen();
    plateaus.setText(String.valueOf(p.plateaus()));
    plateau.setText(minutes(p.plateauSeconds()));
    warmUp.setText(minutes(p.warmUpSeconds()));
    coolDown.setText(minutes(p.coolDownSeconds()));
    stop.setText(notation().editable(p.stopCelsius(), Unit.CELSIUS));
  }

  private static String minutes(int seconds) {
    return String.valueOf(seconds / 60);
  }

  private Node content() {
    GridPane grid = new GridPane();
    grid.setHgap(12);
    grid.setVgap(8);
    row(grid, "Samples and load from", from, "");
    row(grid, "Protocol to start from", school, "");
    row(grid, "Plateaus", plateaus, "");
    row(grid, "each lasts", plateau, "min");
    row(grid, "Warm-up before", warmUp, "min");
    row(grid, "Cool-down after each", coolDown, "min");
    row(grid, "Stop at", stop, notation().symbol(Unit.CELSIUS));
    Notation n = notation();
    row(grid, "Clock and voltage as you set them", clock, n.symbol(Unit.MEGAHERTZ), volts, "V");
    row(grid, "Fan and pump", fan, "rpm", pump, "rpm");
    row(grid, "Room at the intake now", room, n.symbol(Unit.CELSIUS) + ", if no sensor tells it");
    row(grid, "Fault in the rig", fault, "", size, "from 0, none, to 1, bad");
    Button begin = new Button("Begin  Enter");
    begin.setId("conduct-begin");
    begin.getStyleClass().add("next");
    begin.setDefaultButton(true);
    begin.setOnAction(e -> begin());
    HBox foot = new Strip(10, begin, wrong);
    foot.setAlignment(Pos.CENTER_LEFT);
    VBox sheet = new Column(12);
    model.traffic().leftRuns(left -> sheet.getChildren().add(0, left(left)));
    sheet
        .getChildren()
        .addAll(
            Labels.line(
                "Fix clock, voltage, fan and pump first, and read the room at the cooler's intake. One"
                    + " minute of rest comes before the load.",
                "reason"),
            grid,
            Labels.line(
                "Your chip's own limit comes first. Do not leave a machine alone whose cooler was just"
                    + " mounted.",
                "hint"),
            foot);
    return sheet;
  }

  /** Runs that were cut off, as by a crash, with a button to take them in after all. */
  private HBox left(List<Path> files) {
    Button take = new Button(files.size() == 1 ? "Take it in" : "Take them in");
    take.setId("take-left-runs");
    take.setOnAction(
        e -> {
          shell.closeSheet();
          model.runs().add(files, side);
        });
    HBox row =
        new Strip(
            10,
            Labels.line(
                "Cut off and in no job yet: "
                    + files.stream()
                        .map(f -> f.getFileName().toString())
                        .collect(Collectors.joining(", "))
                    + "."),
            take);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static void row(GridPane grid, String name, Node input, String unit, Object... more) {
    int row = grid.getRowCount();
    grid.add(Labels.line(name), 0, row);
    HBox box = new Strip(6, input, Labels.line(unit, "quiet"));
    for (Object part : more) {
      box.getChildren().add(part instanceof Node node ? node : Labels.line((String) part, "quiet"));
    }
    box.setAlignment(Pos.CENTER_LEFT);
    grid.add(box, 1, row);
  }

  private void begin() {
    try {
      Protocol protocol =
          new Protocol(
              chosen().name(),
              60,
              whole(warmUp, 60),
              whole(plateaus, 1),
              whole(plateau, 60),
              whole(coolDown, 60),
              notation().read(stop.getText(), Unit.CELSIUS, "stop at"),
              new Protocol.Settings(
                  said(clock, Unit.MEGAHERTZ),
                  said(volts, Unit.VOLT),
                  said(fan, Unit.TURNS_PER_MINUTE),
                  said(pump, Unit.TURNS_PER_MINUTE)));
      run(protocol, said(room, Unit.CELSIUS));
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }

  private Double said(TextField field, Unit unit) {
    return field.getText().isBlank()
        ? null
        : (Double) notation().read(field.getText(), unit, field.getId().substring(8));
  }

  private int whole(TextField field, int factor) {
    double figure = notation().read(field.getText(), Unit.COUNT, field.getId().substring(8));
    return (int) Math.min(Integer.MAX_VALUE / 100, Math.round(figure * factor));
  }

  private void run(Protocol protocol, Double roomAtStart) {
    Job job = model.jobProperty().get();
    String origin = from.getValue();
    RigSetup rig = rig(job);
    Optional<Path> log = origin.equals(LOG) ? shell.files().log() : Optional.empty();
    if (origin.equals(LOG) && log.isEmpty()) {
      return;
    }
    LiveModel live = new LiveModel(protocol);
    RoomReadings rooms = new RoomReadings(model, roomAtStart);
    LiveView view = new LiveView(model, live, job.chip(), side, rooms, shell::closeSheet);
    live.outcomeProperty()
        .addListener(
            (o, was, is) -> {
              if (!is.plateaus().isEmpty()) {
                coming.accept(is.plateaus().size());
                model.runs().add(is.plateaus(), side);
                rooms.of(is.plateaus());
              }
            });
    shell.showQuestion("The run", view);
    // A window that goes takes the load with it; what was recorded stays.
    view.getScene().getWindow().addEventHandler(WindowEvent.WINDOW_HIDDEN, e -> live.stop());
    Path folder = model.traffic().runsFolder();
    String stem = side.words() + "-" + STAMP.format(LocalDateTime.now(ZoneId.systemDefault()));
    List<String> notes = List.of("source: " + origin, "protocol: " + protocol.name());
    live.begin(() -> machine(origin, rig, log), folder, stem, notes, notation());
  }

  private static LiveModel.Machine machine(String origin, RigSetup setup, Optional<Path> log) {
    if (log.isPresent()) {
      Source follows = new GrowingLog(log.get(), false, PATIENCE_MILLISECONDS);
      return new LiveModel.Machine(follows, Load.BY_PERSON);
    }
    if (origin.equals(OWN) || origin.equals(OWN_BY_HAND)) {
      Source source = MachineSource.of(Path.of("/"));
      Load load = origin.equals(OWN) ? new SteadyLoad(SteadyLoad.allThreads()) : Load.BY_PERSON;
      return new LiveModel.Machine(source, load);
    }
    ConductionRig rig = new ConductionRig(setup, origin.equals(RIG_FAST) ? 60 : 1);
    return new LiveModel.Machine(rig, rig);
  }

  /** The job's own chip on the rig. */
  private RigSetup rig(Job job) {
    Situation machine = new Situation(job.chip(), job.cooler(), job.build(side));
    double watts = Math.min(job.heatWatts(), 400);
    RigSetup setup = RigSetup.of(machine, watts, model.workbench().now().toEpochMilli());
    int picked = fault.getSelectionModel().getSelectedIndex();
    return picked <= 0
        ? setup
        : setup.with(
            Fault.valueOf(fault.getValue().toUpperCase(Locale.ROOT).replace(' ', '_')),
            notation().read(size.getText(), Unit.COUNT, "size of the fault"));
  }
}
