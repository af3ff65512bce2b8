package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.stage.StageAnswer;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A stage's question, its answer in one large sentence, the reasons, and the working on demand. */
public final class AnswerPane extends VBox {
  private final Label answer = Labels.wrapped("", "answer");
  private final VBox reasons = new VBox(2);
  private final VBox working = new VBox(3);
  private final HBox foot = new HBox();
  private Working how;
  private Notation writing;
  private final ToggleButton show = new ToggleButton("How was this worked out?  Ctrl+W");

  /** A pane for a stage's question; its answer's label gets the id that tests read it by. */
  public AnswerPane(String question, String answerId) {
    super(6);
    answer.setId(answerId);
    show.setId("show-working");
    working.getStyleClass().addAll("panel", "working");
    working.visibleProperty().bind(show.selectedProperty());
    working.managedProperty().bind(show.selectedProperty());
    show.getStyleClass().add("part-button");
    foot.setAlignment(Pos.CENTER_LEFT);
    foot.setMinHeight(28);
    show.selectedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                fill();
              }
            });
    getChildren().addAll(Labels.line(question, "question"), answer, reasons, foot, working);
  }

  /** Shows an answer without a working, such as what is still needed. */
  public void show(String sentence) {
    answer.setText(sentence);
    reasons.getChildren().clear();
    show.setSelected(false);
    foot.getChildren().clear();
    how = null;
  }

  /** Shows an answer with reasons whose working stands elsewhere. */
  public void show(String sentence, List<String> why) {
    show(sentence);
    foot.setMinHeight(0);
    why.forEach(reason -> reasons.getChildren().add(Labels.wrapped(reason, "reason")));
  }

  /** Shows what a stage says. */
  public void show(StageAnswer said, Notation notation) {
    if (said.finding().isPresent()) {
      show(said.finding().get(), said.reasons(), notation);
    } else {
      show(said.sentence(), said.reasons());
    }
  }

  /** Shows a finding with its reasons. */
  public void show(Finding finding, List<String> why, Notation notation) {
    answer.setText(finding.sentence());
    reasons.getChildren().clear();
    for (String reason : why) {
      reasons.getChildren().add(Labels.wrapped(reason, "reason"));
    }
    how = finding.working();
    writing = notation;
    if (show.isSelected()) {
      fill();
    }
    Later.afterThePicture(
        () -> {
          if (how != null && foot.getChildren().isEmpty()) {
            foot.getChildren().add(show);
          }
        });
  }

  /** Opens or closes the working. */
  public void toggleWorking() {
    show.setSelected(!show.isSelected() && how != null);
  }

  /**
   * Sets the working out; only when it is asked for, since few look at it and it takes its time.
   */
  private void fill() {
    working.getChildren().setAll(Labels.wrapped(how.formula() + ".", "strong"));
    StringBuilder inputs = new StringBuilder();
    for (Working.Input input : how.inputs()) {
      inputs
          .append(inputs.isEmpty() ? "" : "  ·  ")
          .append(input.name())
          .append(' ')
          .append(writing.significant(input.value(), input.unit()));
    }
    working.getChildren().add(Labels.wrapped(inputs.toString()));
    working.getChildren().add(Labels.wrapped("Source: " + how.source() + ".", "quiet"));
    for (String limit : how.limits()) {
      working.getChildren().add(Labels.wrapped("Limit: " + limit, "quiet"));
    }
  }
}
