package dev.ambershim.bench;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.frame.Window;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Opened;
import dev.ambershim.desktop.quickstart.WhatCanWait;
import dev.ambershim.desktop.widget.FilePicker;
import dev.ambershim.desktop.widget.Frames;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;

/**
 * Figures of Weigh, Measure, Coat and Close are typed into the demo's window, Enter pressed, and
 * the time is taken until the stage's first line is that of the typed figure, and until nothing of
 * the window is being worked out or drawn any more.
 */
public final class EditBench {
  private static final int ROUNDS = 6;
  private static final double PULLED_SECONDS = 6;

  /** The button that goes to where the heat goes, and to the sliders. */
  private static final String HEAT_PART = "part-3";

  /** A figure to type: the stage, a button that shows its box, the box, its answer, two values. */
  private record Typed(Stage stage, String opener, String box, String answer, String... values) {}

  private static final List<Typed> FIGURES =
      List.of(
          new Typed(
              Stage.WEIGH,
              "",
              "field-before-inner-bondLineMicrometres",
              "weigh-answer",
              "60",
              "52",
              "66",
              "57",
              "70",
              "49"),
          new Typed(
              Stage.MEASURE,
              "usual-tops",
              "top-0",
              "measure-answer",
              "0.78",
              "0.77",
              "0.76",
              "0.785",
              "0.765",
              "0.775"),
          new Typed(
              Stage.COAT,
              "",
              "coat-partMillimetres",
              "coat-answer",
              "2",
              "1.5",
              "2.5",
              "1.2",
              "1.8",
              "3"),
          new Typed(
              Stage.CLOSE,
              "",
              "closing-oldMicrometres",
              "close-answer",
              "20",
              "10",
              "30",
              "15",
              "25",
              "5"));

  /**
   * What was measured.
   *
   * @param firstAnswerMillisecondsP95 from Enter to the first line of the typed figure
   * @param wholeMillisecondsP95 from Enter to a window at rest
   * @param runsJudgedPerEdit logs that were judged for an edit that touches none
   * @param blockedMillisecondsP99 how long a task waited for the JavaFX thread, asked all the time
   * @param blockedMillisecondsMost the longest such wait
   * @param sliderFramesPerSecond exact pictures of Weigh while a slider is pulled to and fro
   * @param byStage the two times of each figure, as words
   */
  public record Result(
      double firstAnswerMillisecondsP95,
      double wholeMillisecondsP95,
      double runsJudgedPerEdit,
      double blockedMillisecondsP99,
      double blockedMillisecondsMost,
      double sliderFramesPerSecond,
      List<String> byStage) {}

  private EditBench() {}

  /** Measures. */
  public static Result run() {
    try {
      Path folder = Files.createTempDirectory("amber-shim-edit");
      try {
        return measure(folder);
      } finally {
        try (Stream<Path> all = Files.walk(folder)) {
          for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
            Files.delete(path);
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Result measure(Path folder) {
    CountDownLatch up = new CountDownLatch(1);
    Platform.startup(up::countDown);
    await(up::await);
    Logbook logbook = Logbook.open(folder, Access.WRITE, Clock.systemUTC());
    DemoWorkshop.fill(logbook);
    Opened opened = Opened.of(logbook);
    JobModel model = onFx(JobModel::new);
    Scene scene =
        onFx(
            () -> {
              javafx.stage.Stage stage = new javafx.stage.Stage();
              Scene made = Window.scene(model, FilePicker.over(stage));
              Window.show(stage, made, model);
              model.begin(opened);
              return made;
            });
    rest(model);
    await(WhatCanWait.begin(opened)::join);
    List<Double> first = new ArrayList<>();
    List<Double> whole = new ArrayList<>();
    List<String> byStage = new ArrayList<>();
    int judged = onFx(model::runsJudged);
    List<Double> waits = Collections.synchronizedList(new ArrayList<>());
    Thread asking = asking(waits);
    int edits = 0;
    for (Typed typed : FIGURES) {
      onFx(
          () -> {
            model.stageProperty().set(typed.stage());
            return null;
          });
      rest(model);
      if (onFx(() -> scene.lookup("#" + typed.opener()) != null) && !typed.opener().isEmpty()) {
        onFx(
            () -> {
              ((ButtonBase) scene.lookup("#" + typed.opener())).fire();
              return null;
            });
        rest(model);
      }
      List<Double> firstHere = new ArrayList<>();
      List<Double> wholeHere = new ArrayList<>();
      for (int i = 0; i < ROUNDS; i++) {
        String value = typed.values()[i % typed.values().length];
        int answers = onFx(model::answered);
        // Finding the box, going there, typing and painting that come before Enter.
        TextField box =
            onFx(
                () -> {
                  TextField found = (TextField) scene.lookup("#" + typed.box());
                  if (found == null) {
                    throw new IllegalStateException("there is no box " + typed.box());
                  }
                  found.requestFocus();
                  found.setText(value);
                  return found;
                });
        rest(model);
        long start = System.nanoTime();
        onFx(
            () -> {
              box.getOnAction().handle(null);
              return null;
            });
        until(() -> model.answered() > answers);
        firstHere.add((System.nanoTime() - start) / 1e6);
        rest(model);
        wholeHere.add((System.nanoTime() - start) / 1e6);
        edits++;
        String said = onFx(() -> ((Label) scene.lookup("#" + typed.answer())).getText());
        if (said.isBlank()) {
          throw new IllegalStateException(typed.stage() + " says nothing");
        }
      }
      byStage.add(
          String.format(
              Locale.ROOT,
              "%s: first %.0f ms, whole %.0f ms (medians)",
              typed.stage().words(),
              middle(firstHere),
              middle(wholeHere)));
      first.addAll(firstHere);
      whole.addAll(wholeHere);
    }
    asking.interrupt();
    double frames = pulled(scene, model);
    double runs = (double) (onFx(model::runsJudged) - judged) / edits;
    onFx(
        () -> {
          model.close();
          return null;
        });
    Platform.exit();
    double[] blocked = sorted(List.copyOf(waits));
    return new Result(
        p95(first),
        p95(whole),
        runs,
        blocked[(int) Math.ceil(0.99 * blocked.length) - 1],
        blocked[blocked.length - 1],
        frames,
        byStage);
  }

  /** Pulls the slider of heat to and fro, another place with every frame, and counts pictures. */
  private static double pulled(Scene scene, JobModel model) {
    onFx(
        () -> {
          model.stageProperty().set(Stage.WEIGH);
          return null;
        });
    rest(model);
    // What nobody sees is not painted.
    onFx(
        () -> {
          ((ButtonBase) scene.lookup("#" + HEAT_PART)).fire();
          return null;
        });
    rest(model);
    CompletableFuture<Double> perSecond = new CompletableFuture<>();
    onFx(
        () -> {
          Slider slider = (Slider) scene.lookup("#slider-power");
          new AnimationTimer() {
            private long begun;
            private int before;

            @Override
            public void handle(long now) {
              if (begun == 0 && now > 0) {
                begun = now;
                before = model.answered();
              }
              double seconds = (now - begun) / 1e9;
              slider.setValue(90 + 40 * Math.sin(seconds));
              if (seconds > PULLED_SECONDS) {
                stop();
                perSecond.complete((model.answered() - before) / seconds);
              }
            }
          }.start();
          return null;
        });
    double frames = perSecond.join();
    rest(model);
    return frames;
  }

  /** Asks every few milliseconds how long a task waits for the JavaFX thread. */
  private static Thread asking(List<Double> waits) {
    Thread thread =
        new Thread(
            () -> {
              while (!Thread.currentThread().isInterrupted()) {
                CountDownLatch turn = new CountDownLatch(1);
                long start = System.nanoTime();
                Platform.runLater(turn::countDown);
                try {
                  turn.await();
                  waits.add((System.nanoTime() - start) / 1e6);
                  Thread.sleep(4);
                } catch (InterruptedException e) {
                  Thread.currentThread().interrupt();
                }
              }
            },
            "asking");
    thread.setDaemon(true);
    thread.start();
    return thread;
  }

  /** Waits until nothing is worked out, and what came of it is drawn. */
  private static void rest(JobModel model) {
    until(() -> model.idle() && Frames.none());
  }

  private static void until(BooleanSupplier done) {
    long most = System.nanoTime() + 120_000_000_000L;
    while (!onFx(done::getAsBoolean)) {
      if (System.nanoTime() > most) {
        throw new IllegalStateException("waited in vain");
      }
      try {
        Thread.sleep(2);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
  }

  private static <T> T onFx(Supplier<T> task) {
    CompletableFuture<T> result = new CompletableFuture<>();
    Platform.runLater(
        () -> {
          try {
            result.complete(task.get());
          } catch (RuntimeException | Error e) {
            result.completeExceptionally(e);
          }
        });
    return result.join();
  }

  /** Something that ends. */
  private interface Ending {
    void await() throws InterruptedException;
  }

  private static void await(Ending ending) {
    try {
      ending.await();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static double middle(List<Double> values) {
    double[] sorted = sorted(values);
    return sorted[sorted.length / 2];
  }

  private static double p95(List<Double> values) {
    double[] sorted = sorted(values);
    return sorted[(int) Math.ceil(0.95 * sorted.length) - 1];
  }

  private static double[] sorted(List<Double> values) {
    double[] sorted = values.stream().mapToDouble(Double::doubleValue).toArray();
    Arrays.sort(sorted);
    return sorted;
  }
}
