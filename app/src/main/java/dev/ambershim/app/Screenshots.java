package dev.ambershim.app;

import dev.ambershim.core.plan.Flaw;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.plan.Flaw.Kind;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Span;
import dev.ambershim.core.plan.StepTimer;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.frame.FrameView;
import dev.ambershim.desktop.frame.Window;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Looks;
import dev.ambershim.desktop.model.Opened;
import dev.ambershim.desktop.quickstart.Opening;
import dev.ambershim.desktop.widget.Camera;
import dev.ambershim.desktop.widget.FilePicker;
import dev.ambershim.desktop.widget.Frames;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.BooleanSupplier;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Draws every main view from the demo. */
public final class Screenshots extends Application {
  private static final Queue<Thread> WRITERS = new ConcurrentLinkedQueue<>();
  private static volatile Path folder;

  private record Shot(String name, Runnable prepare, BooleanSupplier ready) {
    Shot(String name, Runnable prepare) {
      this(name, prepare, () -> true);
    }
  }

  private static final Instant NOW = Instant.parse("2026-09-05T15:20:00Z");

  private final Deque<Shot> shots = new ArrayDeque<>();
  private JobModel model;
  private FrameView shell;
  private static int width;
  private static int height;
  private Scene scene;

  /**
   * Draws into a folder, and ends.
   *
   * @param target the folder, made if missing
   * @param windowWidth pixels
   * @param windowHeight pixels
   */
  public static void draw(Path target, int windowWidth, int windowHeight) {
    try {
      Files.createDirectories(target);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    folder = target;
    width = windowWidth;
    height = windowHeight;
    launch(Screenshots.class);
    for (Thread writer : WRITERS) {
      try {
        writer.join();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  @Override
  public void start(javafx.stage.Stage stage) {
    Thread opener =
        new Thread(
            () -> {
              Opened opened = Opened.of(Opening.demo());
              Platform.runLater(() -> begin(stage, opened));
            });
    opener.start();
  }

  private void begin(javafx.stage.Stage stage, Opened opened) {
    // The same hour each time, so that only what changed differs in a picture.
    model = new JobModel(() -> new Moment(NOW, "screenshots", 7200));
    scene = Window.scene(model, FilePicker.over(stage));
    shell = (FrameView) scene.getRoot();
    Window.show(stage, scene, model);
    stage.setWidth(width);
    stage.setHeight(height);
    model.begin(opened);
    model.looks().wish(Looks.Wish.GRAPHITE);
    String fennel = job("Fennel");
    String sorrel = job("Sorrel");
    shots.add(new Shot("weigh", () -> go(Stage.WEIGH)));
    shots.add(new Shot("weigh-heat", () -> scrollTo("#heat-section")));
    shots.add(new Shot("baseline", () -> go(Stage.BASELINE)));
    shots.add(new Shot("prove", () -> go(Stage.PROVE)));
    shots.add(new Shot("keep", () -> go(Stage.KEEP), this::measured));
    shots.add(
        new Shot(
            "logbook",
            () -> {
              shell.closeSheet();
              press(KeyCode.L, true);
            },
            this::told));
    shots.add(
        new Shot(
            "begin",
            () -> {
              shell.closeSheet();
              press(KeyCode.N, true);
            },
            this::begun));
    shots.add(new Shot("open", () -> go(Stage.OPEN), this::planned));
    shots.add(
        new Shot(
            "bench",
            () -> {
              workUpTo("seat");
              press(KeyCode.F2, false);
            },
            this::planned));
    shots.add(
        new Shot(
            "clean",
            () -> {
              press(KeyCode.F2, false);
              cleaned();
            },
            this::planned));
    shots.add(new Shot("measure", () -> go(Stage.MEASURE), this::measured));
    shots.add(new Shot("lap", () -> go(Stage.LAP), this::measured));
    shots.add(new Shot("coat", () -> go(Stage.COAT), this::measured));
    shots.add(
        new Shot(
            "diagnosis",
            () -> {
              go(Stage.BASELINE);
              // What was read on the chip as it was would speak against a fault put in for a
              // picture.
              model.edit("runs for a picture", job -> job.withRuns(List.of()));
              press(KeyCode.D, true);
              fault("film void");
              fire("#one-by-one-rig");
            },
            this::diagnosed));
    shots.add(
        new Shot(
            "large-text",
            () -> {
              go(Stage.LAP);
              model.looks().size(200);
            },
            this::measured));
    shots.add(
        new Shot(
            "close-paper",
            () -> {
              model.looks().size(100);
              model.looks().wish(Looks.Wish.PAPER);
              model.open(fennel);
              go(Stage.CLOSE);
            },
            this::measured));
    shots.add(
        new Shot(
            "series",
            () -> {
              model.looks().wish(Looks.Wish.GRAPHITE);
              model.open(sorrel);
              shell.toggleSeries();
            },
            this::judged));
    shots.add(
        new Shot(
            "practise",
            () -> {
              shell.togglePractise();
              fire("#practise-begin");
            },
            this::practised));
    shots.add(new Shot("live-run", this::beginRun, this::halfWay));
    next();
  }

  private String job(String title) {
    return model.jobs().stream()
        .filter(j -> j.title().startsWith(title))
        .findFirst()
        .orElseThrow()
        .id();
  }

  private boolean begun() {
    return scene.lookup("#begin-options") != null;
  }

  private boolean planned() {
    return model.workbench().outlookProperty().get() != null
        && !model.workbench().planning().busyProperty().get();
  }

  private boolean measured() {
    return !model.reckoning().busyProperty().get();
  }

  /** The work done up to a step, which is on the bench. */
  private void workUpTo(String id) {
    Plan plan = Plan.of(model.jobProperty().get().workCase());
    model
        .workbench()
        .edit(
            "part of the work",
            log -> {
              WorkLog done = log;
              Instant at = NOW.minusSeconds(3 * 3600);
              for (PlanStep step : plan.steps()) {
                at = at.plusSeconds(Math.round(step.hands().likely() * 45));
                if (step.id().equals(id)) {
                  break;
                }
                done =
                    done.with(step.id(), e -> e.withInitials("LM").withReading("54.2"))
                        .done(step.id(), at, List.of());
              }
              return done.goingTo(id, NOW);
            });
  }

  /** The lid off and all clean, two flaws noted, the first coat drying. */
  private void cleaned() {
    workUpTo("cover-again");
    model
        .workbench()
        .edit(
            "drying",
            log ->
                log.withTimer(
                        new StepTimer(
                            "cover",
                            "first coat dries",
                            new Moment(NOW.minusSeconds(460), "screenshots", 6740),
                            new Span(10, 15, 30),
                            null))
                    .withFlaws(
                        List.of(
                            new Flaw(Face.DIE_EDGE, Kind.CHIP, false, "left of the mark"),
                            new Flaw(Face.LID_INSIDE, Kind.STAIN, false, ""))));
    go(Stage.CLEAN);
  }

  private void fire(String button) {
    ((Button) shell.lookup(button)).fire();
  }

  @SuppressWarnings("unchecked")
  private void fault(String words) {
    ((ComboBox<String>) shell.lookup("#diagnosis-fault")).setValue(words);
  }

  /** Whether all cores were loaded and their causes are on screen. */
  private boolean diagnosed() {
    Label status = (Label) shell.lookup("#diagnosis-status");
    boolean read = !model.jobProperty().get().evidence().readings().isEmpty();
    return read && status.getText().isEmpty() && !model.inquiry().busyProperty().get();
  }

  /** Whether every chip of the logbook is worked out. */
  private boolean told() {
    return model.chips().lines().size() == model.jobs().size();
  }

  private boolean judged() {
    return shell.lookup("#series-picture-mounts") != null;
  }

  private boolean practised() {
    return !model.inquiry().busyProperty().get();
  }

  private void beginRun() {
    shell.togglePractise();
    go(Stage.BASELINE);
    press(KeyCode.J, true);
    ((Button) shell.lookup("#conduct-begin")).fire();
  }

  /** Whether the run on screen has told whether it settles. */
  private boolean halfWay() {
    Label settled = (Label) shell.lookup("#live-settled");
    return settled != null && settled.getText().startsWith("Settled");
  }

  private void go(Stage stage) {
    model.stageProperty().set(stage);
  }

  /** Brings a node to the top of the middle. */
  private void scrollTo(String id) {
    ScrollPane middle = (ScrollPane) shell.lookup("#middle");
    Node content = middle.getContent();
    Node node = shell.lookup(id);
    double top = content.sceneToLocal(node.localToScene(0, 0)).getY() - 34;
    double room = content.getLayoutBounds().getHeight() - middle.getViewportBounds().getHeight();
    middle.setVvalue(room <= 0 ? 0 : Math.min(1, top / room));
  }

  private void press(KeyCode code, boolean control) {
    shell.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, control, false, false));
    shell.fireEvent(
        new KeyEvent(KeyEvent.KEY_RELEASED, "", "", code, false, control, false, false));
  }

  private void next() {
    Shot shot = shots.poll();
    if (shot == null) {
      Platform.exit();
      return;
    }
    shot.prepare().run();
    whenIdle(
        shot.ready(),
        () -> {
          WRITERS.add(Camera.take(scene, folder.resolve(shot.name() + ".png")));
          next();
        });
  }

  /** Waits until the line of work is empty and what it brought is painted. */
  private void whenIdle(BooleanSupplier ready, Runnable then) {
    Frames.later(
        2,
        () -> {
          if (!model.idle() || !ready.getAsBoolean()) {
            whenIdle(ready, then);
          } else {
            Frames.later(6, then);
          }
        });
  }

  @Override
  public void stop() {
    if (model != null) {
      model.close();
    }
  }
}
