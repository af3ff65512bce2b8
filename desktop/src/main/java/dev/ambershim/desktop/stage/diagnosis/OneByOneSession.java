package dev.ambershim.desktop.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.runs.causes.CoreState;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.SteadyLoad;
import dev.ambershim.sensors.kernel.KernelPinning;
import dev.ambershim.sensors.live.OneByOne;
import dev.ambershim.sensors.machine.MachineSource;
import dev.ambershim.sensors.rig.ConductionRig;
import dev.ambershim.sensors.rig.Fault;
import dev.ambershim.sensors.rig.RigSetup;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * One core after another, for the job that was open when it began; it ends with nothing kept if
 * another job is opened.
 */
final class OneByOneSession {
  private static final double STOP_CELSIUS = 95;
  private static final double RIG_TIMES_FASTER = 60;

  private final JobModel shell;
  private final BiConsumer<Side, List<CoreState>> done;
  private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("");
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper(false);
  private volatile boolean stopped;

  /**
   * A session over the shell's job.
   *
   * @param done takes the side and what was read, on the JavaFX thread
   */
  OneByOneSession(JobModel shell, BiConsumer<Side, List<CoreState>> done) {
    this.shell = shell;
    this.done = done;
    shell
        .storedProperty()
        .addListener(
            (o, was, is) -> {
              if (was == null || is == null || !was.id().equals(is.id())) {
                stop();
              }
            });
  }

  /** How far it is, in words; empty while it does not run. */
  ReadOnlyStringProperty statusProperty() {
    return status.getReadOnlyProperty();
  }

  /** Whether a core is under load. */
  ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** On the rig, with a fault if one is wanted. */
  void onRig(Side side, Optional<Fault> fault) {
    Job job = shell.jobProperty().get();
    Situation machine = new Situation(job.chip(), job.cooler(), job.build(side));
    RigSetup plain = RigSetup.of(machine, job.heatWatts(), job.title().hashCode());
    RigSetup setup = fault.map(f -> plain.with(f, 1)).orElse(plain);
    begin(
        side,
        OptionalDouble.empty(),
        () -> {
          ConductionRig rig = ConductionRig.fine(setup, RIG_TIMES_FASTER);
          return new Bench(rig, rig);
        });
  }

  /**
   * On this machine, with the built-in load.
   *
   * @param typedRoom counts where no sensor tells the room
   */
  void here(Side side, OptionalDouble typedRoom) {
    Path root = Path.of("/");
    begin(
        side,
        typedRoom,
        () -> new Bench(MachineSource.of(root), new SteadyLoad(1, KernelPinning.of(root))));
  }

  /** What is read, and what loads it. */
  private record Bench(Source source, Load load) implements AutoCloseable {
    @Override
    public void close() {
      load.close();
      source.close();
    }
  }

  private void begin(Side side, OptionalDouble typedRoom, Supplier<Bench> maker) {
    if (running.get()) {
      return;
    }
    running.set(true);
    stopped = false;
    status.set("Getting ready…");
    shell
        .inquiry()
        .submit(
            "",
            progress -> {
              try (Bench bench = maker.get()) {
                OneByOne run =
                    new OneByOne(
                        bench.source, bench.load, OneByOne.Times.USUAL, STOP_CELSIUS, typedRoom);
                return run.conduct(Optional.empty(), this::tell, () -> stopped);
              } catch (Problem problem) {
                Platform.runLater(() -> shell.say(problem.getMessage()));
                return List.<CoreState>of();
              } finally {
                // However it ended, another one may begin.
                Platform.runLater(this::ended);
              }
            },
            states -> {
              if (!stopped && !states.isEmpty()) {
                done.accept(side, states);
              }
            });
  }

  private void ended() {
    running.set(false);
    status.set("");
  }

  private void tell(OneByOne.Status s) {
    Notation notation = shell.notationProperty().get();
    String words =
        (s.core() < 0 ? "Idle" : "Core " + s.core() + " alone")
            + ", "
            + Notation.minutes(s.seconds() / 60)
            + " of "
            + Notation.minutes(s.all() / 60)
            + ", hottest core "
            + notation.text(s.hottestCelsius(), Unit.CELSIUS);
    Platform.runLater(
        () -> {
          if (running.get()) {
            status.set(words);
          }
        });
  }

  /** Ends what is running; nothing of it is kept. */
  void stop() {
    stopped = true;
  }
}
