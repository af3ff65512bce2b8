package dev.ambershim.desktop.stage.lap;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.surface.Grit;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The lapping log: each pass with what it took off, and the probings between them. */
final class PassPanel extends Column {
  private final JobModel model;
  private final VBox rows = new Column(3);
  private final ComboBox<String> grit = new ComboBox<>();
  private final TextField strokes = field("pass-strokes", "strokes", 6);
  private final TextField removed = field("pass-removed", "came off, µm", 9);
  private final Button undo = new Button("Remove the last pass");

  PassPanel(JobModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    rows.setId("passes");
    grit.setId("pass-grit");
    grit.setAccessibleText("grit of the paper");
    grit.getItems().setAll(Arrays.stream(Grit.values()).map(g -> "P" + g.number()).toList());
    grit.setValue("P800");
    strokes.setOnAction(e -> add());
    removed.setOnAction(e -> add());
    Button add = new Button("Note the pass");
    add.setId("add-pass");
    add.disableProperty().bind(model.readOnlyProperty());
    add.setOnAction(e -> add());
    undo.setId("remove-pass");
    undo.setOnAction(
        e -> model.edit("remove pass", job -> job.withSurfaces(job.surfaces().withoutLastPass())));
    HBox adding = new Strip(6, grit, strokes, removed, add, undo);
    adding.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Labels.line("Lapping log", "strong"),
            Labels.line(
                "Read the thickness by micrometer at the same five places before and after a pass:"
                    + " what came off in the mean teaches your own rate.",
                "hint"),
            rows,
            adding);
  }

  private static TextField field(String id, String prompt, int letters) {
    TextField field = new Box();
    field.setId(id);
    field.setPromptText(prompt);
    field.setAccessibleText(prompt);
    field.setPrefColumnCount(letters);
    return field;
  }

  private void add() {
    Notation notation = model.notationProperty().get();
    try {
      double count = notation.read(strokes.getText(), Unit.COUNT, "strokes");
      if (!(count >= 1 && count <= 1e6)) {
        throw new Problem(
            "lap.strokes",
            Place.field("strokes"),
            "That many strokes cannot be.",
            "Type how many, one way each, such as 200.");
      }
      Double off =
          removed.getText().isBlank()
              ? null
              : (Double) notation.read(removed.getText(), Unit.MICROMETRE, "came off");
      if (off != null && !(off > 0 && off <= 1000)) {
        throw new Problem(
            "lap.removed",
            Place.field("came off"),
            notation.text(off, Unit.MICROMETRE) + " cannot have come off.",
            "Type the mean thickness that is gone, in " + notation.symbol(Unit.MICROMETRE) + ".");
      }
      Grit paper =
          Arrays.stream(Grit.values())
              .filter(g -> ("P" + g.number()).equals(grit.getValue()))
              .findFirst()
              .orElseThrow();
      strokes.clear();
      removed.clear();
      model.edit(
          "pass with " + grit.getValue(),
          job -> {
            LapTerms t = job.surfaces().terms();
            return job.withSurfaces(
                job.surfaces()
                    .with(new LapPass(t.face(), paper, count, t.press(), t.stroke(), off, "")));
          });
      strokes.requestFocus();
    } catch (Problem problem) {
      model.say(problem.getMessage());
    }
  }

  void refresh() {
    removed.setPromptText("came off, " + model.notationProperty().get().symbol(Unit.MICROMETRE));
    undo.setDisable(model.jobProperty().get().surfaces().passes().isEmpty() || model.readOnly());
  }

  /** Shows the log. */
  void show(List<String> lines) {
    rows.getChildren().clear();
    for (String line : lines) {
      rows.getChildren().add(Labels.line(line, line.startsWith("Pass") ? "label" : "quiet"));
    }
    if (lines.isEmpty()) {
      rows.getChildren().add(Labels.line("Nothing lapped yet.", "hint"));
    }
  }
}
