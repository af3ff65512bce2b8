package dev.ambershim.desktop.stage.weigh;

import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.job.TermFigures;
import dev.ambershim.core.plan.Wish;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.layout.FlowPane;

/** What the person wants of the work, and how much of it at least. */
final class WishBar extends FlowPane {
  /** About what all wishes take in a row, so that what follows stands close by, pixels. */
  private static final double WIDTH = 370;

  private final JobModel shell;
  private final PickBar<Wish> wishes;
  private FigureBox target;

  WishBar(JobModel shell) {
    super(10, 6);
    this.shell = shell;
    setAlignment(Pos.CENTER_LEFT);
    wishes =
        new PickBar<>(
            List.of(Wish.values()),
            Wish::words,
            w -> "wish-" + w.name(),
            w -> shell.edit("what you want", job -> job.withTerms(job.terms().withWish(w))));
    wishes.setPrefWrapLength(WIDTH);
    getChildren().addAll(Labels.line("You want"), wishes);
    WhenSeen wish = new WhenSeen(shell, Stage.WEIGH, this::refresh);
    shell.jobProperty().addListener((o, was, is) -> wish.changed());
    refresh();
  }

  private void refresh() {
    if (shell.jobProperty().get() == null) {
      return;
    }
    if (target == null) {
      Figure figure =
          Figures.of(shell.jobProperty().get(), TermFigures.WORTH, Side.BEFORE).stream()
              .filter(f -> f.name().equals("terms.targetKelvin"))
              .findFirst()
              .orElseThrow();
      target = new FigureBox(shell, figure, 7);
      getChildren().addAll(Labels.line(figure.label()), target, target.unit());
    }
    wishes.show(shell.jobProperty().get().terms().wish());
    target.refresh();
  }
}
