package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Scroll;
import dev.ambershim.desktop.widget.Strip;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A sheet laid over the window; Escape or a press beside it puts it away. */
public final class Sheet extends StackPane {
  private static final double LEAST_WIDTH = 640;
  private static final double MARGIN = 24;

  private final VBox body;

  /**
   * A sheet.
   *
   * @param close puts it away
   */
  public Sheet(String title, Runnable close, Node... content) {
    getStyleClass().add("overlay");
    Button shut = new Button("Close  Esc");
    shut.setId("close-sheet");
    shut.setOnAction(e -> close.run());
    HBox head = new Strip(Labels.line(title, "sheet-title"), Labels.spring(), shut);
    head.setAlignment(Pos.CENTER_LEFT);
    body = new Column(head);
    body.getChildren().addAll(content);
    body.getStyleClass().add("sheet");
    // In a window with little room a sheet is as wide as that, and scrolls.
    Scroll scroll = new Scroll(body);
    scroll.minWidthProperty().bind(Bindings.min(LEAST_WIDTH, widthProperty().subtract(MARGIN)));
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    getChildren().add(scroll);
    setOnMousePressed(
        e -> {
          if (e.getTarget() == this) {
            close.run();
          }
        });
  }
}
