package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.logbook.store.Copies;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The logbook's copies, and putting one back. */
final class CopiesPane {
  private CopiesPane() {}

  /** A row that picks a copy and puts it back; it asks once more, since the window begins anew. */
  static Node row(JobModel model, Runnable close) {
    HBox row = new Strip(8);
    row.setAlignment(Pos.CENTER_LEFT);
    model.keeping().copies(copies -> row.getChildren().setAll(parts(model, close, copies)));
    return row;
  }

  private static List<Node> parts(JobModel model, Runnable close, List<Copies.Copy> copies) {
    if (copies.isEmpty()) {
      return List.of(Labels.line("No copy yet. One a day is made after changes.", "quiet"));
    }
    ComboBox<String> days = new ComboBox<>();
    days.setId("copies");
    days.setAccessibleText("copy of the logbook");
    copies.forEach(c -> days.getItems().add(words(c)));
    days.getSelectionModel().selectFirst();
    Button restore = new Button("Put this copy back");
    restore.setId("restore-copy");
    restore.setDisable(model.readOnly());
    restore.setOnAction(
        e -> {
          restore.setText("Put it back, and set today's logbook aside");
          restore.setOnAction(
              f -> {
                close.run();
                int at = days.getSelectionModel().getSelectedIndex();
                model.keeping().restore(copies.get(at).day());
              });
        });
    return List.of(Labels.line("Copies", "strong"), days, restore);
  }

  private static String words(Copies.Copy copy) {
    return copy.day()
        + "   ·   "
        + (copy.jobs() < 0
            ? "cannot be read"
            : copy.jobs() + (copy.jobs() == 1 ? " job" : " jobs"));
  }

  /** Says that the jobs are gone, and offers the last copy that holds some. */
  static Node afterLoss(JobModel model, Runnable close) {
    VBox box =
        new Column(
            14,
            Labels.line(
                "This logbook held jobs the last time it was open, and now it holds none. Its file may"
                    + " have been copied without its log file, or replaced."));
    box.setId("lost-jobs");
    Button on = new Button("Go on with an empty logbook");
    on.setId("go-on-empty");
    on.setOnAction(e -> close.run());
    box.getChildren().add(on);
    model
        .keeping()
        .copies(
            copies ->
                box.getChildren()
                    .add(
                        1,
                        copies.stream()
                            .filter(c -> c.jobs() > 0)
                            .findFirst()
                            .map(last -> last(model, close, last))
                            .orElseGet(
                                () ->
                                    Labels.line(
                                        "There is no copy yet. Take your job bundles in with"
                                            + " Ctrl+I."))));
    return box;
  }

  private static Node last(JobModel model, Runnable close, Copies.Copy copy) {
    Button restore = new Button("Put back the copy of " + words(copy));
    restore.setId("restore-last");
    restore.getStyleClass().add("next");
    restore.setOnAction(
        e -> {
          close.run();
          model.keeping().restore(copy.day());
        });
    return restore;
  }
}
