package dev.ambershim.desktop.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.CauseEvidence;
import dev.ambershim.core.job.CauseEvidence.CoreReading;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CoreState;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.CoreStates;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisWords;
import dev.ambershim.core.stage.diagnosis.JobCase;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.logbook.report.Solved;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** The causes of one side of the open job, and what can be done to tell them apart. */
public final class DiagnosisModel {
  private static final int MOST_READINGS = 200;

  private final JobModel shell;
  private final ReadOnlyObjectWrapper<DiagnosisAnswer> shown = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("");
  private final AtomicInteger newest = new AtomicInteger();
  private final OneByOneSession session;
  private boolean open;

  /** A model over the shell's job. */
  public DiagnosisModel(JobModel shell) {
    this.shell = shell;
    session = new OneByOneSession(shell, this::keep);
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
      status.set(DiagnosisWords.unread(side()));
      return;
    }
    if (Solved.CAUSES.known(given.get()).isEmpty()) {
      status.set("Looking for causes…");
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
              } catch (Problem problem) {
                Platform.runLater(() -> refuse(mine, problem));
                return null;
              }
            },
            answer -> {
              if (answer != null && mine == newest.get()) {
                shown.set(answer);
                status.set("");
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

  /** A chip of an unusual form has no causes, and says so. */
  private void refuse(int mine, Problem problem) {
    if (mine == newest.get()) {
      shown.set(null);
      status.set(problem.getMessage());
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
   * A settled state as a person typed it, with the heat shared as the chip's layout has it.
   *
   * @param cores temperatures of the cores in their order
   * @throws Problem {@code reading.…} naming the figure
   */
  public void type(
      OptionalDouble watts,
      OptionalDouble room,
      OptionalDouble coolant,
      OptionalDouble lid,
      List<Double> cores) {
    Job job = shell.jobProperty().get();
    List<HeatSource> layout = CoreLayout.of(job.chip()).heat();
    Map<String, Double> power = new HashMap<>();
    layout.forEach(h -> power.put(h.name(), h.watts() * watts.orElse(Double.NaN)));
    Map<String, Double> celsius = new HashMap<>();
    for (int c = 0; c < Math.min(cores.size(), job.chip().cores()); c++) {
      celsius.put(layout.get(c).name(), cores.get(c));
    }
    if (cores.size() != job.chip().cores()) {
      throw new Problem(
          "reading.cores",
          Place.field("cores"),
          "There are " + cores.size() + " temperatures for " + job.chip().cores() + " cores.",
          "Type one for each core, in the log's order, with blanks between.");
    }
    CoreReading reading =
        new CoreReading(
            "typed", side(), mount(), orNull(room), orNull(coolant), orNull(lid), power, celsius);
    reading.check();
    add(List.of(reading));
  }

  private void keep(Side side, List<CoreState> states) {
    Job job = shell.jobProperty().get();
    int mount = mount();
    List<CoreReading> more = new ArrayList<>();
    for (CaseReading r :
        CoreStates.readings(CoreLayout.of(job.chip()).heat(), states, mount, degrees())) {
      more.add(
          new CoreReading(
              r.name(),
              side,
              mount,
              orNull(r.roomCelsius()),
              orNull(r.coolantCelsius()),
              orNull(r.lidCelsius()),
              r.watts(),
              r.coreCelsius()));
    }
    add(more);
  }

  private void add(List<CoreReading> more) {
    if (shell.jobProperty().get().evidence().readings().size() + more.size() <= MOST_READINGS) {
      evidence("readings core by core", e -> e.reading(more));
    } else {
      shell.say("This job has as many readings as it can hold. Drop the old ones first.");
    }
  }

  private static Double orNull(OptionalDouble value) {
    return value.isPresent() ? value.getAsDouble() : null;
  }

  /** One core after another. */
  OneByOneSession session() {
    return session;
  }
}
