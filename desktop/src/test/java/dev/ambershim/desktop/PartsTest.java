package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import java.time.Clock;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** A stage that is longer than two screens shows its parts, and keys lead to them. */
class PartsTest extends DesktopTest {
  private void demo() {
    try (Logbook book = Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(book);
    }
    open();
  }

  private void go(Stage to) {
    onFx(() -> model.stageProperty().set(to));
    worked();
  }

  @Test
  void aKeyLeadsToAPart() {
    demo();
    go(Stage.MEASURE);
    press(KeyCode.ALT, KeyCode.DIGIT3);
    assertThat(inSight("face-answer")).isTrue();
    assertThat(inSight("measure-answer")).isFalse();
    press(KeyCode.ALT, KeyCode.DIGIT5);
    assertThat(inSight("shim-answer")).isTrue();
    press(KeyCode.ALT, KeyCode.DIGIT9);
    assertThat(inSight("shim-answer")).as("there is no ninth part").isTrue();
    press(KeyCode.ALT, KeyCode.DIGIT1);
    assertThat(inSight("fit-picture")).isTrue();
    click("part-3");
    assertThat(inSight("face-answer")).isTrue();
  }

  private boolean inSight(String id) {
    Node node = node(id);
    Bounds at = node.localToScene(node.getBoundsInLocal());
    Bounds view = middle().localToScene(middle().getBoundsInLocal());
    return at.getMinY() >= view.getMinY() - 1 && at.getMinY() < view.getMaxY() - 20;
  }
}
