package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.HeightFigures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.stage.measure.FitAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Frames;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.ReadingBox;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Every top that the cooler could touch: readings, and beneath them what it is and where. */
final class TopRows extends Column {
  private final JobModel model;
  private final VBox rows = new Column(7);
  private final List<Row> built = new ArrayList<>();
  private final TextField name = new Box();
  private final Button usual = new Button("Begin with what usually stands there");
  private List<String> shape = List.of();
  private FitAnswer fit;

  /** One top's nodes. */
  private record Row(ReadingBox reading, List<FigureBox> figures, Label derived, Label working) {}

  TopRows(JobModel model) {
    super(8);
    this.model = model;
    name.setId("new-top");
    name.setAccessibleText("name of another top");
    name.setPromptText("another top");
    name.setPrefColumnCount(12);
    name.setOnAction(e -> add());
    Button add = new Button("Add");
    add.setId("add-top");
    add.disableProperty().bind(model.readOnlyProperty());
    add.setOnAction(e -> add());
    usual.setId("usual-tops");
    usual.disableProperty().bind(model.readOnlyProperty());
    usual.setOnAction(
        e ->
            model.edit(
                "usual tops",
                job -> job.withHeights(job.heights().withTops(Heights.usual(job.chip())))));
    HBox foot = new Strip(6, name, add, usual);
    foot.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Labels.line("Heights of what the cooler could touch", "strong"),
            Labels.line(
                "Read each two or three times, with blanks between. Places count from the chip's"
                    + " middle: right, above, width, depth.",
                "hint"),
            rows,
            foot);
  }

  private void add() {
    String typed = name.getText().strip();
    if (typed.isEmpty()) {
      return;
    }
    name.clear();
    edit(
        "top: " + typed,
        tops -> {
          List<Top> all = new ArrayList<>(tops);
          all.add(new Top(typed, TopKind.PART, 0, 0, 0, 0, false, Reading.NONE));
          return all;
        });
  }

  private void edit(String what, UnaryOperator<List<Top>> change) {
    model.edit(
        what, job -> job.withHeights(job.heights().withTops(change.apply(job.heights().tops()))));
  }

  private void edit(int index, String what, UnaryOperator<Top> change) {
    model.edit(
        what,
        job ->
            job.withHeights(
                job.heights().withTop(index, change.apply(job.heights().tops().get(index)))));
  }

  /**
   * Shows the job's tops; boxes stay while only figures change, so that nobody loses their place.
   */
  void refresh() {
    Job job = model.jobProperty().get();
    List<Top> tops = job.heights().tops();
    usual.setVisible(tops.isEmpty());
    usual.setManaged(tops.isEmpty());
    List<String> now =
        tops.stream().map(t -> t.name() + "|" + t.kind() + "|" + t.overBoard()).toList();
    if (!now.equals(shape)) {
      int kept = 0;
      while (kept < Math.min(built.size(), now.size()) && now.get(kept).equals(shape.get(kept))) {
        kept++;
      }
      boolean fresh = built.isEmpty();
      shape = now;
      fit = null;
      built.subList(kept, built.size()).clear();
      rows.getChildren().remove(kept, rows.getChildren().size());
      build(now, fresh);
    }
    built.forEach(TopRows::refresh);
  }

  private static void refresh(Row row) {
    row.reading().refresh();
    row.figures().forEach(FigureBox::refresh);
  }

  /**
   * Builds the rows that are missing.
   *
   * @param slowly one with each frame, as all of them at once would hold the window up; only where
   *     none stood before, so that nothing jumps under somebody's eyes
   */
  private void build(List<String> of, boolean slowly) {
    Job job = model.jobProperty().get();
    while (of.equals(shape) && job != null && built.size() < job.heights().tops().size()) {
      int index = built.size();
      rows.getChildren().add(row(job.heights().tops().get(index), index));
      if (slowly) {
        refresh(built.get(index));
        derived();
        Frames.later(1, () -> build(of, true));
        return;
      }
    }
  }

  /** Shows what the heights are over the substrate. */
  void derived(FitAnswer answer) {
    fit = answer;
    derived();
  }

  private void derived() {
    if (fit == null) {
      return;
    }
    List<Top> tops = model.jobProperty().get().heights().tops();
    for (int i = 0; i < built.size() && i < tops.size(); i++) {
      String top = tops.get(i).name();
      Optional<FitAnswer.Row> row =
          fit.rows().stream().filter(r -> r.top().name().equals(top)).findFirst();
      built
          .get(i)
          .derived()
          .setText(
              row.map(this::words).orElse(fit.outside().contains(top) ? "beyond the plate" : ""));
      Label working = built.get(i).working();
      working.setText(
          row.filter(r -> r.top().overBoard())
              .map(r -> "over the substrate: " + r.working())
              .orElse(""));
      working.setVisible(!working.getText().isEmpty());
      working.setManaged(!working.getText().isEmpty());
    }
  }

  private String words(FitAnswer.Row row) {
    double u = 2 * row.height().standardMillimetres();
    String value =
        model
                .notationProperty()
                .get()
                .fixed(
                    model.notationProperty().get().shown(row.height().nominal(), Unit.MILLIMETRE),
                    3)
            + " ± "
            + model
                .notationProperty()
                .get()
                .fixed(model.notationProperty().get().shown(u, Unit.MILLIMETRE), 3);
    return value;
  }

  private Node row(Top top, int index) {
    Label title = Labels.line(top.name(), "strong");
    title.setMinWidth(120);
    title.setPrefWidth(120);
    ReadingBox reading =
        new ReadingBox(
            model,
            "top-" + index,
            top.name(),
            job -> job.heights().tops().get(index).height(),
            (job, r) ->
                job.withHeights(
                    job.heights().withTop(index, job.heights().tops().get(index).withHeight(r))));
    Label derived = Labels.line("", "quiet");
    derived.setId("top-" + index + "-height");
    derived.setMinWidth(0);
    HBox.setHgrow(derived, Priority.ALWAYS);
    HBox first = new Strip(8, title, reading, derived);
    first.setAlignment(Pos.CENTER_LEFT);
    List<FigureBox> figures = HeightFigures.top(index).stream().map(this::place).toList();
    Button remove = new Button("Remove");
    remove.setId("remove-top-" + index);
    remove.getStyleClass().add("small");
    remove.disableProperty().bind(model.readOnlyProperty());
    remove.setOnAction(
        e ->
            edit(
                "remove " + top.name(),
                tops -> {
                  List<Top> all = new ArrayList<>(tops);
                  all.remove(index);
                  return all;
                }));
    FlowPane second =
        new FlowPane(6, 4, kind(top, index), over(top, index), Labels.line("at", "quiet"));
    second.getChildren().addAll(figures.subList(0, 2));
    second.getChildren().add(Labels.line("size", "quiet"));
    second.getChildren().addAll(figures.subList(2, 4));
    second.getChildren().add(remove);
    Label working = Labels.line("", "hint");
    built.add(new Row(reading, figures, derived, working));
    return new Column(3, first, second, working);
  }

  private FigureBox place(Figure figure) {
    FigureBox box = new FigureBox(model, figure, 3);
    box.setPrefWidth(58);
    box.setStyle("-fx-padding: 4 6 4 6;");
    return box;
  }

  private Node kind(Top top, int index) {
    return Picks.onDemand(
        top.kind().words(),
        "top-" + index + "-kind",
        model.readOnly(),
        () -> {
          ComboBox<String> pick = new ComboBox<>();
          pick.getItems().setAll(Arrays.stream(TopKind.values()).map(TopKind::words).toList());
          pick.setValue(top.kind().words());
          Picks.follow(
              pick,
              words ->
                  edit(
                      index,
                      top.name() + " is",
                      t ->
                          new Top(
                              t.name(),
                              Arrays.stream(TopKind.values())
                                  .filter(k -> k.words().equals(words))
                                  .findFirst()
                                  .orElseThrow(),
                              t.xMillimetres(),
                              t.yMillimetres(),
                              t.widthMillimetres(),
                              t.depthMillimetres(),
                              t.overBoard(),
                              t.height())));
          return pick;
        });
  }

  private Node over(Top top, int index) {
    Button over = new Button(top.overBoard() ? "over the mainboard" : "over the substrate");
    over.setId("top-" + index + "-over");
    over.getStyleClass().add("small");
    over.disableProperty().bind(model.readOnlyProperty());
    over.setOnAction(
        e ->
            edit(
                index,
                top.name() + ", read over",
                t ->
                    new Top(
                        t.name(),
                        t.kind(),
                        t.xMillimetres(),
                        t.yMillimetres(),
                        t.widthMillimetres(),
                        t.depthMillimetres(),
                        !t.overBoard(),
                        t.height())));
    return over;
  }
}
