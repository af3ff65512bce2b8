package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.demo.DemoWorkshop;
import javafx.scene.Parent;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Every place of the window: a screen reader has a name for all that is there, and no word is cut
 * with text from 100 to 200 %.
 */
@Tag("slow")
class EveryPlaceTest extends DesktopTest {
  private final Nameless nameless = new Nameless();
  private final CutWords cut = new CutWords();

  private void look(String place) {
    worked();
    // What lies below the fold is built a few frames later.
    for (int i = 0; i < 6; i++) {
      settle();
    }
    Parent root = stage.getScene().getRoot();
    cut.walk(root, place);
    nameless.walk(root, place);
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
    press(KeyCode.CONTROL, KeyCode.D);
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
  void allHasANameAndNoWordIsCut() {
    open();
    look("first window");
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
    press(KeyCode.F2);
    look("F2");
    assertThat(cut.found).isEmpty();
    assertThat(nameless.found).isEmpty();
  }
}
