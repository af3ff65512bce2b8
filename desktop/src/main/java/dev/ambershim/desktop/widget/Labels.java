package dev.ambershim.desktop.widget;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Labels with a style, and the space between them. */
public final class Labels {
  private Labels() {}

  /** A label of one line. */
  public static Label line(String text, String... styles) {
    Label label = new Label(text);
    label.getStyleClass().addAll(styles);
    return label;
  }

  /** A label that wraps and is never cut. */
  public static Label wrapped(String text, String... styles) {
    Label label = line(text, styles);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  /** A box with its name before and what else belongs to it behind, which stay on one line. */
  public static HBox named(String name, Node... box) {
    Label said = line(name);
    for (Node node : box) {
      // A screen reader says the name with the box.
      if (said.getLabelFor() == null && node.isFocusTraversable()) {
        said.setLabelFor(node);
      }
    }
    HBox row = new HBox(8, said);
    row.getChildren().addAll(box);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Takes up what room is left. */
  public static Region spring() {
    Region region = new Region();
    HBox.setHgrow(region, Priority.ALWAYS);
    return region;
  }
}
