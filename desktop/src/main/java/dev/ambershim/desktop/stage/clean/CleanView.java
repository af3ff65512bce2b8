package dev.ambershim.desktop.stage.clean;

import dev.ambershim.core.plan.Flaw;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.plan.Flaw.Kind;
import dev.ambershim.core.plan.Phase;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.core.stage.clean.CleanAnswer.Judgement;
import dev.ambershim.core.stage.clean.FacesPicture;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.model.WorkModel;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.StepList;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Whether the faces may be used again, each face at a glance, the flaws, the steps of cleaning. */
public final class CleanView implements StageView {
  private final JobModel model;
  private final WorkModel bench;
  private final AnswerPane answer = new AnswerPane(Stage.CLEAN.question(), "clean-answer");
  private final PictureView faces = new PictureView();
  private final VBox flaws = new Column(6);
  private final ComboBox<String> face = new ComboBox<>();
  private final ComboBox<String> kind = new ComboBox<>();
  private final CheckBox deep = new CheckBox("deep, large or many");
  private final TextField place = new Box();
  private final StepList steps;
  private final VBox node;

  /** A view of the model's job. */
  public CleanView(JobModel model, Desk shell) {
    this.model = model;
    bench = model.workbench();
    answer.lookup("#clean-answer").getStyleClass().add("long");
    faces.setId("clean-faces");
    faces.setMinHeight(FacesPicture.HEIGHT);
    faces.setPrefHeight(FacesPicture.HEIGHT);
    faces.onPick(part -> face.setValue(part));
    flaws.setId("clean-flaws");
    steps = new StepList(model, "clean-steps");
    Button go = new Button("At the bench  F2");
    go.setId("clean-to-bench");
    go.getStyleClass().add("next");
    go.setOnAction(e -> shell.toggleBench());
    node = new Column(answer, panel(faces), panel(flaws, adding()), new Strip(go), steps);
    node.getStyleClass().add("stage");
    WhenSeen view = new WhenSeen(model, Stage.CLEAN, this::refresh);
    bench.outlookProperty().addListener((o, was, is) -> view.changed());
    model.jobProperty().addListener((o, was, is) -> view.changed());
    model.themeProperty().addListener((o, was, is) -> view.changed());
    bench.watch();
    refresh();
  }

  private static VBox panel(Node... children) {
    VBox box = new Column(children);
    box.getStyleClass().add("panel");
    return box;
  }

  private FlowPane adding() {
    face.setId("flaw-face");
    face.setAccessibleText("face");
    face.getItems().setAll(Arrays.stream(Face.values()).map(Face::words).toList());
    face.setValue(Face.DIE.words());
    kind.setId("flaw-kind");
    kind.setAccessibleText("kind of flaw");
    kind.getItems().setAll(Arrays.stream(Kind.values()).map(Kind::words).toList());
    kind.setValue(Kind.SCRATCH.words());
    deep.setId("flaw-deep");
    place.setId("flaw-place");
    place.setPromptText("where");
    place.setAccessibleText("where the flaw is");
    place.setPrefWidth(110);
    place.setOnAction(e -> add());
    Button add = new Button("Note the flaw");
    add.setId("add-flaw");
    add.disableProperty().bind(model.readOnlyProperty());
    add.setOnAction(e -> add());
    return new FlowPane(8, 6, face, kind, deep, place, add);
  }

  private void add() {
    Face where =
        Arrays.stream(Face.values())
            .filter(f -> f.words().equals(face.getValue()))
            .findFirst()
            .orElse(Face.DIE);
    Kind what =
        Arrays.stream(Kind.values())
            .filter(k -> k.words().equals(kind.getValue()))
            .findFirst()
            .orElse(Kind.SCRATCH);
    Flaw flaw = new Flaw(where, what, deep.isSelected(), place.getText());
    place.clear();
    bench.edit(
        "flaw: " + what.words(),
        log -> {
          List<Flaw> all = new ArrayList<>(log.flaws());
          all.add(flaw);
          return log.withFlaws(all);
        });
  }

  private void refresh() {
    if (model.jobProperty().get() == null) {
      return;
    }
    CleanAnswer verdict = CleanAnswer.of(model.jobProperty().get());
    answer.show(verdict, model.notationProperty().get());
    faces.show((w, h) -> FacesPicture.of(verdict, w, h), model.themeProperty().get().dark());
    flaws.getChildren().clear();
    if (verdict.judgements().isEmpty()) {
      flaws
          .getChildren()
          .add(Labels.line("No flaw noted. Pick a face above, then say what.", "hint"));
    }
    for (int i = 0; i < verdict.judgements().size(); i++) {
      flaws.getChildren().add(row(verdict.judgements().get(i), i));
    }
    Outlook now = bench.outlookProperty().get();
    if (now != null) {
      steps.show(now, step -> step.phase() == Phase.CLEAN || step.id().equals("open-look"));
    }
  }

  private Node row(Judgement judged, int index) {
    Button remove = new Button("Remove");
    remove.setId("remove-flaw-" + index);
    remove.setDisable(model.readOnly());
    remove.setMinWidth(Region.USE_PREF_SIZE);
    remove.setOnAction(
        e ->
            bench.edit(
                "remove flaw",
                log -> {
                  List<Flaw> all = new ArrayList<>(log.flaws());
                  all.remove(index);
                  return log.withFlaws(all);
                }));
    VBox words =
        new Column(
            2,
            Labels.line(judged.title(), "strong"),
            Labels.line(judged.meaning() + " " + judged.doing(), "reason"));
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new Strip(10, words, remove);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  @Override
  public Node node() {
    return node;
  }
}
