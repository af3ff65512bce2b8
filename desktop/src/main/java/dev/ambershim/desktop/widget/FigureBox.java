package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.desktop.model.JobModel;
import java.util.Objects;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.stage.Screen;
import javafx.util.Duration;

/**
 * A box for one figure that may be left empty. Enter or leaving it keeps the figure, Escape brings
 * the kept one back; what is wrong with it is said on the shelf, and the box stays marked.
 */
public final class FigureBox extends Box {
  private static final double TIP_WIDTH = 420;

  private final JobModel model;
  private final Figure figure;
  private final Label unit = Labels.line("", "quiet");
  private String shown = "";

  /** A box of a width in letters. */
  public FigureBox(JobModel model, Figure figure, int letters) {
    this.model = model;
    this.figure = figure;
    setId(figure.id());
    setPrefColumnCount(letters);
    setMinWidth(USE_PREF_SIZE);
    setMaxWidth(USE_PREF_SIZE);
    setAccessibleText(figure.label());
    setAccessibleHelp(figure.how());
    // A tip is a window of its own and dear to make, so it is made when it is first looked for.
    setOnMouseEntered(
        e -> {
          if (getTooltip() == null) {
            setTooltip(tip());
          }
        });
    disableProperty().bind(model.readOnlyProperty());
    setOnAction(e -> keep());
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                keep();
              }
            });
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE && !getText().equals(shown)) {
            bring();
            e.consume();
          }
        });
    bring();
  }

  /** What the figure is and what it changes, over the box until it is left or something typed. */
  public void explain() {
    if (getTooltip() == null) {
      setTooltip(tip());
    }
    Bounds here = localToScreen(getBoundsInLocal());
    getTooltip().show(this, here.getMinX(), here.getMaxY() + 4);
  }

  private Tooltip tip() {
    Tooltip tip = new Tooltip();
    tip.setWrapText(true);
    tip.setMaxWidth(TIP_WIDTH);
    tip.setShowDuration(Duration.INDEFINITE);
    // It grows when its last words come, and a popup that grows places itself by its old height.
    tip.heightProperty().addListener((o, was, is) -> Platform.runLater(() -> keepOnScreen(tip)));
    tip.setOnShowing(
        e -> {
          String help = figure.help(model.notationProperty().get());
          tip.setText(help);
          model
              .effects()
              .of(
                  figure,
                  words -> {
                    tip.setText(help + "\n" + words);
                    setAccessibleHelp(figure.how() + " " + words);
                  });
        });
    focusedProperty().addListener((o, was, is) -> tip.hide());
    textProperty().addListener((o, was, is) -> tip.hide());
    return tip;
  }

  /** Above the box where there is no room below it. */
  private void keepOnScreen(Tooltip tip) {
    Bounds here = localToScreen(getBoundsInLocal());
    if (here == null || !tip.isShowing()) {
      return;
    }
    Rectangle2D screen = screenOf(here);
    if (tip.getY() + tip.getHeight() > screen.getMaxY()) {
      double above = Math.min(here.getMinY() - 4, screen.getMaxY()) - tip.getHeight();
      tip.setAnchorY(Math.max(screen.getMinY(), above));
    }
  }

  private static Rectangle2D screenOf(Bounds here) {
    return Screen.getScreensForRectangle(here.getMinX(), here.getMinY(), 1, 1).stream()
        .findFirst()
        .orElseGet(Screen::getPrimary)
        .getVisualBounds();
  }

  /** Its unit, as the person writes it. */
  public Label unit() {
    return unit;
  }

  /** Shows the job's figure, unless the person is typing here. */
  public void refresh() {
    if (!isFocused() || getText().equals(shown)) {
      bring();
    }
  }

  private void bring() {
    Job job = model.jobProperty().get();
    Notation notation = model.notationProperty().get();
    shown = job == null ? "" : figure.shown(job, notation);
    Filled.with(this, shown);
    setPromptText(job == null ? "" : figure.prompt(job, notation));
    unit.setText(notation.symbol(figure.unit()));
    getStyleClass().remove("wrong");
  }

  private void keep() {
    if (getText().strip().equals(shown) || model.jobProperty().get() == null) {
      return;
    }
    try {
      Double value = figure.typed(getText(), model.notationProperty().get());
      if (!Objects.equals(value, figure.read(model.jobProperty().get()))) {
        model.edit(figure.label(), job -> figure.write(job, value, model.notationProperty().get()));
      }
      bring();
    } catch (Problem problem) {
      if (!getStyleClass().contains("wrong")) {
        getStyleClass().add("wrong");
      }
      model.say(problem.getMessage());
    }
  }
}
