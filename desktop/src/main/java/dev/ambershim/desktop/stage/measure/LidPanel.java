package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.HeightFigures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Lines;
import dev.ambershim.desktop.widget.ReadingBox;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What the lid leaves over the die, how much lower the cooler must come, and the screws. */
final class LidPanel extends Column {
  private final JobModel model;
  private final VBox answers = new Column(6);
  private final VBox found = new Column(6);
  private final Lines screws = new Lines(6, "reason");
  private final Label unread =
      Labels.line(
          "Read the depth of the lid's hollow and the glue line to see what the lid leaves over the"
              + " die; read the lid's top to see how much lower the cooler must come without it.",
          "hint");
  private final List<AnswerPane> panes = new ArrayList<>();
  private final GridPane grid = new GridPane();
  private final List<ReadingBox> readings = new ArrayList<>();
  private final List<FigureBox> figures = new ArrayList<>();
  private final CheckBox soft = new CheckBox("thread in aluminium or brass");
  private int rows;

  LidPanel(JobModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    grid.setHgap(10);
    grid.setVgap(5);
    reading("lidTop", "lid's top over the substrate, closed", Heights::lidTop, Heights::withLidTop);
    reading("cavity", "depth of the lid's hollow", Heights::cavity, Heights::withCavity);
    reading("glue", "glue line under the rim, as it will be", Heights::glue, Heights::withGlue);
    reading("newCavity", "hollow of a replacement lid", Heights::newCavity, Heights::withNewCavity);
    reading(
        "substrateOverBoard",
        "substrate over the mainboard",
        Heights::substrateOverBoard,
        Heights::withSubstrateOverBoard);
    reading(
        "plateOutOfBracket",
        "cold plate out of its bracket",
        Heights::plateOutOfBracket,
        Heights::withPlateOutOfBracket);
    HeightFigures.held().forEach(this::add);
    soft.setId("mount-soft");
    soft.disableProperty().bind(model.readOnlyProperty());
    soft.setOnAction(e -> model.edit("thread's metal", job -> soft(job, soft.isSelected())));
    grid.add(soft, 1, rows);
    getChildren().addAll(Labels.line("Lid, cooler and screws", "question"), answers, grid);
    answers.setId("lid-answers");
    answers.getChildren().addAll(unread, found, screws);
  }

  private void reading(
      String path,
      String words,
      Function<Heights, Reading> read,
      BiFunction<Heights, Reading, Heights> write) {
    ReadingBox box =
        new ReadingBox(
            model,
            "height-" + path,
            words,
            job -> read.apply(job.heights()),
            (job, r) -> job.withHeights(write.apply(job.heights(), r)));
    readings.add(box);
    add(words, box);
  }

  private static Job soft(Job job, boolean is) {
    Heights heights = job.heights();
    return job.withHeights(heights.withMount(heights.mount().withSoftThread(is)));
  }

  private void add(Figure figure) {
    FigureBox box = new FigureBox(model, figure, 6);
    figures.add(box);
    HBox both = new Strip(6, box, box.unit());
    both.setAlignment(Pos.CENTER_LEFT);
    add(figure.label(), both);
  }

  private void add(String words, Node box) {
    Label label = Labels.line(words);
    grid.add(label, 0, rows);
    grid.add(box, 1, rows);
    GridPane.setValignment(label, VPos.CENTER);
    rows++;
  }

  void refresh() {
    Notation notation = model.notationProperty().get();
    readings.forEach(ReadingBox::refresh);
    figures.forEach(FigureBox::refresh);
    soft.setSelected(model.jobProperty().get().heights().mount().softThread());
    grid.setAlignment(Pos.TOP_LEFT);
    grid.setAccessibleHelp(notation.symbol(Unit.MILLIMETRE));
  }

  void refresh(MeasureAnswer now) {
    List<Finding> findings = now.others();
    unread.setVisible(findings.isEmpty());
    unread.setManaged(findings.isEmpty());
    for (int i = panes.size(); i < findings.size(); i++) {
      AnswerPane pane = new AnswerPane("", "lid-answer-" + i);
      pane.lookup("#lid-answer-" + i).getStyleClass().setAll("label", "strong");
      pane.getChildren().remove(0);
      panes.add(pane);
    }
    if (found.getChildren().size() != findings.size()) {
      found.getChildren().setAll(panes.subList(0, findings.size()));
    }
    for (int i = 0; i < findings.size(); i++) {
      panes.get(i).show(findings.get(i), List.of(), model.notationProperty().get());
    }
    screws.show(now.screws());
  }
}
