package dev.ambershim.desktop.stage.baseline;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.CoreMaps;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.desktop.model.CauseWatch;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.stage.clocking.LadderPanel;
import dev.ambershim.desktop.stage.conduct.ConductSheet;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.ChartPanel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.CorePanel;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.RunRows;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** How the chip runs before the work: the answer, the chart, the runs. */
public final class BaselineView implements StageView {
  private final JobModel model;
  private final Desk shell;
  private final AnswerPane answer = new AnswerPane(Stage.BASELINE.question(), "baseline-answer");
  private final ChartPanel chart;
  private final CorePanel cores;
  private final LadderPanel ladder;
  private final RunRows rows;
  private final Parts parts;
  private final CauseWatch causes;
  private final VBox node;

  /** A view of the model's job. */
  public BaselineView(JobModel model, Desk shell) {
    this.model = model;
    this.shell = shell;
    causes = new CauseWatch(model, Side.BEFORE, this::refresh);
    rows = new RunRows(model, shell);
    chart = new ChartPanel(model, shell, "baseline-chart");
    cores = new CorePanel(model, "baseline-cores");
    ladder = new LadderPanel(model, shell, false, "baseline-ladder");
    HBox foot = new Strip(10);
    foot.setMinHeight(34);
    Later.afterOpening(model, () -> foot.getChildren().addAll(buttons(shell)));
    foot.setAlignment(Pos.CENTER_LEFT);
    parts =
        answer.parts(
            List.of(
                Part.of("runs", chart),
                Part.of("cores", cores),
                Part.of("clock", ladder),
                Part.of("logs", rows)));
    node = new Column(answer, chart, cores, ladder, rows, foot);
    node.getStyleClass().add("stage");
    WhenSeen view = new WhenSeen(model, Stage.BASELINE, this::refresh);
    model.assessmentProperty().addListener((o, was, is) -> view.changed());
    model
        .stageProperty()
        .addListener(
            (o, was, is) -> {
              if (is == Stage.BASELINE) {
                causes.look();
              }
            });
    model.themeProperty().addListener((o, was, is) -> view.changed());
    refresh();
  }

  private List<Node> buttons(Desk shell) {
    Button conduct = new Button("Conduct a run  Ctrl+J");
    conduct.setId("conduct");
    conduct.getStyleClass().add("next");
    conduct.disableProperty().bind(model.readOnlyProperty());
    conduct.setOnAction(e -> shell.conduct());
    Button add = new Button("Add logs from before the work  Ctrl+O");
    add.setId("add-before");
    add.disableProperty().bind(model.readOnlyProperty());
    add.setOnAction(e -> shell.files().takeLogs(Side.BEFORE));
    return List.of(conduct, add, Labels.line("or drop files or a folder on the window.", "hint"));
  }

  private void refresh() {
    Assessment now = model.assessmentProperty().get();
    if (now == null) {
      return;
    }
    Notation notation = model.notationProperty().get();
    List<RunResult> runs = now.runs(Side.BEFORE);
    answer.show(BaselineAnswer.of(now, causes.known(now).map(CauseWatch.Known::ranking)), notation);
    if (model.stageProperty().get() == Stage.BASELINE) {
      causes.look();
    }
    chart.show(runs);
    cores.show(CoreMaps.of(now.only(Side.BEFORE), notation), false, runs);
    ladder.show(now.job(), now.headroom());
    rows.show(runs);
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
  public void writeRung() {
    ladder.writeRung();
  }

  @Override
  public void conduct() {
    ConductSheet.open(model, shell, Side.BEFORE);
  }
}
