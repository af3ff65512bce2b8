package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.stage.conduct.ConductSheet;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Inquiry;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Which of several is best: the answer, the mount that is due, the pictures. */
public final class SeriesView implements Inquiry {
  private static final List<String> TABLES = List.of(".csv", ".txt", ".log", ".tsv", ".jsonl");
  private static final String NEW = "a new series…";

  private final JobModel shell;
  private final Desk desk;
  private final SeriesModel model;
  private final AnswerPane answer = new AnswerPane("Which is best?", "series-answer");
  private final ComboBox<String> pick = new ComboBox<>();
  private final BeginPanel begin;
  private final Label due = Labels.wrapped("", "strong");
  private final Label hint = Labels.wrapped("", "hint");
  private final TextField cores = box("series-cores", 6);
  private final TextField room = box("series-room", 5);
  private final TextField watts = box("series-watts", 5);
  private final TextField note = box("series-note", 13);
  private final TextField why = box("series-why", 16);
  private final Button spoil = new Button("It was spoiled");
  private final Button undo = new Button("Take the last mount out");
  private final Label units = Labels.line("");
  private final Label wrong = Labels.wrapped("", "hint", "wrong");
  private final VBox mount = new VBox(8);
  private final Node entry;
  private final VBox drawn = new VBox(6);
  private final VBox notes = new VBox(4);
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
    HBox head = new HBox(10, Labels.line("Series"), pick, Labels.spring(), leave);
    head.setAlignment(Pos.CENTER_LEFT);
    mount.getStyleClass().add("panel");
    drawn.getStyleClass().add("panel");
    notes.getStyleClass().add("panel");
    notes.setId("series-notes");
    due.setId("series-due");
    wrong.setId("series-wrong");
    note.setPromptText("the print, mess, ease");
    why.setPromptText("why it was spoiled");
    entry = figures();
    mount.getChildren().addAll(due, hint, entry, spoiling(), wrong);
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    node = new VBox(answer, head, begin, mount, drawn, notes);
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

  private static TextField box(String id, int letters) {
    TextField field = new TextField();
    field.setId(id);
    field.setPrefColumnCount(letters);
    return field;
  }

  private Button button(String id, String words, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.disableProperty().bind(shell.readOnlyProperty());
    button.setOnAction(e -> trying(action));
    return button;
  }

  private Node figures() {
    Button write = button("series-write", "Write it down", this::write);
    write.getStyleClass().add("next");
    Button log =
        button(
            "series-log",
            "Add its log",
            () ->
                desk
                    .files()
                    .picker()
                    .open("The log of this mount", "Logs", "*.csv", "*.txt", "*.log", "*.tsv")
                    .stream()
                    .findFirst()
                    .ifPresent(this::take));
    Button run = button("series-run", "Conduct it  Ctrl+J", this::conduct);
    cores.setOnAction(e -> trying(this::write));
    watts.setOnAction(e -> trying(this::write));
    FlowPane line =
        new FlowPane(
            14,
            6,
            Labels.named("Mean of the cores", cores),
            Labels.named("Room", room, units),
            Labels.named("Heat", watts, Labels.line("W")),
            Labels.named("Note", note),
            write,
            log,
            run);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private Node spoiling() {
    spoil.setId("series-spoil");
    spoil.disableProperty().bind(shell.readOnlyProperty());
    spoil.setOnAction(
        e ->
            trying(
                () -> {
                  model.spoil(why.getText(), note.getText());
                  clear();
                }));
    undo.setId("series-undo");
    undo.setOnAction(e -> trying(model::undo));
    FlowPane line = new FlowPane(14, 6, why, spoil, undo);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private void trying(Runnable action) {
    try {
      action.run();
      wrong.setText("");
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }

  private void write() {
    Notation n = shell.notationProperty().get();
    double air = n.read(room.getText(), Unit.CELSIUS, "room");
    double mean = n.read(cores.getText(), Unit.CELSIUS, "mean of the cores");
    model.write(mean - air, n.read(watts.getText(), Unit.WATT, "heat"), air, note.getText());
    clear();
  }

  /** The room stays: it moves slowly. */
  private void clear() {
    cores.clear();
    watts.clear();
    note.clear();
    why.clear();
    cores.requestFocus();
  }

  private void take(Path file) {
    OptionalDouble air =
        room.getText().isBlank()
            ? OptionalDouble.empty()
            : OptionalDouble.of(
                shell.notationProperty().get().read(room.getText(), Unit.CELSIUS, "room"));
    model.take(file, air, note.getText());
    note.clear();
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
    units.setText(shell.notationProperty().get().symbol(Unit.CELSIUS));
    visible(begin, now == null);
    visible(mount, now != null);
    if (now != null) {
      due.setText(now.dueInWords());
      visible(entry, now.next().isPresent());
      visible(why, now.next().isPresent());
      visible(spoil, now.next().isPresent());
      undo.setDisable(shell.readOnly() || now.made().isEmpty());
      hint.setText(
          now.next().isEmpty()
              ? "Plan another series for more mounts."
              : now.left(shell.notationProperty().get())
                  + " Clean both faces, spread, mount, warm up, let it settle; then write it down or"
                  + " drop its log.");
    }
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
      told.get().notes().forEach(n -> notes.getChildren().add(Labels.wrapped(n, "reason")));
    }
    if (now != null) {
      Button report =
          button(
              "series-report",
              "Write a report",
              () -> desk.files().seriesTarget(now.name()).ifPresent(model::report));
      Button table =
          button(
              "series-table",
              "Write the mounts as a table",
              () -> desk.files().mountsTarget(now.name()).ifPresent(model::table));
      Button card =
          button(
              "series-card",
              "Write a card for the bench",
              () -> desk.files().seriesTarget(now.name() + " card").ifPresent(model::card));
      notes
          .getChildren()
          .add(known ? new HBox(10, report, table, card) : new HBox(10, table, card));
    }
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
      wrong.setText("Open a job of this chip first: its runs are kept there.");
    } else if (model.shownProperty().get() != null) {
      ConductSheet.open(shell, desk, Side.AFTER, model::coming);
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
      trying(() -> take(file));
    }
    return log;
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
