package dev.ambershim.desktop.stage.coat;

import dev.ambershim.core.job.CoatFigures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.spread.FaceGrid;
import dev.ambershim.core.physics.spread.PasteClass;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.physics.spread.PasteStroke;
import dev.ambershim.core.physics.spread.PasteTerms;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.coat.PasteAnswer;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.core.stage.coat.SpreadPicture;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Paste: pattern and amount, pressed flat before your eyes, and what other patterns would cost. */
final class PastePanel extends Column {
  private static final int CELLS = 200;
  private static final double SIDE = 330;

  private final JobModel model;
  private final AnswerPane answer = new AnswerPane("How does the paste end?", "paste-answer");
  private final PickBar<PastePattern> patterns;
  private final PickBar<PasteClass> kinds;
  private final PictureView flow = new PictureView();
  private final PictureView compared = new PictureView();
  private final Button press = new Button("Press it flat");
  private final CheckBox screws = new CheckBox("tilted as the screws are turned");
  private final List<FigureBox> figures = new ArrayList<>();
  private final List<Double> strokeX = new ArrayList<>();
  private final List<Double> strokeY = new ArrayList<>();
  private Pressed pressed;
  private SpreadState state;
  private Job laid;

  PastePanel(JobModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    answer.lookup("#paste-answer").getStyleClass().setAll("label", "strong");
    patterns =
        new PickBar<>(
            List.of(PastePattern.values()),
            PastePattern::words,
            p -> "paste-" + p.name(),
            this::take);
    kinds =
        new PickBar<>(
            Arrays.asList(PasteClass.values()),
            PasteClass::words,
            k -> "paste-kind-" + k.name(),
            k -> set("paste", terms -> terms.withKind(k)));
    flow.setId("paste-flow");
    flow.setMinHeight(SIDE);
    flow.setPrefHeight(SIDE);
    flow.setPrefWidth(SIDE);
    flow.setMinWidth(240);
    flow.addEventHandler(MouseEvent.MOUSE_PRESSED, this::drawn);
    flow.addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drawn);
    flow.addEventHandler(MouseEvent.MOUSE_RELEASED, e -> stroke());
    compared.setId("paste-compared");
    compared.setPrefWidth(380);
    press.setId("paste-press");
    press.setOnAction(e -> press());
    screws.setId("paste-screws");
    screws.disableProperty().bind(model.readOnlyProperty());
    screws.setOnAction(
        e -> set("how the plate comes down", terms -> terms.withByScrews(screws.isSelected())));
    HBox.setHgrow(compared, Priority.ALWAYS);
    VBox right = new Column(8, compared, inputs());
    HBox.setHgrow(right, Priority.ALWAYS);
    HBox middle = new Strip(12, flow, right);
    getChildren()
        .addAll(
            answer,
            patterns,
            middle,
            pressing(),
            Labels.line(
                "Draw your own strokes on the face with the mouse. Pastes are taken as they are by"
                    + " common practice; the label of yours comes first.",
                "hint"));
  }

  private HBox pressing() {
    HBox row = new Strip(8, press, screws);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private VBox inputs() {
    CoatFigures.paste().forEach(figure -> figures.add(new FigureBox(model, figure, 5)));
    FigureBox grams = figures.get(0);
    FigureBox warm = figures.get(1);
    FlowPane row =
        new FlowPane(
            6, 6, fixed("amount"), grams, grams.unit(), fixed("   warmth"), warm, warm.unit());
    row.setAlignment(Pos.CENTER_LEFT);
    grams.unit().setMinWidth(USE_PREF_SIZE);
    warm.unit().setMinWidth(USE_PREF_SIZE);
    return new Column(6, kinds, row);
  }

  private static Label fixed(String words) {
    Label label = Labels.line(words);
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }

  private void set(String what, UnaryOperator<PasteTerms> change) {
    model.edit(what, job -> job.withPaste(change.apply(job.paste())));
  }

  private void take(PastePattern pattern) {
    if (pattern == PastePattern.OWN && model.jobProperty().get().paste().strokes().isEmpty()) {
      model.say("Draw a stroke on the face first: drag the mouse across it.");
      refresh();
      return;
    }
    model.edit("pattern: " + pattern.words(), job -> job.withPaste(job.paste().with(pattern)));
  }

  private void drawn(MouseEvent e) {
    if (state == null || model.readOnly()) {
      return;
    }
    FaceGrid grid = state.grid();
    double[] at = SpreadPicture.frame(grid, flow.getWidth(), flow.getHeight());
    double x = (e.getX() - at[0]) / at[2] - grid.widthMillimetres() / 2;
    double y = grid.depthMillimetres() / 2 - (e.getY() - at[1]) / at[2];
    boolean inside =
        Math.abs(x) <= grid.widthMillimetres() / 2 && Math.abs(y) <= grid.depthMillimetres() / 2;
    int last = strokeX.size() - 1;
    boolean further = last < 0 || Math.hypot(x - strokeX.get(last), y - strokeY.get(last)) > 0.7;
    if (inside && further) {
      strokeX.add(x);
      strokeY.add(y);
    }
  }

  private void stroke() {
    if (strokeX.isEmpty()) {
      return;
    }
    PasteStroke stroke = new PasteStroke(strokeX, strokeY);
    strokeX.clear();
    strokeY.clear();
    model.edit(
        "stroke of paste",
        job -> {
          List<PasteStroke> all = new ArrayList<>();
          if (job.paste().pattern() == PastePattern.OWN) {
            all.addAll(job.paste().strokes());
          }
          all.add(stroke);
          return job.withPaste(job.paste().drawn(all));
        });
  }

  /** Begins to press, or stops. */
  void press() {
    if (pressed != null) {
      stop();
      return;
    }
    Job job = model.jobProperty().get();
    press.setText("Stop");
    pressed =
        Pressed.begin(
            () -> PasteQuestion.of(job, CELLS),
            now -> {
              state = now;
              paint();
            },
            this::stop);
  }

  private void stop() {
    if (pressed != null) {
      pressed.stop();
      pressed = null;
    }
    press.setText("Press it flat");
  }

  private void paint() {
    SpreadState now = state;
    Job job = model.jobProperty().get();
    List<Patch> dies = job.chip().dies().stream().map(CoreLayout::patch).toList();
    flow.show(
        (w, h) -> SpreadPicture.of(now, dies, model.notationProperty().get(), w, h),
        model.themeProperty().get().dark());
  }

  /** Shows what is kept. */
  void refresh() {
    Job job = model.jobProperty().get();
    figures.forEach(FigureBox::refresh);
    patterns.show(Doses.pastePattern(job.workCase()));
    kinds.show(job.paste().kind());
    screws.setSelected(job.paste().byScrews());
  }

  /** Shows the paste as it is laid down, until it is pressed. */
  void lay(Job job, SpreadState now) {
    boolean other =
        laid == null
            || !laid.paste().equals(job.paste())
            || !laid.workCase().equals(job.workCase());
    if (other) {
      stop();
      state = now;
    }
    laid = job;
    paint();
  }

  void show(Optional<PasteAnswer> pasted) {
    setVisible(pasted.isPresent());
    setManaged(pasted.isPresent());
    if (pasted.isEmpty()) {
      return;
    }
    PasteAnswer now = pasted.get();
    answer.show(now.sentence(), now.reasons());
    compared.setMinHeight(SpreadPicture.height(now.patterns().size()));
    compared.setPrefHeight(SpreadPicture.height(now.patterns().size()));
    compared.show(
        (w, h) -> SpreadPicture.compared(now.patterns(), model.notationProperty().get(), w, h),
        model.themeProperty().get().dark());
  }

  /** What is on the face now, for tests. */
  SpreadState state() {
    return state;
  }
}
