package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.Strip;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;

/** Files that come in by themselves: dropped on the window, or given to open with. */
final class HandedFiles {
  private final JobModel model;
  private final Desk desk;

  HandedFiles(JobModel model, Desk desk) {
    this.model = model;
    this.desk = desk;
  }

  /**
   * Takes files that were dropped on a side of the work.
   *
   * @param here what is on screen, which can use some files itself, such as probed heights in
   *     Measure; null if nothing is
   */
  void dropped(List<Path> given, Side side, StageView here) {
    List<Path> logs =
        given.stream()
            .filter(f -> !DropTargets.bundle(f) && (here == null || !here.takes(f)))
            .toList();
    given.stream().filter(DropTargets::bundle).forEach(model.traffic()::readBundle);
    desk.files().takeLogs(logs, side);
  }

  /**
   * Takes files that the application was opened with: bundles at once, and logs once a job is open
   * and the person has said from when they are.
   */
  void openWith(List<Path> given) {
    given.stream().filter(DropTargets::bundle).forEach(model.traffic()::readBundle);
    List<Path> logs = given.stream().filter(f -> !DropTargets.bundle(f)).toList();
    if (logs.isEmpty()) {
      return;
    }
    if (model.jobProperty().get() != null) {
      askSide(logs);
      return;
    }
    model.say("Begin a job or open one, and say then where these logs belong.");
    ChangeListener<Job> opened =
        new ChangeListener<>() {
          @Override
          public void changed(ObservableValue<? extends Job> o, Job was, Job is) {
            if (is != null) {
              model.jobProperty().removeListener(this);
              Platform.runLater(() -> askSide(logs));
            }
          }
        };
    model.jobProperty().addListener(opened);
  }

  private void askSide(List<Path> logs) {
    HBox sides = new Strip(10);
    for (Side side : Side.values()) {
      Button button = new Button(side == Side.BEFORE ? "Before the work" : "After the work");
      button.setId("with-" + side.words());
      button.setOnAction(
          e -> {
            desk.closeSheet();
            desk.files().takeLogs(logs, side);
          });
      sides.getChildren().add(button);
    }
    Button neither = new Button("Leave them");
    neither.setId("with-neither");
    neither.setCancelButton(true);
    neither.setOnAction(e -> desk.closeSheet());
    sides.getChildren().add(neither);
    String names =
        logs.stream().map(f -> f.getFileName().toString()).collect(Collectors.joining(", "));
    desk.showQuestion(
        "From when are these logs?",
        new Column(
            14, Labels.line(names + " go into " + model.jobProperty().get().title() + "."), sides));
    sides.getChildren().get(0).requestFocus();
  }
}
