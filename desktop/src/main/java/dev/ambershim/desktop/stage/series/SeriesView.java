package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.plan.OwnPaste;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.stage.conduct.ConductSheet;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.FileDialogs;
import dev.ambershim.desktop.widget.Inquiry;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.value.ObservableBooleanValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Which of several is best: the answer, the mount that is due, the pictures. */
public final class SeriesView implements Inquiry {
  private static final List<String> TABLES = List.of(".csv", ".txt", ".log", ".tsv", ".jsonl");
  private static final String NEW = "a new series…";
  private static final String USUAL = "a usual paste";

  private final JobModel shell;
  private final Desk desk;
  private final SeriesModel model;
  private final AnswerPane answer = new AnswerPane("Which is best?", "series-answer");
  private final ComboBox<String> pick = new ComboBox<>();
  private final BeginPanel begin;
  private final MountPanel mount;
  private final TimesPanel times;
  private final VBox drawn = new Column(6);
  private final VBox notes = new Column(4);
  private final VBox node;
  private boolean filling;

  /**
   * A view of the logbook's series.
   *
   * @param back goes back to the stage
   */
  public SeriesView(JobModel shell, Desk desk, Runnable back) {
    this.shell = shell;
    this.desk = desk;
    model = new SeriesModel(shell, () -> shownAgain(back));
    begin = new BeginPanel(shell, model);
    pick.setId("series-pick");
    pick.setAccessibleText("which series");
    pick.setOnAction(e -> picked());
    Button leave = new Button("Back  Ctrl+Shift+S");
    leave.setId("series-back");
    leave.setOnAction(e -> back.run());
    HBox head = new Strip(10, Labels.line("Series"), pick, Labels.spring(), leave);
    head.setAlignment(Pos.CENTER_LEFT);
    mount = new MountPanel(shell, desk, model, this::conduct);
    times = new TimesPanel(shell, model);
    drawn.getStyleClass().add("panel");
    notes.getStyleClass().add("panel");
    notes.setId("series-notes");
    node = new Column(answer, head, begin, mount, drawn, notes, times);
    node.getStyleClass().add("stage");
    node.setId("series");
    model.shownProperty().addListener((o, was, is) -> show());
    model.allProperty().addListener((o, was, is) -> show());
    model.answerProperty().addListener((o, was, is) -> tell());
    shell.themeProperty().addListener((o, was, is) -> tell());
    shell.notationProperty().addListener((o, was, is) -> show());
    show();
    tell();
  }

  private void shownAgain(Runnable toggle) {
    if (node.getScene() == null) {
      toggle.run();
    }
  }

  private Button button(String id, String words, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.disableProperty().bind(shell.readOnlyProperty());
    button.setOnAction(e -> mount.trying(action));
    return button;
  }

  private void picked() {
    int place = pick.getSelectionModel().getSelectedIndex();
    if (!filling && place >= 0) {
      List<Series> all = model.allProperty().get();
      model.show(place < all.size() ? all.get(place) : null);
    }
  }

  private void show() {
    Series now = model.shownProperty().get();
    List<Series> all = model.allProperty().get();
    filling = true;
    pick.getItems().setAll(all.stream().map(Series::name).toList());
    pick.getItems().add(NEW);
    pick.getSelectionModel().select(now == null ? all.size() : all.indexOf(now));
    filling = false;
    visible(begin, now == null);
    mount.show(now);
    times.show();
    tell();
  }

  private void tell() {
    Series now = model.shownProperty().get();
    Optional<SeriesAnswer> told = model.answerProperty().get();
    Notation notation = shell.notationProperty().get();
    boolean known = now != null && told.isPresent();
    if (known) {
      answer.show(told.get().told(), told.get().reasons(), notation);
    } else {
      answer.show(
          now == null
              ? "Name what you want to compare; the answer says how many mounts that takes."
              : "Two candidates need a mount before there is an answer.");
    }
    visible(drawn, known);
    visible(notes, now != null);
    drawn.getChildren().clear();
    notes.getChildren().clear();
    if (known) {
      for (Drawing d : told.get().pictures(notation)) {
        PictureView picture = new PictureView();
        picture.setId("series-picture-" + d.name());
        picture.setMinHeight(d.height());
        picture.setPrefHeight(d.height());
        picture.show((w, h) -> d.painter().at(w, h), shell.themeProperty().get().dark());
        drawn.getChildren().addAll(Labels.line(d.caption(), "hint"), picture);
      }
      told.get().notes().forEach(n -> notes.getChildren().add(Labels.line(n, "reason")));
    }
    if (now != null) {
      notes.getChildren().add(files(now, known));
    }
    if (known && shell.jobProperty().get() != null && !shell.readOnly()) {
      notes.getChildren().add(reckoning(now));
    }
  }

  private Node files(Series now, boolean known) {
    FileDialogs files = desk.files();
    List<Button> buttons = new ArrayList<>();
    if (known) {
      buttons.add(
          button(
              "series-report",
              "Write a report",
              () -> files.seriesTarget(now.name()).ifPresent(model.files()::report)));
    }
    buttons.add(
        button(
            "series-table",
            "Write the mounts as a table",
            () -> files.mountsTarget(now.name()).ifPresent(model.files()::table)));
    buttons.add(
        button(
            "series-card",
            "Write a card for the bench",
            () -> files.seriesTarget(now.name() + " card").ifPresent(model.files()::card)));
    if (now.next().isPresent()) {
      buttons.add(
          button(
              "series-calendar",
              "Write reminders",
              () -> files.mountTimesTarget(now.name()).ifPresent(model.files()::calendar)));
    }
    return new FlowPane(10, 6, buttons.toArray(new Node[0]));
  }

  /** Which paste the open job's forecast reckons with. */
  private Node reckoning(Series now) {
    ComboBox<String> paste = new ComboBox<>();
    paste.setId("series-paste");
    paste.setAccessibleText("fresh paste in Weigh of the open job");
    paste.getItems().add(USUAL);
    paste.getItems().addAll(now.candidates());
    OwnPaste kept = shell.jobProperty().get().terms().ownPaste();
    paste
        .getSelectionModel()
        .select(kept == null || !now.name().equals(kept.series()) ? USUAL : kept.name());
    paste.setOnAction(
        e -> {
          String picked = paste.getSelectionModel().getSelectedItem();
          mount.trying(() -> model.reckonWith(picked.equals(USUAL) ? null : picked));
        });
    return Labels.named("Fresh paste in Weigh of the open job", paste);
  }

  private static void visible(Node node, boolean is) {
    node.setVisible(is);
    node.setManaged(is);
  }

  @Override
  public void open(boolean now) {
    if (now) {
      model.read();
    }
  }

  @Override
  public boolean conducts() {
    return true;
  }

  @Override
  public void conduct() {
    if (shell.jobProperty().get() == null) {
      mount.say("Open a job of this chip first: its runs are kept there.");
    } else if (model.shownProperty().get() != null) {
      ConductSheet.open(shell, desk, Side.AFTER, model.runs()::coming);
    }
  }

  @Override
  public boolean takes(Path file) {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    boolean log =
        !shell.readOnly()
            && model.shownProperty().get() != null
            && TABLES.stream().anyMatch(name::endsWith);
    if (log) {
      mount.trying(() -> mount.take(file));
    }
    return log;
  }

  @Override
  public boolean undo(boolean back) {
    model.undo(back);
    return true;
  }

  @Override
  public Optional<ObservableBooleanValue> undoable(boolean back) {
    return Optional.of(model.undoable(back));
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
