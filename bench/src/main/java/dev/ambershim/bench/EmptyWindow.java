package dev.ambershim.bench;

import dev.ambershim.desktop.quickstart.StartReport;
import dev.ambershim.desktop.widget.Frames;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** The yardstick of the start bench: a JavaFX window of the same size with nothing in it. */
public final class EmptyWindow extends Application {
  /** Shows it. */
  public static void main(String[] args) {
    launch(EmptyWindow.class, args);
  }

  @Override
  public void start(Stage stage) {
    Scene scene = new Scene(new StackPane(), 1280, 800);
    stage.setScene(scene);
    stage.show();
    Frames.later(StartReport.WHOLE_FRAME, StartReport::windowUp);
  }
}
