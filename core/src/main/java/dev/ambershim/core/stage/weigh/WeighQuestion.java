package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Phase;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Span;
import dev.ambershim.core.plan.WorkCase;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.diagnosis.JobCase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.Executor;

/**
 * A job's state before the work as a question to weigh: readings from the runs before the work that
 * can be judged and know room and power, then those by hand.
 */
public final class WeighQuestion {
  private WeighQuestion() {}

  /** The question of an assessed job, with the hours of each option by a plan. */
  public static Question of(Assessment assessment, OwnRecord record) {
    return of(assessment, record, Runnable::run);
  }

  /**
   * The same, several plans at a time.
   *
   * @param helpers works beside the caller
   */
  public static Question of(Assessment assessment, OwnRecord record, Executor helpers) {
    Question question = plain(assessment, record);
    return question.withTimes(times(assessment.job(), question, helpers));
  }

  /**
   * The same with hours that are known, such as those of the job before an edit: plans take longer
   * to make than options to weigh.
   */
  public static Question of(
      Assessment assessment, OwnRecord record, Map<OptionKind, Question.Time> times) {
    return plain(assessment, record).withTimes(times);
  }

  /** The question of an assessed job in usual hours. */
  static Question plain(Assessment assessment, OwnRecord record) {
    Job job = assessment.job();
    List<Reading> readings = new ArrayList<>();
    List<Question.Pattern> patterns = new ArrayList<>();
    for (RunResult run : assessment.runs(Side.BEFORE)) {
      if (run.analysis().isEmpty()) {
        continue;
      }
      RunAnalysis a = run.analysis().get();
      if (a.unfit().isPresent() || !a.hasRoom() || !(a.powerWatts() > 0)) {
        continue;
      }
      readings.add(
          new Reading(
              run.entry().fileName(),
              a.powerWatts(),
              a.meanCoreCelsius(),
              a.roomCelsius(),
              coolant(run, a),
              null,
              run.entry().mount()));
      if (a.coreCelsius().size() > 1) {
        patterns.add(new Question.Pattern(a.powerWatts(), a.coreCelsius()));
      }
    }
    readings.addAll(job.readings());
    double room =
        readings.stream().mapToDouble(Reading::roomCelsius).average().orElse(Room.USUAL_CELSIUS);
    double clock =
        assessment.runs(Side.BEFORE).stream()
            .flatMap(r -> r.analysis().stream())
            .filter(a -> a.unfit().isEmpty() && a.clockMegahertz() > 0)
            .max(Comparator.comparingDouble(RunAnalysis::powerWatts))
            .map(RunAnalysis::clockMegahertz)
            .orElse(Double.NaN);
    double heat = readings.stream().mapToDouble(Reading::watts).max().orElse(job.heatWatts());
    return new Question(
            new Situation(job.chip(), job.cooler(), job.before()),
            heat,
            room,
            job.careKelvin(),
            readings,
            patterns,
            job.terms(),
            record)
        .withClockMegahertz(clock);
  }

  /** Hours of each option by the plan of its work, so that Weigh and Open say the same. */
  private static Map<OptionKind, Question.Time> times(
      Job job, Question question, Executor helpers) {
    List<Option> options =
        Weighing.options(question, Notation.METRIC).stream().filter(Option::possible).toList();
    List<Question.Time> all = SideBySide.each(options, option -> time(job, option), helpers);
    Map<OptionKind, Question.Time> times = new EnumMap<>(OptionKind.class);
    for (int i = 0; i < options.size(); i++) {
      times.put(options.get(i).kind(), all.get(i));
    }
    return times;
  }

  private static Question.Time time(Job job, Option option) {
    Plan plan =
        Plan.of(
            new WorkCase(
                job.chip(),
                job.cooler(),
                job.before(),
                option.situation().build(),
                WorkWays.of(job).with(option.kind()),
                job.workTerms()));
    // Runs, and a tool that is on its way, are no waits of the work itself.
    double waits =
        plan.steps().stream()
            .filter(s -> s.phase() != Phase.READY && s.phase() != Phase.PROVE)
            .mapToDouble(s -> s.passes().map(w -> w.span().likely()).orElse(0.0))
            .sum();
    Span hands = plan.hands();
    // One works slowly or quickly all through, so the steps' doubts add up.
    double most = hands.mean() + Interval.normalHalf(Weighing.LEVEL) * hands.deviation();
    return new Question.Time(hands.likely() / 60, Math.max(hands.likely(), most) / 60, waits / 60);
  }

  private static Double coolant(RunResult run, RunAnalysis a) {
    OptionalDouble found = JobCase.settled(run.log(), Role.COOLANT, a);
    return found.isPresent() ? found.getAsDouble() : null;
  }
}
