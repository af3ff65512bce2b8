package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.frame.Inquiries.Asked;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Trouble;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Copying;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.FileDialogs;
import dev.ambershim.desktop.widget.FilePicker;
import dev.ambershim.desktop.widget.Inquiry;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.StepsScreen;
import dev.ambershim.desktop.widget.Strip;
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
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The window's content: the job above, the stages at the left, the stage's answer in the middle,
 * the section at the right, the shelf below; sheets and drop targets lie over all of it.
 */
public final class FrameView extends StackPane implements Desk {
  /**
   * A held key is told again within this time. It ends, because a dialog may swallow the release of
   * the key that opened it.
   */
  private static final long AGAIN_NANOS = 900_000_000;

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
  private final BorderPane frame = new BorderPane();
  private final ScrollPane middle = new ScrollPane();
  private Tour tour;
  private final Function<FrameView, StepsScreen> benches;
  private StepsScreen bench;
  private final Inquiries inquiries;
  private final Zoom zoom;
  private final SectionPane section;
  private final TopBar bar;
  private final StageRail rail;
  private final Shelf shelf;
  private final HintBar hints;
  private Node placed = new Column();
  private boolean atBench;
  private KeyCode held;
  private long heldAt;
  private DropTargets drop;
  private Sheet sheet;

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
    this.benches = benches;
    this.inquiries = new Inquiries(() -> inquiries.apply(this));
    this.model = model;
    this.files = new FileDialogs(model, picker);
    this.handed = new HandedFiles(model, this);
    this.stages = stages;
    middle.setId("middle");
    middle.setFitToWidth(true);
    middle.setFitToHeight(true);
    bar = new TopBar(this);
    rail = new StageRail(model);
    shelf = new Shelf(model, this::showHelp);
    frame.setTop(bar);
    frame.setLeft(rail);
    frame.setCenter(middle);
    section = new SectionPane(model);
    frame.setRight(section);
    hints = new HintBar(model);
    frame.setBottom(new Column(hints, shelf));
    getChildren().add(frame);
    zoom = new Zoom(this, model.looks());
    // What does not fit is cut at the foot of the middle, never the bar above.
    frame.setMinSize(0, 0);
    widthProperty().addListener((o, was, is) -> fit(is.doubleValue()));
    heightProperty().addListener((o, was, is) -> mark("low", is.doubleValue() < LOW));
    setOnDragOver(this::hanging);
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    addEventFilter(KeyEvent.KEY_RELEASED, e -> held = null);
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
                middle.setVvalue(0);
              }
            });
    model.troubleProperty().addListener((o, was, is) -> showTrouble(was, is));
    model
        .lostProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                showSheet("Where are the jobs?", CopiesPane.afterLoss(model, this::closeSheet));
              }
            });
    showStage();
    Later.belowTheFold(
        model,
        () -> {
          model.workbench().timers().begin();
          if (!model.readOnly()) {
            model
                .traffic()
                .leftRuns(
                    left ->
                        model.say(
                            "A conducted run was cut off and is in no job yet. Press Ctrl+J to take"
                                + " it in."));
          }
        });
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
    boolean tight = width < TIGHT;
    if (tight != (frame.getRight() == null)) {
      bar.fold(tight);
      rail.fold(tight);
      shelf.fold(tight);
      place(placed);
    }
  }

  /**
   * Puts a stage or a question into the middle; where there is no room beside it, the section too.
   */
  private void place(Node node) {
    placed = node;
    hints.still(inquiries.shown().isPresent());
    if (getWidth() < TIGHT && getWidth() > 0) {
      frame.setRight(null);
      middle.setContent(new Column(node, section));
    } else {
      middle.setContent(node);
      frame.setRight(section);
    }
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
    middle.setVvalue(0);
    inquiries.end();
    if (model.openedProperty().get() && model.jobProperty().get() == null) {
      Trouble trouble = model.troubleProperty().get();
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
    } else if (was != null && sheet != null && sheet.lookup("#trouble") != null) {
      closeSheet();
    }
  }

  private Node empty() {
    if (!model.jobs().isEmpty()) {
      Button pick = new Button("Pick a job  Ctrl+L");
      pick.getStyleClass().add("next");
      pick.setOnAction(e -> showLogbook());
      VBox none =
          new Column(
              14,
              Labels.line(
                  model.work().busyProperty().get() ? "Opening your job…" : "No job is open.",
                  "answer"),
              new Strip(10, pick));
      none.getStyleClass().add("stage");
      return none;
    }
    return inquiries.begin(Asked.BEGIN).node();
  }

  /** Ways to begin besides one's own job. */
  List<Button> waysToBegin() {
    Button look = new Button("Look at the example");
    look.setId("empty-example");
    look.setOnAction(
        e -> {
          endBegin();
          model.takeExample();
        });
    look.disableProperty().bind(model.readOnlyProperty());
    Button take = new Button("Take in a job bundle  Ctrl+I");
    take.setOnAction(e -> files.takeBundle());
    take.disableProperty().bind(model.readOnlyProperty());
    Button practise = new Button("Practise  Ctrl+Shift+D");
    practise.setId("empty-practise");
    practise.setOnAction(e -> togglePractise());
    Button walk = new Button("A tour of one minute  Ctrl+F1");
    walk.setId("empty-tour");
    walk.setOnAction(e -> beginTour());
    return List.of(look, walk, take, practise);
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
    long now = System.nanoTime();
    boolean again = event.getCode() == held && now - heldAt < AGAIN_NANOS;
    held = event.getCode();
    heldAt = now;
    if (again && (event.getCode() == KeyCode.F2 || atBench) && !typing(event)) {
      // A pedal or a key that is held down must not run through the steps.
      event.consume();
    } else if (touring(event)) {
      event.consume();
    } else if (atBench && sheet == null && bench.key(event)) {
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE && sheet != null && model.openedProperty().get()) {
      closeSheet();
      event.consume();
    } else if (event.getCode() == KeyCode.ESCAPE
        && inquiries.shows(Asked.BEGIN)
        && model.jobProperty().get() != null) {
      showStage();
      event.consume();
    } else if (event.isShortcutDown() && event.getCode().isDigitKey()) {
      int digit = event.getCode().getChar().charAt(0) - '0';
      leaveBench();
      endInquiry();
      model.stageProperty().set(Stage.at(digit == 0 ? 10 : digit));
      event.consume();
    } else if (Key.act(event, this)) {
      event.consume();
    }
  }

  @Override
  public void showSheet(String title, Node content) {
    closeSheet();
    sheet = new Sheet(title, this::closeSheet, content);
    lay(sheet);
    sheet.lookupAll(".text-field").stream().findFirst().ifPresent(Node::requestFocus);
  }

  /** Lays a sheet over the window; what scrolls in it can be found and focused at once. */
  private void lay(Sheet over) {
    getChildren().add(over);
    over.applyCss();
  }

  @Override
  public void closeSheet() {
    if (sheet != null) {
      Node back = atBench ? bench.node() : frame;
      // What has the keyboard on the sheet is left first, so that it keeps what was picked in it.
      back.requestFocus();
      getChildren().remove(sheet);
      sheet = null;
    }
  }

  @Override
  public void showQuestion(String title, Node content) {
    closeSheet();
    Sheet asking = new Sheet(title, () -> {}, content);
    lay(asking);
    asking.lookup("#close-sheet").setVisible(false);
    sheet = asking;
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
      placed.requestFocus();
    }
  }

  @Override
  public void toggleBench() {
    if (atBench) {
      leaveBench();
      return;
    }
    if (model.jobProperty().get() == null) {
      model.say("Begin a job first: press Ctrl+N.");
      return;
    }
    closeSheet();
    if (bench == null) {
      bench = benches.apply(this);
    }
    atBench = true;
    zoom.still(true);
    getChildren().add(bench.node());
    bench.enter();
  }

  private void leaveBench() {
    if (atBench) {
      atBench = false;
      zoom.still(false);
      bench.leave();
      getChildren().remove(bench.node());
      frame.requestFocus();
    }
  }

  void toggleKeys() {
    if (sheet != null && sheet.lookup("#key-map") != null) {
      closeSheet();
    } else {
      showSheet("Keys", KeysSheet.content());
    }
  }

  /** A minute's walk through the window, on the open job or the example. */
  void beginTour() {
    closeSheet();
    endTour();
    leaveBench();
    if (model.jobProperty().get() == null && model.jobs().isEmpty() && !model.readOnly()) {
      model.takeExample();
    }
    endInquiry();
    tour = new Tour(model);
    getChildren().add(tour);
    frame.requestFocus();
  }

  private void endTour() {
    if (tour != null) {
      getChildren().remove(tour);
      tour = null;
    }
  }

  /** Keys of the tour, while it is on. */
  private boolean touring(KeyEvent event) {
    if (tour == null || sheet != null) {
      return false;
    }
    boolean goesOn =
        switch (event.getCode()) {
          case ENTER, RIGHT, SPACE -> tour.turn(1);
          case LEFT -> tour.turn(-1);
          case ESCAPE -> false;
          default -> {
            // Whatever is shown may be tried at once.
            yield true;
          }
        };
    if (!goesOn) {
      endTour();
    }
    return switch (event.getCode()) {
      case ENTER, RIGHT, SPACE, LEFT, ESCAPE -> true;
      default -> false;
    };
  }

  /** Shows what each stage of the open job has and asks for. */
  void showWhere() {
    if (model.jobProperty().get() == null) {
      model.say("Begin a job first: press Ctrl+N.");
      return;
    }
    showSheet(
        "Where you stand",
        WhereSheet.content(
            model,
            stage -> {
              closeSheet();
              endInquiry();
              model.stageProperty().set(stage);
            }));
  }

  /** Prints the report or the certificate of the open job. */
  void showPrint() {
    if (model.jobProperty().get() == null) {
      model.say("Begin a job first: press Ctrl+N.");
      return;
    }
    showSheet("Print", PrintSheet.content(model, this::closeSheet, files::writeReport));
  }

  /** Copies the answer that is on screen, as a sentence. */
  void copyAnswer() {
    Node answer = middle.getContent() == null ? null : middle.getContent().lookup(".answer");
    if (answer instanceof Label said && !said.getText().isBlank()) {
      Copying.sentence(said.getText());
      model.say("Copied: the answer.");
    }
  }

  /** The handbook's page for the place one is in, or what was there before. */
  void toggleHelp() {
    if (sheet != null && sheet.lookup("#help-list") != null) {
      closeSheet();
      return;
    }
    boolean logbook = sheet != null && sheet.lookup("#jobs") != null;
    String page =
        logbook
            ? "logbook"
            : atBench ? "plans" : inquiries.page().orElse(page(model.stageProperty().get()));
    showHelp(page);
  }

  /** The handbook at a page. */
  private void showHelp(String page) {
    showSheet(
        "Handbook",
        HelpSheet.content(
            page,
            () -> showSheet("Keys", KeysSheet.content()),
            () -> files.wrongTarget().ifPresent(to -> model.traffic().writeWrong(version(), to)),
            "Amber Shim " + version()));
  }

  private static String version() {
    String version = FrameView.class.getPackage().getImplementationVersion();
    return version == null ? "(unpacked)" : version;
  }

  private static String page(Stage stage) {
    return stage.name().toLowerCase(Locale.ROOT);
  }

  /**
   * Three questions and a forecast, with the caret in the new job's name, where Enter begins it.
   */
  void showNewJob() {
    if (!inquiries.shows(Asked.BEGIN)) {
      toggle(Asked.BEGIN);
    }
    closeSheet();
    Node name = lookup("#new-title");
    if (name != null) {
      name.requestFocus();
    }
  }

  void showLogbook() {
    showSheet(
        "Logbook",
        LogbookSheet.content(
            model, this::closeSheet, this::showNewJob, this::togglePractise, this::toggleSeries));
  }

  void showSettings() {
    showSheet("Units and look", SettingsSheet.content(model));
  }

  @Override
  public void showColumns(RunResult run) {
    showSheet("Columns of " + run.entry().fileName(), ColumnsSheet.content(model, run));
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
    if (atBench) {
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
