package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Outlier;
import dev.ambershim.core.physics.surface.ProbeTable;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.picture.ReliefPicture;
import dev.ambershim.core.stage.measure.FaceAnswer;
import dev.ambershim.core.stage.measure.FaceFinding;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.logbook.store.WholeFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One face: how flat, its relief, what stands up, what is doubtful, and ways to probe it. */
final class FacePanel extends Column {
  private static final double HEIGHT = 330;

  private final JobModel model;
  private final MeasureModel measure;
  private final AnswerPane answer = new AnswerPane("Is it flat?", "face-answer");
  private final PictureView relief = new PictureView();
  private final VBox doubts = new Column(4);
  private final Button write = new Button("Write as CSV");
  private final Button drop = new Button("Remove this probing");

  FacePanel(
      JobModel model, Desk shell, MeasureModel measure, GaugeSession session, GaugePanel gauge) {
    super(8);
    this.model = model;
    this.measure = measure;
    getStyleClass().add("panel");
    answer.lookup("#face-answer").getStyleClass().setAll("label", "strong");
    relief.setId("face-relief");
    relief.setMinHeight(HEIGHT);
    relief.setPrefHeight(HEIGHT);
    PickBar<Face> picks =
        new PickBar<>(
            List.of(Face.values()),
            Face::words,
            f -> "face-" + f.name(),
            measure.faceProperty()::set);
    picks.show(face());
    measure.faceProperty().addListener((o, was, is) -> picks.show(is));
    ComboBox<String> size = new ComboBox<>();
    size.setId("probe-grid");
    size.setAccessibleText("places to probe");
    size.getItems().setAll("3 by 3", "5 by 5", "7 by 7", "9 by 9");
    size.setValue("5 by 5");
    Button probe = new Button("Probe it anew");
    probe.setId("probe-begin");
    probe.disableProperty().bind(model.readOnlyProperty());
    probe.setOnAction(
        e -> {
          gauge.awaiting(Unit.MICROMETRE);
          session.probe(measure.faceProperty().get(), size.getValue().charAt(0) - '0');
          gauge.focus();
        });
    Button read = new Button("Read a CSV");
    read.setId("probe-read");
    read.disableProperty().bind(model.readOnlyProperty());
    read.setOnAction(e -> shell.files().probe().ifPresent(this::read));
    write.setId("probe-write");
    write.setOnAction(e -> shell.files().probeTarget(face().words()).ifPresent(this::write));
    drop.setId("probe-remove");
    drop.setOnAction(
        e ->
            model.edit(
                "remove probing of " + face().words(),
                job -> job.withSurfaces(job.surfaces().without(face()))));
    FlowPane ways = new FlowPane(6, 6, size, probe, read, write, drop);
    getChildren()
        .addAll(picks, answer, relief, Labels.line(ReliefPicture.SIGNS, "hint"), doubts, ways);
  }

  private Face face() {
    return measure.faceProperty().get();
  }

  /** Reads a file that was dropped, if it is a table of probed heights. */
  boolean takes(Path file) {
    boolean table = !model.readOnly() && ProbeTable.looksLike(ProbeTable.text(LogFiles.head(file)));
    if (table) {
      read(file);
    }
    return table;
  }

  private void read(Path file) {
    String name = file.getFileName().toString();
    Face face = face();
    model
        .work()
        .submit(
            "reading " + name,
            progress -> {
              try {
                List<ProbedPoint> points =
                    ProbeTable.read(name, ProbeTable.text(LogFiles.read(file)));
                FaceReport.of(points, Optional.empty());
                return points;
              } catch (Problem problem) {
                throw problem.in(name);
              }
            },
            points ->
                model.edit(
                    "probing of " + face.words() + ": " + name,
                    job ->
                        job.withSurfaces(
                            job.surfaces()
                                .with(
                                    new Relief(face, name, points, job.surfaces().passes(face))))));
  }

  private void write(Path file) {
    Optional<Relief> relief = model.jobProperty().get().surfaces().latest(face());
    if (relief.isPresent()) {
      model
          .work()
          .submit(
              "writing " + file.getFileName(),
              progress -> {
                String table = ProbeTable.write(relief.get().points());
                WholeFile.write(file, table.getBytes(StandardCharsets.UTF_8));
                return file;
              },
              done -> model.say("Written: " + done.getFileName() + "."));
    }
  }

  void refresh(Job job, FaceAnswer now) {
    Notation notation = model.notationProperty().get();
    boolean probed = job.surfaces().latest(now.face()).isPresent();
    write.setDisable(!probed);
    drop.setDisable(!probed || model.readOnly());
    relief.setVisible(now.report().isPresent());
    relief.setManaged(now.report().isPresent());
    doubts.getChildren().clear();
    if (now.finding().isEmpty()) {
      answer.show(now.sentence());
      return;
    }
    answer.show(now.finding().get(), now.notes(), notation);
    FaceReport report = now.report().orElseThrow();
    Optional<Patch> die = FaceAnswer.dieOn(job, now.face());
    relief.show(
        (w, h) ->
            ReliefPicture.of(
                report,
                now.relief().orElseThrow(),
                now.face().words(),
                die,
                Optional.empty(),
                notation,
                w,
                h),
        model.themeProperty().get().dark());
    List<String> words = FaceFinding.doubts(report, notation);
    for (int i = 0; i < words.size(); i++) {
      Outlier outlier = report.outliers().get(i);
      Button out = new Button("Take it out");
      out.setId("outlier-" + i);
      out.setMinWidth(USE_PREF_SIZE);
      out.disableProperty().bind(model.readOnlyProperty());
      out.setOnAction(e -> takeOut(now.face(), outlier));
      HBox row = new Strip(8, Labels.line(words.get(i), "hint", "wrong"), out);
      row.setAlignment(Pos.CENTER_LEFT);
      doubts.getChildren().add(row);
    }
  }

  private void takeOut(Face face, Outlier outlier) {
    model.edit(
        "take out a place of " + face.words(),
        job ->
            job.surfaces()
                .latest(face)
                .map(
                    r ->
                        job.withSurfaces(
                            job.surfaces()
                                .replacing(
                                    r.with(
                                        r.points().stream()
                                            .filter(p -> !same(p, outlier.point()))
                                            .toList()))))
                .orElse(job));
  }

  private static boolean same(ProbedPoint a, ProbedPoint b) {
    return Math.hypot(a.xMillimetres() - b.xMillimetres(), a.yMillimetres() - b.yMillimetres())
        < 0.01;
  }
}
