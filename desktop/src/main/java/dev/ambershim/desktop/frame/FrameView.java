package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.frame.Inquiries.Asked;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Trouble;
import dev.ambershim.desktop.widget.Copying;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.FileDialogs;
import dev.ambershim.desktop.widget.FilePicker;
import dev.ambershim.desktop.widget.Inquiry;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.StepsScreen;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;

/**
 * The window's content: the job above, the stages at the left, the stage's answer in the middle,
 * the section at the right, the shelf below; sheets and drop targets lie over all of it.
 */
public final class FrameView extends StackPane implements Desk {
  /** Windows that are less wide are narrow, pixels. */
  private static final double NARROW = 1180;

  /** In a window that is less wide the section stands below the stage, and the rail is numbers. */
  private static final double TIGHT = 900;

  /** In a window that is less high the rail's numbers stand closer. */
  private static final double LOW = 400;

  private final JobModel model;
  private final FileDialogs files;
  private final HandedFiles handed;
  private final Function<FrameView, Map<Stage, Supplier<StageView>>> stages;
  private final Map<Stage, StageView> built = new EnumMap<>(Stage.class);
  private final FramePane frame;
  private Tour tour;
  private final AtBench bench;
  private final Inquiries inquiries;
  private final Zoom zoom;
  private final HeldKey held = new HeldKey();
  private DropTargets drop;
  private final Sheets sheets = new Sheets(getChildren(), this::below);
  private final OwnSheets own;

  /**
   * Builds the shell.
   *
   * @param picker asks for files
   * @param stages makes the stages that are built, each when it is first shown
   * @param benches makes the bench when it is first gone to
   * @param inquiries makes what takes a stage's place, each when it is first asked for
   */
  public FrameView(
      JobModel model,
      FilePicker picker,
      Function<FrameView, Map<Stage, Supplier<StageView>>> stages,
      Function<FrameView, StepsScreen> benches,
      Function<FrameView, Map<Asked, Supplier<Inquiry>>> inquiries) {
    this.inquiries = new Inquiries(() -> inquiries.apply(this));
    this.model = model;
    this.files = new FileDialogs(model, picker);
    this.handed = new HandedFiles(model, this);
    this.own = new OwnSheets(this, sheets);
    this.stages = stages;
    frame = new FramePane(this);
    getChildren().add(frame);
    zoom = new Zoom(this, model.looks());
    bench = new AtBench(() -> benches.apply(this), zoom, getChildren());
    widthProperty().addListener((o, was, is) -> fit(is.doubleValue()));
    heightProperty().addListener((o, was, is) -> mark("low", is.doubleValue() < LOW));
    setOnDragOver(this::hanging);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    addEventFilter(KeyEvent.KEY_RELEASED, e -> held.release());
    watch();
    showStage();
    Later.belowTheFold(model, this::takeUp);
  }

  /** Follows what is open. */
  private void watch() {
    model.stageProperty().addListener((o, was, is) -> showStage());
    model
        .openedProperty()
        .addListener(
            (o, was, is) -> {
              showStage();
              frame.requestFocus();
            });
    model
        .jobProperty()
        .addListener(
            (o, was, is) -> {
              if (model.openedProperty().get() && (was == null || is == null)) {
                showStage();
              }
            });
    model
        .storedProperty()
        .addListener(
            (o, was, is) -> {
              if (was != null && is != null && !was.id().equals(is.id())) {
                frame.toTheAnswer();
              }
            });
    model.opener().troubleProperty().addListener((o, was, is) -> showTrouble(was, is));
    model
        .lostProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                own.showCopies();
              }
            });
  }

  /** Takes up what was under way when the application ended. */
  private void takeUp() {
    model.workbench().timers().begin();
    if (!model.readOnly()) {
      model
          .traffic()
          .leftRuns(
              left ->
                  model.say(
                      "A conducted run was cut off and is in no job yet. Press Ctrl+J to take it"
                          + " in."));
    }
  }

  /** What has the keyboard where no sheet lies over it. */
  private Node below() {
    return bench.here() ? bench.node() : frame;
  }

  /**
   * Where text is large there is less room: all is laid out in that, and drawn larger. A scene
   * hands over one new side with the other as it is laid out, so the scene itself is asked.
   */
  @Override
  public void resize(double width, double height) {
    double factor = zoom == null ? 1 : zoom.factor();
    if (factor == 1 || getScene() == null) {
      super.resize(width, height);
    } else {
      super.resize(getScene().getWidth() / factor, getScene().getHeight() / factor);
    }
  }

  /** In a narrow window the columns beside give way to the middle; in a tight one they fold. */
  private void fit(double width) {
    mark("narrow", width < NARROW);
    mark("tight", width < TIGHT);
    frame.fold(width < TIGHT);
  }

  private void place(Node node) {
    frame.stillHints(inquiries.shown().isPresent());
    frame.place(node);
  }

  private void mark(String style, boolean on) {
    if (on != getStyleClass().contains(style)) {
      if (on) {
        getStyleClass().add(style);
      } else {
        getStyleClass().remove(style);
      }
    }
  }

  @Override
  public FileDialogs files() {
    return files;
  }

  JobModel model() {
    return model;
  }

  Inquiries inquiries() {
    return inquiries;
  }

  private void showStage() {
    // The answer comes first, wherever the last stage was left.
    frame.toTheAnswer();
    inquiries.end();
    if (model.openedProperty().get() && model.jobProperty().get() == null) {
      Trouble trouble = model.opener().troubleProperty().get();
      place(trouble == null ? empty() : TroublePane.of(this, model, files.picker(), trouble));
      return;
    }
    Stage stage = model.stageProperty().get();
    place(built.computeIfAbsent(stage, s -> stages.apply(this).get(s).get()).node());
  }

  private void showTrouble(Trouble was, Trouble is) {
    if (model.jobProperty().get() == null) {
      showStage();
    } else if (is != null) {
      showSheet("This job did not open", TroublePane.of(this, model, files.picker(), is));
    } else if (was != null && sheets.holds("#trouble")) {
      closeSheet();
    }
  }

  private Node empty() {
    return model.jobs().isEmpty()
        ? inquiries.begin(Asked.BEGIN).node()
        : EmptyPane.pick(model, own::showLogbook);
  }

  /** The beginning makes room for the job that it began. */
  void endBegin() {
    inquiries.end();
    if (model.jobProperty().get() != null) {
      showStage();
    }
  }

  private static boolean typing(KeyEvent event) {
    return event.getTarget() instanceof TextInputControl;
  }

  private void key(KeyEvent event) {
    boolean again = held.again(event);
    if (again && (event.getCode() == KeyCode.F2 || bench.here()) && !typing(event)) {
      // A pedal or a key that is held down must not run through the steps.
      event.consume();
    } else if (tour != null && !sheets.any() && tour.key(event)) {
      event.consume();
    } else if (!sheets.any() && bench.key(event)) {
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE && sheets.any() && model.openedProperty().get()) {
      closeSheet();
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE
        && inquiries.shows(Asked.BEGIN)
        && model.jobProperty().get() != null) {
      showStage();
      event.consume();
    } else if (event.isShortcutDown() && event.getCode().isDigitKey()) {
      int digit = event.getCode().getChar().charAt(0) - '0';
      goTo(Stage.at(digit == 0 ? 10 : digit));
      event.consume();
    } else if (Key.act(event, this)) {
      event.consume();
    }
  }

  @Override
  public void showSheet(String title, Node content) {
    sheets.show(title, content);
  }

  @Override
  public void closeSheet() {
    sheets.close();
  }

  @Override
  public void showQuestion(String title, Node content) {
    sheets.ask(title, content);
  }

  @Override
  public void showColumns(RunResult run) {
    own.showColumns(run);
  }

  /** The window's own sheets. */
  OwnSheets own() {
    return own;
  }

  /** Goes to a stage itself, from wherever one is. */
  void goTo(Stage stage) {
    leaveBench();
    endInquiry();
    model.stageProperty().set(stage);
  }

  /** Whether a job is open; else it says how to begin one. */
  boolean jobAsked() {
    if (model.jobProperty().get() == null) {
      model.say("Begin a job first: press Ctrl+N.");
      return false;
    }
    return true;
  }

  /** Asks why the chip is hot, in place of the stage, or goes back to it. */
  public void toggleDiagnosis() {
    if (model.jobProperty().get() != null) {
      toggle(Asked.DIAGNOSIS);
    }
  }

  /** A key that goes to a stage goes to the stage itself. */
  private void endInquiry() {
    if (inquiries.shown().isPresent()) {
      showStage();
    }
  }

  /** Goes to the place to practise, which needs no job, or back. */
  public void togglePractise() {
    toggle(Asked.PRACTISE);
  }

  /** Goes to the series, which belong to no job, or back. */
  public void toggleSeries() {
    toggle(Asked.SERIES);
  }

  /** Takes back what was done last, or does it again: of what is on screen, else of the job. */
  void undo(boolean back) {
    if (inquiries.shown().filter(i -> i.undo(back)).isPresent()) {
      return;
    }
    if (back) {
      model.undo();
    } else {
      model.redo();
    }
  }

  private void toggle(Asked asked) {
    boolean back = inquiries.shows(asked);
    leaveBench();
    closeSheet();
    showStage();
    if (!back) {
      place(inquiries.begin(asked).node());
      frame.placed().requestFocus();
    }
  }

  @Override
  public void toggleBench() {
    if (bench.here()) {
      leaveBench();
    } else if (jobAsked()) {
      closeSheet();
      bench.enter();
    }
  }

  private void leaveBench() {
    if (bench.leave()) {
      frame.requestFocus();
    }
  }

  /** A minute's walk through the window, on the open job or the example. */
  void beginTour() {
    closeSheet();
    endTour();
    leaveBench();
    if (model.jobProperty().get() == null && model.jobs().isEmpty() && !model.readOnly()) {
      model.opener().takeExample();
    }
    endInquiry();
    tour = new Tour(model, this::endTour);
    getChildren().add(tour);
    frame.requestFocus();
  }

  private void endTour() {
    if (tour != null) {
      getChildren().remove(tour);
      tour = null;
    }
  }

  /** Copies the answer that is on screen, as a sentence. */
  void copyAnswer() {
    Node answer = frame.placed().lookup(".answer");
    if (answer instanceof Label said && !said.getText().isBlank()) {
      Copying.sentence(said.getText());
      model.say("Copied: the answer.");
    }
  }

  /** The handbook's page for the place one is in. */
  String page() {
    return bench.here()
        ? "plans"
        : inquiries.page().orElse(model.stageProperty().get().name().toLowerCase(Locale.ROOT));
  }

  /**
   * Three questions and a forecast, with the caret in the new job's name, where Enter begins it.
   */
  void beginJob() {
    if (!inquiries.shows(Asked.BEGIN)) {
      toggle(Asked.BEGIN);
    }
    closeSheet();
    Node name = lookup("#new-title");
    if (name != null) {
      name.requestFocus();
    }
  }

  /** Does something with the stage on screen, if it is built. */
  void onStage(Consumer<StageView> action) {
    StageView view = shown();
    if (view != null) {
      action.accept(view);
    }
  }

  /** The question or the stage on screen; null while it is not built. */
  private StageView shown() {
    return inquiries.shown().<StageView>map(i -> i).orElse(built.get(model.stageProperty().get()));
  }

  @Override
  public void conduct() {
    Optional<Inquiry> own = inquiries.shown().filter(Inquiry::conducts);
    if (own.isPresent() && !model.readOnly()) {
      own.get().conduct();
      return;
    }
    if (model.jobProperty().get() == null || model.readOnly()) {
      return;
    }
    if (model.stageProperty().get() != Stage.PROVE && model.stageProperty().get() != Stage.KEEP) {
      model.stageProperty().set(Stage.BASELINE);
    }
    endInquiry();
    onStage(StageView::conduct);
  }

  /** Goes to the clock ladder: in Baseline for before the work, else in Prove. */
  void writeRung() {
    if (model.jobProperty().get() == null || model.readOnly()) {
      return;
    }
    if (model.stageProperty().get() != Stage.BASELINE) {
      model.stageProperty().set(Stage.PROVE);
    }
    onStage(StageView::writeRung);
  }

  void toggleSide() {
    Side now = model.sideProperty().get();
    model.sideProperty().set(now == Side.BEFORE ? Side.AFTER : Side.BEFORE);
  }

  private void hanging(DragEvent event) {
    if (bench.here()) {
      return;
    }
    if (drop == null) {
      drop = new DropTargets((given, side) -> handed.dropped(given, side, shown()));
      getChildren().add(drop);
    }
    drop.watch(event);
  }

  /** Takes files that the application was opened with. */
  public void openWith(List<Path> given) {
    handed.openWith(given);
  }
}
