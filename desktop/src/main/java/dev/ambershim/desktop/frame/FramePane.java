package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Scroll;
import javafx.scene.Node;
import javafx.scene.layout.BorderPane;

/** The parts of the window: bar, rail, middle, section and shelf. */
final class FramePane extends BorderPane {
  private final Scroll middle = new Scroll();
  private final TopBar bar;
  private final StageRail rail;
  private final SectionPane section;
  private final HintBar hints;
  private final Shelf shelf;
  private Node placed = new Column();
  private boolean tight;

  FramePane(FrameView view) {
    JobModel model = view.model();
    middle.setId("middle");
    middle.setFitToWidth(true);
    middle.setFitToHeight(true);
    bar = new TopBar(view);
    rail = new StageRail(model);
    section = new SectionPane(model);
    hints = new HintBar(model);
    shelf = new Shelf(model, view.own()::showHelp);
    setTop(bar);
    setLeft(rail);
    setCenter(middle);
    setRight(section);
    setBottom(new Column(hints, shelf));
    // What does not fit is cut at the foot of the middle, never the bar above.
    setMinSize(0, 0);
  }

  /** Folds the parts beside the middle, or unfolds them. */
  void fold(boolean fold) {
    if (fold != tight) {
      tight = fold;
      bar.fold(fold);
      rail.fold(fold);
      shelf.fold(fold);
      place(placed);
    }
  }

  /**
   * Puts a stage or a question into the middle; where there is no room beside it, the section too.
   */
  void place(Node node) {
    placed = node;
    if (tight) {
      setRight(null);
      middle.setContent(new Column(node, section));
    } else {
      middle.setContent(node);
      setRight(section);
    }
  }

  /** What was put into the middle. */
  Node placed() {
    return placed;
  }

  /** Goes to the head of the middle, where the answer is. */
  void toTheAnswer() {
    middle.setVvalue(0);
  }

  /** Keeps hints away while a question is asked. */
  void stillHints(boolean still) {
    hints.still(still);
  }
}
