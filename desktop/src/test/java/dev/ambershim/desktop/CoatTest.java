package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.Cover;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.plan.Way;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.PictureView;
import javafx.event.EventType;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.stage.Screen;
import org.junit.jupiter.api.Test;

/**
 * Coat and dose: the drop, its window, what must never meet, the cover, and paste that is pressed.
 */
class CoatTest extends DesktopTest {
  private void begin(StartingPoint point, String name) {
    open();
    onFx(() -> create(point, name));
    settle();
    hands.push(KeyCode.CONTROL, KeyCode.DIGIT7);
    until("Coat is there", () -> stage.getScene().lookup("#coat-answer") != null);
    worked();
  }

  private String picture(String id) {
    var drawn = ((PictureView) node(id)).picture();
    return drawn == null ? "" : drawn.description();
  }

  /** Opens a pick and takes one of its words. */
  @SuppressWarnings("unchecked")
  private void pick(String button, String box, String words) {
    onFx(() -> ((Button) node("pick-" + button)).fire());
    settle();
    onFx(
        () -> {
          ComboBox<String> combo = (ComboBox<String>) node(box);
          combo.setValue(words);
          combo.getOnHidden().handle(null);
        });
    worked();
  }

  @Test
  void theDropFollowsGapPartAndHowItIsMeasured() {
    begin(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    assertThat(text("coat-answer"))
        .startsWith("A drop ")
        .contains("across on each face")
        .contains("a part that was not measured yet");
    assertThat(picture("coat-drops")).contains("die").contains("pin's head");
    enter("coat-partMillimetres", "2");
    assertThat(job().coat().partMillimetres()).isEqualTo(2);
    assertThat(text("coat-answer")).contains("the nearest part");
    String both = text("coat-answer");
    onFx(() -> ((CheckBox) node("coat-both")).fire());
    worked();
    assertThat(job().workCase().ways().takes(Way.ONE_FACE)).isTrue();
    assertThat(text("coat-answer")).contains("on one face").isNotEqualTo(both);
    onFx(() -> ((CheckBox) node("coat-upright")).fire());
    worked();
    assertThat(job().coat().upright()).isFalse();

    // True size is told by a card held against the screen, and kept for the next start.
    onFx(() -> ((ToggleButton) node("coat-scale")).fire());
    double before = model.looks().perMillimetreProperty().get();
    onFx(() -> ((Button) node("coat-larger")).fire());
    settle();
    assertThat(model.looks().perMillimetreProperty().get()).isGreaterThan(before);
    close();
    open();
    assertThat(model.looks().perMillimetreProperty().get()).isGreaterThan(before);
  }

  @Test
  void aBoxTellsWhatItChanges() {
    begin(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    enter("coat-partMillimetres", "2");
    onFx(() -> node("coat-partMillimetres").requestFocus());
    press(KeyCode.SHIFT, KeyCode.F2);
    Tooltip tip = ((FigureBox) node("coat-partMillimetres")).getTooltip();
    until("what it changes", () -> tip.getText().contains("If this were 2.2 mm instead of 2 mm"));
    assertThat(tip.isShowing()).isTrue();
    press(KeyCode.TAB);
    assertThat(tip.isShowing()).isFalse();
  }

  /** Its last words come later and make it larger, at the edge of the screen too. */
  @Test
  void whatABoxTellsStaysOnTheScreen() {
    begin(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    enter("coat-partMillimetres", "2");
    FigureBox box = (FigureBox) node("coat-partMillimetres");
    double end = Screen.getPrimary().getVisualBounds().getMaxY();
    onFx(
        () -> {
          box.requestFocus();
          double foot = box.localToScreen(box.getBoundsInLocal()).getMaxY();
          stage.setY(stage.getY() + end - 50 - foot);
        });
    settle();
    press(KeyCode.SHIFT, KeyCode.F2);
    Tooltip tip = box.getTooltip();
    until("what it changes", () -> tip.getText().contains("If this were"));
    until("it has grown over the edge", () -> tip.getHeight() > 60);
    double head = box.localToScreen(box.getBoundsInLocal()).getMinY();
    until("it stands over the box", () -> tip.getY() + tip.getHeight() < head);
  }

  @Test
  void aForbiddenPairStopsThePlanUntilItIsMended() {
    begin(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    pick("meeting-LID_INSIDE", "meeting-face-LID_INSIDE", MetalFace.ALUMINIUM.words());
    assertThat(job().coat().said(MetalPlace.LID_INSIDE)).contains(MetalFace.ALUMINIUM);
    assertThat(text("coat-answer"))
        .startsWith("Stop. Lid, inside")
        .contains("never meet aluminium")
        .contains("keep to paste");
    assertThat(((Label) node("meeting-LID_INSIDE")).getText()).startsWith("Never: ");
    pick("meeting-LID_INSIDE", "meeting-face-LID_INSIDE", MetalFace.COPPER.words());
    assertThat(text("coat-answer")).startsWith("A drop ");
    assertThat(((Label) node("meeting-LID_INSIDE")).getText()).startsWith("Watch: ");

    pick("coat-earlier", "coat-earlier", Cover.VINYL_TAPE.words());
    assertThat(text("coat-answer")).startsWith("Stop. Cover").contains("must not go over it");
    pick("coat-cover", "coat-cover", Way.VINYL_TAPE.words());
    assertThat(text("coat-answer")).startsWith("A drop ");
  }

  @Test
  void pasteIsPressedBeforeYourEyesAndStrokesAreDrawn() {
    begin(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    assertThat(text("paste-answer")).contains("as a dot ends at").contains("covers the die");
    assertThat(picture("paste-compared")).contains("cross: ").contains("die 100 %");
    assertThat(picture("paste-flow")).contains("the die ");

    onFx(() -> ((ToggleButton) node("paste-LINE")).fire());
    worked();
    assertThat(job().paste().pattern()).isEqualTo(PastePattern.LINE);
    assertThat(text("paste-answer")).contains("as a line");
    enter("paste-grams", "0.02");
    assertThat(text("paste-answer")).contains("of the die dry");
    hands.push(KeyCode.CONTROL, KeyCode.Z);
    worked();
    assertThat(text("paste-answer")).contains("as a line").doesNotContain("dry");

    onFx(() -> ((ToggleButton) node("paste-kind-THIN")).fire());
    worked();
    onFx(() -> ((Button) node("paste-press")).fire());
    until("it spreads", 180, () -> picture("paste-flow").contains("the die 100 %"));
    onFx(
        () -> {
          Button press = (Button) node("paste-press");
          if (press.getText().equals("Stop")) {
            press.fire();
          }
        });
    settle();

    // A stroke from corner to corner, drawn with the mouse.
    onFx(
        () -> {
          PictureView flow = (PictureView) node("paste-flow");
          double w = flow.getWidth();
          for (double share = 0.35; share <= 0.65; share += 0.05) {
            drag(
                flow,
                share == 0.35 ? MouseEvent.MOUSE_PRESSED : MouseEvent.MOUSE_DRAGGED,
                w,
                share);
          }
          drag(flow, MouseEvent.MOUSE_RELEASED, w, 0.65);
        });
    worked();
    assertThat(job().paste().pattern()).isEqualTo(PastePattern.OWN);
    assertThat(job().paste().strokes()).hasSize(1);
    assertThat(job().paste().strokes().get(0).xMillimetres()).hasSizeGreaterThan(4);
    assertThat(text("paste-answer")).contains("your own strokes");
  }

  private static void drag(PictureView on, EventType<MouseEvent> type, double width, double share) {
    var at = on.localToScene(width * share, width * share);
    on.fireEvent(
        new MouseEvent(
            type,
            at.getX(),
            at.getY(),
            0,
            0,
            MouseButton.PRIMARY,
            1,
            false,
            false,
            false,
            false,
            true,
            false,
            false,
            true,
            false,
            false,
            new PickResult(on, at.getX(), at.getY())));
  }
}
