package dev.ambershim.desktop.stage.clocking;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.LadderFigures;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.core.stage.prove.NextRung;
import dev.ambershim.core.stage.prove.RungPicture;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.FieldRow;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** How far the chip clocks: the answer, the ladders, what to try next, and the rungs by hand. */
public final class LadderPanel extends Column {
  private static final String CAUTION =
      "Clocks and voltages beyond the maker's wear the chip, can corrupt data and end its warranty."
          + " Save your work, go up in small steps, and keep to the maker's limits.";

  private final JobModel model;
  private final Desk shell;
  private final boolean both;
  private final PictureView picture = new PictureView();
  private final Label answer = Labels.line("", "strong");
  private final VBox words = new Column(3);
  private final VBox rows = new Column(2);
  private final VBox terms = new Column(2);
  private RungEntryForm form;
  private Job asked;
  private Headroom ladders;
  private Job shown;
  private Notation writing;

  /**
   * An empty panel.
   *
   * @param both whether both sides of the work are shown, or the state before alone
   * @param id its picture gets it, and its words with {@code -words} behind
   */
  public LadderPanel(JobModel model, Desk shell, boolean both, String id) {
    this.model = model;
    this.shell = shell;
    this.both = both;
    picture.setId(id);
    words.setId(id + "-words");
    answer.setId(id + "-answer");
    getStyleClass().add("panel");
    getChildren().addAll(Labels.line("How far does it clock?", "question"), answer, picture, words);
    Later.belowTheFold(model, this::addEntry);
    sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null && asked != null) {
                show(asked, ladders);
              }
            });
  }

  private void addEntry() {
    form = new RungEntryForm(model, both);
    Button take = new Button("Take in rungs (CSV)");
    take.setId("take-rungs");
    take.disableProperty().bind(model.readOnlyProperty());
    take.setOnAction(e -> shell.files().rungs().ifPresent(model.traffic()::readRungs));
    Button write = new Button("Write rungs (CSV)");
    write.setId("write-rungs");
    write.setOnAction(e -> shell.files().rungTarget().ifPresent(model.traffic()::writeRungs));
    HBox foot = new Strip(10, take, write, Labels.line("Ctrl+G goes to the clock.", "hint"));
    foot.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(rows, form, terms, foot, Labels.line(CAUTION, "hint"));
    if (asked != null) {
      show(asked, ladders);
    }
  }

  /** Shows a job's ladders; what takes a moment to work out follows. */
  public void show(Job job, Headroom headroom) {
    asked = job;
    ladders = headroom;
    // Nothing is worked out while nobody looks; what was asked last follows when it comes in sight.
    if (form == null || getScene() == null) {
      return;
    }
    Notation notation = model.notationProperty().get();
    Headroom shownHere =
        both
            ? headroom
            : Headroom.of(
                headroom.before().rungs(), List.of(), job.ladder(), job.remountKelvin(), notation);
    answer.setText(shownHere.finding().sentence());
    picture(shownHere, Double.NaN, Double.NaN);
    if (!job.equals(shown) || !notation.equals(writing)) {
      shown = job;
      writing = notation;
      refill();
    }
    model.reckoning().submit("", progress -> Told.of(shownHere, both), told -> tell(job, told));
  }

  /** What takes a moment. */
  private record Told(
      Headroom headroom, Optional<NextRung> before, Optional<NextRung> after, List<String> words) {
    static Told of(Headroom headroom, boolean both) {
      List<String> words = new ArrayList<>(headroom.reasons());
      Stream.of(
              both ? headroom.kelvinAtEqualClock() : Optional.<Finding>empty(),
              headroom.heatLimit(both && !headroom.after().rungs().isEmpty()),
              both ? headroom.gainWithoutBounds() : Optional.<Finding>empty())
          .flatMap(Optional::stream)
          .forEach(f -> words.add(f.sentence()));
      Optional<NextRung> before = next(headroom, false);
      Optional<NextRung> after = both ? next(headroom, true) : Optional.empty();
      before.ifPresent(n -> words.add((both ? "Before: " : "") + n.sentence()));
      after.ifPresent(n -> words.add("After: " + n.sentence()));
      return new Told(headroom, before, after, words);
    }

    private static Optional<NextRung> next(Headroom headroom, boolean after) {
      ClockLadder ladder = after ? headroom.after() : headroom.before();
      return ladder.rungs().isEmpty() ? Optional.empty() : Optional.of(headroom.next(after));
    }
  }

  private void tell(Job job, Told told) {
    if (!job.equals(model.jobProperty().get())) {
      return;
    }
    OptionalDouble before = clock(told.before());
    // Once there is an "after", nobody climbs the old ladder any more.
    boolean past = both && !told.headroom().after().rungs().isEmpty();
    picture(
        told.headroom(),
        past ? Double.NaN : before.orElse(Double.NaN),
        clock(told.after()).orElse(Double.NaN));
    words.getChildren().clear();
    told.words().stream()
        .filter(w -> !past || !w.startsWith("Before: "))
        .forEach(w -> words.getChildren().add(Labels.line(w)));
    if (form != null) {
      form.offer(before, Side.BEFORE);
      form.offer(clock(told.after()), Side.AFTER);
    }
  }

  private static OptionalDouble clock(Optional<NextRung> next) {
    return next.map(NextRung::clockMegahertz).orElse(OptionalDouble.empty());
  }

  private void picture(Headroom headroom, double nextBefore, double nextAfter) {
    Notation notation = model.notationProperty().get();
    List<RungPicture.Column> columns = RungPicture.columns(headroom, both, nextBefore, nextAfter);
    picture.setVisible(!headroom.isEmpty());
    picture.setManaged(!headroom.isEmpty());
    picture.setMinHeight(RungPicture.height(columns));
    picture.setPrefHeight(picture.getMinHeight());
    if (!headroom.isEmpty()) {
      picture.show(
          (w, h) -> RungPicture.of(columns, notation, w, h), model.themeProperty().get().dark());
    }
  }

  /** Rows of the rungs by hand and the boxes for limit and step. */
  private void refill() {
    if (form == null || shown == null) {
      return;
    }
    rows.getChildren().clear();
    for (int i = 0; i < shown.rungs().size(); i++) {
      RungEntry entry = shown.rungs().get(i);
      if (both || entry.side() == Side.BEFORE) {
        rows.getChildren().add(row(i, entry));
      }
    }
    terms.getChildren().clear();
    terms.getChildren().add(load());
    Figures.of(shown, LadderFigures.LADDER, Side.BEFORE)
        .forEach(f -> terms.getChildren().add(new FieldRow(model, f)));
  }

  /** Under which load the clock is tried; both sides must stand under the same. */
  private HBox load() {
    TextField field = new Box(shown.ladder().load());
    field.setId("ladder-load");
    field.setAccessibleText("load of the clock ladder");
    field.setPromptText("such as: all cores, half an hour");
    field.setPrefWidth(280);
    field.disableProperty().bind(model.readOnlyProperty());
    Runnable keep =
        () ->
            model.edit(
                "load of the ladder",
                job -> job.withLadder(job.ladder().withLoad(field.getText())));
    field.setOnAction(e -> keep.run());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                keep.run();
              }
            });
    HBox row = new Strip(8, Labels.line("Load of both ladders"), Labels.spring(), field);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private HBox row(int index, RungEntry entry) {
    Notation n = model.notationProperty().get();
    Rung r = entry.rung();
    StringBuilder text = new StringBuilder(n.text(r.clockMegahertz(), Unit.MEGAHERTZ));
    text.append(' ').append(r.outcome().words());
    if (!r.how().isEmpty()) {
      text.append(": ").append(r.how());
    }
    append(text, r.hottestCelsius(), Unit.CELSIUS, n, "");
    append(text, r.roomCelsius(), Unit.CELSIUS, n, "room ");
    append(text, r.voltageVolts(), Unit.VOLT, n, "");
    if (r.minutes() != null) {
      text.append(", ").append(n.fixed(r.minutes(), 0)).append(" min");
    }
    Button remove = new Button("Take out");
    remove.setId("remove-rung-" + index);
    remove.getStyleClass().add("small");
    remove.disableProperty().bind(model.readOnlyProperty());
    remove.setOnAction(e -> model.edit("take a rung out", job -> job.withoutRung(index)));
    HBox row =
        new Strip(
            Labels.line(
                entry.side().words(), entry.side() == Side.BEFORE ? "side-before" : "side-after"),
            Labels.line(text.toString()),
            Labels.spring(),
            remove);
    row.getStyleClass().add("run-row");
    return row;
  }

  private static void append(StringBuilder text, Double value, Unit unit, Notation n, String name) {
    if (value != null) {
      text.append(", ").append(name).append(n.text(value, unit));
    }
  }

  /** Puts the keyboard where the next rung is written down. */
  public void writeRung() {
    if (form != null) {
      form.focus();
    }
  }
}
