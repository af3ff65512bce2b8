package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;

/** What the window shows while no job is open, and the ways out of that. */
final class EmptyPane {
  private EmptyPane() {}

  /** A logbook with jobs of which none is open. */
  static Node pick(JobModel model, Runnable logbook) {
    Button pick = new Button("Pick a job  Ctrl+L");
    pick.getStyleClass().add("next");
    pick.setOnAction(e -> logbook.run());
    Column none =
        new Column(
            14,
            Labels.line(
                model.work().busyProperty().get() ? "Opening your job…" : "No job is open.",
                "answer"),
            new Strip(10, pick));
    none.getStyleClass().add("stage");
    return none;
  }

  /** Ways to begin besides one's own job. */
  static List<Button> waysToBegin(FrameView view) {
    JobModel model = view.model();
    Button look = new Button("Look at the example");
    look.setId("empty-example");
    look.setOnAction(
        e -> {
          view.endBegin();
          model.opener().takeExample();
        });
    look.disableProperty().bind(model.readOnlyProperty());
    Button take = new Button("Take in a job bundle  Ctrl+I");
    take.setOnAction(e -> view.files().takeBundle());
    take.disableProperty().bind(model.readOnlyProperty());
    Button practise = new Button("Practise  Ctrl+Shift+D");
    practise.setId("empty-practise");
    practise.setOnAction(e -> view.togglePractise());
    Button walk = new Button("A tour of one minute  Ctrl+F1");
    walk.setId("empty-tour");
    walk.setOnAction(e -> view.beginTour());
    return List.of(look, walk, take, practise);
  }
}
