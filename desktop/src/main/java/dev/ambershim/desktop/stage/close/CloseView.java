package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Lines;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/**
 * How thick the film under the lid will be and how long its glue cures; then how hard the cooler
 * presses, turn by turn, and what the first minute should look like.
 */
public final class CloseView implements StageView {
  private final JobModel shell;
  private final CloseModel model;
  private final AnswerPane answer = new AnswerPane(Stage.CLOSE.question(), "close-answer");
  private final AnswerPane mount = new AnswerPane("How hard, in which order?", "mount-answer");
  private final PictureView lid = new PictureView();
  private final PictureView turns = new PictureView();
  private final VBox lidBox;
  private final Lines checks = new Lines(3, "reason");
  private final Lines first = new Lines(3, "reason");
  private final VBox cautions = new Column(3);
  private final Button take = new Button("Put these gaps into the section");
  private final GluePanel glue;
  private final ScrewPanel screws;
  private final Parts parts;
  private final VBox node;

  /** A view of the model's job. */
  public CloseView(JobModel shell) {
    this.shell = shell;
    model = new CloseModel(shell);
    glue = new GluePanel(shell);
    screws = new ScrewPanel(shell);
    answer.lookup("#close-answer").getStyleClass().add("long");
    mount.lookup("#mount-answer").getStyleClass().setAll("label", "strong");
    lid.setId("close-picture");
    lid.setMinHeight(210);
    lid.setPrefHeight(210);
    turns.setId("close-turns");
    turns.setMinHeight(230);
    turns.setPrefHeight(230);
    checks.setId("close-checks");
    first.setId("close-first");
    take.setId("close-take");
    take.disableProperty().bind(shell.readOnlyProperty());
    take.setOnAction(e -> take());
    lidBox = panel(lid, take, glue);
    cautions
        .getChildren()
        .setAll(
            Labels.line(Caution.FORCE.words(), "reason"),
            Labels.line(Caution.GLUE.words(), "reason"));
    VBox pressed = panel(mount, turns, checks, screws);
    VBox minute = panel(Labels.line("The first minute", "strong"), first);
    parts =
        answer.parts(
            List.of(
                Part.of("lid", lidBox),
                Part.of("screws", pressed),
                Part.of("first minute", minute)));
    node = new Column(answer, lidBox);
    Later.belowTheFold(
        shell,
        () -> node.getChildren().add(pressed),
        () -> node.getChildren().addAll(minute, panel(cautions)));
    node.getStyleClass().add("stage");
    model.shownProperty().addListener((o, was, is) -> show());
    model.startProperty().addListener((o, was, is) -> started());
    WhenSeen figures = new WhenSeen(shell, Stage.CLOSE, this::boxes);
    shell.jobProperty().addListener((o, was, is) -> figures.changed());
    shell.notationProperty().addListener((o, was, is) -> figures.changed());
    shell
        .themeProperty()
        .addListener(
            (o, was, is) -> {
              show();
              started();
            });
    boxes();
    show();
    started();
  }

  private static VBox panel(Node... children) {
    VBox box = new Column(8, children);
    box.getStyleClass().add("panel");
    return box;
  }

  private void boxes() {
    if (shell.jobProperty().get() != null) {
      glue.refresh();
      screws.refresh();
    }
  }

  /** The gaps that were worked out, as the build after the work. */
  private void take() {
    CloseAnswer shown = model.shownProperty().get();
    if (shown == null || shown.lid().isEmpty()) {
      return;
    }
    LidSeat seat = shown.lid().get().seat();
    double film =
        Math.max(
            LidSeat.FILM_MICROMETRES, seat.gaps().stream().mapToDouble(g -> g).min().orElse(0));
    shell.edit(
        "gaps under the lid",
        job -> {
          Build after = job.after();
          Joint inner =
              new Joint(
                  after.inner().filling(), film, after.inner().conductivityWattsPerMetreKelvin());
          return job.with(
              job.title(),
              job.notes(),
              job.cooler(),
              job.before(),
              new Build(after.lidOn(), seat.glueMicrometres(), inner, after.outer()));
        });
    shell.say("The section now shows this film and glue line.");
  }

  private void show() {
    CloseAnswer shown = model.shownProperty().get();
    Job job = shell.jobProperty().get();
    if (shown == null || job == null) {
      answer.show("Working out gap and force…");
      return;
    }
    Notation notation = shell.notationProperty().get();
    boolean dark = shell.themeProperty().get().dark();
    boolean closes = shown.lid().isPresent();
    lidBox.setVisible(closes);
    lidBox.setManaged(closes);
    mount.setVisible(closes);
    mount.setManaged(closes);
    answer.show(shown, notation);
    shown.others().forEach(f -> mount.show(f.sentence(), List.of()));
    for (Drawing drawing : shown.pictures()) {
      (drawing.name().equals("lid") ? lid : turns).show(drawing.painter()::at, dark);
    }
    checks.show(shown.notes());
  }

  private void started() {
    FirstStart start = model.startProperty().get();
    first.show(
        start == null
            ? List.of("Working out the first minute…")
            : start.words(shell.notationProperty().get()));
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
}
