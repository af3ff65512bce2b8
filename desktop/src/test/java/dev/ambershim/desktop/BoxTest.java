package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.desktop.widget.Box;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.control.skin.TextFieldSkin;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A box that rests looks as one that is awake, and is awake before anything is typed in it. */
class BoxTest extends DesktopTest {
  @BeforeEach
  void window() {
    open();
    create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
    settle();
  }

  private List<Box> boxes() {
    return stage.getScene().getRoot().lookupAll(".text-field").stream()
        .filter(n -> n instanceof Box && n.getId().startsWith("field-"))
        .map(n -> (Box) n)
        .filter(n -> n.getWidth() > 0 && !n.isFocused() && !n.isDisabled() && !n.isHover())
        .toList();
  }

  private static boolean awake(TextField box) {
    return box.getSkin() instanceof TextFieldSkin;
  }

  /** Where the words of a box stand on the screen. */
  private static Bounds words(TextField box) {
    return box.lookupAll(".text").stream()
        .filter(Node::isVisible)
        .filter(n -> !((Text) n).getText().isEmpty())
        .map(n -> n.localToScreen(n.getLayoutBounds()))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void wordsStandWhereTheyStoodWhenABoxWakes() {
    List<Box> resting = boxes().stream().filter(b -> !awake(b)).toList();
    assertThat(resting).hasSizeGreaterThan(1);
    resting.get(0).setText("");
    for (Box box : resting) {
      box.setPromptText("usual");
      settle();
      Bounds words = words(box);
      double least = box.minHeight(-1);
      double best = box.prefWidth(-1);
      double base = box.getBaselineOffset();
      box.setSkin(new TextFieldSkin(box));
      settle();
      assertThat(words(box)).as(box.getId()).isEqualTo(words);
      assertThat(box.minHeight(-1)).isEqualTo(least);
      assertThat(box.prefWidth(-1)).isEqualTo(best);
      assertThat(box.getBaselineOffset()).isEqualTo(base);
    }
  }

  @Test
  void tabWakesABoxAndWhatIsTypedTakesThePlaceOfItsWords() {
    Box first = boxes().get(0);
    first.requestFocus();
    press(KeyCode.TAB);
    TextField next = (TextField) stage.getScene().getFocusOwner();
    assertThat(next).isInstanceOf(Box.class).isNotSameAs(first);
    assertThat(awake(next)).isTrue();
    assertThat(next.getInputMethodRequests()).isNotNull();
    assertThat(next.getOnInputMethodTextChanged()).isNotNull();
    assertThat(next.getSelectedText()).isEqualTo(next.getText());
    hands.write("7");
    settle();
    assertThat(next.getText()).isEqualTo("7");
  }

  @Test
  void aClickPutsTheCaretBetweenTheLettersThatItHits() {
    Box box = boxes().get(0);
    assertThat(box.getText()).hasSizeGreaterThan(1);
    hands.clickOn(
        stage,
        () -> {
          Bounds words = words(box);
          return new Point2D(words.getMinX() + 1, words.getCenterY());
        });
    settle();
    assertThat(box.isFocused()).isTrue();
    assertThat(awake(box)).isTrue();
    assertThat(box.getCaretPosition()).isZero();
    assertThat(box.getSelectedText()).isEmpty();
  }

  @Test
  void wordsThatAreTooLongEndWithTheBox() {
    Box box = boxes().get(0);
    box.setText("longer than any box of this window could ever be made to be by its style");
    settle();
    Text words = (Text) box.lookup(".text");
    assertThat(words.getLayoutBounds().getWidth()).isGreaterThan(box.getWidth());
    assertThat(words.getClip().getLayoutBounds().getMaxX()).isLessThanOrEqualTo(box.getWidth());
    box.setText("1");
    settle();
    assertThat(words.getClip()).isNull();
  }
}
