package dev.ambershim.desktop.stage.coat;

import dev.ambershim.core.physics.spread.SpreadCase;
import dev.ambershim.core.physics.spread.SpreadFlow;
import dev.ambershim.core.physics.spread.SpreadState;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * Paste being pressed on a thread of its own, shown as it runs: each frame brings the newest state,
 * so a slow screen never holds the flow up, nor the other way round.
 */
final class Pressed {
  /** No faster than this, or there would be nothing to see. */
  private static final long STEP_NANOS = 16_000_000;

  private final Consumer<SpreadState> shown;
  private final Runnable ended;
  private final AtomicReference<SpreadState> waiting = new AtomicReference<>();
  private volatile boolean stopped;

  private Pressed(Consumer<SpreadState> shown, Runnable ended) {
    this.shown = shown;
    this.ended = ended;
  }

  /**
   * Begins.
   *
   * @param setup makes the case, on the thread of its own
   * @param shown told each newest state, on the JavaFX thread
   * @param ended told once it is at rest, on the JavaFX thread
   */
  static Pressed begin(Supplier<SpreadCase> setup, Consumer<SpreadState> shown, Runnable ended) {
    Pressed pressed = new Pressed(shown, ended);
    Thread thread = new Thread(() -> pressed.run(setup), "spread");
    thread.setDaemon(true);
    thread.start();
    return pressed;
  }

  private void run(Supplier<SpreadCase> setup) {
    SpreadFlow flow = new SpreadFlow(setup.get());
    boolean on = true;
    while (on && !stopped) {
      long begun = System.nanoTime();
      on = flow.step();
      // A frame that was not fetched yet is replaced; one that was asks for the next.
      if (waiting.getAndSet(flow.state()) == null) {
        Platform.runLater(this::fetch);
      }
      long left = STEP_NANOS - (System.nanoTime() - begun);
      if (left > 0) {
        try {
          Thread.sleep(left / 1_000_000, (int) (left % 1_000_000));
        } catch (InterruptedException e) {
          Thread.currentThread().interrupt();
          return;
        }
      }
    }
    if (!stopped) {
      Platform.runLater(ended);
    }
  }

  private void fetch() {
    SpreadState state = waiting.getAndSet(null);
    if (state != null && !stopped) {
      shown.accept(state);
    }
  }

  void stop() {
    stopped = true;
  }
}
