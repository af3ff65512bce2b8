package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.stage.Checklist;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Where the open job stands: what each stage has, and what it asks for. */
final class WhereSheet {
  private static final double NAME_WIDTH = 170;
  private static final double MARK_WIDTH = 46;

  private WhereSheet() {}

  /**
   * The sheet's content.
   *
   * @param go goes to a stage
   */
  static Node content(JobModel model, Consumer<Stage> go) {
    VBox rows = new Column(6);
    rows.setId("where");
    rows.getChildren().add(Labels.line("Working it out…", "hint"));
    Job job = model.jobProperty().get();
    model
        .reckoning()
        .submit(
            "",
            progress -> Checklist.of(job, Plan.of(job.workCase())),
            items -> {
              rows.getChildren().clear();
              items.forEach(item -> rows.getChildren().add(row(item, go)));
            });
    return rows;
  }

  private static Node row(Checklist.Item item, Consumer<Stage> go) {
    Button stage = new Button(item.stage().number() + "  " + item.stage().words());
    stage.setId("where-" + item.stage().number());
    stage.setMinWidth(NAME_WIDTH);
    stage.setPrefWidth(NAME_WIDTH);
    stage.setAlignment(Pos.CENTER_LEFT);
    stage.setOnAction(e -> go.accept(item.stage()));
    Label mark = Labels.line(item.has() ? "done" : "open", item.has() ? "strong" : "quiet");
    mark.setMinWidth(MARK_WIDTH);
    Label words = Labels.line(item.words(), item.has() ? "strong" : "quiet");
    HBox row = new Strip(10, mark, stage, words);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
