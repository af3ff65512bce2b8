package dev.ambershim.desktop.launch;

import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.draw.Frames;
import dev.ambershim.desktop.shell.Opened;
import dev.ambershim.desktop.shell.ShellModel;
import dev.ambershim.desktop.shell.Stage;
import dev.ambershim.desktop.theme.Theme;
import dev.ambershim.desktop.work.FilePicker;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.NativeStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;

/**
 * Run once after a build: makes the demo's logbook, the binary style sheets and the native library
 * ready, and shows the window once so that the virtual machine can keep its classes for quicker
 * starts.
 */
public final class Warmup extends Application {
  /**
   * Makes everything ready in a folder, shows the window, ends.
   *
   * @param arguments the folder, which must not be there yet
   */
  public static void main(String[] arguments) throws IOException {
    Path ready = Path.of(arguments[0]);
    Path making = ready.resolveSibling("ready.new");
    Files.createDirectories(making);
    try (Logbook logbook = Logbook.open(making.resolve("demo"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(logbook);
    }
    Theme.makeBinary(making);
    NativeStore.extract(making);
    Files.move(making, ready);
    launch(Warmup.class);
  }

  @Override
  public void start(javafx.stage.Stage stage) {
    Thread opener =
        new Thread(
            () -> {
              Opened opened = Opened.of(Opening.demo());
              Platform.runLater(() -> show(stage, opened));
            });
    opener.start();
  }

  private static void show(javafx.stage.Stage stage, Opened opened) {
    ShellModel model = new ShellModel();
    Scene scene = Window.scene(model, FilePicker.over(stage));
    Window.show(stage, scene, model);
    model.begin(opened);
    Frames.later(
        2,
        () -> {
          model.stageProperty().set(Stage.WEIGH);
          Frames.later(
              2,
              () -> {
                model.close();
                Platform.exit();
              });
        });
  }
}
