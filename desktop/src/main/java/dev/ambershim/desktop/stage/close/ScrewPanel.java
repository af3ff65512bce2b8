package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.MountFigures;
import dev.ambershim.core.physics.mounting.Drive;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureGrid;
import dev.ambershim.desktop.widget.PickBar;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import java.util.function.UnaryOperator;

/** How the cooler is screwed down, and what may be borne. */
final class ScrewPanel extends Column {
  private final JobModel model;
  private final PickBar<Drive> drives;
  private final PickBar<Integer> counts;
  private final FigureGrid figures;

  ScrewPanel(JobModel model) {
    super(8);
    this.model = model;
    drives =
        new PickBar<>(
            List.of(Drive.values()),
            Drive::words,
            d -> "drive-" + d.name(),
            d -> set(terms -> terms.withDrive(d)));
    counts =
        new PickBar<>(
            List.of(2, 4),
            n -> n + " screws",
            n -> "screws-" + n,
            n -> set(terms -> terms.withScrews(n)));
    figures = new FigureGrid(model, MountFigures.all(), false);
    getChildren().addAll(new Strip(14, drives), counts, figures);
  }

  private void set(UnaryOperator<MountTerms> change) {
    model.edit("screws", job -> job.withMounting(change.apply(job.mounting())));
  }

  void refresh() {
    Job job = model.jobProperty().get();
    figures.refresh();
    drives.show(job.mounting().drive());
    counts.show(job.mounting().screws());
  }
}
