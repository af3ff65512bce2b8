package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** A stage that is longer than two screens shows its parts, and keys lead to them. */
class PartsTest extends DesktopTest {
  private List<JobHead> heads;

  private void demo() {
    try (Logbook book = Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(book);
      heads = book.list();
    }
    open();
  }

  private void go(Stage to) {
    onFx(() -> model.stageProperty().set(to));
    worked();
  }

  private ScrollPane middle() {
    Node up = stage.getScene().lookup(".stage");
    while (!(up instanceof ScrollPane)) {
      up = up.getParent();
    }
    return (ScrollPane) up;
  }

  @Test
  void everyLongStageOfTheDemoHasItsParts() {
    demo();
    for (JobHead head : heads) {
      onFx(() -> model.open(head.id()));
      worked();
      for (Stage each : Stage.values()) {
        go(each);
        double screens =
            middle().getContent().getBoundsInLocal().getHeight()
                / middle().getViewportBounds().getHeight();
        if (screens > 2) {
          assertThat(stage.getScene().lookup("#part-1"))
              .as("%s, %s: %.1f screens", head.title(), each, screens)
              .isNotNull();
        }
      }
    }
  }

  @Test
  void aNarrowWindowShowsAllOfEachStage() {
    demo();
    onFx(
        () -> {
          stage.setWidth(1024);
          stage.setHeight(700);
        });
    List<String> wide = new ArrayList<>();
    for (JobHead head : heads) {
      onFx(() -> model.open(head.id()));
      worked();
      for (Stage each : Stage.values()) {
        go(each);
        double width = middle().getViewportBounds().getWidth();
        Parent content = (Parent) middle().getContent();
        for (Node child : content.getChildrenUnmodifiable()) {
          double right = child.getLayoutX() + child.getLayoutBounds().getMaxX();
          if (child.isManaged() && right > width) {
            wide.add(head.title() + ", " + each + ": " + child + " to " + right + " of " + width);
          }
        }
        Bounds root = stage.getScene().getRoot().getLayoutBounds();
        Node shelf = node("saved");
        assertThat(shelf.localToScene(shelf.getBoundsInLocal()).getMaxY())
            .as("%s: nothing is pushed out of a low window", each)
            .isLessThanOrEqualTo(root.getMaxY());
      }
    }
    assertThat(wide).isEmpty();
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
