package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.job.Compared;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.stage.Assessment;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the work as it is planned should bring: the same conduction, the same readings and the same
 * doubts as the weighing, so that Weigh, Prove and every report tell one figure.
 *
 * @param change rise afterwards less rise before; not a number where the stack cannot be solved
 * @param before where the kelvin go before the work; empty where it cannot be solved
 * @param after the same afterwards
 */
public record Forecast(Finding change, Optional<Detail> before, Optional<Detail> after) {
  /** A difference is told where chance alone would show it once in twenty times. */
  private static final double FAR = 0.95;

  /** Loads as near as this count as one load, as a share. */
  private static final double SAME_LOAD = 0.05;

  /**
   * Forecasts the change of an assessed job.
   *
   * @param responses keeps what is solved
   * @param watch asked between solutions
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static Forecast of(Assessment assessment, Responses responses, SolveWatch watch) {
    Question question = asked(assessment);
    Option planned = planned(assessment, question);
    Set<Situation> situations = new LinkedHashSet<>();
    situations.add(question.now());
    situations.add(planned.situation());
    try {
      Map<Situation, Response> solved = responses.of(situations, watch);
      Draws draws = Draws.of(question, WhatIf.AS_IT_IS, solved.get(question.now()), Runnable::run);
      OptionForecast gain =
          draws.forecast(planned, solved.get(planned.situation()), question, assessment.notation());
      CloseUp closely = new CloseUp(question, WhatIf.AS_IT_IS, draws.calibration(), watch);
      return new Forecast(
          change(gain, question, assessment.notation()),
          Optional.of(closely.now()),
          Optional.of(closely.then(planned)));
    } catch (Problem problem) {
      return new Forecast(unsolved(problem), Optional.empty(), Optional.empty());
    }
  }

  /** The question at the load that was compared, where that is another than the heaviest. */
  private static Question asked(Assessment assessment) {
    Question question = WeighQuestion.plain(assessment, OwnRecord.NONE);
    double compared =
        assessment
            .comparison()
            .filter(c -> assessment.acrossTheWork())
            .map(c -> c.before().powerWatts())
            .orElse(Double.NaN);
    boolean other = Math.abs(compared / question.heatWatts() - 1) > SAME_LOAD;
    return compared > 0 && other ? question.withHeatWatts(compared) : question;
  }

  /** The option that the person chose, or what the change of build comes to. */
  private static Option planned(Assessment assessment, Question question) {
    Job job = assessment.job();
    OptionKind chosen = job.work().ways().option();
    Optional<Option> option =
        Weighing.options(question, assessment.notation()).stream()
            .filter(o -> o.kind() == chosen && o.possible())
            .findFirst();
    if (option.isPresent() && option.get().situation().build().equals(job.after())) {
      return option.get();
    }
    return between(question.now(), new Situation(job.chip(), job.cooler(), job.after()), job);
  }

  /** A change of build that is none of the options: its new joints are in doubt as any new one. */
  private static Option between(Situation now, Situation then, Job job) {
    Build is = then.build();
    Build was = now.build();
    boolean opened = is.lidOn() && (!was.lidOn() || !is.inner().equals(was.inner()));
    return OptionBuilder.builder()
        .kind(job.workCase().option())
        .how("")
        .situation(then)
        .inner(opened ? Optional.of(fresh(is.inner())) : Optional.empty())
        // The joint under the cooler is made anew at every mounting.
        .outer(Optional.of(fresh(is.outer())))
        .cooler(Optional.empty())
        .powerFactor(1)
        .steps(List.of())
        .impossible(Optional.empty())
        .build();
  }

  private static Option.Fresh fresh(Joint joint) {
    return new Option.Fresh(
        PriorTable.joint(joint.filling()), joint.filling() == Filling.LIQUID_METAL);
  }

  private static Finding change(OptionForecast gain, Question question, Notation notation) {
    Interval interval = gain.gain().negated();
    Working how = gain.finding().working();
    return new Finding(
        "forecast.change",
        sentence(-gain.gainKelvin(), interval, question.heatWatts(), notation),
        -gain.gainKelvin(),
        Unit.KELVIN,
        Optional.of(interval),
        new Working(
            how.formula(),
            how.inputs().stream().filter(i -> i.unit() != Unit.COIN).toList(),
            how.source(),
            how.limits()));
  }

  private static Finding unsolved(Problem problem) {
    return new Finding(
        "forecast.change",
        "There is no forecast: " + problem.what() + " " + problem.remedy(),
        Double.NaN,
        Unit.KELVIN,
        Optional.empty(),
        new Working("three-dimensional conduction from cores to room", List.of(), "", List.of()));
  }

  private static String sentence(
      double likely, Interval interval, double watts, Notation notation) {
    String at = " at " + notation.text(watts, Unit.WATT) + ".";
    if (interval.contains(0)) {
      return "Expect little: a change of "
          + notation.text(likely, Unit.KELVIN)
          + " ("
          + notation.range(interval, Unit.KELVIN)
          + " in eight cases of ten)"
          + at;
    }
    Interval size = likely < 0 ? interval.negated() : interval;
    return "Expect it to run "
        + notation.text(Math.abs(likely), Unit.KELVIN)
        + (likely < 0 ? " cooler (" : " hotter (")
        + notation.range(size, Unit.KELVIN)
        + " in eight cases of ten)"
        + at;
  }

  /**
   * How the measured change stands to it, in a sentence; the forecast alone where nothing was
   * measured.
   */
  public String against(Assessment assessment) {
    Optional<Interval> measured = assessment.comparison().flatMap(c -> c.interval());
    if (measured.isEmpty() || change.interval().isEmpty()) {
      return change.sentence();
    }
    Interval told = measured.get();
    Interval expected = change.interval().get();
    double found = assessment.comparison().orElseThrow().changeKelvin();
    double better = change.value() - found;
    // Both are in doubt, and not for the same reasons, so their errors add as squares (JCGM 100).
    double error =
        Math.hypot(
            (better > 0 ? change.value() - expected.low() : expected.high() - change.value())
                / quantile(expected),
            told.width() / 2 / quantile(told));
    double apart = better / (error * quantile(new Interval(0, 0, FAR)));
    String sentence = change.sentence();
    return apart > 1
        ? sentence + " It did better; check that nothing else changed."
        : apart < -1
            ? sentence + " It did worse; look at the joints again."
            : sentence + " The measured change agrees.";
  }

  /** Half the width of a two-sided interval of this level in standard deviations. */
  private static double quantile(Interval interval) {
    return Interval.normalHalf(interval.level());
  }

  /** Whether it holds for another assessment too: nothing that it was made of changed. */
  public boolean holdsFor(Assessment was, Assessment now) {
    Job one = was.job();
    Job other = now.job();
    return was.notation().equals(now.notation())
        && was.sameRuns(now.runs())
        && one.chip().equals(other.chip())
        && one.cooler().equals(other.cooler())
        && one.before().equals(other.before())
        && one.after().equals(other.after())
        && one.readings().equals(other.readings())
        && one.heatWatts() == other.heatWatts()
        && one.terms().equals(other.terms())
        && one.work().ways().equals(other.work().ways())
        && Compared.of(one).equals(Compared.of(other));
  }
}
