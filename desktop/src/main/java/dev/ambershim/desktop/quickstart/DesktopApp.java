package dev.ambershim.desktop.quickstart;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Figures;
import dev.ambershim.desktop.frame.FrameView;
import dev.ambershim.desktop.frame.Window;
import dev.ambershim.desktop.model.Failures;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Opened;
import dev.ambershim.desktop.widget.Camera;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FilePicker;
import dev.ambershim.desktop.widget.Frames;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.logbook.store.Copies;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;

/** The application: shows the window as soon as the logbook is open. */
public final class DesktopApp extends Application {
  private static volatile LaunchOptions options;
  private static volatile CompletableFuture<Opened> opening;
  private static volatile boolean rehearsing;

  /** The frame in which all is there, what lies below the fold too. */
  private static final int WHOLE_WINDOW = 16;

  /** A rehearsed stage is looked at for so many frames. */
  private static final int LOOK_FRAMES = 12;

  private JobModel model = new JobModel();
  private CompletableFuture<Void> shown;

  /** Starts and runs until the window is closed. */
  public static void run(LaunchOptions chosen) {
    options = chosen;
    opening = Opening.start(chosen);
    launch(DesktopApp.class);
  }

  /** Starts with the demo, goes through all stages, and ends by itself. */
  static void rehearse() {
    rehearsing = true;
    run(new LaunchOptions(Path.of(""), true, false, Optional.empty(), List.of()));
  }

  @Override
  public void start(Stage stage) {
    Scene scene = Window.scene(model, FilePicker.over(stage));
    // The window is built and shown while the logbook is still being opened.
    Window.show(stage, scene, model);
    wait(stage, scene, opening, options);
  }

  private void wait(Stage stage, Scene scene, CompletableFuture<Opened> opened, LaunchOptions how) {
    shown =
        opened.handle(
            (result, failure) -> {
              Platform.runLater(
                  () -> {
                    if (failure == null) {
                      show(stage, scene, result, how);
                    } else {
                      ask(stage, scene, failure, how);
                    }
                  });
              return null;
            });
  }

  private void show(Stage stage, Scene scene, Opened opened, LaunchOptions how) {
    if (!how.demo()) {
      Window.restore(stage, opened.preferences().window());
    }
    model.keeping().onRestored(again -> showAnew(stage, again));
    model.begin(opened);
    Frames.later(WHOLE_WINDOW, () -> WhatCanWait.begin(opened));
    Frames.later(StartReport.WHOLE_FRAME, StartReport::windowUp);
    Frames.later(WHOLE_WINDOW, () -> Window.icons(stage));
    if (!how.files().isEmpty()) {
      Frames.later(
          WHOLE_WINDOW, () -> ((FrameView) stage.getScene().getRoot()).openWith(how.files()));
    }
    how.picture()
        .ifPresent(
            target ->
                Frames.later(WHOLE_WINDOW, () -> Camera.take(scene, target).setName("picture")));
    if (rehearsing) {
      Frames.later(
          WHOLE_WINDOW + 2,
          () -> visit(List.of(dev.ambershim.core.stage.Stage.values()).iterator()));
    }
  }

  /** Looks at one stage after the other, types a figure there, then ends; no answer is awaited. */
  private void visit(Iterator<dev.ambershim.core.stage.Stage> stages) {
    if (stages.hasNext()) {
      model.stageProperty().set(stages.next());
      Frames.later(
          LOOK_FRAMES,
          () -> {
            model.edit(Figures.HEAT.label(), job -> job.withHeatWatts(job.heatWatts() + 1));
            Frames.later(LOOK_FRAMES, () -> visit(stages));
          });
    } else {
      Platform.exit();
    }
  }

  /** A window on the logbook as it is after a copy was put in its place. */
  private void showAnew(Stage stage, Opened opened) {
    model.close();
    model = new JobModel();
    Scene scene = Window.scene(model, FilePicker.over(stage));
    Window.show(stage, scene, model);
    model.keeping().onRestored(again -> showAnew(stage, again));
    model.begin(opened);
    model.say("The copy is in place. What was there before lies in the logbook's folder.");
  }

  /** Puts the last copy back that holds jobs, and opens the logbook again. */
  private Button restoring(Stage stage, Scene scene, LaunchOptions how) {
    Button restore = new Button("Put the last copy back");
    restore.setId("restore-last");
    restore.setOnAction(
        e -> {
          ((FrameView) scene.getRoot()).closeSheet();
          CompletableFuture<Opened> again =
              CompletableFuture.supplyAsync(
                  () -> {
                    Copies.restore(how.logbook(), Optional.empty(), Clock.systemUTC());
                    return Opening.start(how).join();
                  });
          wait(stage, scene, again, how);
        });
    return restore;
  }

  /** Says why the logbook did not open; a busy one can be looked at. */
  private void ask(Stage stage, Scene scene, Throwable failure, LaunchOptions how) {
    Failures.logTo(how.logbook());
    LoggerFactory.getLogger(DesktopApp.class).error("the logbook did not open", failure);
    FrameView shell = (FrameView) scene.getRoot();
    Throwable cause = failure instanceof CompletionException ? failure.getCause() : failure;
    String key = cause instanceof Problem p ? p.key() : "";
    boolean busy = key.equals("logbook.busy");
    HBox buttons = new Strip(10);
    boolean denied = key.equals("logbook.denied") || key.equals("logbook.folder");
    if (busy || (denied && Files.isReadable(how.logbook().resolve("logbook.sqlite")))) {
      Button look = new Button("Open read-only");
      look.setId("open-read-only");
      look.setDefaultButton(true);
      look.getStyleClass().add("next");
      look.setOnAction(
          e -> {
            LaunchOptions reading =
                new LaunchOptions(how.logbook(), false, true, how.picture(), how.files());
            shell.closeSheet();
            wait(stage, scene, Opening.start(reading), reading);
          });
      buttons.getChildren().add(look);
    }
    if (key.equals("logbook.damaged")
        && Copies.of(how.logbook()).stream().anyMatch(c -> c.jobs() > 0)) {
      buttons.getChildren().add(restoring(stage, scene, how));
    }
    Button quit = new Button("Quit");
    quit.setId("quit");
    quit.setOnAction(e -> Platform.exit());
    buttons.getChildren().add(quit);
    shell.showQuestion(
        busy ? "This logbook is already open" : "The logbook did not open",
        new Column(
            14,
            Labels.line(
                cause instanceof Problem
                    ? cause.getMessage()
                    : "Something in it was not foreseen ("
                        + cause.getClass().getSimpleName()
                        + ")."),
            buttons));
  }

  @Override
  public void stop() {
    if (shown != null) {
      shown.cancel(false); // a logbook that opens now has nowhere to be shown
    }
    model.close();
  }
}
