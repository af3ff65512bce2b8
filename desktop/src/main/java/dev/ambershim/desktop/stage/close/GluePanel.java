package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.job.ClosingFigures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.dosing.GlueKind;
import dev.ambershim.core.plan.School;
import dev.ambershim.core.plan.Way;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureGrid;
import dev.ambershim.desktop.widget.PickBar;
import java.util.List;

/** How the lid is glued. */
final class GluePanel extends Column {

  private final JobModel model;
  private final PickBar<Way> seals;
  private final PickBar<GlueKind> kinds;
  private final FigureGrid figures;

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
    figures = new FigureGrid(model, ClosingFigures.all(), true);
    getChildren().addAll(seals, kinds, figures);
  }

  void refresh() {
    Job job = model.jobProperty().get();
    figures.refresh();
    seals.show(job.workCase().seal());
    kinds.show(job.closing().kind());
  }
}
