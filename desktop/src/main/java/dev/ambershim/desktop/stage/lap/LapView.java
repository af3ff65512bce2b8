package dev.ambershim.desktop.stage.lap;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.LapFigures;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.Grit;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.picture.ReliefPicture;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.lap.LapAnswer;
import dev.ambershim.core.stage.lap.LapPicture;
import dev.ambershim.core.stage.lap.LappingQuestion;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Lines;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.PickBar;
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What lapping would gain here; the face and what it leaves between it and its partner; papers and
 * strokes; the log; then how it is to be lapped.
 */
public final class LapView implements StageView {
  private static final double HEIGHT = 300;

  private final JobModel shell;
  private final LapModel model;
  private final AnswerPane answer = new AnswerPane(Stage.LAP.question(), "lap-answer");
  private final PictureView before = new PictureView();
  private final PictureView now = new PictureView();
  private final PictureView strokes = new PictureView();
  private final VBox drawn;
  private final PickBar<Face> faces;
  private final CheckBox cold = new CheckBox("for extreme cold: paste that must not crack");
  private final GridPane grid = new GridPane();
  private final Lines cautions = new Lines(3, "reason");
  private final Lines watch = new Lines(3, "reason");
  private final List<FigureBox> figures = new ArrayList<>();
  private final PassPanel passes;
  private final HBox finish = new Strip();
  private final Parts parts;
  private final VBox node;

  /** A view of the model's job. */
  public LapView(JobModel shell) {
    this.shell = shell;
    model = new LapModel(shell);
    passes = new PassPanel(shell);
    faces =
        new PickBar<>(List.of(Face.values()), Face::words, f -> "lap-face-" + f.name(), this::lap);
    answer.lookup("#lap-answer").getStyleClass().add("long");
    size(before, "lap-before");
    size(now, "lap-now");
    strokes.setId("lap-strokes");
    HBox pair = new Strip(8, before, now);
    HBox.setHgrow(before, Priority.ALWAYS);
    HBox.setHgrow(now, Priority.ALWAYS);
    drawn = panel(pair, Labels.line(ReliefPicture.SIGNS, "hint"), strokes);
    cautions.setId("lap-cautions");
    watch.setId("lap-notes");
    Node lapping = terms();
    parts =
        answer.parts(
            List.of(
                Part.of("face", drawn), Part.of("passes", passes), Part.of("how to lap", lapping)));
    node = new Column(answer, faces, drawn, panel(watch));
    Later.belowTheFold(
        shell,
        () -> node.getChildren().add(passes),
        () -> node.getChildren().addAll(lapping, panel(cautions)));
    node.getStyleClass().add("stage");
    model.shownProperty().addListener((o, was, is) -> show());
    WhenSeen figures = new WhenSeen(shell, Stage.LAP, this::boxes);
    shell.jobProperty().addListener((o, was, is) -> figures.changed());
    shell.notationProperty().addListener((o, was, is) -> figures.changed());
    shell.themeProperty().addListener((o, was, is) -> show());
    boxes();
    show();
  }

  private static void size(PictureView picture, String id) {
    picture.setId(id);
    picture.setMinHeight(HEIGHT);
    picture.setPrefHeight(HEIGHT);
    picture.setPrefWidth(300);
  }

  private static VBox panel(Node... children) {
    VBox box = new Column(8, children);
    box.getStyleClass().add("panel");
    return box;
  }

  private void lap(Face face) {
    shell.edit(
        "lap: " + face.words(),
        job -> {
          LapTerms t = job.surfaces().terms();
          // Plating, floor and press belong to the face; aim and finish to the person.
          return terms(
              job,
              t.with(
                  to ->
                      to.face(face)
                          .platingMicrometres(null)
                          .floorMillimetres(null)
                          .newtons(null)
                          .offsetMillimetres(null)));
        });
  }

  private Node terms() {
    grid.setHgap(10);
    grid.setVgap(5);
    LapFigures.all().forEach(this::add);
    cold.setId("lap-cold");
    cold.disableProperty().bind(shell.readOnlyProperty());
    cold.setOnAction(
        e ->
            shell.edit(
                "aim of lapping",
                job -> terms(job, job.surfaces().terms().withExtremeCold(cold.isSelected()))));
    grid.add(Labels.line("last paper"), 0, figures.size());
    grid.add(finish, 1, figures.size());
    finish.setAlignment(Pos.CENTER_LEFT);
    return panel(Labels.line("How it is lapped", "strong"), cold, grid);
  }

  private static Job terms(Job job, LapTerms terms) {
    return job.withSurfaces(job.surfaces().withTerms(terms));
  }

  private void add(Figure figure) {
    FigureBox box = new FigureBox(shell, figure, 6);
    grid.add(Labels.line(figure.label()), 0, figures.size());
    grid.add(box, 1, figures.size());
    grid.add(box.unit(), 2, figures.size());
    figures.add(box);
  }

  private void boxes() {
    Job job = shell.jobProperty().get();
    if (job == null) {
      return;
    }
    LapTerms terms = job.surfaces().terms();
    faces.show(terms.face());
    cold.setSelected(terms.extremeCold());
    figures.forEach(FigureBox::refresh);
    finish
        .getChildren()
        .setAll(
            Picks.onDemand(
                "P" + terms.last().number(),
                "lap-finish",
                shell.readOnly(),
                () -> {
                  ComboBox<String> pick = new ComboBox<>();
                  pick.getItems()
                      .setAll(Arrays.stream(Grit.values()).map(g -> "P" + g.number()).toList());
                  pick.setValue("P" + terms.last().number());
                  Picks.follow(
                      pick,
                      words ->
                          shell.edit(
                              "last paper",
                              old ->
                                  terms(
                                      old,
                                      old.surfaces().terms().withFinish(Grit.valueOf(words)))));
                  return pick;
                }));
    passes.refresh();
  }

  private void show() {
    LapAnswer shown = model.shownProperty().get();
    if (shown == null || shell.jobProperty().get() == null) {
      answer.show("Working out what lapping would gain…");
      return;
    }
    Notation notation = shell.notationProperty().get();
    boolean dark = shell.themeProperty().get().dark();
    Face face = shown.job().surfaces().terms().face();
    passes.show(shown.log());
    cautions.show(shown.cautions());
    watch.show(shown.finding().isEmpty() ? List.of() : shown.notes());
    drawn.setVisible(shown.latest().isPresent());
    drawn.setManaged(shown.latest().isPresent());
    answer.show(shown, notation);
    if (shown.finding().isEmpty()) {
      return;
    }
    Optional<Patch> die =
        face == Face.DIE || face == Face.LAP
            ? Optional.empty()
            : Optional.of(LappingQuestion.outline(shown.job(), Face.DIE));
    boolean lapped = shown.job().surfaces().first(face).equals(shown.job().surfaces().latest(face));
    double span = shown.first().map(r -> r.report().flatness().flttMicrometres()).orElse(0.0);
    before.show(
        (w, h) ->
            ReliefPicture.of(
                shown.first().orElseThrow().report(),
                shown.first().orElseThrow().map(),
                lapped ? face.words() : face.words() + ", as first probed",
                die,
                Optional.of(span),
                notation,
                w,
                h),
        dark);
    now.setVisible(!lapped || shown.gain().isPresent());
    now.setManaged(!lapped || shown.gain().isPresent());
    if (!lapped) {
      now.show(
          (w, h) ->
              ReliefPicture.of(
                  shown.latest().orElseThrow().report(),
                  shown.latest().orElseThrow().map(),
                  face.words() + ", now",
                  die,
                  Optional.of(span),
                  notation,
                  w,
                  h),
          dark);
    } else if (shown.gain().isPresent()) {
      now.show(
          (w, h) ->
              ReliefPicture.gap(
                  shown.gain().get().pair(), "gap that the faces leave", die, notation, w, h),
          dark);
    }
    shown
        .plan()
        .ifPresent(
            plan -> {
              boolean any = !plan.steps().isEmpty();
              strokes.setVisible(any);
              strokes.setManaged(any);
              strokes.setMinHeight(LapPicture.height(plan));
              strokes.setPrefHeight(LapPicture.height(plan));
              strokes.show((w, h) -> LapPicture.of(plan, notation, w, h), dark);
            });
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
  public void nudge(int by) {
    if (!shell.readOnly()) {
      lap(shell.jobProperty().get().surfaces().terms().face().further(by));
    }
  }
}
