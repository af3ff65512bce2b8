package dev.ambershim.bench;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.picture.ChartData;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.RunChart;
import dev.ambershim.core.picture.Span;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.desktop.widget.ChartModel;
import dev.ambershim.desktop.widget.PictureView;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/**
 * Ten million samples on the chart in a real window: each frame shows another stretch, first while
 * moving along a tenth of the run, then while zooming from all of it to a minute and back; the
 * reading line moves too. A frame counts when the toolkit asks for the next one, which it does when
 * the last is laid out and handed to the painter.
 */
public final class ChartBench {
  private static final int RUNS = 2;
  private static final int SAMPLES = 5_000_000;
  private static final int FRAMES = 240;
  private static final int WARM = 60;

  /** The chart's height; its width is the window's. In the application it is half as wide. */
  private static final double HEIGHT = 400;

  private static volatile Result result;

  /**
   * What was measured.
   *
   * @param panFramesPerSecond while moving
   * @param zoomFramesPerSecond while zooming
   * @param frameMillisecondsP95 95th percentile of all frames
   * @param samples samples on the chart
   * @param readySeconds to make them ready to be drawn
   */
  public record Result(
      double panFramesPerSecond,
      double zoomFramesPerSecond,
      double frameMillisecondsP95,
      long samples,
      double readySeconds) {
    /** The lower of the two. */
    public double framesPerSecond() {
      return Math.min(panFramesPerSecond, zoomFramesPerSecond);
    }
  }

  private ChartBench() {}

  /** Measures; needs a display. */
  public static Result run() {
    Application.launch(ChartWindow.class);
    return result;
  }

  private static RunChart.Line line(int index) {
    double[] seconds = new double[SAMPLES];
    double[] core = new double[SAMPLES];
    double[] room = new double[SAMPLES];
    SplittableRandom random = new SplittableRandom(index);
    double wander = 0;
    for (int i = 0; i < SAMPLES; i++) {
      seconds[i] = i * 0.01;
      wander = 0.999 * wander + 0.05 * random.nextGaussian();
      core[i] = 22 + (48 - 10 * index) * (1 - Math.exp(-seconds[i] / 300)) + wander;
      room[i] = 22;
    }
    RunLog log =
        new RunLog(
            "run " + index,
            seconds,
            List.of(
                new Channel("core", "°C", Role.CORE, 1, core),
                new Channel("room", "°C", Role.ROOM, 1, room)),
            new ReadNotes("UTF-8", "comma", false, SAMPLES, 0, 0, List.of()));
    return new RunChart.Line(
        "run " + index, index > 0, log, RunAnalyser.analyse(log, OptionalDouble.empty()));
  }

  /** The window that is measured. */
  public static final class ChartWindow extends Application {
    private final ChartModel chart = new ChartModel();
    private final PictureView base = new PictureView();
    private final PictureView over = new PictureView();
    private final double[] milliseconds = new double[2 * FRAMES];

    @Override
    public void start(Stage stage) {
      List<RunChart.Line> lines = IntStream.range(0, RUNS).mapToObj(ChartBench::line).toList();
      long begin = System.nanoTime();
      ChartData data = ChartData.of(lines);
      double ready = (System.nanoTime() - begin) / 1e9;
      chart.show(data);
      StackPane stack = new StackPane(base, over);
      stack.setMinHeight(HEIGHT);
      stack.setMaxHeight(HEIGHT);
      stage.setScene(new Scene(new BorderPane(stack), 1280, 800));
      stage.show();
      new AnimationTimer() {
        private int frame = -WARM;
        private long last;

        @Override
        public void handle(long now) {
          long at = System.nanoTime();
          if (frame > 0 && frame <= milliseconds.length) {
            milliseconds[frame - 1] = (at - last) / 1e6;
          }
          last = at;
          if (frame == milliseconds.length) {
            stop();
            finish(ready);
            return;
          }
          show(data, frame);
          frame++;
        }
      }.start();
    }

    private void show(ChartData data, int frame) {
      int f = Math.floorMod(frame, FRAMES);
      Span whole = data.whole();
      double share = f / (double) FRAMES;
      Span span;
      if (frame < FRAMES) {
        double length = whole.minutes() / 10;
        double from = whole.fromMinutes() + share * (whole.minutes() - length);
        span = new Span(from, from + length);
      } else {
        // There and back: the logarithm of the length falls and rises again.
        double depth = 1 - Math.abs(2 * share - 1);
        span = whole.zoomed(whole.minutes() * 0.4, Math.pow(1 / whole.minutes(), depth));
      }
      chart.spanProperty().set(span);
      chart.readAt(base.getWidth(), 100 + f * 4);
      double minute = chart.readingProperty().get();
      base.show((w, h) -> RunChart.of(data, span, List.of(), Notation.METRIC, w, h), true);
      over.show(
          (w, h) ->
              w > 0
                  ? RunChart.reading(data, span, minute, Notation.METRIC, w, h)
                  : new Picture(w, h, List.of(), ""),
          true);
    }

    private void finish(double ready) {
      double pan = Arrays.stream(milliseconds, 0, FRAMES).sum();
      double zoom = Arrays.stream(milliseconds, FRAMES, 2 * FRAMES).sum();
      double[] sorted = milliseconds.clone();
      Arrays.sort(sorted);
      result =
          new Result(
              FRAMES * 1000 / pan,
              FRAMES * 1000 / zoom,
              sorted[(int) (0.95 * sorted.length)],
              (long) RUNS * SAMPLES,
              ready);
      Platform.exit();
    }
  }
}
