package dev.ambershim.desktop.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.CauseEvidence;
import dev.ambershim.core.job.CauseEvidence.CoreReading;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CoreState;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.CoreStates;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.diagnosis.JobCase;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.logbook.report.Solved;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** The causes of one side of the open job, and what can be done to tell them apart. */
public final class DiagnosisModel {
  private static final double STOP_CELSIUS = 95;
  private static final double RIG_TIMES_FASTER = 60;
  private static final int MOST_READINGS = 200;

  private final JobModel shell;
  private final ReadOnlyObjectWrapper<DiagnosisAnswer> shown = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("");
  private final AtomicInteger newest = new AtomicInteger();
  private volatile boolean stopped;
  private volatile boolean running;
  private boolean open;

  /** A model over the shell's job. */
  public DiagnosisModel(JobModel shell) {
    this.shell = shell;
    shell.assessmentProperty().addListener((o, was, is) -> ask());
    shell.stageProperty().addListener((o, was, is) -> ask());
    shell.notationProperty().addListener((o, was, is) -> ask());
  }

  /** The answer; null while there is none. */
  public ReadOnlyObjectProperty<DiagnosisAnswer> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** What is going on, in words; empty when nothing is. */
  public ReadOnlyStringProperty statusProperty() {
    return status.getReadOnlyProperty();
  }

  /** Begins to look for causes, or ends it. */
  public void open(boolean now) {
    open = now;
    if (now) {
      ask();
    } else {
      newest.incrementAndGet();
    }
  }

  /** The stage that asks. */
  private Stage stage() {
    Stage stage = shell.stageProperty().get();
    return stage == null ? Stage.BASELINE : stage;
  }

  /** The side of the work that is asked about. */
  public Side side() {
    return Stage.sideOf(stage()).orElse(shell.sideProperty().get());
  }

  private void ask() {
    Assessment now = shell.assessmentProperty().get();
    if (!open || now == null) {
      return;
    }
    int mine = newest.incrementAndGet();
    Optional<JobCase> given = JobCase.of(now, side());
    if (given.isEmpty()) {
      shown.set(null);
      say(
          "No reading "
              + side().words()
              + " the work tells the cores one by one yet. Conduct a run, add a log with a"
              + " temperature for each core, or load one core after another.");
      return;
    }
    if (Solved.CAUSES.known(given.get()).isEmpty()) {
      say("Looking for causes…");
    }
    Notation notation = shell.notationProperty().get();
    Stage stage = stage();
    shell
        .inquiry()
        .submit(
            "",
            progress -> {
              if (mine != newest.get()) {
                return null;
              }
              SolveWatch watch = new SolveWatch(progress, () -> mine != newest.get());
              try {
                Ranking ranking = Solved.CAUSES.of(given.get(), watch);
                return beside(
                    now,
                    DiagnosisAnswer.of(stage, given.get().given(), ranking, notation),
                    given.get().side());
              } catch (CancellationException e) {
                return null;
              }
            },
            answer -> {
              if (answer != null && mine == newest.get()) {
                shown.set(answer);
                say("");
              }
            });
  }

  /** The answer with the joints of the other side beside its own, where they are known. */
  private static DiagnosisAnswer beside(Assessment now, DiagnosisAnswer answer, Side side) {
    Side other = side == Side.BEFORE ? Side.AFTER : Side.BEFORE;
    return JobCase.of(now, other)
        .flatMap(Solved.CAUSES::known)
        .map(
            r ->
                side == Side.BEFORE
                    ? answer.comparing(answer.ranking(), r)
                    : answer.comparing(r, answer.ranking()))
        .orElse(answer);
  }

  private void say(String words) {
    if (!running) {
      status.set(words);
    }
  }

  /** Whether the person noticed a sign. */
  public boolean noticed(Sign sign) {
    Job job = shell.jobProperty().get();
    return job != null && job.evidence().signs(side()).contains(sign);
  }

  /** Writes down that a sign was noticed, or that it was not. */
  public void notice(Sign sign, boolean noticed) {
    if (noticed != noticed(sign)) {
      evidence(noticed ? "a sign" : "a sign taken back", e -> e.noticing(side(), sign, noticed));
    }
  }

  /** How far the latest mount's cooler was turned, degrees. */
  public double degrees() {
    return shell.jobProperty().get().evidence().degrees(side(), mount());
  }

  /** Says that the latest mount's cooler stands half round, or as usual. */
  public void turn(boolean half) {
    evidence("the cooler's turn", e -> e.turning(side(), mount(), half ? 180 : 0));
  }

  /** The latest mount of the side. */
  public int mount() {
    Job job = shell.jobProperty().get();
    int runs =
        job.runs().stream()
            .filter(r -> r.side() == side())
            .mapToInt(RunEntry::mount)
            .max()
            .orElse(1);
    return job.evidence().readings().stream()
        .filter(r -> r.side() == side())
        .mapToInt(CoreReading::mount)
        .reduce(runs, Math::max);
  }

  private void evidence(String what, UnaryOperator<CauseEvidence> change) {
    shell.edit(what, job -> job.withEvidence(change.apply(job.evidence())));
  }

  /** Drops all that was read core by core on this side. */
  public void forget() {
    evidence(
        "readings core by core",
        e ->
            new CauseEvidence(
                e.seen(),
                e.readings().stream().filter(r -> r.side() != side()).toList(),
                e.turned()));
  }

  /** How many states were read core by core on this side. */
  public long readings() {
    Job job = shell.jobProperty().get();
    return job == null
        ? 0
        : job.evidence().readings().stream().filter(r -> r.side() == side()).count();
  }

  /**
   * A settled state as a person typed it.
   *
   * @param cores temperatures of the cores in their order, with blanks between
   * @throws Problem {@code reading.…} naming the figure
   */
  public void type(
      OptionalDouble watts, OptionalDouble room, OptionalDouble coolant, List<Double> cores) {
    Job job = shell.jobProperty().get();
    if (cores.size() != job.chip().cores()) {
      throw new Problem(
          "reading.cores",
          Place.field("cores"),
          "There are " + cores.size() + " temperatures for " + job.chip().cores() + " cores.",
          "Type one for each core, in the log's order, with blanks between.");
    }
    if (watts.isEmpty() || (room.isEmpty() && coolant.isEmpty())) {
      throw new Problem(
          "reading.watts",
          Place.field("heat and air"),
          "The chip's power, and the room or the coolant, are needed.",
          "Type them in.");
    }
    CoreState state = new CoreState(-1, watts.getAsDouble(), cores, room, coolant);
    keep(List.of(state));
  }

  private void keep(List<CoreState> states) {
    Job job = shell.jobProperty().get();
    int mount = mount();
    List<CoreReading> more = new ArrayList<>();
    for (CaseReading r :
        CoreStates.readings(CoreLayout.of(job.chip()).heat(), states, mount, degrees())) {
      more.add(
          new CoreReading(
              r.name(),
              side(),
              mount,
              orNull(r.roomCelsius()),
              orNull(r.coolantCelsius()),
              orNull(r.lidCelsius()),
              r.watts(),
              r.coreCelsius()));
    }
    if (job.evidence().readings().size() + more.size() <= MOST_READINGS) {
      evidence("readings core by core", e -> e.reading(more));
    } else {
      shell.say("This job has as many readings as it can hold. Drop the old ones first.");
    }
  }

  private static Double orNull(OptionalDouble value) {
    return value.isPresent() ? value.getAsDouble() : null;
  }

  /**
   * Loads one core after another on the rig, with a fault if one is wanted, and keeps what it
   * reads.
   */
  public void oneByOneOnRig(Optional<Fault> fault) {
    Job job = shell.jobProperty().get();
    Situation machine =
        new Situation(job.chip(), job.cooler(), side() == Side.BEFORE ? job.before() : job.after());
    RigSetup plain = RigSetup.of(machine, job.heatWatts(), job.title().hashCode());
    RigSetup setup = fault.map(f -> plain.with(f, 1)).orElse(plain);
    conduct(() -> new Rigged(ConductionRig.fine(setup, RIG_TIMES_FASTER)));
  }

  /** Loads one core after another on this machine. */
  public void oneByOneHere() {
    conduct(
        () ->
            new Machine(
                MachineSource.of(Path.of("/")), new SteadyLoad(1, KernelPinning.of(Path.of("/")))));
  }

  /** What is read, and what loads it. */
  private interface Bench extends AutoCloseable {
    Source source();

    Load load();

    @Override
    default void close() {
      load().close();
      source().close();
    }
  }

  private record Rigged(ConductionRig rig) implements Bench {
    @Override
    public Source source() {
      return rig;
    }

    @Override
    public Load load() {
      return rig;
    }
  }

  private record Machine(Source source, Load load) implements Bench {}

  private void conduct(Supplier<Bench> maker) {
    if (running) {
      return;
    }
    running = true;
    stopped = false;
    status.set("Getting ready…");
    shell
        .inquiry()
        .submit(
            "",
            progress -> {
              try (Bench bench = maker.get()) {
                OneByOne run =
                    new OneByOne(bench.source(), bench.load(), OneByOne.Times.USUAL, STOP_CELSIUS);
                return run.conduct(Optional.empty(), this::tell, () -> stopped);
              } catch (Problem problem) {
                Platform.runLater(() -> shell.say(problem.getMessage()));
                return List.<CoreState>of();
              }
            },
            states -> {
              running = false;
              status.set("");
              if (!stopped && !states.isEmpty()) {
                keep(states);
              } else {
                ask();
              }
            });
  }

  private void tell(OneByOne.Status s) {
    Notation notation = shell.notationProperty().get();
    String words =
        String.format(
            Locale.ROOT,
            "%s, %s of %s, hottest core %s",
            s.core() < 0 ? "Idle" : "Core " + s.core() + " alone",
            Notation.minutes(s.seconds() / 60),
            Notation.minutes(s.all() / 60),
            notation.text(s.hottestCelsius(), Unit.CELSIUS));
    Platform.runLater(
        () -> {
          if (running) {
            status.set(words);
          }
        });
  }

  /** Ends what is running; nothing of it is kept. */
  public void stop() {
    stopped = true;
  }

  /** Whether one core after another is under load. */
  public boolean running() {
    return running;
  }
}
