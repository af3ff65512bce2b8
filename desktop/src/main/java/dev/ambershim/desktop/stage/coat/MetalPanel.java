package dev.ambershim.desktop.stage.coat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.CoatFigures;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.dosing.Alloy;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.Cover;
import dev.ambershim.core.physics.dosing.Finish;
import dev.ambershim.core.physics.dosing.Insulation;
import dev.ambershim.core.physics.dosing.Measuring;
import dev.ambershim.core.plan.School;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** With what the metal is dosed, and the cover around the dies. */
final class MetalPanel extends Column {
  private final JobModel model;
  private final GridPane grid = new GridPane();
  private final VBox cover = new Column(4);
  private final CheckBox upright = new CheckBox("the board stands in its case");
  private final CheckBox both = new CheckBox("both faces are wetted");
  private final List<FigureBox> figures = new ArrayList<>();
  private final FlowPane picks = new FlowPane(10, 6);

  /** What the buttons to pick with were made for, and the words about the cover. */
  private List<Object> picked = List.of();

  private List<Object> covered = List.of();

  MetalPanel(JobModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    grid.setHgap(10);
    grid.setVgap(5);
    cover.setId("cover-words");
    picks.setAlignment(Pos.CENTER_LEFT);
    upright.setId("coat-upright");
    upright.disableProperty().bind(model.readOnlyProperty());
    upright.setOnAction(
        e -> set("how the board stands", terms -> terms.withUpright(upright.isSelected())));
    both.setId("coat-both");
    both.disableProperty().bind(model.readOnlyProperty());
    both.setOnAction(
        e ->
            model.edit(
                "faces that are wetted",
                job -> WorkWays.take(job, both.isSelected() ? Way.BOTH_FACES : Way.ONE_FACE)));
    CoatFigures.metal().forEach(this::add);
    HBox checks = new Strip(16, both, upright);
    getChildren()
        .addAll(
            Labels.line("How it is dosed", "strong"),
            picks,
            checks,
            grid,
            Labels.line("The cover around the die", "strong"),
            cover);
  }

  private void set(String what, UnaryOperator<CoatTerms> change) {
    model.edit(what, job -> job.withCoat(change.apply(job.coat())));
  }

  private void add(Figure figure) {
    FigureBox box = new FigureBox(model, figure, 8);
    int row = figures.size();
    grid.add(Labels.line(figure.label()), 0, row);
    grid.add(box, 1, row);
    grid.add(box.unit(), 2, row);
    figures.add(box);
  }

  private <T extends Enum<T>> Node pick(
      String id,
      String what,
      T now,
      T[] all,
      Function<T, String> words,
      BiFunction<CoatTerms, T, CoatTerms> write) {
    return Picks.onDemand(
        words.apply(now),
        id,
        model.readOnly(),
        () -> {
          ComboBox<String> box = new ComboBox<>();
          box.setId(id);
          box.getItems().setAll(Arrays.stream(all).map(words).toList());
          box.setValue(words.apply(now));
          Picks.follow(
              box,
              picked ->
                  set(
                      what,
                      terms ->
                          write.apply(
                              terms,
                              Arrays.stream(all)
                                  .filter(t -> words.apply(t).equals(picked))
                                  .findFirst()
                                  .orElseThrow())));
          return box;
        });
  }

  void refresh() {
    Job job = model.jobProperty().get();
    figures.forEach(FigureBox::refresh);
    upright.setSelected(job.coat().upright());
    both.setSelected(job.workCase().ways().takes(Way.BOTH_FACES));
    List<Object> now =
        List.of(
            job.coat().alloy(),
            job.coat().measuring(),
            job.coat().lower(),
            job.coat().upper(),
            model.readOnly());
    if (now.equals(picked)) {
      return;
    }
    picked = now;
    picks
        .getChildren()
        .setAll(
            pick(
                "coat-alloy",
                "liquid metal",
                job.coat().alloy(),
                Alloy.values(),
                Alloy::words,
                CoatTerms::withAlloy),
            pick(
                "coat-measuring",
                "measured out",
                job.coat().measuring(),
                Measuring.values(),
                Measuring::words,
                CoatTerms::withMeasuring),
            Labels.line("die"),
            pick(
                "coat-lower",
                "lower face",
                job.coat().lower(),
                Finish.values(),
                Finish::words,
                CoatTerms::withLower),
            Labels.line("other face"),
            pick(
                "coat-upper",
                "upper face",
                job.coat().upper(),
                Finish.values(),
                Finish::words,
                CoatTerms::withUpper));
  }

  void show(CoatAnswer answer) {
    Notation notation = model.notationProperty().get();
    Job job = model.jobProperty().get();
    List<Object> now =
        List.of(
            answer.doses().cover(),
            Optional.ofNullable(job.coat().earlier()),
            job.workCase().cover(),
            notation,
            model.readOnly());
    if (now.equals(covered)) {
      return;
    }
    covered = now;
    cover.getChildren().clear();
    if (answer.doses().cover().isEmpty()) {
      cover
          .getChildren()
          .add(Labels.line("Nothing is covered, as you planned it in Open.", "reason"));
    } else {
      Insulation c = answer.doses().cover().get();
      String dries =
          c.cover().dryLikelyMinutes() == 0
              ? ""
              : "; each dries "
                  + Notation.minutes(c.cover().dryLowMinutes())
                  + " at least, "
                  + Notation.minutes(c.cover().dryLikelyMinutes())
                  + " as a rule";
      String wet =
          c.wetMillilitres() > 0
              ? ", " + notation.fixed(c.wetMillilitres() * 1000, 0) + " µl a coat"
              : "";
      cover
          .getChildren()
          .add(
              Labels.line(
                  c.coats()
                      + (c.coats() == 1 ? " layer of " : " coats of ")
                      + c.cover().words()
                      + " over "
                      + notation.fixed(c.areaSquareMillimetres(), 0)
                      + " mm²"
                      + wet
                      + ": "
                      + notation.text(c.thicknessMicrometres(), Unit.MICROMETRE)
                      + " high where there is room for "
                      + notation.text(c.roomMicrometres(), Unit.MICROMETRE)
                      + dries
                      + ". It stands "
                      + notation.text(c.cover().heatCelsius(), Unit.CELSIUS)
                      + ".",
                  "reason"));
    }
    FlowPane earlier =
        new FlowPane(
            10,
            6,
            Labels.line("already there"),
            Picks.onDemand(
                job.coat().earlier() == null ? "nothing" : job.coat().earlier().words(),
                "coat-earlier",
                model.readOnly(),
                this::earlier),
            Labels.line("covered now with"),
            Picks.onDemand(
                job.workCase().cover().words(), "coat-cover", model.readOnly(), this::covers));
    earlier.setAlignment(Pos.CENTER_LEFT);
    cover.getChildren().add(earlier);
  }

  private ComboBox<String> earlier() {
    ComboBox<String> box = new ComboBox<>();
    box.setId("coat-earlier");
    box.getItems().add("nothing");
    Arrays.stream(Cover.values()).map(Cover::words).forEach(box.getItems()::add);
    Cover now = model.jobProperty().get().coat().earlier();
    box.setValue(now == null ? "nothing" : now.words());
    Picks.follow(
        box,
        words ->
            set(
                "cover from before",
                terms ->
                    terms.withEarlier(
                        Arrays.stream(Cover.values())
                            .filter(c -> c.words().equals(words))
                            .findFirst()
                            .orElse(null))));
    return box;
  }

  private ComboBox<String> covers() {
    ComboBox<String> box = new ComboBox<>();
    box.setId("coat-cover");
    List<Way> ways = School.COVER.ways();
    box.getItems().setAll(ways.stream().map(Way::words).toList());
    box.setValue(model.jobProperty().get().workCase().cover().words());
    Picks.follow(
        box,
        words ->
            model.edit(
                "cover: " + words,
                job ->
                    WorkWays.take(
                        job,
                        ways.stream()
                            .filter(w -> w.words().equals(words))
                            .findFirst()
                            .orElseThrow())));
    return box;
  }
}
