package dev.ambershim.desktop.widget;

import dev.ambershim.core.job.Figure;
import dev.ambershim.desktop.model.JobModel;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;

/** Boxes for figures in two columns, or in one where there is no room for two. */
public final class FigureGrid extends GridPane {
  /** Two columns need so much, pixels. */
  private static final double TWO = 470;

  private static final int LETTERS = 6;

  private final List<Label> names = new ArrayList<>();
  private final List<FigureBox> boxes = new ArrayList<>();
  private final boolean downFirst;
  private int columns = 2;

  /**
   * Boxes of figures.
   *
   * @param downFirst whether the first column is filled before the second, as lists are read
   */
  public FigureGrid(JobModel model, List<Figure> figures, boolean downFirst) {
    this.downFirst = downFirst;
    setHgap(10);
    setVgap(5);
    setMinWidth(0);
    for (Figure figure : figures) {
      names.add(Labels.line(figure.label()));
      boxes.add(new FigureBox(model, figure, LETTERS));
    }
    lay();
    widthProperty()
        .addListener(
            (o, was, is) -> {
              int fit = is.doubleValue() < TWO ? 1 : 2;
              if (fit != columns) {
                columns = fit;
                lay();
                // Whoever lays this out has its height from before.
                Platform.runLater(this::requestLayout);
              }
            });
  }

  private void lay() {
    getChildren().clear();
    int rows = (boxes.size() + columns - 1) / columns;
    for (int i = 0; i < boxes.size(); i++) {
      int column = 3 * (downFirst ? i / rows : i % columns);
      int row = downFirst ? i % rows : i / columns;
      add(names.get(i), column, row);
      add(boxes.get(i), column + 1, row);
      add(boxes.get(i).unit(), column + 2, row);
    }
  }

  /** Shows the job's figures. */
  public void refresh() {
    boxes.forEach(FigureBox::refresh);
  }
}
