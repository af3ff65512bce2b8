package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RecordPath;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.dosing.GlueKind;
import dev.ambershim.core.plan.School;
import dev.ambershim.core.plan.Way;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** How the lid is glued. */
final class GluePanel extends VBox {
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
                    "glue: " + kind.words(),
                    job -> new RecordPath("closing.kind").with(job, kind)));
    grid.setHgap(10);
    grid.setVgap(5);
    figure("beadMillimetres", "bead, or dot, across", Unit.MILLIMETRE, 0.1, 10, 0);
    figure("ventMillimetres", "gap for air", Unit.MILLIMETRE, 0, 100, 0);
    figure("newtons", "press on the lid", Unit.NEWTON, 1, 1000, 0);
    figure("humidityPercent", "humidity", Unit.PERCENT, 5, 100, 1);
    figure("celsius", "warmth of the air", Unit.CELSIUS, 0, 60, 1);
    figure("oldMicrometres", "old sealant left on", Unit.MICROMETRE, 0, 2000, 1);
    getChildren().addAll(seals, kinds, grid);
  }

  private void figure(String path, String words, Unit unit, double low, double high, int column) {
    RecordPath place = new RecordPath("closing." + path);
    FigureBox box =
        new FigureBox(
            model,
            "closing-" + path,
            new FigureBox.Spec(words, unit, low, high, true),
            6,
            job -> (Double) place.get(job),
            (job, v) -> place.with(job, v));
    box.setPromptText("usual");
    int row = figures.size() % 3;
    grid.add(Labels.line(words), 3 * column, row);
    grid.add(box, 3 * column + 1, row);
    grid.add(box.unit(), 3 * column + 2, row);
    figures.add(box);
  }

  void refresh() {
    Job job = model.jobProperty().get();
    figures.forEach(FigureBox::refresh);
    seals.show(job.workCase().seal());
    kinds.show(job.closing().kind());
  }
}
