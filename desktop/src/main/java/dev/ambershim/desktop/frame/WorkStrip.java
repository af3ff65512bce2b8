package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.Looks;
import dev.ambershim.desktop.model.Work;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Pause;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/**
 * What a line of work is at, how far it is, and a button that ends it. Shown for work that takes
 * longer than a moment: one that came and went with every typed figure would only be unrest.
 */
final class WorkStrip extends HBox {
  private static final int MOMENT_MILLISECONDS = 400;

  private final Work line;
  private final Looks looks;
  private final Label name = Labels.line("", "quiet");

  /** Bound only while it is seen: out of sight, each step of it would paint all the window anew. */
  private final ProgressBar bar = new ProgressBar();

  private final Pause pause = new Pause(MOMENT_MILLISECONDS, () -> seen(true));

  WorkStrip(Work line, Looks looks) {
    super(8);
    this.line = line;
    this.looks = looks;
    setAlignment(Pos.CENTER_LEFT);
    seen(false);
    line.nameProperty().addListener((o, was, is) -> follow(is));
  }

  private void follow(String name) {
    if (name.isEmpty()) {
      pause.forget();
      seen(false);
    } else {
      pause.begin();
    }
  }

  private void seen(boolean seen) {
    name.textProperty().unbind();
    bar.progressProperty().unbind();
    if (seen) {
      name.textProperty().bind(line.nameProperty());
      bar.progressProperty().bind(line.shareProperty());
      if (getChildren().isEmpty()) {
        fill();
      }
    }
    setVisible(seen);
    setManaged(seen);
  }

  private void fill() {
    bar.setPrefWidth(140);
    if (looks.calm()) {
      // Without an end in sight the bar would run to and fro; the name says it, too.
      bar.visibleProperty().bind(bar.progressProperty().greaterThanOrEqualTo(0));
    }
    Button cancel = new Button("Cancel");
    cancel.setMinWidth(Region.USE_PREF_SIZE);
    cancel.setId("cancel");
    cancel.setOnAction(e -> line.cancelRunning());
    getChildren().addAll(name, bar, cancel);
  }
}
