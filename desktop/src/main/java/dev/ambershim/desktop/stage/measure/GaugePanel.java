package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What to touch next, and how the reading comes: typed, or from a height gauge. */
final class GaugePanel extends Column {
  private final JobModel model;
  private final GaugeSession session;
  private final TextField typed = new Box();
  private Unit unit = Unit.MILLIMETRE;

  GaugePanel(JobModel model, GaugeSession session) {
    super(6);
    this.model = model;
    this.session = session;
    getStyleClass().add("panel");
    Label next = Labels.line("", "strong");
    next.setId("gauge-next");
    next.textProperty().bind(session.nextProperty());
    typed.setId("gauge-typed");
    typed.setPrefColumnCount(9);
    typed.setOnAction(e -> type());
    Button touch = new Button("Touch down  Alt+Enter");
    touch.setId("gauge-touch");
    touch.setOnAction(e -> session.touch());
    touch.visibleProperty().bind(session.connectedProperty());
    touch.managedProperty().bind(session.connectedProperty());
    Button back = new Button("Back");
    back.setId("gauge-back");
    back.setOnAction(e -> session.back());
    Button end = new Button("End here");
    end.setId("gauge-end");
    end.setOnAction(e -> session.end());
    HBox taking = new Strip(6, typed, touch, back, end);
    taking.setAlignment(Pos.CENTER_LEFT);
    VBox run = new Column(6, next, taking);
    run.visibleProperty().bind(session.runningProperty());
    run.managedProperty().bind(session.runningProperty());
    Button tops = new Button("Read the tops in turn");
    tops.setId("read-tops");
    tops.disableProperty().bind(model.readOnlyProperty());
    tops.setOnAction(
        e -> {
          awaiting(Unit.MILLIMETRE);
          session.readTops();
          typed.requestFocus();
        });
    TextField address = new Box();
    address.setId("gauge-address");
    address.setAccessibleText("where the height gauge is");
    address.setPromptText("localhost:port or path; or none");
    address.setPrefColumnCount(15);
    Button connect = new Button("Connect a height gauge");
    connect.setId("gauge-connect");
    connect.setOnAction(
        e -> {
          if (session.connectedProperty().get()) {
            session.disconnect();
          } else {
            session.connect(address.getText());
          }
        });
    session
        .connectedProperty()
        .addListener(
            (o, was, is) ->
                connect.setText(is ? "Disconnect the gauge" : "Connect a height gauge"));
    address.setOnAction(e -> connect.fire());
    FlowPane foot = new FlowPane(6, 6, tops, address, connect);
    getChildren().addAll(Labels.line("Take readings", "strong"), run, foot);
  }

  /** Which unit typed readings are in: heights in mm, probed faces in µm. */
  void awaiting(Unit other) {
    unit = other;
    typed.setPromptText("reading, " + model.notationProperty().get().symbol(other));
  }

  /** Puts the keyboard where the next reading is typed. */
  void focus() {
    typed.requestFocus();
  }

  private void type() {
    try {
      session.type(typed.getText(), unit);
      typed.clear();
    } catch (Problem problem) {
      model.say(problem.getMessage());
    }
  }
}
