package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.desktop.model.Bell;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/**
 * What touches first; how the plate rests; the heights; how flat each face is; what lid and cooler
 * leave; the sheet to cut.
 */
public final class MeasureView implements StageView {
  private final JobModel shell;
  private final MeasureModel model;
  private final GaugeSession session;
  private final AnswerPane answer = new AnswerPane(Stage.MEASURE.question(), "measure-answer");
  private final PictureView picture = new PictureView();
  private final TopRows tops;

  /** These follow some frames after what is seen first; null until then. */
  private FacePanel face;

  private LidPanel lid;
  private ShimPanel shim;
  private final Parts parts;
  private final VBox node;

  /** A view of the model's job. */
  public MeasureView(JobModel shell, Desk window, Bell tick) {
    this.shell = shell;
    model = new MeasureModel(shell);
    session = new GaugeSession(shell, tick);
    tops = new TopRows(shell);
    GaugePanel gauge = new GaugePanel(shell, session);
    gauge.awaiting(Unit.MILLIMETRE);
    answer.lookup("#measure-answer").getStyleClass().add("long");
    picture.setId("fit-picture");
    picture.setMinHeight(240);
    VBox heights = new Column(tops);
    heights.getStyleClass().add("panel");
    VBox drawn = new Column(picture);
    drawn.getStyleClass().add("panel");
    parts =
        answer.parts(
            List.of(
                Part.of("fit", drawn),
                Part.of("heights", heights),
                new Part("faces", () -> face),
                new Part("lid and cooler", () -> lid),
                new Part("sheet", () -> shim)));
    node = new Column(answer, drawn, gauge, heights);
    node.getStyleClass().add("stage");
    model.shownProperty().addListener((o, was, is) -> show());
    WhenSeen figures = new WhenSeen(shell, Stage.MEASURE, this::boxes);
    shell.jobProperty().addListener((o, was, is) -> figures.changed());
    shell.notationProperty().addListener((o, was, is) -> figures.changed());
    shell.themeProperty().addListener((o, was, is) -> show());
    boxes();
    show();
    Later.belowTheFold(shell, () -> addFace(window, gauge), this::addLid, () -> addSheet(window));
  }

  private void addFace(Desk window, GaugePanel gauge) {
    face = new FacePanel(shell, window, model, session, gauge);
    added(face, () -> {});
  }

  private void addLid() {
    lid = new LidPanel(shell);
    added(lid, lid::refresh);
  }

  private void addSheet(Desk window) {
    shim = new ShimPanel(shell, window);
    added(shim, shim::refresh);
    node.getChildren()
        .add(
            Labels.line(
                "Unplug and discharge before you measure on the board, and lay the indicator's tip"
                    + " down softly: silicon chips at its edges.",
                "hint"));
  }

  private void added(Node panel, Runnable boxes) {
    node.getChildren().add(panel);
    if (shell.jobProperty().get() != null) {
      boxes.run();
    }
    show();
  }

  private void boxes() {
    if (shell.jobProperty().get() != null) {
      tops.refresh();
      if (lid != null) {
        lid.refresh();
      }
      if (shim != null) {
        shim.refresh();
      }
    }
  }

  private void show() {
    MeasureModel.Shown now = model.shownProperty().get();
    if (now == null || shell.jobProperty().get() == null) {
      answer.show("Working out what touches first…");
      return;
    }
    MeasureAnswer said = now.answer();
    answer.show(said, shell.notationProperty().get());
    Drawing rest = said.pictures().get(0);
    picture.setMinHeight(rest.height());
    picture.setPrefHeight(rest.height());
    picture.show(rest.painter()::at, shell.themeProperty().get().dark());
    tops.derived(said.fit());
    if (face != null) {
      face.refresh(said.job(), now.face());
    }
    if (lid != null) {
      lid.refresh(said);
    }
    if (shim != null) {
      shim.refresh(said);
    }
  }

  @Override
  public void part(int number) {
    parts.go(number);
  }

  @Override
  public Node node() {
    return node;
  }

  @Override
  public void toggleWorking() {
    answer.toggleWorking();
  }

  @Override
  public boolean takes(Path file) {
    return face != null && face.takes(file);
  }

  @Override
  public void nudge(int by) {
    model.faceProperty().set(model.faceProperty().get().further(by));
  }

  @Override
  public void accept() {
    session.touch();
  }
}
