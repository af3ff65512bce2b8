package dev.ambershim.desktop.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisWords;
import dev.ambershim.core.stage.diagnosis.NextTest;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Theme;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Inquiry;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.sensors.live.OneByOne;
import dev.ambershim.sensors.rig.Fault;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Why is it hot: the answer, its pictures, the tests as buttons, and what was noticed. */
public final class DiagnosisView implements Inquiry {
  /** So many tests are offered; the others tell less. */
  private static final int TESTS = 4;

  private final JobModel shell;
  private final Desk desk;
  private final DiagnosisModel model;
  private final AnswerPane answer = new AnswerPane("Why is it hot?", "diagnosis-answer");
  private final Label status = Labels.line("", "hint");
  private final Button stop = new Button("Stop");
  private final VBox tests = new Column(6);
  private final Map<String, PictureView> pictures = new LinkedHashMap<>();
  private final VBox drawn = new Column(8);
  private final Map<Sign, CheckBox> signs = new EnumMap<>(Sign.class);
  private final CheckBox half = new CheckBox("In this mount the cooler stands half round");
  private final Label kept = Labels.line("", "hint");
  private final ComboBox<String> fault = new ComboBox<>();
  private final TextField watts = field("reading-watts", 70);
  private final TextField room = field("reading-room", 70);
  private final TextField coolant = field("reading-coolant", 70);
  private final TextField lid = field("reading-lid", 70);
  private final TextField cores = field("reading-cores", 260);
  private final Label wrong = Labels.line("", "hint", "wrong");
  private final VBox node = new Column(14);

  /**
   * A view of the model's causes.
   *
   * @param back goes back to the stage
   */
  public DiagnosisView(JobModel shell, Desk desk, Runnable back) {
    this.shell = shell;
    this.desk = desk;
    this.model = new DiagnosisModel(shell);
    node.getStyleClass().add("stage");
    node.setId("diagnosis");
    Button leave = new Button("Back to the stage  Ctrl+D");
    leave.setId("diagnosis-back");
    leave.setOnAction(e -> back.run());
    status.setId("diagnosis-status");
    stop.setId("diagnosis-stop");
    stop.setOnAction(e -> model.session().stop());
    HBox line = new Strip(10, status, stop);
    line.setAlignment(Pos.CENTER_LEFT);
    node.getChildren()
        .addAll(answer, line, drawn, tests, oneByOne(), noticed(), typed(), new Strip(leave));
    model.shownProperty().addListener((o, was, is) -> show());
    model.statusProperty().addListener((o, was, is) -> say());
    model.session().statusProperty().addListener((o, was, is) -> say());
    stop.visibleProperty().bind(model.session().runningProperty());
    stop.managedProperty().bind(model.session().runningProperty());
    shell.jobProperty().addListener((o, was, is) -> follow());
    shell.themeProperty().addListener((o, was, is) -> show());
    show();
    say();
    follow();
  }

  private static TextField field(String id, double width) {
    TextField field = new Box();
    field.setId(id);
    field.setPrefWidth(width);
    return field;
  }

  @Override
  public void open(boolean now) {
    model.open(now);
  }

  private void say() {
    String words = model.statusProperty().get();
    String running = model.session().statusProperty().get();
    boolean none = model.shownProperty().get() == null;
    if (none) {
      answer.show(words);
    }
    status.setText(!running.isEmpty() ? running : none ? "" : words);
  }

  private void show() {
    DiagnosisAnswer said = model.shownProperty().get();
    if (said == null) {
      drawn.getChildren().clear();
      tests.getChildren().clear();
      say();
      return;
    }
    answer.show(said, shell.notationProperty().get());
    boolean dark = shell.themeProperty().get() == Theme.GRAPHITE;
    List<Node> all = new ArrayList<>();
    for (Drawing drawing : said.pictures()) {
      PictureView view =
          pictures.computeIfAbsent(
              drawing.name(),
              name -> {
                PictureView made = new PictureView();
                made.setId("diagnosis-" + name);
                return made;
              });
      view.setMinHeight(drawing.height());
      view.setPrefHeight(drawing.height());
      view.show((w, h) -> drawing.painter().at(w, h), dark);
      all.add(Labels.line(drawing.caption(), "hint"));
      all.add(view);
    }
    drawn.getChildren().setAll(all);
    List<Node> rows = new ArrayList<>();
    rows.add(
        Labels.line("Tests that are left, the most telling for their minutes first", "strong"));
    for (int i = 0; i < Math.min(TESTS, said.ranking().next().size()); i++) {
      rows.add(row(said.ranking().next().get(i), said.tests().get(i)));
    }
    tests.getChildren().setAll(rows);
  }

  private Node row(NextTest test, String sentence) {
    Button begin = new Button(test.trial().button());
    begin.setId("test-" + test.trial().name());
    begin.setMinWidth(230);
    begin.disableProperty().bind(shell.readOnlyProperty());
    begin.setOnAction(e -> begin(test.trial()));
    Label said = Labels.line(sentence);
    HBox row = new Strip(12, begin, said);
    row.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(said, Priority.ALWAYS);
    return row;
  }

  /** Starts a test. */
  private void begin(Trial trial) {
    switch (trial) {
      case ONE_BY_ONE -> here();
      case IDLE, COOLANT, LID -> watts.requestFocus();
      case FROM_REST, TURN, REMOUNT -> desk.conduct();
      case PRESS, PUMP, DUST, PRINT -> signs.get(trial.signs().get(0)).requestFocus();
    }
  }

  private Node oneByOne() {
    fault.setId("diagnosis-fault");
    fault.setAccessibleText("fault of the simulated rig");
    watts.setAccessibleText("heat");
    room.setAccessibleText("room");
    coolant.setAccessibleText("coolant");
    lid.setAccessibleText("lid");
    cores.setAccessibleText("cores, one after the other");
    fault.getItems().add("no fault");
    for (Fault f : Fault.values()) {
      fault.getItems().add(f.words());
    }
    fault.getSelectionModel().selectFirst();
    Button rig = new Button("One core after another on the simulated rig");
    rig.setId("one-by-one-rig");
    rig.disableProperty().bind(shell.readOnlyProperty());
    rig.setOnAction(
        e -> {
          String picked = fault.getValue();
          model
              .session()
              .onRig(
                  model.side(),
                  Stream.of(Fault.values()).filter(f -> f.words().equals(picked)).findFirst());
        });
    Button here = new Button("… on this machine");
    here.setId("one-by-one-here");
    here.disableProperty().bind(shell.readOnlyProperty());
    here.setOnAction(e -> here());
    Button drop = new Button("Drop these readings");
    drop.setId("diagnosis-drop");
    drop.disableProperty().bind(shell.readOnlyProperty());
    drop.setOnAction(e -> model.forget());
    FlowPane row = new FlowPane(10, 8, rig, fault, here, kept, drop);
    row.setAlignment(Pos.CENTER_LEFT);
    return new Column(
        6,
        Labels.line("One core after another", "strong"),
        Labels.line(
            DiagnosisWords.oneByOne(
                OneByOne.Times.USUAL.idleSeconds(), OneByOne.Times.USUAL.eachSeconds()),
            "hint"),
        row);
  }

  /** On this machine, with the room that was typed below, if it was. */
  private void here() {
    try {
      model.session().here(model.side(), figure(room, Unit.CELSIUS, "room"));
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }

  private Node noticed() {
    HBox boxes = new Strip(18);
    for (Sign sign : Sign.values()) {
      CheckBox box = new CheckBox(sign.words());
      box.setId("sign-" + sign.key());
      box.setWrapText(true);
      box.disableProperty().bind(shell.readOnlyProperty());
      box.setOnAction(e -> model.notice(sign, box.isSelected()));
      signs.put(sign, box);
      boxes.getChildren().add(box);
    }
    half.setId("cooler-half-round");
    half.setWrapText(true);
    half.disableProperty().bind(shell.readOnlyProperty());
    half.setOnAction(e -> model.turn(half.isSelected()));
    boxes.getChildren().add(half);
    return new Column(6, Labels.line("What you noticed", "strong"), boxes);
  }

  private Node typed() {
    Button add = new Button("Add this reading");
    add.setId("reading-add");
    add.disableProperty().bind(shell.readOnlyProperty());
    add.setOnAction(e -> type());
    cores.setOnAction(e -> type());
    Notation n = shell.notationProperty().get();
    cores.setPromptText("71 72 70 …");
    FlowPane row =
        new FlowPane(
            8,
            6,
            Labels.line("Heat"),
            watts,
            Labels.line(n.symbol(Unit.WATT) + "  Room"),
            room,
            Labels.line("Coolant"),
            coolant,
            Labels.line("Lid"),
            lid,
            Labels.line("Cores"),
            cores,
            Labels.line(n.symbol(Unit.CELSIUS)),
            add);
    row.setAlignment(Pos.CENTER_LEFT);
    return new Column(
        6,
        Labels.line("A settled reading by hand, such as idle or a second load", "strong"),
        row,
        wrong);
  }

  private void type() {
    Notation n = shell.notationProperty().get();
    try {
      List<Double> read = new ArrayList<>();
      for (String one : cores.getText().strip().split("[\\s;]+", -1)) {
        if (!one.isEmpty()) {
          read.add(n.read(one, Unit.CELSIUS, "cores"));
        }
      }
      model.type(
          figure(watts, Unit.WATT, "heat"),
          figure(room, Unit.CELSIUS, "room"),
          figure(coolant, Unit.CELSIUS, "coolant"),
          figure(lid, Unit.CELSIUS, "lid"),
          read);
      wrong.setText("");
      cores.clear();
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }

  private OptionalDouble figure(TextField field, Unit unit, String name) {
    return field.getText().isBlank()
        ? OptionalDouble.empty()
        : OptionalDouble.of(shell.notationProperty().get().read(field.getText(), unit, name));
  }

  private void follow() {
    if (shell.jobProperty().get() == null) {
      return;
    }
    signs.forEach((sign, box) -> box.setSelected(model.noticed(sign)));
    half.setSelected(model.degrees() != 0);
    long readings = model.readings();
    kept.setText(readings == 0 ? "" : readings + " settled states are kept.");
  }

  @Override
  public Node node() {
    return node;
  }

  @Override
  public void toggleWorking() {
    answer.toggleWorking();
  }
}
