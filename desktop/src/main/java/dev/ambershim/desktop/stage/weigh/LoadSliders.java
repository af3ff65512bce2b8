package dev.ambershim.desktop.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import java.util.function.DoubleFunction;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Another load to weigh for: heat, clock, room and fan, each against what was read. */
final class LoadSliders extends HBox {
  private final JobModel shell;
  private final WeighModel model;
  private final Slider power = slider("slider-power", 30, 150, 100, 10);
  private final Slider clock = slider("slider-clock", 70, 120, 100, 5);
  private final Slider room = slider("slider-room", -15, 20, 0, 5);
  private final Slider fan = slider("slider-fan", 30, 200, 100, 10);
  private boolean following;

  LoadSliders(JobModel shell, WeighModel model) {
    super(14);
    this.shell = shell;
    this.model = model;
    setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            labelled("heat", power, this::watts),
            labelled("clock", clock, v -> notation().fixed(v, 0) + " %"),
            labelled("room", room, this::celsius),
            labelled("fan", fan, v -> notation().fixed(v, 0) + " %"));
    Button reset = new Button("As read");
    reset.setId("as-read");
    reset.setMinWidth(USE_PREF_SIZE);
    reset.setOnAction(e -> model.whatIfProperty().set(WhatIf.AS_IT_IS));
    getChildren().add(reset);
    model.whatIfProperty().addListener((o, was, is) -> follow(is));
  }

  private static Slider slider(String id, double low, double high, double value, double step) {
    Slider slider = new Slider(low, high, value);
    slider.setId(id);
    slider.setBlockIncrement(step);
    slider.setMinWidth(60);
    return slider;
  }

  private VBox labelled(String name, Slider slider, DoubleFunction<String> words) {
    Label value = Labels.line("", "small");
    Runnable write = () -> value.setText(name + " " + words.apply(slider.getValue()));
    slider
        .valueProperty()
        .addListener(
            (o, was, is) -> {
              write.run();
              ask();
            });
    model.shownProperty().addListener((o, was, is) -> write.run());
    write.run();
    slider.setAccessibleText(name);
    VBox box = new Column(0, value, slider);
    HBox.setHgrow(box, Priority.ALWAYS);
    return box;
  }

  private Notation notation() {
    return shell.notationProperty().get();
  }

  private String watts(double percent) {
    WeighModel.Shown now = model.shownProperty().get();
    return now == null
        ? ""
        : notation().text(now.weighing().question().heatWatts() * percent / 100, Unit.WATT);
  }

  private String celsius(double above) {
    WeighModel.Shown now = model.shownProperty().get();
    return now == null
        ? ""
        : notation().text(now.weighing().question().roomCelsius() + above, Unit.CELSIUS);
  }

  private void ask() {
    if (!following) {
      model
          .whatIfProperty()
          .set(
              new WhatIf(
                  power.getValue() / 100,
                  clock.getValue() / 100,
                  room.getValue(),
                  fan.getValue() / 100));
    }
  }

  private void follow(WhatIf load) {
    following = true;
    power.setValue(100 * load.powerFactor());
    clock.setValue(100 * load.clockFactor());
    room.setValue(load.roomKelvin());
    fan.setValue(100 * load.fanFactor());
    following = false;
  }
}
