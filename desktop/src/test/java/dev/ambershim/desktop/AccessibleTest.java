package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.widget.PictureView;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** What a screen reader says: every control and every picture has a name, wherever one is. */
class AccessibleTest extends DesktopTest {
  private final TreeSet<String> nameless = new TreeSet<>();

  private void look(String place) {
    worked();
    // What lies below the fold is built a few frames later.
    for (int i = 0; i < 4; i++) {
      settle();
    }
    walk(stage.getScene().getRoot(), place);
  }

  private void walk(Node node, String place) {
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
      nameless.add(place + ": " + node.getClass().getSimpleName() + " " + node.getId());
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

  @Test
  void everythingHasAName() {
    open();
    look("first window");
    onFx(() -> model.opener().setExample(DemoWorkshop::fill));
    onFx(model.opener()::takeExample);
    worked();
    for (Stage at : Stage.values()) {
      onFx(() -> model.stageProperty().set(at));
      until("it is worked out", 60, () -> !model.reckoning().busyProperty().get());
      look(at.words());
    }
    List<KeyCode> shifted = new ArrayList<>(List.of(KeyCode.S, KeyCode.D));
    for (KeyCode key : shifted) {
      press(KeyCode.CONTROL, KeyCode.SHIFT, key);
      look("Ctrl+Shift+" + key);
      press(KeyCode.CONTROL, KeyCode.SHIFT, key);
    }
    press(KeyCode.CONTROL, KeyCode.D);
    look("Ctrl+D");
    for (KeyCode key : List.of(KeyCode.L, KeyCode.U)) {
      press(KeyCode.CONTROL, key);
      look("Ctrl+" + key);
      press(KeyCode.ESCAPE);
    }
    press(KeyCode.F1);
    look("F1");
    press(KeyCode.ESCAPE);
    press(KeyCode.F2);
    look("F2");
    assertThat(nameless).isEmpty();
  }
}
