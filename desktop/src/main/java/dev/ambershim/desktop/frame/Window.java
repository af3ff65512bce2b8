package dev.ambershim.desktop.frame;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.frame.Inquiries.Asked;
import dev.ambershim.desktop.model.Bell;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.stage.baseline.BaselineView;
import dev.ambershim.desktop.stage.begin.BeginView;
import dev.ambershim.desktop.stage.clean.CleanView;
import dev.ambershim.desktop.stage.close.CloseView;
import dev.ambershim.desktop.stage.coat.CoatView;
import dev.ambershim.desktop.stage.diagnosis.DiagnosisView;
import dev.ambershim.desktop.stage.keep.KeepView;
import dev.ambershim.desktop.stage.lap.LapView;
import dev.ambershim.desktop.stage.measure.MeasureView;
import dev.ambershim.desktop.stage.open.OpenView;
import dev.ambershim.desktop.stage.practise.PractiseView;
import dev.ambershim.desktop.stage.prove.ProveView;
import dev.ambershim.desktop.stage.series.SeriesView;
import dev.ambershim.desktop.stage.steps.StepsView;
import dev.ambershim.desktop.stage.weigh.WeighView;
import dev.ambershim.desktop.widget.Dress;
import dev.ambershim.desktop.widget.FilePicker;
import java.util.Map;
import javafx.scene.Group;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.stage.Screen;

/** The main window: a scene with the shell and all stages that are built. */
public final class Window {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  private Window() {}

  /** A scene of the usual size, dressed in the person's theme. */
  public static Scene scene(JobModel model, FilePicker picker) {
    Thread fonts = Dress.loadFonts();
    // Dressed before it is filled: styling every node twice would double the time to the window.
    Dress.base(model.themeProperty().get());
    Scene scene = new Scene(new Group(), WIDTH, HEIGHT);
    Dress.scene(scene, model.themeProperty().get());
    FrameView shell =
        new FrameView(
            model,
            picker,
            view ->
                Map.of(
                    Stage.COAT,
                    () -> new CoatView(model),
                    Stage.CLOSE,
                    () -> new CloseView(model),
                    Stage.MEASURE,
                    () -> new MeasureView(model, view, Bell.tick()),
                    Stage.LAP,
                    () -> new LapView(model),
                    Stage.WEIGH,
                    () -> new WeighView(model),
                    Stage.BASELINE,
                    () -> new BaselineView(model, view),
                    Stage.OPEN,
                    () -> new OpenView(model, view),
                    Stage.CLEAN,
                    () -> new CleanView(model, view),
                    Stage.PROVE,
                    () -> new ProveView(model, view),
                    Stage.KEEP,
                    () -> new KeepView(model, view)),
            view -> new StepsView(model, view),
            view ->
                Map.of(
                    Asked.DIAGNOSIS,
                    () -> new DiagnosisView(model, view, view::toggleDiagnosis),
                    Asked.PRACTISE,
                    () -> new PractiseView(model, view::togglePractise),
                    Asked.SERIES,
                    () -> new SeriesView(model, view, view::toggleSeries),
                    Asked.BEGIN,
                    () -> new BeginView(model, view, EmptyPane.waysToBegin(view), view::endBegin)));
    model.opener().setExample(DemoWorkshop::fill);
    await(fonts);
    scene.setRoot(shell);
    model.themeProperty().addListener((o, was, is) -> Dress.scene(scene, is));
    return scene;
  }

  private static void await(Thread fonts) {
    try {
      fonts.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Puts the scene on a window and remembers where the person leaves it. */
  public static void show(javafx.stage.Stage stage, Scene scene, JobModel model) {
    stage.setTitle("Amber Shim");
    stage.setScene(scene);
    stage.setMinWidth(1024);
    stage.setMinHeight(640);
    stage.setOnCloseRequest(
        e ->
            model.keep(
                "window",
                Math.round(stage.getX())
                    + ","
                    + Math.round(stage.getY())
                    + ","
                    + Math.round(stage.getWidth())
                    + ","
                    + Math.round(stage.getHeight())));
    stage.show();
  }

  /** Gives the window its icons; late, as pictures take a while to read. */
  public static void icons(javafx.stage.Stage stage) {
    for (int size : new int[] {16, 24, 32, 48, 64, 128, 256}) {
      stage
          .getIcons()
          .add(
              new Image(
                  Window.class
                      .getResource("/dev/ambershim/desktop/icons/light-" + size + ".png")
                      .toExternalForm(),
                  true));
    }
  }

  /** Puts the window where the person left it, if that is still on a screen. */
  public static void restore(javafx.stage.Stage stage, String place) {
    if (!place.matches("-?\\d+,-?\\d+,\\d+,\\d+")) {
      return;
    }
    String[] parts = place.split(",", -1);
    double x = Double.parseDouble(parts[0]);
    double y = Double.parseDouble(parts[1]);
    // A screen that is gone must not take the window with it.
    boolean onScreen = !Screen.getScreensForRectangle(x + 40, y + 10, 200, 60).isEmpty();
    if (onScreen) {
      stage.setX(x);
      stage.setY(y);
      stage.setWidth(Double.parseDouble(parts[2]));
      stage.setHeight(Double.parseDouble(parts[3]));
    }
  }
}
