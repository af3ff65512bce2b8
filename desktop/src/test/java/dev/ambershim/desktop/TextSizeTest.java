package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.demo.DemoWorkshop;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ScrollPane.ScrollBarPolicy;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Text from 100 to 200 %: nothing is cut, whatever is shown. */
@Tag("slow")
class TextSizeTest extends DesktopTest {
  private final TreeSet<String> cut = new TreeSet<>();

  private void look(String place) {
    worked();
    for (int i = 0; i < 6; i++) {
      settle();
    }
    onFx(
        () -> {
          walk(stage.getScene().getRoot(), place);
        });
  }

  /** A label that has too little room shows less than its words, or none at all. */
  private void walk(Node node, String place) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof ScrollPane pane && pane.getHbarPolicy() != ScrollBarPolicy.NEVER) {
      // Nobody reads on by moving a page to and fro.
      double wide = pane.getContent().getLayoutBounds().getWidth();
      if (wide > pane.getViewportBounds().getWidth() + 1) {
        cut.add(
            place + ": a page is " + wide + " wide, and " + pane.getViewportBounds().getWidth());
      }
    }
    if (node instanceof Labeled labeled && labeled.getText() != null) {
      for (Node part : labeled.getChildrenUnmodifiable()) {
        if (part instanceof Text text && !same(text.getText(), labeled.getText())) {
          cut.add(place + ": \"" + labeled.getText() + "\" is cut to \"" + text.getText() + "\"");
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

  private void everyPlace(String size) {
    for (Stage at : Stage.values()) {
      onFx(() -> model.stageProperty().set(at));
      until("it is worked out", 60, () -> !model.reckoning().busyProperty().get());
      look(size + ", " + at.words());
    }
    for (KeyCode key : new KeyCode[] {KeyCode.S, KeyCode.D}) {
      press(KeyCode.CONTROL, KeyCode.SHIFT, key);
      look(size + ", Ctrl+Shift+" + key);
      press(KeyCode.CONTROL, KeyCode.SHIFT, key);
    }
    press(KeyCode.CONTROL, KeyCode.D);
    look(size + ", Ctrl+D");
    for (KeyCode key : new KeyCode[] {KeyCode.L, KeyCode.U, KeyCode.K}) {
      press(KeyCode.CONTROL, key);
      look(size + ", Ctrl+" + key);
      press(KeyCode.ESCAPE);
    }
    press(KeyCode.F1);
    look(size + ", F1");
    press(KeyCode.ESCAPE);
  }

  @Test
  void noWordIsCutFromOneToTwoHundredPercent() {
    open();
    onFx(() -> model.opener().setExample(DemoWorkshop::fill));
    onFx(model.opener()::takeExample);
    worked();
    everyPlace("100 %");
    for (int i = 0; i < 4; i++) {
      press(KeyCode.CONTROL, KeyCode.EQUALS);
    }
    assertThat(model.looks().textPercentProperty().get()).isEqualTo(200);
    everyPlace("200 %");
    onFx(
        () -> {
          stage.setWidth(1024);
          stage.setHeight(700);
        });
    everyPlace("200 % in the smallest window");
    assertThat(cut).isEmpty();
  }
}
