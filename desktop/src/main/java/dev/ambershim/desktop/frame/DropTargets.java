package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.Side;
import dev.ambershim.desktop.widget.Labels;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;

/** Two large places to let go of files, one a side; they show while files hang over the window. */
final class DropTargets extends HBox {
  DropTargets(BiConsumer<List<Path>, Side> dropped) {
    super(24);
    getStyleClass().add("overlay");
    setStyle("-fx-padding: 90;");
    for (Side side : Side.values()) {
      StackPane target =
          new StackPane(Labels.line(side == Side.BEFORE ? "Before the work" : "After the work"));
      target.setId("drop-" + side.words());
      target.getStyleClass().add("drop-target");
      HBox.setHgrow(target, Priority.ALWAYS);
      target.setOnDragOver(
          e -> {
            accept(e);
            if (!target.getStyleClass().contains("over")) {
              target.getStyleClass().add("over");
            }
          });
      target.setOnDragExited(e -> target.getStyleClass().remove("over"));
      target.setOnDragDropped(
          e -> {
            setVisible(false);
            dropped.accept(e.getDragboard().getFiles().stream().map(File::toPath).toList(), side);
            e.setDropCompleted(true);
            e.consume();
          });
      getChildren().add(target);
    }
    setVisible(false);
    setOnDragExited(e -> setVisible(false));
  }

  private static void accept(DragEvent e) {
    if (e.getDragboard().hasFiles()) {
      e.acceptTransferModes(TransferMode.COPY);
    }
  }

  /** Shows the places when files come over the window. */
  void watch(DragEvent e) {
    if (e.getDragboard().hasFiles()) {
      setVisible(true);
      e.acceptTransferModes(TransferMode.COPY);
    }
  }

  /** Whether a file is a job bundle by its name. */
  static boolean bundle(Path file) {
    return file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".shimjob");
  }
}
