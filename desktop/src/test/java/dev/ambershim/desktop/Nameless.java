package dev.ambershim.desktop;

import dev.ambershim.desktop.widget.PictureView;
import java.util.TreeSet;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;

/** Controls and pictures of which a screen reader could say no name, with the place of each. */
final class Nameless {
  final TreeSet<String> found = new TreeSet<>();

  /** Looks at a node and all below it. */
  void walk(Node node, String place) {
    if (!node.isVisible()) {
      return;
    }
    boolean speaks =
        (node instanceof Control control
                && control.isFocusTraversable()
                && !(node instanceof ScrollPane)
                && !(node instanceof ScrollBar))
            // What lies over a chart to mark a place says nothing while no place is marked.
            || (node instanceof PictureView && !node.isMouseTransparent());
    if (speaks && !named(node)) {
      found.add(place + ": " + node.getClass().getSimpleName() + " " + node.getId());
    }
    boolean whole = node instanceof Control && !(node instanceof ScrollPane);
    if (node instanceof Parent parent && !whole) {
      parent.getChildrenUnmodifiable().forEach(child -> walk(child, place));
    }
  }

  private static boolean named(Node node) {
    boolean label = node.queryAccessibleAttribute(AccessibleAttribute.LABELED_BY) != null;
    // A picture has words once they are asked for, also where it is not in sight.
    String said =
        node instanceof PictureView picture
            ? (String) picture.queryAccessibleAttribute(AccessibleAttribute.TEXT)
            : node.getAccessibleText();
    boolean words = node instanceof Labeled labeled && !labeled.getText().isBlank();
    return label || words || (said != null && !said.isBlank());
  }
}
