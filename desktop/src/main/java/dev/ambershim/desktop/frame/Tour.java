package dev.ambershim.desktop.frame;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** A minute's walk through the window: a card at its foot, gone on from with Enter. */
final class Tour extends Column {
  private static final double WIDTH = 620;

  /** What a card says, and the stage that it is said at. */
  private record Card(Stage stage, String title, String words) {}

  private static final List<Card> CARDS =
      List.of(
          new Card(
              Stage.WEIGH,
              "One question, one sentence",
              "Each stage at the left answers one question. The answer comes first with how sure it is,"
                  + " then the picture, then what you can type."),
          new Card(
              Stage.WEIGH,
              "This is your chip",
              "The section at the right is drawn from its figures. Pick a layer to see how each figure"
                  + " is measured, and to put it right."),
          new Card(
              Stage.WEIGH,
              "Nothing is hidden",
              "Ctrl+W opens how an answer was worked out: the formula, what went in, its source and"
                  + " its limits."),
          new Card(
              Stage.PROVE,
              "Drop your logs",
              "Logs from before and after the work go anywhere on the window. Prove says whether it"
                  + " helped; \"cannot tell\" is an answer too."),
          new Card(
              Stage.OPEN,
              "At the bench",
              "The work is planned step by step. F2 shows one step in large type; any key or pedal"
                  + " that you choose goes on."),
          new Card(
              Stage.BASELINE,
              "Why is it hot?",
              "Ctrl+D ranks the causes and names the test that tells most. Ask it before you open a"
                  + " chip."),
          new Card(
              Stage.WEIGH,
              "Nothing is lost",
              "Everything is kept as you do it, and Ctrl+Z takes it back. Ctrl+K says where you stand;"
                  + " F1 explains the place you are in."));

  private final JobModel model;
  private final Label title = Labels.line("", "sheet-title");
  private final Label words = Labels.line("");
  private final Label place = Labels.line("", "hint");
  private final Runnable end;
  private int at = -1;

  /**
   * The first card.
   *
   * @param end takes the tour off the window
   */
  Tour(JobModel model, Runnable end) {
    super(8);
    this.model = model;
    this.end = end;
    getStyleClass().add("sheet");
    setId("tour");
    title.setId("tour-title");
    place.setId("tour-place");
    setMaxSize(WIDTH, Region.USE_PREF_SIZE);
    StackPane.setAlignment(this, Pos.BOTTOM_CENTER);
    HBox foot =
        new Strip(
            10,
            place,
            Labels.spring(),
            Labels.line("Enter goes on, Left goes back, Esc ends", "hint"));
    getChildren().addAll(title, words, foot);
    turn(1);
  }

  /** Takes a key; whatever else is shown may be tried at once. */
  boolean key(KeyEvent event) {
    switch (event.getCode()) {
      case ENTER, RIGHT, SPACE -> turn(1);
      case LEFT -> turn(-1);
      case ESCAPE -> end.run();
      default -> {
        return false;
      }
    }
    return true;
  }

  /** Goes on or back; after the last card it ends. */
  private void turn(int by) {
    at = Math.max(0, at + by);
    if (at >= CARDS.size()) {
      end.run();
      return;
    }
    Card card = CARDS.get(at);
    model.stageProperty().set(card.stage());
    title.setText(card.title());
    words.setText(card.words());
    place.setText(at + 1 + " of " + CARDS.size());
  }
}
