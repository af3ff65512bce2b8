package dev.ambershim.desktop.shell;

import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.picture.RunChart;
import dev.ambershim.core.picture.RunLines;
import dev.ambershim.desktop.draw.PictureView;
import java.util.List;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Runs on one chart; out of sight while there are none. */
public final class ChartPanel extends VBox {
  private final ShellModel model;
  private final PictureView chart = new PictureView();

  /** An empty panel; the chart gets the id that tests find it by. */
  public ChartPanel(ShellModel model, String chartId) {
    this.model = model;
    chart.setId(chartId);
    chart.setMinHeight(240);
    chart.setPrefHeight(300);
    getStyleClass().add("panel");
    getChildren().add(chart);
    VBox.setVgrow(chart, Priority.ALWAYS);
    VBox.setVgrow(this, Priority.SOMETIMES);
  }

  /** Shows runs. */
  public void show(List<RunResult> runs) {
    List<RunChart.Line> lines = RunLines.of(runs);
    Notation notation = model.notationProperty().get();
    setVisible(!lines.isEmpty());
    setManaged(!lines.isEmpty());
    chart.show((w, h) -> RunChart.of(lines, notation, w, h), model.themeProperty().get().dark());
  }
}
