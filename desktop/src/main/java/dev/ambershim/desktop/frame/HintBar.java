package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.stage.Checklist;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Strip;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/**
 * What the shown stage still asks of the person, in a line over the shelf. It goes when that is
 * done, and all of them go for good when they are not wanted.
 */
final class HintBar extends StackPane {
  /** The setting that hints are put away under. */
  private static final String SETTING = "hints";

  private static final String OFF = "off";
  private static final int QUIET_MILLISECONDS = 250;

  private final JobModel model;
  private final Label words = Labels.line("", "hint");
  private boolean wanted;
  private boolean still;
  private volatile Job asked;
  private Stage at;

  HintBar(JobModel model) {
    this.model = model;
    getStyleClass().add("hint-bar");
    words.setId("stage-hint");
    Button away = new Button("Hide hints");
    away.setId("hide-hints");
    away.getStyleClass().add("small");
    away.setMinWidth(USE_PREF_SIZE);
    away.setOnAction(
        e -> {
          wanted = false;
          show("");
          model.keep(SETTING, OFF);
          model.say("Hints are hidden. Ctrl+K still says what each stage asks for.");
        });
    HBox row = new Strip(10, words, Labels.spring(), away);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().add(row);
    show("");
    Later.belowTheFold(
        model,
        () ->
            model.readSetting(
                SETTING,
                kept -> {
                  wanted = !kept.equals(OFF) && !model.readOnly();
                  follow();
                }));
    model.stageProperty().addListener((o, was, is) -> follow());
    model.jobProperty().addListener((o, was, is) -> follow());
  }

  /** Keeps still while a question stands in the stage's place. */
  void still(boolean on) {
    still = on;
    show(words.getText());
  }

  private void show(String hint) {
    words.setText(hint);
    boolean seen = !hint.isEmpty() && !still;
    setVisible(seen);
    setManaged(seen);
  }

  private static String hint(Job job, Stage stage) {
    return Checklist.of(job, Plan.of(job.workCase())).stream()
        .filter(item -> item.stage() == stage && !item.has())
        .map(item -> "Next here: " + item.words())
        .findFirst()
        .orElse("");
  }

  private void follow() {
    Job job = model.jobProperty().get();
    Stage stage = model.stageProperty().get();
    if (!wanted || job == null || stage == null) {
      show("");
      return;
    }
    if (job.equals(asked) && stage == at) {
      return;
    }
    asked = job;
    at = stage;
    model
        .inquiry()
        .submit(
            "",
            progress -> {
              // Whoever goes on typing needs the machine for the answer.
              TimeUnit.MILLISECONDS.sleep(QUIET_MILLISECONDS);
              return !job.equals(asked) ? "" : hint(job, stage);
            },
            hint -> {
              if (wanted && job.equals(asked) && stage == at) {
                show(hint);
              }
            });
  }
}
