package dev.ambershim.desktop.frame;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.JobModel;
import java.util.Locale;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.VBox;

/** The way through: the ten stages in order. */
final class StageRail extends VBox {
  StageRail(JobModel model) {
    getStyleClass().add("rail");
    ToggleGroup group = new ToggleGroup();
    for (Stage stage : Stage.values()) {
      int number = stage.number();
      ToggleButton button = new ToggleButton(number + "  " + stage.words());
      button.setId("stage-" + stage.name().toLowerCase(Locale.ROOT));
      button.setToggleGroup(group);
      button.setMaxWidth(Double.MAX_VALUE);
      button.getStyleClass().setAll("stage-button");
      button.setAccessibleHelp("Ctrl+" + number % 10 + ": " + stage.question());
      button.setOnAction(
          e -> {
            model.stageProperty().set(stage);
            button.setSelected(true);
          });
      getChildren().add(button);
      Runnable follow = () -> button.setSelected(model.stageProperty().get() == stage);
      model.stageProperty().addListener((o, was, is) -> follow.run());
      follow.run();
    }
  }
}
