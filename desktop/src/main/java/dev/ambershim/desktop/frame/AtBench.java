package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.widget.StepsScreen;
import java.util.function.Supplier;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;

/** The bench in large type over the whole window; made when it is first gone to. */
final class AtBench {
  private final Supplier<StepsScreen> make;
  private final Zoom zoom;
  private final ObservableList<Node> window;
  private StepsScreen screen;
  private boolean here;

  AtBench(Supplier<StepsScreen> make, Zoom zoom, ObservableList<Node> window) {
    this.make = make;
    this.zoom = zoom;
    this.window = window;
  }

  /** Whether one is there. */
  boolean here() {
    return here;
  }

  /** What is shown while one is there. */
  Node node() {
    return screen.node();
  }

  /** Goes there. Its type follows the window, so the window's own zoom rests. */
  void enter() {
    if (screen == null) {
      screen = make.get();
    }
    here = true;
    zoom.still(true);
    window.add(screen.node());
    screen.enter();
  }

  /** Leaves it; whether one was there. */
  boolean leave() {
    if (!here) {
      return false;
    }
    here = false;
    zoom.still(false);
    screen.leave();
    window.remove(screen.node());
    return true;
  }

  /** Takes a key while one is there; whether it was one of the bench's. */
  boolean key(KeyEvent event) {
    return here && screen.key(event);
  }
}
