package dev.ambershim.desktop.shell;

import javafx.scene.Node;
import javafx.scene.input.KeyEvent;

/** What covers the whole window while the person works at the bench. */
public interface BenchScreen {
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
