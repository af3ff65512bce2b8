package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.stage.weigh.FirstLook;
import dev.ambershim.desktop.frame.Window;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Opened;
import dev.ambershim.desktop.widget.FilePicker;
import dev.ambershim.desktop.widget.Frames;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.sensors.machine.TimerClock;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;
import org.testfx.api.FxToolkit;

/**
 * A real window on a logbook of its own, driven by keys and mouse. Tests run on the JavaFX thread;
 * the window goes on with its own work while they wait.
 */
@Tag("slow")
@ExtendWith(FxThread.class)
public abstract class DesktopTest {
  @TempDir protected Path folder;

  protected final Hands hands = new Hands();
  protected final FilePicker picker = Mockito.mock(FilePicker.class);
  protected Supplier<Moment> clock = new TimerClock()::now;
  protected JobModel model;
  protected Stage stage;

  @BeforeAll
  static void toolkit() throws TimeoutException {
    FxToolkit.registerPrimaryStage();
  }

  /** Opens the window on the test's logbook, as the application does. */
  protected void open() {
    open(Access.WRITE);
  }

  protected void open(Access access) {
    Opened opened = Opened.of(Logbook.open(folder.resolve("logbook"), access, Clock.systemUTC()));
    onFx(
        () -> {
          model = new JobModel(clock);
          stage = new Stage();
          Scene scene = Window.scene(model, picker);
          Window.show(stage, scene, model);
          stage.setX(0);
          stage.setY(0);
          stage.setWidth(1280);
          stage.setHeight(800);
          model.keeping().onRestored(this::again);
          model.begin(opened);
          stage.requestFocus();
        });
    settle();
  }

  /** The window on a logbook that a copy was put into, as the application does it. */
  private void again(Opened opened) {
    model.close();
    model = new JobModel(clock);
    Window.show(stage, Window.scene(model, picker), model);
    model.begin(opened);
  }

  /** Begins a job as the first questions do, and opens it. */
  protected void create(StartingPoint point, String title) {
    model.opener().begin(new FirstLook(point, null, Terms.USUAL.wish()), title);
  }

  /** Closes the window and gives the logbook back. */
  @AfterEach
  protected void close() {
    if (model == null) {
      return;
    }
    settle();
    onFx(stage::hide);
    model.close();
    model = null;
  }

  protected static void onFx(Runnable action) {
    FxThread.on(
        () -> {
          action.run();
          return true;
        });
  }

  /** Waits until the line of work is empty and the window has caught up. */
  protected void settle() {
    // Boxes and buttons follow a few frames after answer and pictures; and what came meanwhile,
    // such
    // as a weighing, may just have asked for the section anew.
    until(
        "the work ends and all of it is drawn",
        () ->
            !model.work().busyProperty().get() && !model.assessing() && Frames.none() && laidOut());
  }

  private boolean laidOut() {
    stage.getScene().getRoot().applyCss();
    stage.getScene().getRoot().layout();
    return ((PictureView) node("section")).drawn();
  }

  /** What a picture draws for one of its parts. */
  protected static Mark.Box box(PictureView view, String part) {
    return view.picture().marks().stream()
        .filter(m -> m instanceof Mark.Box b && b.part().equals(part))
        .map(m -> (Mark.Box) m)
        .findFirst()
        .orElseThrow();
  }

  /** Waits until what the stage shows is worked out anew. */
  protected void worked() {
    settle();
    until("it is worked out", 180, () -> !model.reckoning().busyProperty().get());
    settle();
  }

  protected Job job() {
    FxThread.require();
    return model.jobProperty().get();
  }

  /** Puts text into a box and presses Enter there. */
  protected void enter(String id, String text) {
    onFx(
        () -> {
          TextField box = (TextField) node(id);
          box.requestFocus();
          box.setText(text);
          box.getOnAction().handle(null);
        });
    worked();
  }

  /** Waits until the options are weighed and shown. */
  protected void weighed() {
    until("the weighing ends", () -> !model.reckoning().busyProperty().get());
    settle();
  }

  protected static void until(String what, BooleanSupplier condition) {
    // So long only where it fails: a busy machine may need many times what a quiet one does.
    until(what, 90, condition);
  }

  protected static void until(String what, int seconds, BooleanSupplier condition) {
    FxThread.until(what, seconds, condition);
  }

  protected Node node(String id) {
    FxThread.require();
    Node node = stage.getScene().lookup("#" + id);
    assertThat(node).as("node %s", id).isNotNull();
    return node;
  }

  /** What scrolls in the middle of the window. */
  protected ScrollPane middle() {
    Node up = stage.getScene().lookup(".stage");
    while (!(up instanceof ScrollPane)) {
      up = up.getParent();
    }
    return (ScrollPane) up;
  }

  protected String text(String id) {
    return Labels.plain(((Labeled) node(id)).getText());
  }

  protected void click(String id) {
    clickOn(id);
    settle();
  }

  /**
   * Clicks a node. What lies above it may grow between the look and the click, as when a weighing
   * ends; then it is looked for again, as a person would.
   */
  private void clickOn(String id) {
    reveal(id);
    for (int tries = 1; !hands.click(node(id)); tries++) {
      assertThat(tries).as("tries to click %s", id).isLessThan(5);
      settle();
      reveal(id);
    }
  }

  /** Scrolls until the node is in sight, as a person would. */
  private void reveal(String id) {
    // A busy machine may need some frames until the node has its place.
    until(id + " has a place", () -> node(id).getBoundsInLocal().getWidth() > 0);
    scrollTo(id);
    until(
        id + " is in sight",
        () -> {
          Bounds at = node(id).localToScene(node(id).getBoundsInLocal());
          boolean seen =
              at.getMaxY() > 0
                  && at.getMinY() < stage.getScene().getHeight()
                  && at.getMaxX() > 0
                  && at.getMinX() < stage.getScene().getWidth();
          if (!seen) {
            scroll(id);
          }
          return seen;
        });
  }

  private void scrollTo(String id) {
    onFx(() -> scroll(id));
    FxThread.live();
  }

  private void scroll(String id) {
    Node node = node(id);
    Node up = node.getParent();
    while (up != null && !(up instanceof ScrollPane)) {
      up = up.getParent();
    }
    if (up instanceof ScrollPane pane) {
      double content = pane.getContent().getBoundsInLocal().getHeight();
      double shown = pane.getViewportBounds().getHeight();
      double at =
          pane.getContent().sceneToLocal(node.localToScene(node.getBoundsInLocal())).getMinY();
      if (content > shown) {
        pane.setVvalue(Math.max(0, Math.min(1, (at - shown / 2) / (content - shown))));
      }
    }
  }

  protected void press(KeyCode... keys) {
    hands.push(keys);
    settle();
  }

  /** Types over what a text field holds, and keeps it. */
  protected void fill(String id, String text) {
    clickOn(id);
    hands.push(KeyCode.CONTROL, KeyCode.A);
    hands.write(text);
    hands.push(KeyCode.ENTER);
    settle();
  }
}
