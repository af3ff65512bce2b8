package dev.ambershim.desktop.widget;

import dev.ambershim.core.plan.StepTimer.State;
import dev.ambershim.desktop.model.Ticking;
import dev.ambershim.desktop.model.TimerBoard;
import java.util.List;
import java.util.Locale;
import javafx.collections.ListChangeListener;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;

/** The timers as buttons; a press puts one away. */
public final class TimerChips extends FlowPane {
  private final TimerBoard board;
  private final String style;

  /**
   * The chips of a board.
   *
   * @param style the buttons' style
   */
  public TimerChips(TimerBoard board, String style) {
    super(10, 6);
    this.board = board;
    this.style = style;
    board.ticking().addListener((ListChangeListener<Ticking>) c -> refresh());
    refresh();
  }

  private void refresh() {
    List<Ticking> now = List.copyOf(board.ticking());
    setVisible(!now.isEmpty());
    setManaged(!now.isEmpty());
    while (getChildren().size() > now.size()) {
      getChildren().remove(getChildren().size() - 1);
    }
    while (getChildren().size() < now.size()) {
      Button button = new Button();
      button.setFocusTraversable(false);
      button.getStyleClass().setAll("timer-chip", style);
      getChildren().add(button);
    }
    for (int i = 0; i < now.size(); i++) {
      Ticking timer = now.get(i);
      Button button = (Button) getChildren().get(i);
      String mark = timer.rings() ? "● " : timer.state() == State.LEAST ? "◐ " : "○ ";
      button.setText(mark + timer.words());
      button.setId("timer-" + timer.timer().step());
      button.setAccessibleHelp(timer.title() + ": press to put it away");
      button.getStyleClass().removeIf(s -> s.startsWith("timer-is-"));
      button.getStyleClass().add("timer-is-" + timer.state().name().toLowerCase(Locale.ROOT));
      button.setOnAction(e -> board.putAway(timer));
    }
  }
}
