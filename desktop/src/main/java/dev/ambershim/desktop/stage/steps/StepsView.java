package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.picture.SectionPicture;
import dev.ambershim.core.picture.StepPicture;
import dev.ambershim.core.plan.ChipState;
import dev.ambershim.core.plan.Hold;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.StepEntry;
import dev.ambershim.core.plan.Trouble;
import dev.ambershim.core.stage.Lesson;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Ticking;
import dev.ambershim.desktop.stage.steps.StepKeys.Action;
import dev.ambershim.desktop.stage.steps.StepsModel.Shown;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Scroll;
import dev.ambershim.desktop.widget.StepsScreen;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.desktop.widget.Thumbnails;
import dev.ambershim.desktop.widget.TimerChips;
import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * One step in very large type with its caution and its check, the picture where one helps, the
 * timers, and what comes next. Everything has a key; sizes follow the window.
 */
public final class StepsView implements StepsScreen {
  private static final double USUAL_WIDTH = 1280;
  private static final double USUAL_HEIGHT = 800;

  /** Body type at the usual size, pixels; everything else is reckoned from it. */
  static final double BODY = 28;

  /** The words take one half of the screen, the pictures the other. */
  private static final double PICTURE_SHARE = 0.47;

  private final JobModel shell;
  private final StepsModel model;
  private final BorderPane root = new BorderPane();
  private final Label place = Labels.line("", "bench-quiet");
  private final Label end = Labels.line("", "bench-quiet");
  private final Label title = Labels.line("", "bench-title");
  private final Label action = Labels.line("", "bench-body");
  private final Label caution = Labels.line("", "bench-caution");
  private final Label check = Labels.line("", "bench-check");
  private final Label state = Labels.line("", "bench-state");
  private final Label next = Labels.line("", "bench-quiet");
  private final Label keyLine = Labels.line("", "bench-keys");
  private final VBox why = new Column();
  private final PictureView sketch = new PictureView();
  private final Label sectionHead = Labels.line("", "bench-quiet");
  private final PictureView section = new PictureView();
  private final Thumbnails photos;
  private final VBox side = new Column(14);
  private final EntryLine entry = new EntryLine(root::requestFocus);
  private final RescuePane rescue;
  private final Hands hands;
  private String stepShown = "";

  /** The bench of a window. */
  public StepsView(JobModel shell, Desk window) {
    this.shell = shell;
    model = new StepsModel(shell);
    hands = new Hands(shell, window, model, entry, this::toggleWhy, this::refresh);
    rescue = new RescuePane(model.rescue());
    photos = new Thumbnails(shell.workbench(), 110);
    root.getStyleClass().add("bench");
    root.setId("bench");
    root.setFocusTraversable(true);
    name();
    sketch.setPrefSize(430, 430);
    sketch.setMinSize(300, 260);
    section.setPrefSize(430, 260);
    section.setMinSize(300, 200);
    VBox.setVgrow(sketch, Priority.ALWAYS);
    VBox.setVgrow(section, Priority.SOMETIMES);
    side.getChildren().addAll(sketch, sectionHead, section, photos);
    side.setMinWidth(430);
    side.prefWidthProperty().bind(root.widthProperty().multiply(PICTURE_SHARE));
    side.maxWidthProperty().bind(side.prefWidthProperty());
    HBox head = new Strip(place, Labels.spring(), end);
    why.getStyleClass().add("bench-why");
    VBox step = new Column(title, action, caution, check);
    step.getStyleClass().add("bench-words");
    VBox words = new Column(rescue, step, state, entry, why);
    model
        .rescue()
        .shownProperty()
        .addListener(
            (o, was, is) -> {
              show(step, is == null);
              show(side, is == null);
              if (is == null) {
                refresh();
              } else {
                keyLine.setText(is.keys());
              }
            });
    words.getStyleClass().add("bench-words");
    Scroll scroll = new Scroll(words);
    scroll.setFitToWidth(true);
    // The pictures keep their half; the words wrap in what is left.
    scroll.setPrefWidth(1);
    scroll.setFocusTraversable(false);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    HBox middle = new Strip(28, scroll, side);
    middle.setAlignment(Pos.TOP_LEFT);
    HBox.setHgrow(scroll, Priority.ALWAYS);
    TimerChips timers = new TimerChips(shell.workbench().timers(), "bench-timer");
    VBox foot = new Column(6, timers, next, keyLine);
    root.setTop(head);
    root.setCenter(middle);
    root.setBottom(foot);
    root.widthProperty().addListener((o, was, is) -> size());
    root.heightProperty().addListener((o, was, is) -> size());
    // The letter of a key that opened the line must not be the first letter in it.
    root.addEventFilter(
        KeyEvent.KEY_TYPED,
        e -> {
          if (hands.acting()) {
            e.consume();
          }
        });
    root.addEventFilter(KeyEvent.KEY_RELEASED, e -> hands.released());
    root.setOnDragOver(StepsView::hanging);
    root.setOnDragDropped(this::dropped);
    root.setOnMousePressed(e -> root.requestFocus());
    model.shownProperty().addListener((o, was, is) -> refresh());
    model.saidProperty().addListener((o, was, is) -> refreshState());
    model.expectedProperty().addListener((o, was, is) -> refresh());
    shell
        .workbench()
        .timers()
        .ticking()
        .addListener((ListChangeListener<Ticking>) c -> refreshState());
    shell.themeProperty().addListener((o, was, is) -> refresh());
  }

  private void name() {
    place.setId("bench-place");
    end.setId("bench-end");
    title.setId("bench-title");
    action.setId("bench-action");
    caution.setId("bench-caution");
    check.setId("bench-check");
    state.setId("bench-state");
    next.setId("bench-next");
    why.setId("bench-why");
    sketch.setId("bench-sketch");
    section.setId("bench-section");
    sectionHead.setId("bench-section-head");
  }

  private void size() {
    double scale = Math.min(root.getWidth() / USUAL_WIDTH, root.getHeight() / USUAL_HEIGHT);
    root.setStyle("-fx-font-size: " + Math.round(BODY * Math.max(0.75, scale)) + "px;");
  }

  @Override
  public Node node() {
    return root;
  }

  @Override
  public void enter() {
    hands.enter();
    model.enter();
    show(why, false);
    refresh();
    root.requestFocus();
  }

  @Override
  public void leave() {
    entry.close();
    model.unwatch();
    model.rescue().close();
    model.leave();
  }

  private static void show(Node node, boolean on) {
    node.setVisible(on);
    node.setManaged(on);
  }

  private static void words(Label label, String text) {
    label.setText(text);
    show(label, !text.isEmpty());
  }

  private void refresh() {
    Shown now = model.shownProperty().get();
    if (now == null) {
      return;
    }
    PlanStep step = now.step();
    if (!stepShown.equals(step.id())) {
      stepShown = step.id();
      entry.close();
      show(why, false);
    }
    place.setText(
        now.finished()
            ? "All " + now.plan().steps().size() + " steps are done"
            : "Step "
                + (now.plan().indexOf(step.id()) + 1)
                + " of "
                + now.plan().steps().size()
                + " · "
                + step.phase().words()
                + " · "
                + now.done()
                + " done");
    end.setText(now.end().isEmpty() ? "" : "done on " + now.end());
    title.setText(now.finished() && now.entry().done() ? "All is done." : step.title());
    action.setText(step.action());
    words(caution, step.caution().map(c -> "Caution. " + c.words()).orElse(""));
    words(check, check(now));
    next.setText(now.next().isEmpty() ? "This is the last step." : "Next: " + now.next());
    step.sketch()
        .ifPresent(
            s ->
                sketch.show(
                    (w, h) -> StepPicture.of(s, now.plan().work(), w, h),
                    shell.themeProperty().get().dark()));
    show(sketch, step.sketch().isPresent());
    refreshSection(now);
    photos.show(now.entry().photos());
    if (why.isVisible()) {
      fillWhy(now);
    }
    if (!model.rescue().isOpen()) {
      keyLine.setText(keyLine(now));
    }
    refreshState();
  }

  /** The check with what was given for it. */
  private static String check(Shown now) {
    StepEntry entry = now.entry();
    Optional<Hold> hold = now.step().hold();
    if (hold.isEmpty()) {
      return now.step().record().isEmpty() ? "" : "Write down: " + now.step().record() + ".";
    }
    String given =
        !entry.overridden().isEmpty()
            ? "passed without, because: " + entry.overridden()
            : !entry.passes(hold.get())
                ? ""
                : switch (hold.get().evidence()) {
                  case TICK -> "yes, " + entry.initials();
                  case READING -> hold.get().reading() + ": " + entry.reading();
                  case PHOTO -> "photo kept";
                };
    return (given.isEmpty() ? "■ " : "✓ ")
        + hold.get().check()
        + (given.isEmpty() ? "" : "  " + given);
  }

  private void refreshState() {
    Shown now = model.shownProperty().get();
    if (now == null) {
      return;
    }
    // What holds the step up comes before what was said last.
    String said = model.barrier().waiting().orElse(model.saidProperty().get());
    if (said.isEmpty() && now.entry().done()) {
      said =
          "Done. "
              + hands.keys().name(Action.NEXT)
              + " goes on, "
              + hands.keys().name(Action.REOPEN)
              + " opens it again.";
    }
    if (said.isEmpty()) {
      said = String.join(" ", model.expectedProperty().get());
    }
    if (said.isEmpty()) {
      said = now.lessons().stream().findFirst().map(l -> "Last time: " + l.words()).orElse("");
    }
    words(state, said);
  }

  private String keyLine(Shown now) {
    List<String> keys = new ArrayList<>();
    for (Action action : Action.values()) {
      boolean useful =
          switch (action) {
            case PASS, MISHAP, NOTE, PHOTO -> !now.entry().done();
            case REOPEN -> now.entry().done();
            default -> true;
          };
      if (useful) {
        keys.add(hands.keys().name(action) + "  " + action.words());
      }
    }
    keys.addAll(List.of("F2  leave", "Ctrl+K  pick keys"));
    return keys.stream().map(Labels::together).collect(Collectors.joining("   "));
  }

  /** What the chip should look like once the step is done. */
  private void refreshSection(Shown now) {
    Job job = shell.jobProperty().get();
    if (job == null) {
      return;
    }
    ChipState then = now.afterwards();
    Build build = then.fresh() ? job.after() : job.before();
    Notation notation = now.plan().notation();
    sectionHead.setText(
        now.entry().done() ? "After this step" : "It should look like this afterwards");
    section.show(
        (w, h) -> SectionPicture.onBench(job.chip(), job.cooler(), build, then, notation, w, h),
        shell.themeProperty().get().dark());
  }

  private void fillWhy(Shown now) {
    PlanStep step = now.step();
    why.getChildren().clear();
    addWhy("Why", step.reason());
    addWhy("Look for", step.look());
    model.expectedProperty().get().forEach(words -> addWhy("Expect", words));
    for (Trouble trouble : step.wrong()) {
      addWhy(trouble.sign(), trouble.meaning() + ". First: " + trouble.first() + ".");
    }
    if (!step.tools().isEmpty()) {
      addWhy("At hand", String.join(", ", step.tools()) + ".");
    }
    step.passes().ifPresent(w -> addWhy("Then", w.what() + "; " + w.depends() + "."));
    for (Lesson lesson : now.lessons()) {
      addWhy("Last time", lesson.words());
    }
  }

  private void addWhy(String head, String text) {
    why.getChildren().add(Labels.line(head + ": " + text, "bench-detail"));
  }

  @Override
  public boolean key(KeyEvent event) {
    return hands.key(event);
  }

  private void toggleWhy() {
    show(why, !why.isVisible());
    fillWhy(model.shownProperty().get());
  }

  private static void hanging(DragEvent e) {
    if (e.getDragboard().hasFiles()) {
      e.acceptTransferModes(TransferMode.COPY);
      e.consume();
    }
  }

  private void dropped(DragEvent e) {
    if (e.getDragboard().hasFiles()) {
      model.photos(e.getDragboard().getFiles().stream().map(File::toPath).toList());
      e.setDropCompleted(true);
      e.consume();
    }
  }
}
