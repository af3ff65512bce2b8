package dev.ambershim.desktop.stage.conduct;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.runs.protocol.Status;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.live.ConductedRun;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** A conducted run on a thread of its own, as the window sees it. */
public final class LiveModel {
  /**
   * Where samples come from and what is turned on.
   *
   * @param source the samples
   * @param load the load
   */
  public record Machine(Source source, Load load) {}

  private static final long TELL_EVERY_NANOSECONDS = 100_000_000L;

  private final Protocol protocol;
  private final ReadOnlyObjectWrapper<Status> status = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<ConductedRun.Outcome> outcome = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");
  private final AtomicReference<Status> newest = new AtomicReference<>();
  private double[] seconds = new double[1024];
  private double[] hottest = new double[1024];
  private int count;
  private long toldAt;
  private volatile ConductedRun run;
  private volatile boolean stopAsked;

  /** A run that has not begun. */
  public LiveModel(Protocol protocol) {
    this.protocol = protocol;
  }

  /**
   * Begins the run.
   *
   * @param machine makes the machine, on the run's own thread
   */
  public void begin(
      Supplier<Machine> machine, Path folder, String stem, List<String> notes, Notation notation) {
    Thread thread =
        new Thread(() -> conduct(machine, folder, stem, notes, notation), "conducted run");
    thread.setDaemon(true);
    thread.start();
  }

  private void conduct(
      Supplier<Machine> machine, Path folder, String stem, List<String> notes, Notation notation) {
    try {
      Machine made = machine.get();
      try (Source source = made.source();
          Load load = made.load()) {
        run = new ConductedRun(source, load, protocol, folder, stem, notes);
        if (stopAsked) {
          run.stop();
        }
        ConductedRun.Outcome ended = run.conduct(notation, this::take);
        Platform.runLater(() -> outcome.set(ended));
      }
    } catch (Problem p) {
      Platform.runLater(() -> problem.set(p.getMessage()));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Keeps a sample's state; the window is told of the newest only. */
  private void take(Status now) {
    keep(now);
    // Ten pictures a second are enough for an eye, and leave the window free.
    long time = System.nanoTime();
    if (count > 1 && time - toldAt < TELL_EVERY_NANOSECONDS) {
      return;
    }
    toldAt = time;
    if (newest.getAndSet(now) == null) {
      Platform.runLater(() -> status.set(newest.getAndSet(null)));
    }
  }

  private synchronized void keep(Status now) {
    if (count == seconds.length) {
      seconds = Arrays.copyOf(seconds, 2 * count);
      hottest = Arrays.copyOf(hottest, 2 * count);
    }
    seconds[count] = now.seconds();
    hottest[count++] = now.hottestCelsius();
  }

  /** Time and hottest sensor of all samples so far. */
  public synchronized double[][] trace() {
    return new double[][] {Arrays.copyOf(seconds, count), Arrays.copyOf(hottest, count)};
  }

  /** Ends the run after the sample that is due. */
  public void stop() {
    stopAsked = true;
    ConductedRun now = run;
    if (now != null) {
      now.stop();
    }
  }

  /** What is conducted. */
  public Protocol protocol() {
    return protocol;
  }

  /** Where it stands; null before the first sample. */
  public ReadOnlyObjectProperty<Status> statusProperty() {
    return status.getReadOnlyProperty();
  }

  /** What came of it; null while it runs. */
  public ReadOnlyObjectProperty<ConductedRun.Outcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  /** What went wrong, or empty. */
  public ReadOnlyStringProperty problemProperty() {
    return problem.getReadOnlyProperty();
  }
}
