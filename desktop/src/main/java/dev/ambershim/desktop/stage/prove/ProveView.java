package dev.ambershim.desktop.stage.prove;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Compared;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.CoreMaps;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.prove.StripPicture;
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
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.RunRows;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The verdict, both sides' runs on one chart, and the runs. */
public final class ProveView implements StageView {
  private final JobModel model;
  private final ProveModel proved;
  private final Desk shell;
  private final AnswerPane answer = new AnswerPane(Stage.PROVE.question(), "verdict");
  private final ChartPanel chart;
  private final CorePanel cores;
  private final PictureView strips = new PictureView();
  private final VBox stripPanel = new Column(strips);
  private final LadderPanel ladder;
  private final HBox states = new Strip(8);
  private final RunRows rows;
  private final Parts parts;
  private final VBox node;
  private boolean whole;

  /** A view of the model's job. */
  public ProveView(JobModel model, Desk shell) {
    this.model = model;
    this.shell = shell;
    proved = new ProveModel(model, this::tell);
    rows = new RunRows(model, shell);
    chart = new ChartPanel(model, shell, "prove-chart");
    cores = new CorePanel(model, "prove-cores");
    ladder = new LadderPanel(model, shell, true, "prove-ladder");
    strips.setId("prove-strips");
    stripPanel.getStyleClass().add("panel");
    parts =
        answer.parts(
            List.of(
                Part.of("change", stripPanel),
                Part.of("runs", chart),
                Part.of("cores", cores),
                Part.of("clock", ladder),
                Part.of("logs", rows)));
    node = new Column(answer, states, stripPanel, chart);
    node.getStyleClass().add("stage");
    Later.belowTheFold(model, this::addLower);
    WhenSeen view = new WhenSeen(model, Stage.PROVE, this::refresh);
    model.assessmentProperty().addListener((o, was, is) -> view.changed());
    model.themeProperty().addListener((o, was, is) -> view.changed());
    model.stageProperty().addListener((o, was, is) -> look());
    proved.shownProperty().addListener((o, was, is) -> tell());
    refresh();
  }

  private void addLower() {
    HBox foot = new Strip(10);
    foot.getChildren().addAll(buttons());
    foot.setAlignment(Pos.CENTER_LEFT);
    whole = true;
    refreshLower();
    node.getChildren().addAll(cores, ladder, rows, foot);
  }

  private List<Node> buttons() {
    Button before = new Button("Add logs from before  Ctrl+O");
    before.setId("prove-add-before");
    before.setOnAction(e -> shell.files().takeLogs(Side.BEFORE));
    Button after = new Button("Add logs from after  Ctrl+Shift+O");
    after.setId("add-after");
    after.getStyleClass().add("next");
    after.setOnAction(e -> shell.files().takeLogs(Side.AFTER));
    Button conduct = new Button("Conduct a run  Ctrl+J");
    conduct.setId("conduct-after");
    conduct.setOnAction(e -> shell.conduct());
    conduct.disableProperty().bind(model.readOnlyProperty());
    before.disableProperty().bind(model.readOnlyProperty());
    after.disableProperty().bind(model.readOnlyProperty());
    return List.of(after, conduct, before);
  }

  private void refresh() {
    Assessment now = model.assessmentProperty().get();
    if (now == null) {
      return;
    }
    Notation notation = model.notationProperty().get();
    tell();
    strips(now.comparison().filter(c -> !c.figures().isEmpty()), notation);
    chart.show(now.runs());
    states(now.job());
    refreshLower();
  }

  private void tell() {
    Assessment now = model.assessmentProperty().get();
    if (now != null) {
      answer.show(proved.answer(now), model.notationProperty().get());
      look();
    }
  }

  /** Causes are looked for while somebody looks at what the run after the work says. */
  private void look() {
    if (model.stageProperty().get() == Stage.PROVE) {
      proved.lookForCauses();
    }
  }

  private void refreshLower() {
    Assessment now = model.assessmentProperty().get();
    if (whole && now != null) {
      cores.show(CoreMaps.of(now, model.notationProperty().get()), true, now.runs());
      ladder.show(now.job(), now.headroom());
      rows.show(now.runs());
    }
  }

  /** Which states are compared, once there are more than two. */
  private void states(Job job) {
    List<String> all = job.states();
    boolean choice = all.size() > 2;
    states.setVisible(choice);
    states.setManaged(choice);
    states.getChildren().clear();
    if (choice) {
      Compared now = Compared.of(job);
      states
          .getChildren()
          .addAll(
              Labels.line("Compared:"),
              pick("compare-first", all, now.first(), name -> new Compared(name, now.second())),
              Labels.line("with"),
              pick("compare-second", all, now.second(), name -> new Compared(now.first(), name)));
      states.setAlignment(Pos.CENTER_LEFT);
    }
  }

  private ComboBox<String> pick(
      String id, List<String> all, String now, Function<String, Compared> compared) {
    ComboBox<String> box = new ComboBox<>();
    box.setId(id);
    box.getItems().setAll(all);
    box.setValue(now);
    box.setDisable(model.readOnly());
    Picks.follow(
        box, name -> model.edit("compare " + name, job -> job.comparing(compared.apply(name))));
    return box;
  }

  private void strips(Optional<Comparison> comparison, Notation notation) {
    stripPanel.setVisible(comparison.isPresent());
    stripPanel.setManaged(comparison.isPresent());
    comparison.ifPresent(
        c -> {
          strips.setMinHeight(StripPicture.height(c));
          strips.setPrefHeight(StripPicture.height(c));
          strips.show(
              (w, h) -> StripPicture.of(c, notation, w, h), model.themeProperty().get().dark());
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
  public void writeRung() {
    ladder.writeRung();
  }

  @Override
  public void conduct() {
    ConductSheet.open(model, shell, Side.AFTER);
  }
}
