package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import javafx.event.Event;
import javafx.event.EventHandler;
import javafx.event.EventTarget;
import javafx.event.EventType;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Window;

/**
 * Keys and mouse by JavaFX's own robot: the screen has taken each before the call returns, so the
 * window has it in line before anything that is asked of it afterwards. Nothing sleeps in between,
 * which between two keys would take as long as all that the keys set off.
 */
public final class Hands {
  private static final int REACHES = 5;

  /** Moments that a click may take to come down on a busy machine. */
  private static final int LOOKS = 400;

  private Robot robot;

  /** Presses keys one after the other and lets go of them backwards. */
  public void push(KeyCode... keys) {
    onFx(
        () -> {
          for (KeyCode key : keys) {
            robot().keyPress(key);
          }
          for (int i = keys.length - 1; i >= 0; i--) {
            robot().keyRelease(keys[i]);
          }
          return null;
        });
    caughtUp();
  }

  /**
   * Clicks the middle of a node.
   *
   * @return false when the node moved while the mouse went there, or before the click came down:
   *     the window may lay itself out between the two, and something else lies under the mouse then
   */
  public boolean click(Node node) {
    Point2D place = onFx(() -> middle(node));
    moveTo(place);
    AtomicBoolean released = new AtomicBoolean();
    AtomicBoolean reached = new AtomicBoolean();
    EventHandler<MouseEvent> anywhere = e -> released.set(true);
    EventHandler<MouseEvent> here = e -> reached.set(true);
    Window window = onFx(() -> node.getScene() == null ? null : node.getScene().getWindow());
    // A disabled node hears of no click, and need not.
    boolean deaf = window == null || onFx(node::isDisabled);
    if (!deaf) {
      onFx(
          () -> {
            window.addEventFilter(MouseEvent.MOUSE_RELEASED, anywhere);
            node.addEventFilter(MouseEvent.MOUSE_PRESSED, here);
            return null;
          });
    }
    boolean clicked = onFx(() -> place.equals(middle(node)) && pressAndRelease());
    caughtUp();
    if (!deaf) {
      for (int i = 0; clicked && !released.get() && i < LOOKS; i++) {
        FxThread.live();
      }
      onFx(
          () -> {
            window.removeEventFilter(MouseEvent.MOUSE_RELEASED, anywhere);
            node.removeEventFilter(MouseEvent.MOUSE_PRESSED, here);
            return null;
          });
    }
    return clicked && (deaf || reached.get());
  }

  /**
   * Clicks the middle of a node that stands still, or soon does: a sheet that was just laid over a
   * busy window may still find its place, and a person would reach for it again.
   */
  public void clickOn(Node node) {
    boolean clicked = false;
    for (int i = 0; i < REACHES && !clicked; i++) {
      clicked = click(node);
    }
    assertThat(clicked).as("%s stood still", node).isTrue();
  }

  /**
   * Clicks a place in a window, such as a mark of a picture, that stands still or soon does: the
   * window may lay itself out anew while the mouse goes there, and another mark lies under it then.
   *
   * @param place where it is on the screen, asked on the JavaFX thread
   */
  public void clickOn(Window window, Supplier<Point2D> place) {
    boolean clicked = false;
    for (int i = 0; i < REACHES && !clicked; i++) {
      clicked = click(window, place);
    }
    assertThat(clicked).as("the place stood still").isTrue();
  }

  private boolean click(Window window, Supplier<Point2D> place) {
    Point2D at = onFx(place);
    moveTo(at);
    AtomicBoolean released = new AtomicBoolean();
    AtomicBoolean reached = new AtomicBoolean();
    EventHandler<MouseEvent> down = e -> reached.set(at.equals(place.get()));
    EventHandler<MouseEvent> up = e -> released.set(true);
    onFx(
        () -> {
          window.addEventFilter(MouseEvent.MOUSE_PRESSED, down);
          window.addEventFilter(MouseEvent.MOUSE_RELEASED, up);
          return null;
        });
    boolean clicked = onFx(() -> at.equals(place.get()) && pressAndRelease());
    caughtUp();
    for (int i = 0; clicked && !released.get() && i < LOOKS; i++) {
      FxThread.live();
    }
    onFx(
        () -> {
          window.removeEventFilter(MouseEvent.MOUSE_PRESSED, down);
          window.removeEventFilter(MouseEvent.MOUSE_RELEASED, up);
          return null;
        });
    return clicked && reached.get();
  }

  /** Presses the mouse where it is, and holds it. */
  public void hold() {
    onFx(
        () -> {
          robot().mousePress(MouseButton.PRIMARY);
          return null;
        });
    caughtUp();
  }

  /** Lets go of the mouse. */
  public void letGo() {
    onFx(
        () -> {
          robot().mouseRelease(MouseButton.PRIMARY);
          return null;
        });
    caughtUp();
  }

  /** The middle of a node on the screen. */
  public static Point2D middleOf(Node node) {
    return onFx(() -> middle(node));
  }

  /** Moves the mouse. */
  public void moveTo(Point2D place) {
    onFx(
        () -> {
          robot().mouseMove(place);
          return null;
        });
    // What reacts to the mouse above it does so first, as it does for a person.
    caughtUp();
  }

  private boolean pressAndRelease() {
    robot().mousePress(MouseButton.PRIMARY);
    robot().mouseRelease(MouseButton.PRIMARY);
    return true;
  }

  private static Point2D middle(Node node) {
    Bounds at = node.localToScreen(node.getBoundsInLocal());
    return at == null ? Point2D.ZERO : new Point2D(at.getCenterX(), at.getCenterY());
  }

  /** Types text into what has the keyboard. */
  public void write(String text) {
    onFx(
        () -> {
          for (int i = 0; i < text.length(); i++) {
            char letter = text.charAt(i);
            for (EventType<KeyEvent> type :
                List.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_TYPED, KeyEvent.KEY_RELEASED)) {
              boolean typed = type == KeyEvent.KEY_TYPED;
              Event.fireEvent(
                  focused(),
                  new KeyEvent(
                      type,
                      typed ? String.valueOf(letter) : "",
                      "",
                      typed ? KeyCode.UNDEFINED : code(letter),
                      false,
                      false,
                      false,
                      false));
            }
          }
          return null;
        });
    caughtUp();
  }

  private static KeyCode code(char letter) {
    if (letter == '\n') {
      return KeyCode.ENTER;
    }
    KeyCode code = KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(letter)));
    return code == null ? KeyCode.UNDEFINED : code;
  }

  private static EventTarget focused() {
    Scene scene =
        Window.getWindows().stream().filter(Window::isFocused).findFirst().orElseThrow().getScene();
    return scene.getFocusOwner() == null ? scene : scene.getFocusOwner();
  }

  /** Two rounds: what was sent comes in the first, and what it put off in the second. */
  private static void caughtUp() {
    FxThread.live();
    FxThread.live();
  }

  private Robot robot() {
    if (robot == null) {
      robot = new Robot();
    }
    return robot;
  }

  private static <T> T onFx(Supplier<T> work) {
    return FxThread.on(work);
  }
}
