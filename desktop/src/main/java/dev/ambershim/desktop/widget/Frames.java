package dev.ambershim.desktop.widget;

import javafx.animation.AnimationTimer;

/** Waits for frames to be laid out and handed to the painter. */
public final class Frames {
  /** How many wait; touched on the JavaFX thread only. */
  private static int waiting;

  private Frames() {}

  /** Whether nothing waits for a later frame; ask on the JavaFX thread. */
  public static boolean none() {
    return waiting == 0;
  }

  /**
   * Runs something on the JavaFX thread at the start of a later frame, when the ones before it are
   * done.
   *
   * @param count which of the frames to come; the first begins at once, so 2 waits for one whole
   *     frame
   */
  public static void later(int count, Runnable then) {
    waiting++;
    new AnimationTimer() {
      private int frames;

      @Override
      public void handle(long now) {
        if (++frames == count) {
          stop();
          waiting--;
          then.run();
        }
      }
    }.start();
  }
}
