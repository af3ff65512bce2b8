package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;

/** A mishap's way out in the bench's large type; it stands where the step stood. */
final class RescuePane extends Column {
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
    Label head = Labels.line(shown.head(), "bench-title");
    head.setId("rescue-head");
    getChildren().add(head);
    if (shown.lines().size() >= Accident.values().length) {
      getChildren().add(all(shown.lines()));
      return;
    }
    for (String line : shown.lines()) {
      String style =
          line.startsWith("Caution") || line.startsWith("Stop")
              ? "bench-caution"
              : line.startsWith("■") ? "bench-check" : "bench-body";
      getChildren().add(Labels.line(line, style));
    }
  }

  /** The list of all mishaps is long: set smaller than a check, in two columns down. */
  private static GridPane all(List<String> lines) {
    GridPane columns = new GridPane(40, 10);
    ColumnConstraints half = new ColumnConstraints();
    half.setPercentWidth(50);
    columns.getColumnConstraints().addAll(half, half);
    int rows = (lines.size() + 1) / 2;
    for (int i = 0; i < lines.size(); i++) {
      columns.add(Labels.line(lines.get(i), "bench-detail"), i / rows, i % rows);
    }
    return columns;
  }
}
