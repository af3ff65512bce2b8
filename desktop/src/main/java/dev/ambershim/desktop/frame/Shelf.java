package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Message;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.TimerChips;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;

/**
 * The shelf at the foot of every stage: the last message, work under way, and whether all is safe.
 */
final class Shelf extends HBox {
  private final Label message = Labels.line("");

  private final Hyperlink more = new Hyperlink("What to do");

  /**
   * A shelf.
   *
   * @param help shows a page of the handbook
   */
  Shelf(JobModel model, Consumer<String> help) {
    getStyleClass().add("shelf");
    message.setId("message");
    message.setMaxWidth(Double.MAX_VALUE);
    // A tip is a window of its own and dear to make, so it is made when it is first looked for.
    message.setOnMouseEntered(e -> message.setTooltip(new Tooltip(message.getText())));
    Label saved = Labels.line("", "quiet");
    saved.setId("saved");
    saved
        .textProperty()
        .bind(
            Bindings.when(model.work().busyProperty())
                .then("Saving…")
                .otherwise(
                    Bindings.when(model.openedProperty().not())
                        .then("Opening your logbook…")
                        .otherwise(
                            Bindings.when(model.readOnlyProperty())
                                .then("Read-only")
                                .otherwise(
                                    Bindings.when(model.waitingProperty())
                                        .then("Not saved: the disk is full")
                                        .otherwise("All changes saved")))));
    saved.setMinWidth(120);
    TimerChips timers = new TimerChips(model.workbench().timers(), "shelf-timer");
    timers.setPrefWrapLength(560);
    more.setId("message-help");
    more.setMinWidth(USE_PREF_SIZE);
    more.setOnAction(e -> help.accept(model.messageProperty().get().page()));
    getChildren()
        .addAll(
            message,
            more,
            Labels.spring(),
            new WorkStrip(model.reckoning(), model.looks()),
            new WorkStrip(model.work(), model.looks()),
            timers,
            saved);
    model.messageProperty().addListener((o, was, is) -> show(is));
    show(model.messageProperty().get());
  }

  /** Lets a long message take two lines, where there is little room. */
  void fold(boolean tight) {
    message.setWrapText(tight);
  }

  private void show(Message said) {
    message.getStyleClass().remove("problem");
    boolean helped = said != null && !said.page().isEmpty();
    more.setVisible(helped);
    more.setManaged(helped);
    if (said == null) {
      message.setText("");
      return;
    }
    message.setText((said.problem() ? "⚠ " : "") + said.text());
    if (said.problem()) {
      message.getStyleClass().add("problem");
    }
  }
}
