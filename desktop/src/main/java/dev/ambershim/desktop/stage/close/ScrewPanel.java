package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RecordPath;
import dev.ambershim.core.physics.mounting.Drive;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** How the cooler is screwed down, and what may be borne. */
final class ScrewPanel extends VBox {
  private final JobModel model;
  private final PickBar<Drive> drives;
  private final PickBar<Integer> counts;
  private final GridPane grid = new GridPane();
  private final List<FigureBox> figures = new ArrayList<>();
  private final List<Function<MountTerms, Double>> usual = new ArrayList<>();
  private final List<Unit> units = new ArrayList<>();

  ScrewPanel(JobModel model) {
    super(8);
    this.model = model;
    drives =
        new PickBar<>(
            List.of(Drive.values()),
            Drive::words,
            d -> "drive-" + d.name(),
            d -> set("screws", "mounting.drive", d));
    counts =
        new PickBar<>(
            List.of(2, 4),
            n -> n + " screws",
            n -> "screws-" + n,
            n -> set("screws", "mounting.screws", n));
    grid.setHgap(10);
    grid.setVgap(5);
    figure(
        "acrossMillimetres", "screws apart, across", Unit.MILLIMETRE, 10, 500, MountTerms::across);
    figure("alongMillimetres", "screws apart, along", Unit.MILLIMETRE, 10, 500, MountTerms::along);
    figure("threadMillimetres", "thread, across", Unit.MILLIMETRE, 1, 12, MountTerms::thread);
    figure("pitchMillimetres", "pitch", Unit.MILLIMETRE, 0.1, 5, MountTerms::pitch);
    figure("increment", "turns at a time", Unit.COUNT, 0.05, 4, MountTerms::step);
    figure("springNewtonsPerMillimetre", "spring, N/mm", Unit.COUNT, 0.1, 1000, MountTerms::rate);
    figure(
        "squeezeMillimetres", "spring pressed by", Unit.MILLIMETRE, 0.05, 50, MountTerms::squeeze);
    figure("torqueNewtonMetres", "torque", Unit.NEWTON_METRE, 0.001, 20, MountTerms::torque);
    figure("nutFactor", "nut factor K", Unit.COUNT, 0.05, 1, MountTerms::nut);
    figure("socketNewtons", "socket may bear", Unit.NEWTON, 1, 5000, MountTerms::socket);
    figure("lidMegapascals", "lid may bear", Unit.MEGAPASCAL, 0.01, 100, MountTerms::lid);
    figure("dieMegapascals", "bare die may bear", Unit.MEGAPASCAL, 0.01, 100, MountTerms::die);
    figure("edgeMegapascals", "an edge of it", Unit.MEGAPASCAL, 0.01, 1000, MountTerms::edge);
    for (int s = 0; s < 4; s++) {
      extra(s);
    }
    getChildren().addAll(new HBox(14, drives), counts, grid);
  }

  private void set(String what, String path, Object value) {
    model.edit(what, job -> new RecordPath(path).with(job, value));
  }

  private void figure(
      String path,
      String words,
      Unit unit,
      double low,
      double high,
      Function<MountTerms, Double> otherwise) {
    RecordPath place = new RecordPath("mounting." + path);
    add(
        words,
        otherwise,
        unit,
        new FigureBox(
            model,
            "mounting-" + path,
            new FigureBox.Spec(words, unit, low, high, true),
            6,
            job -> (Double) place.get(job),
            (job, v) -> place.with(job, v)));
  }

  private void extra(int screw) {
    String name = MountTerms.USUAL.places().get(screw).name();
    add(
        "more turns, " + name,
        t -> 0.0,
        Unit.COUNT,
        new FigureBox(
            model,
            "extra-" + screw,
            new FigureBox.Spec("turns more at " + name, Unit.COUNT, -20, 20, true),
            6,
            job -> job.mounting().extra(screw) == 0 ? null : job.mounting().extra(screw),
            (job, v) -> job.withMounting(job.mounting().withExtra(screw, v == null ? 0 : v))));
  }

  private void add(String words, Function<MountTerms, Double> otherwise, Unit unit, FigureBox box) {
    int at = figures.size();
    int column = at % 2 * 3;
    int row = at / 2;
    grid.add(Labels.line(words), column, row);
    grid.add(box, column + 1, row);
    grid.add(box.unit(), column + 2, row);
    figures.add(box);
    usual.add(otherwise);
    units.add(unit);
  }

  void refresh() {
    Job job = model.jobProperty().get();
    for (int i = 0; i < figures.size(); i++) {
      figures.get(i).refresh();
      figures
          .get(i)
          .setPromptText(
              model
                  .notationProperty()
                  .get()
                  .editable(usual.get(i).apply(job.mounting()), units.get(i)));
    }
    drives.show(job.mounting().drive());
    counts.show(job.mounting().screws());
  }
}
