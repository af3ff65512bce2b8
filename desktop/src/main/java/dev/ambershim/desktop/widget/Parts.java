package dev.ambershim.desktop.widget;

import java.util.List;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.geometry.Bounds;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;

/** A long stage's question with its parts as buttons beside it; each goes to where it stands. */
public final class Parts extends FlowPane {
  /**
   * A part.
   *
   * @param name in a word or two
   * @param node where it stands; null, or out of sight, while there is none
   */
  public record Part(String name, Supplier<Node> node) {
    /** A part that is always there. */
    public static Part of(String name, Node node) {
      return new Part(name, () -> node);
    }
  }

  /** Before the first layout there is no width yet, pixels. */
  private static final double LEAST = 200;

  private final List<Part> parts;

  /** A question, and buttons for parts with Alt and their number as keys. */
  Parts(Label question, List<Part> parts) {
    super(5, 4);
    // A question that is wider than the page wraps.
    question.maxWidthProperty().bind(Bindings.max(LEAST, widthProperty()));
    this.parts = List.copyOf(parts);
    Label keys = Labels.line("Alt +", "hint");
    keys.setPadding(new Insets(0, 0, 0, 11));
    getChildren().addAll(question, keys);
    for (int i = 0; i < parts.size(); i++) {
      int number = i + 1;
      Button button = new Button(number + " " + parts.get(i).name());
      button.setId("part-" + number);
      button.getStyleClass().setAll("part-button");
      button.setFocusTraversable(false);
      button.setOnAction(e -> go(number));
      getChildren().add(button);
    }
  }

  @Override
  protected double computeMinWidth(double height) {
    return Strip.leastWidth(this, getManagedChildren());
  }

  /** Scrolls to a part and puts the caret there; a number without a part does nothing. */
  public void go(int number) {
    if (number < 1 || number > parts.size()) {
      return;
    }
    Node node = parts.get(number - 1).node().get();
    if (node == null || node.getScene() == null || !node.isVisible()) {
      return;
    }
    // First the caret: where it goes, the pane may scroll by itself.
    focus(node);
    Node up = node.getParent();
    while (up != null && !(up instanceof ScrollPane)) {
      up = up.getParent();
    }
    if (up instanceof ScrollPane pane) {
      pane.layout();
      Bounds whole = pane.getContent().getBoundsInLocal();
      double hidden = whole.getHeight() - pane.getViewportBounds().getHeight();
      Bounds at = pane.getContent().sceneToLocal(node.localToScene(node.getBoundsInLocal()));
      if (hidden > 0) {
        pane.setVvalue(Math.min(1, Math.max(0, at.getMinY() / hidden)));
      }
    }
  }

  private static boolean focus(Node node) {
    if (node.isFocusTraversable() && !node.isDisabled()) {
      node.requestFocus();
      return true;
    }
    return node instanceof Parent parent
        && parent.getChildrenUnmodifiable().stream().anyMatch(Parts::focus);
  }
}
