package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.job.ClosingFigures;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.dosing.GlueKind;
import dev.ambershim.core.plan.School;
import dev.ambershim.core.plan.Way;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.GridPane;

/** How the lid is glued. */
final class GluePanel extends Column {
  private static final int ROWS = 3;

  private final JobModel model;
  private final PickBar<Way> seals;
  private final PickBar<GlueKind> kinds;
  private final GridPane grid = new GridPane();
  private final List<FigureBox> figures = new ArrayList<>();

  GluePanel(JobModel model) {
    super(8);
    this.model = model;
    seals =
        new PickBar<>(
            School.SEAL.ways(),
            Way::words,
            w -> "seal-" + w.name(),
            way -> model.edit("lid " + way.words(), job -> WorkWays.take(job, way)));
    kinds =
        new PickBar<>(
            List.of(GlueKind.values()),
            GlueKind::words,
            k -> "glue-" + k.name(),
            kind ->
                model.edit(
                    "glue: " + kind.words(), job -> job.withClosing(job.closing().withKind(kind))));
    grid.setHgap(10);
    grid.setVgap(5);
    ClosingFigures.all().forEach(this::add);
    getChildren().addAll(seals, kinds, grid);
  }

  private void add(Figure figure) {
    FigureBox box = new FigureBox(model, figure, 6);
    int column = 3 * (figures.size() / ROWS);
    int row = figures.size() % ROWS;
    grid.add(Labels.line(figure.label()), column, row);
    grid.add(box, column + 1, row);
    grid.add(box.unit(), column + 2, row);
    figures.add(box);
  }

  void refresh() {
    Job job = model.jobProperty().get();
    figures.forEach(FigureBox::refresh);
    seals.show(job.workCase().seal());
    kinds.show(job.closing().kind());
  }
}
