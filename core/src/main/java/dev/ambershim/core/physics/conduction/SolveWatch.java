package dev.ambershim.core.physics.conduction;

import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/**
 * How a long solution is watched and stopped.
 *
 * @param progress told the share that is done, 0 to 1, from the solving thread
 * @param cancelled asked often; true ends the solution
 */
public record SolveWatch(DoubleConsumer progress, BooleanSupplier cancelled) {
  /** Nobody watches. */
  public static final SolveWatch NONE = new SolveWatch(share -> {}, () -> false);

  /**
   * Stops if asked to.
   *
   * @throws CancellationException if cancelled
   */
  public void check() {
    if (cancelled.getAsBoolean()) {
      throw new CancellationException("the solution was stopped");
    }
  }

  /** Tells the share that is done; what is out of 0 to 1 is brought back. */
  public void share(double share) {
    progress.accept(Math.min(1, Math.max(0, share)));
  }

  /** A watch for a part of the work, from a share to another. */
  public SolveWatch part(double from, double to) {
    return new SolveWatch(s -> progress.accept(from + (to - from) * s), cancelled);
  }
}
