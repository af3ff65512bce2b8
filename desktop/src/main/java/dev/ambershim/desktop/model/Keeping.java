package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Problem;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Copies;
import dev.ambershim.logbook.store.Logbook;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javafx.application.Platform;
import org.slf4j.LoggerFactory;

/**
 * Watches over the logbook behind the window: looks the database over at the start, makes a copy a
 * day once there were changes, and puts one back when asked. Nobody waits for it.
 */
public final class Keeping implements AutoCloseable {
  /** A copy waits for a pause in the work as long as this. */
  private static final int PAUSE_SECONDS = 30;

  /** How long until a full disk is tried again. */
  private static final int AGAIN_SECONDS = 15;

  private final JobModel model;
  private final ScheduledExecutorService line =
      Executors.newSingleThreadScheduledExecutor(
          r -> {
            Thread thread = new Thread(r, "keeping");
            thread.setDaemon(true);
            return thread;
          });
  private Logbook logbook;
  private boolean asked;
  private Consumer<Opened> reopen = opened -> {};

  Keeping(JobModel model) {
    this.model = model;
  }

  /** Says what goes on with the logbook once a copy was put in its place. */
  public void onRestored(Consumer<Opened> window) {
    reopen = window;
  }

  void begin(Logbook opened) {
    logbook = opened;
    Future<?> unused = line.schedule(this::lookOver, 2, TimeUnit.SECONDS);
  }

  private void lookOver() {
    logbook
        .lookOver()
        .ifPresent(
            wrong -> {
              LoggerFactory.getLogger(Keeping.class).error("quick_check: {}", wrong);
              Platform.runLater(
                  () ->
                      model.warn(
                          "The logbook's file is damaged. Write your jobs out as bundles, then put"
                              + " the last copy back in the logbook's sheet (Ctrl+L)."));
            });
  }

  /** There was a change; today's copy follows in a while. */
  void changed() {
    if (!asked && logbook != null && logbook.copyDue()) {
      asked = true;
      Future<?> unused =
          line.schedule(
              () -> {
                copy();
                Platform.runLater(() -> asked = false);
              },
              PAUSE_SECONDS,
              TimeUnit.SECONDS);
    }
  }

  /** Does something on the JavaFX thread in a while. */
  void later(Runnable then) {
    Future<?> unused =
        line.schedule(() -> Platform.runLater(then), AGAIN_SECONDS, TimeUnit.SECONDS);
  }

  private void copy() {
    try {
      logbook.copyIfDue();
    } catch (Problem problem) {
      Platform.runLater(() -> model.warn(problem.getMessage()));
    }
  }

  /** Looks for copies behind the window and hands them on, the newest first. */
  public void copies(Consumer<List<Copies.Copy>> found) {
    Path folder = logbook.folder();
    line.execute(
        () -> {
          List<Copies.Copy> copies = Copies.of(folder);
          Platform.runLater(() -> found.accept(copies));
        });
  }

  /**
   * Puts a copy in the logbook's place and opens the window on it anew. What is there now is set
   * aside in its folder.
   */
  public void restore(LocalDate day) {
    Path folder = logbook.folder();
    model
        .work()
        .submit(
            "putting the copy back",
            progress -> {
              model.handOver().close();
              try {
                Copies.restore(folder, Optional.of(day), Clock.systemUTC());
              } finally {
                // Whatever came of it, the window goes on.
                Opened opened = Opened.of(Logbook.open(folder, Access.WRITE, Clock.systemUTC()));
                Platform.runLater(() -> reopen.accept(opened));
              }
              return day;
            },
            done -> {});
  }

  @Override
  public void close() {
    line.shutdownNow();
    if (logbook != null && model.logbook() != null) {
      try {
        logbook.copyIfDue();
      } catch (Problem problem) {
        LoggerFactory.getLogger(Keeping.class).error("no copy at the end", problem);
      }
    }
  }
}
