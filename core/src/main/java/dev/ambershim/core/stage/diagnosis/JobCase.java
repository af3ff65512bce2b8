package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.job.CauseEvidence.CoreReading;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * One side of a job as a case: the build as the job has it, every run that can be judged and tells
 * each core, and what else was noticed and read. Equal where the causes must be.
 *
 * @param at chip, cooler and build
 * @param side before or after the work
 * @param watts full load
 * @param readings at least one
 * @param signs what the person noticed
 * @param inUse its checks after the work, whose course is a sign as well
 */
public record JobCase(
    Situation at,
    Side side,
    double watts,
    List<CaseReading> readings,
    Set<Sign> signs,
    InUse inUse) {
  /** A smaller step of power tells no part of the rise from another. */
  private static final double LEAST_STEP_WATTS = 20;

  /** Copies its lists. */
  public JobCase {
    readings = List.copyOf(readings);
    signs = Set.copyOf(signs);
  }

  /** The case of a side; empty while no reading tells the cores one by one. */
  public static Optional<JobCase> of(Assessment assessment, Side side) {
    Job job = assessment.job();
    Situation at =
        new Situation(job.chip(), job.cooler(), side == Side.BEFORE ? job.before() : job.after());
    List<HeatSource> layout = CoreLayout.of(job.chip()).heat();
    List<String> names = layout.stream().map(HeatSource::name).toList();
    List<CaseReading> readings = new ArrayList<>();
    double full = 0;
    for (RunResult run : assessment.runs(side)) {
      Optional<CaseReading> reading = reading(job, run, layout);
      if (reading.isPresent()) {
        readings.add(reading.get());
        full = Math.max(full, run.analysis().orElseThrow().powerWatts());
      }
    }
    for (CoreReading r : job.evidence().readings()) {
      boolean fits =
          names.containsAll(r.celsius().keySet()) && names.containsAll(r.watts().keySet());
      if (r.side() == side && fits && r.sound()) {
        readings.add(reading(job, r));
      }
    }
    return readings.isEmpty() || job.chip().cores() < 2
        ? Optional.empty()
        : Optional.of(
            new JobCase(
                at,
                side,
                full > 0 ? full : job.heatWatts(),
                readings,
                job.evidence().signs(side),
                side == Side.AFTER ? InUse.of(job) : InUse.NOT_YET));
  }

  /** The case as the diagnosis takes it. */
  public DiagnosisCase given() {
    Set<Sign> all = new HashSet<>(signs);
    inUse.sign().ifPresent(all::add);
    double beyond = at.cooler().beyondKelvinPerWatt();
    return new DiagnosisCase(
        BuildStack.likely(at, watts, Room.USUAL_CELSIUS),
        beyond > 0 ? OptionalDouble.of(beyond) : OptionalDouble.empty(),
        readings,
        all,
        Doubts.ofJob(side == Side.AFTER));
  }

  /** Whether two cases are of one stack. */
  boolean sameStack(JobCase other) {
    return at.equals(other.at) && watts == other.watts;
  }

  private static Optional<CaseReading> reading(Job job, RunResult run, List<HeatSource> layout) {
    Optional<RunAnalysis> judged =
        run.analysis().filter(a -> a.unfit().isEmpty() && a.powerWatts() > 0);
    if (judged.isEmpty() || judged.get().coreCelsius().size() != job.chip().cores()) {
      return Optional.empty();
    }
    RunAnalysis a = judged.get();
    OptionalDouble coolant = settled(run.log(), Role.COOLANT, a);
    if (!a.hasRoom() && coolant.isEmpty()) {
      return Optional.empty();
    }
    Map<String, Double> watts = new LinkedHashMap<>();
    layout.forEach(h -> watts.put(h.name(), h.watts() * a.powerWatts()));
    Map<String, Double> celsius = new LinkedHashMap<>();
    for (int c = 0; c < job.chip().cores(); c++) {
      celsius.put(layout.get(c).name(), a.coreCelsius().get(c));
    }
    return Optional.of(
        new CaseReading(
            run.entry().fileName(),
            run.entry().mount(),
            job.evidence().degrees(run.entry().side(), run.entry().mount()),
            a.hasRoom() ? OptionalDouble.of(a.roomCelsius()) : OptionalDouble.empty(),
            coolant,
            OptionalDouble.empty(),
            watts,
            celsius,
            // A coolant that was read says the same, and better.
            coolant.isPresent() ? Optional.empty() : run.step().flatMap(JobCase::slow)));
  }

  /** The slow part of a step, where the power rose enough to tell. */
  private static Optional<CaseReading.Slow> slow(StepResponse step) {
    if (!(step.powerStepWatts() >= LEAST_STEP_WATTS) || !(step.slowKelvin() > 0)) {
      return Optional.empty();
    }
    double half = (step.slowInterval().high() - step.slowInterval().low()) / 2;
    return Optional.of(
        new CaseReading.Slow(
            step.slowKelvinPerWatt(),
            half / Interval.normalHalf(step.slowInterval().level()) / step.powerStepWatts()));
  }

  private static CaseReading reading(Job job, CoreReading r) {
    return new CaseReading(
        r.name(),
        r.mount(),
        job.evidence().degrees(r.side(), r.mount()),
        optional(r.roomCelsius()),
        optional(r.coolantCelsius()),
        optional(r.lidCelsius()),
        r.watts(),
        r.celsius());
  }

  private static OptionalDouble optional(Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /** Mean of a channel over the settled part. */
  public static OptionalDouble settled(RunLog log, Role role, RunAnalysis a) {
    return log.channels().stream()
        .filter(c -> c.role() == role)
        .findFirst()
        .map(c -> mean(log, c.values(), a))
        .orElse(OptionalDouble.empty());
  }

  private static OptionalDouble mean(RunLog log, double[] values, RunAnalysis a) {
    double sum = 0;
    int count = 0;
    for (int i = 0; i < values.length; i++) {
      double t = log.seconds()[i];
      if (t >= a.settledFromSeconds() && t <= a.settledToSeconds() && !Double.isNaN(values[i])) {
        sum += values[i];
        count++;
      }
    }
    return count == 0 ? OptionalDouble.empty() : OptionalDouble.of(sum / count);
  }
}
