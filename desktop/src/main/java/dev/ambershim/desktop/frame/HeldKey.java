package dev.ambershim.desktop.frame;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Tells a key that is held down from one that is pressed again. */
final class HeldKey {
  /**
   * A held key is told again within this time. It ends, because a dialog may swallow the release of
   * the key that opened it.
   */
  private static final long AGAIN_NANOS = 900_000_000;

  private KeyCode held;
  private long heldAt;

  /** Takes a press; says whether the key was down already. */
  boolean again(KeyEvent pressed) {
    long now = System.nanoTime();
    boolean again = pressed.getCode() == held && now - heldAt < AGAIN_NANOS;
    held = pressed.getCode();
    heldAt = now;
    return again;
  }

  /** Takes a release. */
  void release() {
    held = null;
  }
}
