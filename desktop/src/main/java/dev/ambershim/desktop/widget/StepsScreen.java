package dev.ambershim.desktop.widget;

import javafx.scene.Node;
import javafx.scene.input.KeyEvent;

/** What covers the whole window while the person works at the bench. */
public interface StepsScreen {
  /** Its node. */
  Node node();

  /** Comes on. */
  void enter();

  /** Goes away. */
  void leave();

  /**
   * Takes a key.
   *
   * @return whether it did something with it
   */
  boolean key(KeyEvent event);
}
