package dev.ambershim.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.desktop.FxThread;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.slf4j.LoggerFactory;
import org.testfx.api.FxToolkit;

/** The line of work: order, progress, cancel, and what a failure becomes. */
class WorkTest {
  private final List<Problem> problems = new ArrayList<>();
  private final Work work = new Work(problems::add);

  @BeforeAll
  static void toolkit() throws TimeoutException {
    FxToolkit.registerPrimaryStage();
  }

  @AfterEach
  void close() {
    work.close();
  }

  private static void onFx(Runnable action) {
    FxThread.on(
        () -> {
          action.run();
          return true;
        });
  }

  private void idle() {
    FxThread.until("the line is empty", 10, () -> !work.busyProperty().get());
  }

  @Test
  void tasksRunInOrderAndResultsComeBackInOrder() {
    List<Integer> results = new ArrayList<>();
    onFx(
        () -> {
          for (int i = 0; i < 50; i++) {
            int n = i;
            work.submit("", progress -> n, results::add);
          }
          assertThat(work.busyProperty().get()).isTrue();
        });
    idle();
    assertThat(results).hasSize(50).isSorted();
  }

  @Test
  void aLongTaskTellsItsProgressAndCanBeStopped() throws Exception {
    CountDownLatch going = new CountDownLatch(1);
    List<String> done = new ArrayList<>();
    onFx(
        () ->
            work.submit(
                "counting",
                progress -> {
                  for (int i = 0; ; i++) {
                    progress.accept(Math.min(0.9, i / 1000.0));
                    going.countDown();
                    Thread.sleep(1);
                  }
                },
                r -> done.add("finished")));
    assertThat(going.await(10, TimeUnit.SECONDS)).isTrue();
    FxThread.until(
        "it counts",
        10,
        () -> work.nameProperty().get().equals("counting") && work.shareProperty().get() > 0);
    onFx(work::cancelRunning);
    idle();
    assertThat(done).isEmpty();
    assertThat(problems).isEmpty();
    assertThat(work.nameProperty().get()).isEmpty();
  }

  @Test
  void aLineThatIsLeftStopsWhatRunsAndBeginsNothingMore() throws Exception {
    CountDownLatch going = new CountDownLatch(1);
    AtomicBoolean stopped = new AtomicBoolean();
    List<String> begun = Collections.synchronizedList(new ArrayList<>());
    onFx(
        () -> {
          work.submit(
              "",
              progress -> {
                try {
                  for (; ; ) {
                    progress.accept(0.5);
                    going.countDown();
                    Thread.onSpinWait();
                  }
                } finally {
                  stopped.set(true);
                }
              },
              r -> {});
          work.submit("", progress -> begun.add("next"), r -> {});
        });
    assertThat(going.await(10, TimeUnit.SECONDS)).isTrue();
    onFx(work::leave);
    idle();
    assertThat(stopped).isTrue();
    assertThat(begun).isEmpty();
    assertThat(problems).isEmpty();
  }

  @Test
  void whatAPersonCanMendIsPassedOnAsItIs() {
    Problem known = new Problem("x", Place.file("a.csv"), "It is torn.", "Mend it.");
    onFx(
        () ->
            work.submit(
                "reading",
                progress -> {
                  throw known;
                },
                r -> {}));
    idle();
    assertThat(problems).containsExactly(known);
    assertThat(known.getMessage()).isEqualTo("a.csv: It is torn. Mend it.");
    assertThat(known.place()).isEqualTo(Place.file("a.csv"));
  }

  @Test
  void aFaultOfOursIsSaidWithoutItsEntrailsAndWorkGoesOn(@TempDir Path folder) throws Exception {
    Failures.logTo(folder);
    List<String> done = new ArrayList<>();
    onFx(
        () -> {
          work.submit(
              "stumbling",
              progress -> {
                throw new IllegalStateException("inner workings");
              },
              r -> {});
          work.submit("", progress -> "after", done::add);
        });
    idle();
    assertThat(done).containsExactly("after");
    assertThat(problems).hasSize(1);
    assertThat(problems.get(0).getMessage())
        .contains("stumbling")
        .contains("Nothing that was saved is lost")
        .contains("amber-shim.log")
        .doesNotContain("inner workings");
    assertThat(Files.readString(folder.resolve("amber-shim.log")))
        .contains("inner workings")
        .contains("IllegalStateException");
  }

  @Test
  void theLogFileIsTurnedOverBeforeItGrowsLarge(@TempDir Path folder)
      throws IOException, InterruptedException {
    Failures.logTo(folder);
    String line = "x".repeat(2000);
    for (int i = 0; i < 6000; i++) {
      if (i % 1000 == 999) {
        Thread.sleep(250);
      }
      LoggerFactory.getLogger("dev.ambershim.test").info("{} {}", i, line);
    }
    long total = 0;
    try (var files = Files.list(folder)) {
      for (Path file : files.toList()) {
        total += Files.size(file);
      }
    }
    assertThat(Files.exists(folder.resolve("amber-shim.1.log"))).isTrue();
    assertThat(Files.exists(folder.resolve("amber-shim.4.log"))).isFalse();
    assertThat(total).isLessThan(12_000_000);
  }

  @Test
  void placesAreSaidInWords() {
    assertThat(Place.NOWHERE.inWords()).isEmpty();
    assertThat(Place.cell("a.csv", 3, 2).inWords()).isEqualTo("a.csv, line 3, column 2");
    assertThat(Place.field("lid width").inWords()).isEqualTo("lid width");
  }
}
