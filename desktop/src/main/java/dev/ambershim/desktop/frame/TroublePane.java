package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Trouble;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FilePicker;
import dev.ambershim.desktop.widget.Labels;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A job that did not open: what is wrong with it, and what can be done. */
final class TroublePane {
  private TroublePane() {}

  static Node of(FrameView shell, JobModel model, FilePicker picker, Trouble trouble) {
    Button again =
        button(
            "trouble-read-again",
            "Read its logs again",
            () -> model.opener().readAgain(trouble.id()));
    again.getStyleClass().add("next");
    Button without =
        button(
            "trouble-without-runs",
            "Open without its runs",
            () -> model.opener().withoutRuns(trouble.id()));
    Button earlier =
        button(
            "trouble-earlier",
            "Take its last change back",
            () -> model.opener().earlier(trouble.id()));
    earlier.setDisable(model.readOnly());
    Button write =
        button(
            "trouble-write",
            "Write it out as it is",
            () ->
                picker
                    .save("Write the job out as it is", "job-as-it-is.zip", "Zip", "*.zip")
                    .ifPresent(target -> model.traffic().writeAsItIs(trouble.id(), target)));
    Button remove = button("trouble-remove", "Remove it", () -> {});
    remove.setDisable(model.readOnly());
    again.setDisable(model.readOnly());
    // It cannot be undone, so it asks once more.
    remove.setOnAction(
        e -> {
          remove.setText("Remove it for good");
          remove.setOnAction(f -> model.opener().remove(trouble.id()));
        });
    Button others = button("trouble-others", "Other jobs  Ctrl+L", shell.own()::showLogbook);
    VBox box =
        new Column(
            14,
            Labels.line("\"" + trouble.title() + "\" could not be opened.", "answer"),
            Labels.line(trouble.what()),
            Labels.line("All your other jobs are in reach. For this one you can:"),
            new FlowPane(10, 10, again, without, earlier, write, remove),
            others);
    box.setId("trouble");
    box.getStyleClass().add("stage");
    return box;
  }

  private static Button button(String id, String words, Runnable act) {
    Button button = new Button(words);
    button.setId(id);
    button.setOnAction(e -> act.run());
    return button;
  }
}
