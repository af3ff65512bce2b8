package dev.ambershim.desktop.frame;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.widget.Labels;
import javafx.scene.layout.VBox;

/** A stage that is not built yet: its question, and in one line what it will do. */
final class Unbuilt extends VBox {
  Unbuilt(Stage stage) {
    getStyleClass().add("stage");
    getChildren().addAll(Labels.line(stage.question(), "question"), Labels.wrapped(stage.plan()));
  }
}
