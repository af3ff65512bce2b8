package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.desktop.widget.Labels;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** A mishap's way out in the bench's large type; it stands where the step stood. */
final class RescuePane extends VBox {
  RescuePane(RescueModel model) {
    super(10);
    setId("rescue");
    model.shownProperty().addListener((o, was, is) -> show(is));
    show(null);
  }

  private void show(RescueModel.Shown shown) {
    setVisible(shown != null);
    setManaged(shown != null);
    getChildren().clear();
    if (shown == null) {
      return;
    }
    Label head = Labels.wrapped(shown.head(), "bench-title");
    head.setId("rescue-head");
    getChildren().add(head);
    // The list of all mishaps is long, so it is set smaller than a check is.
    boolean many = shown.lines().size() >= Accident.values().length;
    for (String line : shown.lines()) {
      String style =
          many
              ? "bench-detail"
              : line.startsWith("Caution") || line.startsWith("Stop")
                  ? "bench-caution"
                  : line.startsWith("■") ? "bench-check" : "bench-body";
      getChildren().add(Labels.wrapped(line, style));
    }
  }
}
