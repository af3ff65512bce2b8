package dev.ambershim.desktop.frame;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;

/** The way through: the ten stages in order. */
final class StageRail extends Column {
  private final List<ToggleButton> buttons = new ArrayList<>();

  StageRail(JobModel model) {
    getStyleClass().add("rail");
    ToggleGroup group = new ToggleGroup();
    for (Stage stage : Stage.values()) {
      int number = stage.number();
      ToggleButton button = new ToggleButton(number + "  " + stage.words());
      button.setAccessibleText(button.getText());
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
      buttons.add(button);
      Runnable follow = () -> button.setSelected(model.stageProperty().get() == stage);
      model.stageProperty().addListener((o, was, is) -> follow.run());
      follow.run();
    }
  }

  /** Shows the numbers alone, where there is little room; a tip tells the words. */
  void fold(boolean tight) {
    for (int i = 0; i < buttons.size(); i++) {
      String whole = buttons.get(i).getAccessibleText();
      buttons.get(i).setText(tight ? String.valueOf(i + 1) : whole);
      buttons.get(i).setTooltip(tight ? new Tooltip(whole) : null);
    }
  }
}
