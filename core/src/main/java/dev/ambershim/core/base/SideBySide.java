package dev.ambershim.core.base;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.concurrent.FutureTask;
import java.util.function.Function;

/**
 * Pieces of work that have nothing to do with each other, done by the caller and by whoever helps.
 * What comes out does not depend on how many help.
 */
public final class SideBySide {
  private SideBySide() {}

  /**
   * Does all pieces.
   *
   * @param helpers works on pieces beside the caller; {@code Runnable::run} for the caller alone
   * @return the results in the pieces' order
   * @throws CancellationException if the caller is interrupted
   * @throws RuntimeException the first piece's that failed, as it was thrown
   */
  public static <T> List<T> all(List<? extends Callable<T>> pieces, Executor helpers) {
    List<FutureTask<T>> tasks = new ArrayList<>();
    pieces.forEach(piece -> tasks.add(new FutureTask<>(piece)));
    // Helpers begin at the end and the caller at the beginning; a piece that runs is not run again.
    // The first is the caller's: it would wait for a helper that took it.
    for (int i = tasks.size() - 1; i > 0; i--) {
      helpers.execute(tasks.get(i));
    }
    tasks.forEach(FutureTask::run);
    List<T> results = new ArrayList<>();
    tasks.forEach(task -> results.add(result(task)));
    return results;
  }

  /** The same piece of work for each of several things. */
  public static <S, T> List<T> each(List<S> things, Function<S, T> work, Executor helpers) {
    List<Callable<T>> pieces = new ArrayList<>();
    things.forEach(thing -> pieces.add(() -> work.apply(thing)));
    return all(pieces, helpers);
  }

  private static <T> T result(FutureTask<T> task) {
    try {
      return task.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException("stopped");
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IllegalStateException(e.getCause());
    }
  }
}
