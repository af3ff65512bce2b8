package dev.ambershim.desktop.launch;

import dev.ambershim.core.problem.Problem;
import dev.ambershim.desktop.draw.Camera;
import dev.ambershim.desktop.shell.Labels;
import dev.ambershim.desktop.shell.Opened;
import dev.ambershim.desktop.shell.ShellModel;
import dev.ambershim.desktop.theme.Theme;
import dev.ambershim.desktop.work.FilePicker;
import java.util.concurrent.CompletableFuture;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;

/** The application: shows the window as soon as the logbook is open. */
public final class DesktopApp extends Application {
  private static volatile LaunchOptions options;
  private static volatile CompletableFuture<Opened> opening;

  private ShellModel model;

  /** Starts and runs until the window is closed. */
  public static void run(LaunchOptions chosen) {
    options = chosen;
    opening = Opening.start(chosen);
    launch(DesktopApp.class);
  }

  @Override
  public void start(Stage stage) {
    Theme.loadFonts();
    // A scratch stage keeps JavaFX alive while the logbook is still being opened.
    Platform.setImplicitExit(false);
    wait(stage, opening, options);
  }

  private void wait(Stage stage, CompletableFuture<Opened> opened, LaunchOptions how) {
    CompletableFuture<Void> shown =
        opened.handle(
            (result, failure) -> {
              Platform.runLater(
                  () -> {
                    if (failure == null) {
                      show(stage, result, how);
                    } else {
                      ask(stage, failure, how);
                    }
                  });
              return null;
            });
    LoggerFactory.getLogger(DesktopApp.class).debug("waiting for the logbook: {}", shown);
  }

  private void show(Stage stage, Opened opened, LaunchOptions how) {
    Platform.setImplicitExit(true);
    model = new ShellModel(opened);
    Scene scene = Window.scene(model, FilePicker.over(stage));
    Window.show(stage, scene, model, how.demo() ? "" : opened.preferences().window());
    Camera.afterNextFrames(
        scene,
        () -> {
          StartReport.windowUp();
          how.picture().ifPresent(target -> Camera.take(scene, target).setName("picture"));
        });
  }

  /** Says why the logbook did not open; a busy one can be looked at. */
  private void ask(Stage stage, Throwable failure, LaunchOptions how) {
    LoggerFactory.getLogger(DesktopApp.class).error("the logbook did not open", failure);
    boolean busy = failure instanceof Problem p && p.key().equals("logbook.busy");
    VBox box =
        new VBox(
            14,
            Labels.wrapped(busy ? "This logbook is already open." : "The logbook did not open."),
            Labels.wrapped(failure.getMessage(), "reason"));
    box.getChildren().get(0).getStyleClass().add("sheet-title");
    Button quit = new Button("Quit");
    quit.setId("quit");
    quit.setCancelButton(true);
    quit.setOnAction(e -> Platform.exit());
    HBox buttons = new HBox(10);
    if (busy) {
      Button look = new Button("Open read-only");
      look.setId("open-read-only");
      look.setDefaultButton(true);
      look.getStyleClass().add("next");
      look.setOnAction(
          e -> {
            LaunchOptions reading = new LaunchOptions(how.logbook(), false, true, how.picture());
            stage.hide();
            wait(stage, Opening.start(reading), reading);
          });
      buttons.getChildren().add(look);
    }
    buttons.getChildren().add(quit);
    box.getChildren().add(buttons);
    box.getStyleClass().add("stage");
    Scene scene = new Scene(box, 560, 220);
    Theme.GRAPHITE.dress(scene);
    stage.setTitle("Amber Shim");
    stage.setScene(scene);
    stage.setOnCloseRequest(e -> Platform.exit());
    stage.show();
  }

  @Override
  public void stop() {
    if (model != null) {
      model.close();
    }
  }
}
