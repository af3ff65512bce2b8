package dev.ambershim.desktop.draw;

import javafx.animation.AnimationTimer;

/** Waits for frames to be laid out and handed to the painter. */
public final class Frames {
  private Frames() {}

  /**
   * Runs something on the JavaFX thread at the start of a later frame, when the ones before it are
   * done.
   *
   * @param count which of the frames to come; the first begins at once, so 2 waits for one whole
   *     frame
   */
  public static void later(int count, Runnable then) {
    new AnimationTimer() {
      private int frames;

      @Override
      public void handle(long now) {
        if (++frames == count) {
          stop();
          then.run();
        }
      }
    }.start();
  }
}
