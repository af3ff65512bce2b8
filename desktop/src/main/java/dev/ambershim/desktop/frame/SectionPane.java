package dev.ambershim.desktop.frame;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Choice;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.job.TermFigures;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.picture.SectionPicture;
import dev.ambershim.core.plan.ChipState;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.WorkCase;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.desktop.model.Preview;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FieldRow;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Scroll;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The section, always in sight, and what is known of the layer that is picked in it. */
final class SectionPane extends Column {
  /** Heights of the picture, alone and as one of two. */
  private static final double ALONE = 318;

  private static final double LEAST_ALONE = 240;
  private static final double EACH_OF_TWO = 226;
  private static final double LEAST_OF_TWO = 178;

  private final JobModel model;

  /** The latest plan; made here only while the one that is worked out beside is not there yet. */
  private Plan plan;

  private final PictureView picture = new PictureView();

  /** The other side's section, where before and after stand one above the other. */
  private final PictureView second = new PictureView();

  private final Label over = Labels.line("Before", "quiet");
  private final Label under = Labels.line("After", "quiet");
  private final VBox editor = new Column(7);
  private final List<Consumer<String>> picks = new ArrayList<>();
  private final List<FieldRow> rows = new ArrayList<>();

  /** What the boxes were made for. */
  private List<Object> filledFor = List.of();

  private final Label gap = Labels.line("", "hint");

  SectionPane(JobModel model) {
    this.model = model;
    getStyleClass().add("section-column");
    // Without a job there is nothing to cut through, and the middle takes the room.
    managedProperty().bind(model.jobProperty().isNotNull().or(model.openedProperty().not()));
    picture.setId("section");
    second.setId("section-after");
    for (PictureView view : List.of(picture, second)) {
      view.onPick(model.partProperty()::set);
    }
    getChildren().addAll(sides(), over, picture, under, second, gap);
    model.themeProperty().addListener((o, was, is) -> refresh());
    model.previewProperty().addListener((o, was, is) -> refresh());
    model
        .stageProperty()
        .addListener(
            (o, was, is) -> {
              look(is);
              refresh();
            });
    for (ObservableValue<?> value :
        List.of(
            model.jobProperty(),
            model.sideProperty(),
            model.notationProperty(),
            model.partProperty())) {
      value.addListener(
          (o, was, is) -> {
            refresh();
            refreshEditor();
          });
    }
    model
        .weighingProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                explain();
              }
            });
    refresh();
    refreshEditor();
  }

  /** What figures hold of the forecast's uncertainty changes with the forecast. */
  private void explain() {
    rows.forEach(FieldRow::explain);
  }

  /** Shows the layer that a stage is about. */
  private void look(Stage stage) {
    Job job = model.jobProperty().get();
    if (stage == null || job == null) {
      return;
    }
    boolean cased = job.before().lidOn();
    boolean lidOn = job.after().lidOn();
    model
        .partProperty()
        .set(
            switch (stage) {
              case WEIGH -> cased ? Part.INNER : Part.OUTER;
              case OPEN, CLEAN -> cased ? Part.LID : Part.OUTER;
              case MEASURE -> Part.DIE;
              case LAP -> lidOn ? Part.LID : Part.PLATE;
              case COAT -> lidOn ? Part.INNER : Part.OUTER;
              case CLOSE -> lidOn ? Part.LID : Part.PLATE;
              case BASELINE, PROVE, KEEP -> Figures.JOB;
            });
  }

  private void addEditor() {
    Scroll scroll = new Scroll(editor);
    scroll.setFitToWidth(true);
    // What is left is its own; pictures give way only where even this is too much.
    scroll.setMinHeight(60);
    scroll.setPrefHeight(60);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(parts(), scroll);
  }

  private HBox sides() {
    HBox row = new Strip(6, Labels.line("The section", "strong"), Labels.spring());
    row.setAlignment(Pos.CENTER_LEFT);
    row.setMinHeight(26);
    Later.afterOpening(model, () -> addSides(row));
    return row;
  }

  private void addSides(HBox row) {
    ToggleGroup group = new ToggleGroup();
    for (Side side : Side.values()) {
      ToggleButton button = new ToggleButton(side.words());
      button.setId("section-" + side.words());
      button.getStyleClass().setAll("part-button");
      button.setToggleGroup(group);
      button.setOnAction(
          e -> {
            model.sideProperty().set(side);
            model.previewProperty().set(null);
            button.setSelected(true);
          });
      Runnable follow = () -> button.setSelected(model.sideProperty().get() == side);
      model.sideProperty().addListener((o, was, is) -> follow.run());
      follow.run();
      row.getChildren().add(button);
    }
  }

  /** The layers from the top down, as they lie in the section. */
  private FlowPane parts() {
    ToggleGroup group = new ToggleGroup();
    FlowPane row = new FlowPane(5, 5);
    for (String part :
        List.of(
            Part.PLATE,
            Part.OUTER,
            Part.LID,
            Part.INNER,
            Part.DIE,
            Part.SUBSTRATE,
            Figures.JOB,
            TermFigures.WORTH,
            TermFigures.ODDS)) {
      ToggleButton button = new ToggleButton(part);
      button.setId("part-" + part.replace(' ', '-'));
      button.getStyleClass().setAll("part-button");
      button.setToggleGroup(group);
      button.setOnAction(
          e -> {
            model.partProperty().set(part);
            button.setSelected(true);
          });
      Runnable follow = () -> button.setSelected(model.partProperty().get().equals(part));
      model.partProperty().addListener((o, was, is) -> follow.run());
      follow.run();
      row.getChildren().add(button);
    }
    return row;
  }

  private void refresh() {
    Job job = model.jobProperty().get();
    setVisible(job != null);
    if (job == null) {
      return;
    }
    Side side = model.sideProperty().get();
    boolean both = model.stageProperty().get() == Stage.PROVE;
    arrange(both);
    if (both) {
      show(picture, job, Side.BEFORE);
      show(second, job, Side.AFTER);
      gap.setText(gapWords(job, side));
      gap.setManaged(!gap.getText().isEmpty());
      return;
    }
    Preview preview =
        model.stageProperty().get() == Stage.WEIGH ? model.previewProperty().get() : null;
    WorkCase work = job.workCase();
    ChipState state = preview == null ? onBench(job, work) : null;
    if (state != null) {
      Build build = state.fresh() ? job.after() : job.before();
      picture.show(
          (w, h) ->
              SectionPicture.onBench(
                  job.chip(), job.cooler(), build, state, model.notationProperty().get(), w, h),
          model.themeProperty().get().dark());
      picture.pick(model.partProperty().get());
      gap.setText("");
      gap.setManaged(false);
      return;
    }
    Situation shown =
        preview == null
            ? new Situation(job.chip(), job.cooler(), job.build(side))
            : preview.situation();
    picture.show(
        (w, h) ->
            SectionPicture.of(
                shown.chip(), shown.cooler(), shown.build(), model.notationProperty().get(), w, h),
        model.themeProperty().get().dark());
    picture.pick(model.partProperty().get());
    gap.setText(
        preview == null
            ? gapWords(job, side)
            : "As it would be: "
                + preview.words()
                + ". Figures below are of the build "
                + side.words()
                + ".");
    gap.setManaged(!gap.getText().isEmpty());
  }

  /** One section, or before above after. */
  private void arrange(boolean both) {
    for (Node node : List.of(over, under, second)) {
      node.setVisible(both);
      node.setManaged(both);
    }
    for (PictureView view : List.of(picture, second)) {
      // In a low window they give way, so that nothing is pushed out of it.
      view.setMinHeight(both ? LEAST_OF_TWO : LEAST_ALONE);
      view.setPrefHeight(both ? EACH_OF_TWO : ALONE);
    }
  }

  private void show(PictureView view, Job job, Side side) {
    Notation notation = model.notationProperty().get();
    view.show(
        (w, h) -> SectionPicture.of(job.chip(), job.cooler(), job.build(side), notation, w, h),
        model.themeProperty().get().dark());
    view.pick(model.partProperty().get());
  }

  /** How it lies on the bench, while the work is under way and a stage of the work is on screen. */
  private ChipState onBench(Job job, WorkCase work) {
    int number = model.stageProperty().get().number();
    boolean atWork = number >= Stage.OPEN.number() && number <= Stage.CLOSE.number();
    if (!atWork || job.work().done().isEmpty()) {
      return null;
    }
    Outlook outlook = model.workbench().outlookProperty().get();
    if (outlook != null && outlook.plan().work().equals(work)) {
      plan = outlook.plan();
    }
    if (plan == null || !plan.work().equals(work)) {
      plan = Plan.of(work);
    }
    return plan.state(job.work().done());
  }

  /** The boxes to type in follow a moment after the picture. */
  private void refreshEditor() {
    Job job = model.jobProperty().get();
    if (job != null) {
      Side side = model.sideProperty().get();
      String part = model.partProperty().get();
      Later.afterThePicture(
          () -> {
            // A later change has its own turn; filling for this one would show old figures.
            if (job.equals(model.jobProperty().get())
                && side == model.sideProperty().get()
                && part.equals(model.partProperty().get())) {
              fill(job, side, part);
            }
          });
    }
  }

  /** Boxes stay while only figures change: new ones are dear to style and to lay out. */
  private void fill(Job job, Side side, String part) {
    if (editor.getParent() == null) {
      addEditor();
    }
    List<Choice> choices = Choice.of(part, side);
    List<Figure> figures = Figures.of(job, part, side);
    List<Object> shape = shape(choices, figures);
    if (shape.equals(filledFor)) {
      for (int i = 0; i < choices.size(); i++) {
        picks.get(i).accept(choices.get(i).read(job));
      }
      for (int i = 0; i < figures.size(); i++) {
        rows.get(i).refresh(figures.get(i));
      }
      return;
    }
    filledFor = shape;
    String focused =
        getScene() == null || getScene().getFocusOwner() == null
            ? ""
            : String.valueOf(getScene().getFocusOwner().getId());
    editor.getChildren().clear();
    picks.clear();
    rows.clear();
    for (Choice choice : choices) {
      editor.getChildren().add(pick(choice, job));
    }
    for (Figure field : figures) {
      FieldRow row = new FieldRow(model, field);
      rows.add(row);
      editor.getChildren().add(row);
    }
    if (!focused.isEmpty() && lookup("#" + focused) != null) {
      lookup("#" + focused).requestFocus();
    }
  }

  /** All that the boxes hang on but the figures in them. */
  private List<Object> shape(List<Choice> choices, List<Figure> figures) {
    List<Object> shape = new ArrayList<>();
    shape.add(model.readOnly());
    shape.add(model.notationProperty().get());
    choices.forEach(c -> shape.addAll(List.of(c.id(), c.label(), c.options())));
    figures.forEach(f -> shape.addAll(List.of(f.id(), f.label(), f.unit())));
    return shape;
  }

  private Node pick(Choice choice, Job job) {
    ComboBox<String> box = new ComboBox<>();
    box.setId("choice-" + choice.id());
    box.setAccessibleText(choice.label());
    box.getItems().setAll(choice.options());
    box.setValue(choice.read(job));
    box.setDisable(model.readOnly());
    picks.add(Picks.follow(box, option -> model.choose(choice, option)));
    // Where both do not fit the picks are cut, never the name.
    Label name = Labels.line(choice.label());
    name.setMinWidth(USE_PREF_SIZE);
    box.setMinWidth(0);
    HBox row = new Strip(name, Labels.spring(), box);
    row.getStyleClass().add("field-row");
    return row;
  }

  /** Says when the bond line and what cavity, glue and die leave do not agree. */
  private String gapWords(Job job, Side side) {
    if (!job.build(side).lidOn()) {
      return "";
    }
    double gapLeft = job.build(side).innerGapMicrometres(job.chip());
    double line = job.build(side).inner().bondLineMicrometres();
    if (Math.abs(gapLeft - line) <= 25) {
      return "";
    }
    String left = model.notationProperty().get().text(gapLeft, Unit.MICROMETRE);
    return gapLeft < 0
        ? "The hollow is shallower than the die: the lid rests on the die, and glue must fill the"
            + " rest ("
            + left
            + ")."
        : "Hollow, glue and die leave a gap of " + left + "; the bond line says otherwise.";
  }
}
