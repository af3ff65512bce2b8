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
public final class AnswerPane extends Column {
  private final Label answer = Labels.line("", "answer");
  private final Lines reasons = new Lines(2, "reason");
  private final VBox working = new Column(3);
  private final HBox foot = new Strip(8);

  /** So many reasons stand under the answer; the others open on demand. */
  private static final int SHOWN = 2;

  private final Lines rest = new Lines(4, "reason");
  private final ToggleButton more = new ToggleButton();
  private final Label asked;
  private Working how;
  private Notation writing;
  private final ToggleButton show = new ToggleButton("How was this worked out?  Ctrl+W");

  /** A pane for a stage's question; its answer's label gets the id that tests read it by. */
  public AnswerPane(String question, String answerId) {
    super(6);
    answer.setId(answerId);
    Copying.offer(answer);
    show.setId("show-working");
    working.getStyleClass().addAll("panel", "working");
    working.visibleProperty().bind(show.selectedProperty());
    working.managedProperty().bind(show.selectedProperty());
    show.getStyleClass().add("part-button");
    more.setId("more-reasons");
    more.getStyleClass().add("part-button");
    rest.visibleProperty().bind(more.selectedProperty());
    rest.managedProperty().bind(more.selectedProperty());
    foot.setAlignment(Pos.CENTER_LEFT);
    foot.setMinHeight(28);
    show.selectedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                fill();
              }
            });
    asked = Labels.line(question, "question");
    getChildren().addAll(asked, answer, reasons, rest, foot, working);
  }

  /**
   * Puts the parts of a long stage beside its question.
   *
   * @return the question and their buttons
   */
  public Parts parts(List<Parts.Part> parts) {
    getChildren().remove(asked);
    Parts made = new Parts(asked, parts);
    getChildren().add(0, made);
    return made;
  }

  /** Shows an answer without a working, such as what is still needed. */
  public void show(String sentence) {
    tell(sentence, List.of());
  }

  /** Shows an answer with reasons whose working stands elsewhere. */
  public void show(String sentence, List<String> why) {
    foot.setMinHeight(0);
    tell(sentence, why);
  }

  private void tell(String sentence, List<String> why) {
    answer.setText(Labels.unbroken(sentence));
    because(why);
    show.setSelected(false);
    foot.getChildren().remove(show);
    how = null;
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
    answer.setText(Labels.unbroken(finding.sentence()));
    because(why);
    how = finding.working();
    writing = notation;
    if (show.isSelected()) {
      fill();
    }
    Later.afterThePicture(
        () -> {
          if (how != null && !foot.getChildren().contains(show)) {
            foot.getChildren().add(show);
          }
        });
  }

  /** The first reasons, and a button for the others where there are more. */
  private void because(List<String> why) {
    int first = Math.min(SHOWN, why.size());
    reasons.show(why.subList(0, first));
    rest.show(why.subList(first, why.size()));
    int others = rest.count();
    more.setText(others == 1 ? "1 more reason" : others + " more reasons");
    more.setSelected(more.isSelected() && others > 0);
    if (others == 0) {
      foot.getChildren().remove(more);
    } else if (!foot.getChildren().contains(more)) {
      foot.getChildren().add(0, more);
    }
    if (others > 0) {
      foot.setMinHeight(28);
    }
  }

  /** Opens or closes the further reasons and the working. */
  public void toggleWorking() {
    boolean open = !show.isSelected() && !more.isSelected();
    show.setSelected(open && how != null);
    more.setSelected(open && rest.count() > 0);
  }

  /**
   * Sets the working out; only when it is asked for, since few look at it and it takes its time.
   */
  private void fill() {
    working.getChildren().setAll(Labels.line(how.formula() + ".", "strong"));
    StringBuilder inputs = new StringBuilder();
    for (Working.Input input : how.inputs()) {
      inputs
          .append(inputs.isEmpty() ? "" : "  ·  ")
          .append(input.name())
          .append(' ')
          .append(writing.significant(input.value(), input.unit()));
    }
    working.getChildren().add(Labels.line(inputs.toString()));
    working.getChildren().add(Labels.line("Source: " + how.source() + ".", "quiet"));
    for (String limit : how.limits()) {
      working.getChildren().add(Labels.line("Limit: " + limit, "quiet"));
    }
  }
}
