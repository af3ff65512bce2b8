package dev.ambershim.desktop.widget;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;

/**
 * Runs something on the JavaFX thread once a pause has passed in which it was not begun anew.
 * Unlike the toolkit's own clocks it lets the window rest meanwhile.
 */
public final class Pause {
  private final Executor later;
  private final Runnable then;

  /** Counts beginnings, so that only the last is followed. */
  private int begun;

  /** So many milliseconds, and what follows them. */
  public Pause(int milliseconds, Runnable then) {
    later = CompletableFuture.delayedExecutor(milliseconds, TimeUnit.MILLISECONDS);
    this.then = then;
  }

  /** Begins anew; on the JavaFX thread. */
  public void begin() {
    int mine = ++begun;
    later.execute(
        () ->
            Platform.runLater(
                () -> {
                  if (mine == begun) {
                    then.run();
                  }
                }));
  }

  /** Lets nothing follow any more; on the JavaFX thread. */
  public void forget() {
    begun++;
  }
}
