package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.MountFigures;
import dev.ambershim.core.physics.mounting.Drive;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.layout.GridPane;

/** How the cooler is screwed down, and what may be borne. */
final class ScrewPanel extends Column {
  private final JobModel model;
  private final PickBar<Drive> drives;
  private final PickBar<Integer> counts;
  private final GridPane grid = new GridPane();
  private final List<FigureBox> figures = new ArrayList<>();

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
    grid.setHgap(10);
    grid.setVgap(5);
    MountFigures.all().forEach(this::add);
    getChildren().addAll(new Strip(14, drives), counts, grid);
  }

  private void set(UnaryOperator<MountTerms> change) {
    model.edit("screws", job -> job.withMounting(change.apply(job.mounting())));
  }

  private void add(Figure figure) {
    FigureBox box = new FigureBox(model, figure, 6);
    int column = figures.size() % 2 * 3;
    int row = figures.size() / 2;
    grid.add(Labels.line(figure.label()), column, row);
    grid.add(box, column + 1, row);
    grid.add(box.unit(), column + 2, row);
    figures.add(box);
  }

  void refresh() {
    Job job = model.jobProperty().get();
    figures.forEach(FigureBox::refresh);
    drives.show(job.mounting().drive());
    counts.show(job.mounting().screws());
  }
}
