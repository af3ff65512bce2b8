package dev.ambershim.desktop;

import java.lang.reflect.Method;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.FutureTask;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.InvocationInterceptor;
import org.junit.jupiter.api.extension.ReflectiveInvocationContext;

/**
 * Runs tests on the JavaFX thread, so that nothing they read or do can meet a window that is being
 * rebuilt at the same moment. While a test waits, the thread goes on with its events in a nested
 * loop; the window lives only then.
 */
public final class FxThread implements InvocationInterceptor {
  private static final int LOOK_EVERY_MILLISECONDS = 5;

  /** Many times what the longest test takes on a slow machine; a stuck one must not stay. */
  private static final int LONGEST_MINUTES = 15;

  private static final ScheduledExecutorService TICKS =
      Executors.newSingleThreadScheduledExecutor(
          r -> {
            Thread thread = new Thread(r, "ticks of the tests");
            thread.setDaemon(true);
            return thread;
          });

  /** What a handler of the window threw; the test that waited meanwhile fails by it. */
  private static final AtomicReference<Throwable> THROWN = new AtomicReference<>();

  @Override
  public void interceptTestMethod(
      Invocation<Void> invocation,
      ReflectiveInvocationContext<Method> context,
      ExtensionContext extension)
      throws Throwable {
    run(invocation);
  }

  @Override
  public void interceptTestTemplateMethod(
      Invocation<Void> invocation,
      ReflectiveInvocationContext<Method> context,
      ExtensionContext extension)
      throws Throwable {
    run(invocation);
  }

  @Override
  public void interceptBeforeEachMethod(
      Invocation<Void> invocation,
      ReflectiveInvocationContext<Method> context,
      ExtensionContext extension)
      throws Throwable {
    run(invocation);
  }

  @Override
  public void interceptAfterEachMethod(
      Invocation<Void> invocation,
      ReflectiveInvocationContext<Method> context,
      ExtensionContext extension)
      throws Throwable {
    run(invocation);
  }

  private static void run(Invocation<Void> invocation) throws Throwable {
    AtomicReference<Throwable> failed = new AtomicReference<>();
    FutureTask<Void> task =
        new FutureTask<>(
            () -> {
              Thread.currentThread().setUncaughtExceptionHandler((t, e) -> THROWN.set(e));
              try {
                invocation.proceed();
              } catch (Throwable e) {
                failed.set(e);
              }
            },
            null);
    Platform.runLater(task);
    try {
      task.get(LONGEST_MINUTES, TimeUnit.MINUTES);
    } catch (TimeoutException e) {
      throw new AssertionError("the test did not end; the JavaFX thread is at" + where(), e);
    }
    Throwable thrown = THROWN.getAndSet(null);
    if (failed.get() != null) {
      throw failed.get();
    }
    if (thrown != null) {
      throw new AssertionError("a handler of the window failed", thrown);
    }
  }

  private static String where() {
    StringBuilder at = new StringBuilder();
    Thread.getAllStackTraces()
        .forEach(
            (thread, stack) -> {
              if (thread.getName().equals("JavaFX Application Thread")) {
                for (StackTraceElement call : stack) {
                  at.append("\n  ").append(call);
                }
              }
            });
    return at.toString();
  }

  /** Fails unless it is the JavaFX thread that calls. */
  public static void require() {
    if (!Platform.isFxApplicationThread()) {
      throw new AssertionError("the scene may be read and changed on the JavaFX thread only");
    }
  }

  /**
   * Waits until something holds, which is looked at on the JavaFX thread.
   *
   * @throws AssertionError if it does not hold in time, or a handler of the window fails meanwhile
   */
  public static void until(String what, int seconds, BooleanSupplier condition) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    AtomicReference<Throwable> missing = new AtomicReference<>();
    while (!on(() -> holds(condition, missing))) {
      Throwable thrown = THROWN.getAndSet(null);
      if (thrown != null) {
        throw new AssertionError("a handler of the window failed", thrown);
      }
      if (System.nanoTime() > end) {
        throw new AssertionError("waited in vain until " + what, missing.get());
      }
      live();
    }
  }

  /** What a condition asks for may not be there yet. */
  private static boolean holds(BooleanSupplier condition, AtomicReference<Throwable> missing) {
    try {
      missing.set(null);
      return condition.getAsBoolean();
    } catch (AssertionError notYet) {
      missing.set(notYet);
      return false;
    }
  }

  /** Lets the window live for a moment: all events that are in line come first. */
  public static void live() {
    if (!Platform.isFxApplicationThread()) {
      try {
        Thread.sleep(LOOK_EVERY_MILLISECONDS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
      return;
    }
    Object loop = new Object();
    ScheduledFuture<?> tick =
        TICKS.schedule(
            () -> Platform.runLater(() -> Platform.exitNestedEventLoop(loop, null)),
            LOOK_EVERY_MILLISECONDS,
            TimeUnit.MILLISECONDS);
    Platform.enterNestedEventLoop(loop);
    tick.cancel(false);
  }

  /** Does something on the JavaFX thread, and waits for what it gives. */
  public static <T> T on(Supplier<T> work) {
    if (Platform.isFxApplicationThread()) {
      return work.get();
    }
    FutureTask<T> task = new FutureTask<>(work::get);
    Platform.runLater(task);
    try {
      return task.get(60, TimeUnit.SECONDS);
    } catch (ExecutionException e) {
      if (e.getCause() instanceof Error error) {
        throw error;
      }
      throw new IllegalStateException(e.getCause());
    } catch (InterruptedException | TimeoutException e) {
      throw new AssertionError("the JavaFX thread did not answer", e);
    }
  }

  /**
   * Does something on a thread of its own while the window lives, as a hand does that drags: the
   * screen's own loop holds the JavaFX thread until the drag ends.
   */
  public static void beside(Runnable hand) {
    require();
    AtomicReference<Throwable> failed = new AtomicReference<>();
    // One loop for all of it: none may be left while the screen's own loop runs inside.
    Object loop = new Object();
    Thread thread =
        new Thread(
            () -> {
              try {
                hand.run();
              } catch (Throwable e) {
                failed.set(e);
              } finally {
                Platform.runLater(() -> Platform.exitNestedEventLoop(loop, null));
              }
            },
            "hand");
    thread.setDaemon(true);
    thread.start();
    Platform.enterNestedEventLoop(loop);
    if (failed.get() != null) {
      throw new AssertionError("the hand failed", failed.get());
    }
  }
}
