package dev.ambershim.desktop;

import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ScrollPane.ScrollBarPolicy;
import javafx.scene.text.Text;

/** Labels that have too little room and show less than their words, and pages that are too wide. */
final class CutWords {
  final TreeSet<String> found = new TreeSet<>();

  /** Looks at a node and all below it. */
  void walk(Node node, String place) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof ScrollPane pane && pane.getHbarPolicy() != ScrollBarPolicy.NEVER) {
      // Nobody reads on by moving a page to and fro.
      double wide = pane.getContent().getLayoutBounds().getWidth();
      if (wide > pane.getViewportBounds().getWidth() + 1) {
        found.add(
            place + ": a page is " + wide + " wide, and " + pane.getViewportBounds().getWidth());
      }
    }
    if (node instanceof Labeled labeled && labeled.getText() != null) {
      for (Node part : labeled.getChildrenUnmodifiable()) {
        if (part instanceof Text text && !same(text.getText(), labeled.getText())) {
          found.add(place + ": \"" + labeled.getText() + "\" is cut to \"" + text.getText() + "\"");
        }
      }
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> walk(child, place));
    }
  }

  private static boolean same(String shown, String whole) {
    return shown.replace("\n", " ").strip().equals(whole.replace("\n", " ").strip());
  }
}
