package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.logbook.store.DiskFull;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One line of work behind the window: tasks run one after another in the order they were given, so
 * that edits reach the logbook in order. Results come back on the JavaFX thread.
 */
public final class Work implements AutoCloseable {
  /** A task that tells how far it is. */
  @FunctionalInterface
  public interface Task<T> {
    /**
     * Does the work.
     *
     * @param progress is told the share done, 0 to 1; throws when the task is cancelled
     */
    T run(DoubleConsumer progress) throws Exception;
  }

  private final ExecutorService line =
      Executors.newSingleThreadExecutor(
          r -> {
            Thread thread = new Thread(r, "work");
            thread.setDaemon(true);
            return thread;
          });
  private final Consumer<Problem> onProblem;
  private final ReadOnlyStringWrapper name = new ReadOnlyStringWrapper("");
  private final ReadOnlyDoubleWrapper share = new ReadOnlyDoubleWrapper(-1);
  private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper(false);
  private volatile AtomicBoolean cancel = new AtomicBoolean();
  private volatile boolean working;
  private volatile boolean left;
  private int waiting;

  /**
   * Starts an empty line.
   *
   * @param onProblem hears on the JavaFX thread of everything that goes wrong
   */
  public Work(Consumer<Problem> onProblem) {
    this.onProblem = onProblem;
  }

  /** What is going on, in words; empty when nothing that a person would wait for is. */
  public ReadOnlyStringProperty nameProperty() {
    return name.getReadOnlyProperty();
  }

  /** Share done, 0 to 1, or −1 when it cannot be told. */
  public ReadOnlyDoubleProperty shareProperty() {
    return share.getReadOnlyProperty();
  }

  /** Whether any task is waiting or running. */
  public ReadOnlyBooleanProperty busyProperty() {
    return busy.getReadOnlyProperty();
  }

  /** Whether any task is waiting or running; for any thread. */
  public boolean working() {
    return working;
  }

  /**
   * Gives the line a task. Call on the JavaFX thread.
   *
   * @param what what it does, shown with progress and cancel; empty for short work
   * @param done is given the result on the JavaFX thread
   */
  public <T> void submit(String what, Task<T> task, Consumer<T> done) {
    if (line.isShutdown()) {
      // What still comes in after the window has closed has nobody to show it to.
      return;
    }
    waiting++;
    working = true;
    busy.set(true);
    line.execute(
        () -> {
          AtomicBoolean stop = new AtomicBoolean();
          cancel = stop;
          Platform.runLater(
              () -> {
                name.set(what);
                share.set(-1);
              });
          Runnable after;
          try {
            if (left) {
              throw new CancellationException();
            }
            T result = task.run(told -> progress(told, stop));
            after = () -> done.accept(result);
          } catch (CancellationException e) {
            after = () -> {};
          } catch (Exception | Error e) {
            // Whatever ends a task ends there: the line goes on, and the window is not busy for
            // ever.
            Problem problem = problem(what, e);
            after = () -> onProblem.accept(problem);
          }
          Runnable ending = after;
          Platform.runLater(
              () -> {
                waiting--;
                name.set("");
                share.set(-1);
                // Busy ends only after the result is shown, so that "saved" is never said early.
                try {
                  ending.run();
                } finally {
                  working = waiting > 0;
                  busy.set(working);
                }
              });
        });
  }

  private void progress(double told, AtomicBoolean stop) {
    if (stop.get()) {
      throw new CancellationException();
    }
    Platform.runLater(() -> share.set(told));
  }

  /** Asks the running task to stop at its next report of progress. */
  public void cancelRunning() {
    cancel.set(true);
  }

  /** Fetched when there is something to log: the logging classes are slow to load at the start. */
  private static Logger log() {
    return LoggerFactory.getLogger(Work.class);
  }

  private static Problem problem(String what, Throwable e) {
    Optional<Problem> full = DiskFull.of(e);
    if (full.isPresent()) {
      return full.get();
    }
    if (e instanceof OutOfMemoryError) {
      return new Problem(
          "memory",
          Place.NOWHERE,
          "There is not enough memory for this" + (what.isEmpty() ? "." : " (" + what + ")."),
          "Nothing that was saved is lost. Take shorter logs or fewer runs.",
          e);
    }
    if (e instanceof Problem known) {
      log().info("{}", known.getMessage(), known.getCause());
      return known;
    }
    log().error("failed: {}", what, e);
    return new Problem(
        "fault",
        Place.NOWHERE,
        "Something went wrong inside Amber Shim" + (what.isEmpty() ? "." : " (" + what + ")."),
        "Nothing that was saved is lost. The log file has the details: " + Failures.logFile() + ".",
        e);
  }

  /** Lets the line finish what it has, for at most a few seconds. */
  @Override
  public void close() {
    end(10);
  }

  /** Ends a line whose results nobody will see: what runs is stopped, what waits is not begun. */
  public void leave() {
    left = true;
    cancelRunning();
    end(1);
  }

  private void end(int seconds) {
    line.shutdown();
    try {
      if (!line.awaitTermination(seconds, TimeUnit.SECONDS)) {
        log().warn("work was still going on at the end");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
