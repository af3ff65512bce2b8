package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.picture.ChartData;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.RunChart;
import dev.ambershim.core.picture.RunLines;
import dev.ambershim.core.picture.Span;
import dev.ambershim.core.runs.judging.RunMark;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.logbook.report.SvgPainter;
import dev.ambershim.logbook.store.WholeFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * Runs on one chart that can be zoomed, moved, read, marked, copied and written; out of sight while
 * there are none.
 */
public final class ChartPanel extends Column {
  private static final double NEARER = 0.6;

  /** Above so many samples the chart is made ready off the JavaFX thread. */
  private static final int MANY = 100_000;

  private final JobModel model;
  private final Desk shell;
  private final ChartModel chart = new ChartModel();
  private final PictureView base = new PictureView();
  private final PictureView over = new PictureView();
  private final StackPane stack = new StackPane(base, over);
  private final VBox marks = new Column(2);
  private List<RunResult> shown = List.of();
  private Span dragFrom;
  private double dragX;

  /** An empty panel; the chart gets the id that tests find it by. */
  public ChartPanel(JobModel model, Desk shell, String chartId) {
    this.model = model;
    this.shell = shell;
    base.setId(chartId);
    over.setId(chartId + "-reading");
    over.setMouseTransparent(true);
    stack.setId(chartId + "-stack");
    stack.setMinHeight(240);
    stack.setPrefHeight(300);
    stack.setFocusTraversable(true);
    marks.setId(chartId + "-marks");
    getStyleClass().add("panel");
    getChildren().addAll(stack, marks);
    VBox.setVgrow(stack, Priority.ALWAYS);
    VBox.setVgrow(this, Priority.SOMETIMES);
    listen();
    Later.belowTheFold(model, () -> getChildren().add(buttons(chartId)));
  }

  private void listen() {
    chart.spanProperty().addListener((o, was, is) -> paint());
    chart.readingProperty().addListener((o, was, is) -> paintReading());
    stack.setOnMouseMoved(e -> chart.readAt(stack.getWidth(), e.getX()));
    stack.setOnMousePressed(this::grab);
    stack.setOnMouseDragged(e -> chart.drag(dragFrom, stack.getWidth(), e.getX() - dragX));
    stack.setOnMouseClicked(
        e -> {
          // A click with a drag right after it is no double click.
          if (e.getClickCount() == 2 && e.isStillSincePress()) {
            chart.whole();
          }
        });
    stack.setOnScroll(this::wheel);
    stack.setOnKeyPressed(this::key);
    stack
        .focusedProperty()
        .addListener(
            (o, was, is) ->
                stack.setStyle(is ? "-fx-border-color: -shim-amber; -fx-border-radius: 4;" : ""));
  }

  private void grab(MouseEvent e) {
    stack.requestFocus();
    dragFrom = chart.spanProperty().get();
    dragX = e.getX();
    // Else the page around it would take the keyboard.
    e.consume();
  }

  /** The wheel alone scrolls the page; with Ctrl it zooms. */
  private void wheel(ScrollEvent e) {
    if (e.isControlDown() && e.getDeltaY() != 0) {
      chart.readAt(stack.getWidth(), e.getX());
      chart.zoom(chart.readingProperty().get(), e.getDeltaY() > 0 ? NEARER : 1 / NEARER);
      e.consume();
    }
  }

  private void key(KeyEvent e) {
    boolean control = e.isShortcutDown();
    switch (e.getCode()) {
      case PLUS, EQUALS, ADD -> chart.zoom(NEARER);
      case MINUS, SUBTRACT -> chart.zoom(1 / NEARER);
      case LEFT -> left(control);
      case RIGHT -> right(control);
      case DIGIT0, HOME -> {
        if (control) {
          return;
        }
        chart.whole();
      }
      case M -> mark();
      case C -> {
        if (!control) {
          return;
        }
        copy();
      }
      default -> {
        return;
      }
    }
    e.consume();
  }

  private void left(boolean whole) {
    if (whole) {
      chart.pan(-0.25);
    } else {
      chart.step(-1);
    }
  }

  private void right(boolean whole) {
    if (whole) {
      chart.pan(0.25);
    } else {
      chart.step(1);
    }
  }

  private FlowPane buttons(String id) {
    FlowPane row =
        new FlowPane(
            6,
            4,
            button("+", id + "-nearer", "Nearer (+)", () -> chart.zoom(NEARER)),
            button("−", id + "-farther", "Farther (−)", () -> chart.zoom(1 / NEARER)),
            button("◂", id + "-earlier", "Earlier (Ctrl+Left)", () -> chart.pan(-0.25)),
            button("▸", id + "-later", "Later (Ctrl+Right)", () -> chart.pan(0.25)),
            button("Whole  0", id + "-whole", "All under load; again: all of it", chart::whole),
            button("Mark  M", id + "-mark", "Mark where the line stands", this::mark),
            button("Copy  Ctrl+C", id + "-copy", "Copy picture and marks", this::copy),
            button("Save", id + "-save", "Write as PNG, SVG or CSV", this::save),
            Labels.line("Ctrl+wheel zooms, drag moves, arrows read.", "hint"));
    return row;
  }

  private static Button button(String words, String id, String help, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("small");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setAccessibleText(help);
    button.setTooltip(new Tooltip(help));
    button.setOnAction(e -> action.run());
    return button;
  }

  /** Its model, for whoever drives it. */
  public ChartModel model() {
    return chart;
  }

  /** Shows runs. */
  public void show(List<RunResult> runs) {
    if (!runs.isEmpty() && runs.equals(shown)) {
      take(chart.dataProperty().get());
      return;
    }
    List<RunChart.Line> lines = RunLines.of(runs);
    setVisible(!lines.isEmpty());
    setManaged(!lines.isEmpty());
    shown = runs;
    long samples = lines.stream().mapToLong(l -> l.log().size()).sum();
    if (samples <= MANY) {
      take(ChartData.of(lines));
      return;
    }
    model
        .reckoning()
        .submit(
            "",
            progress -> ChartData.of(lines),
            data -> {
              if (shown.equals(runs)) {
                take(data);
              }
            });
  }

  private void take(ChartData data) {
    chart.show(data);
    paint();
    Notation notation = model.notationProperty().get();
    List<RunMark> all = marks();
    List<String> words = chart.words(all, notation);
    marks.getChildren().clear();
    for (int i = 0; i < words.size(); i++) {
      int index = i;
      Button remove =
          button("Take out", "remove-mark-" + i, "Take this mark out", () -> unmark(index));
      remove.setDisable(model.readOnly());
      HBox row = new Strip(8, Labels.line(words.get(i)), Labels.spring(), remove);
      row.setAlignment(Pos.CENTER_LEFT);
      marks.getChildren().add(row);
    }
  }

  private List<RunMark> marks() {
    Job job = model.jobProperty().get();
    return job == null ? List.of() : job.marks();
  }

  private void paint() {
    ChartData data = chart.dataProperty().get();
    Span span = chart.spanProperty().get();
    List<RunMark> all = marks();
    Notation notation = model.notationProperty().get();
    base.show(
        (w, h) -> RunChart.of(data, span, all, notation, w, h), model.themeProperty().get().dark());
    paintReading();
  }

  private void paintReading() {
    ChartData data = chart.dataProperty().get();
    Span span = chart.spanProperty().get();
    Double minute = chart.readingProperty().get();
    Notation notation = model.notationProperty().get();
    over.show(
        (w, h) ->
            minute == null
                ? new Picture(w, h, List.of(), "")
                : RunChart.reading(data, span, minute, notation, w, h),
        model.themeProperty().get().dark());
  }

  private void mark() {
    if (chart.readingProperty().get() == null) {
      model.say("Move the line first: with the mouse, or with the arrow keys.");
    } else if (!model.readOnly()) {
      model.edit("mark on the chart", job -> job.withMarks(chart.marked(job.marks())));
    }
  }

  private void unmark(int index) {
    model.edit(
        "take a mark out",
        job -> {
          List<RunMark> fewer = new ArrayList<>(job.marks());
          fewer.remove(index);
          return job.withMarks(fewer);
        });
  }

  private void copy() {
    ClipboardContent content = new ClipboardContent();
    content.putImage(base.image(2));
    content.putString(base.picture().description());
    Clipboard.getSystemClipboard().setContent(content);
    model.say("Copied: the chart as a picture, its figures as words.");
  }

  private void save() {
    shell.files().chartTarget().ifPresent(this::save);
  }

  private void save(Path target) {
    String name = target.getFileName().toString().toLowerCase(Locale.ROOT);
    ChartData data = chart.dataProperty().get();
    Span span = chart.spanProperty().get();
    Picture picture = base.picture();
    if (name.endsWith(".csv")) {
      model.traffic().writeChart(target, () -> WholeFile.write(target, table(data, span)));
    } else if (name.endsWith(".svg")) {
      model
          .traffic()
          .writeChart(
              target,
              () ->
                  WholeFile.write(
                      target, SvgPainter.paint(picture).getBytes(StandardCharsets.UTF_8)));
    } else {
      model.traffic().writeChart(target, Camera.writing(base.image(2), target));
    }
  }

  private static byte[] table(ChartData data, Span span) {
    StringBuilder text = new StringBuilder();
    try {
      data.table(span, text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }
}
