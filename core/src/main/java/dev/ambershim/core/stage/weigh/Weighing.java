package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Whether it is worth it on this chip: every option's gain at the asked load with its interval, and
 * one sentence of advice. Intervals hold the truth in eight cases of ten if the table of priors
 * does.
 *
 * @param question what was asked
 * @param whatIf for which load
 * @param advice one sentence, with its working
 * @param reasons further sentences
 * @param options every option, in the order of their kinds
 * @param bundles options together that nothing outdoes, the best by worth first
 * @param recommended the option that the advice names, if any
 * @param spreadNowKelvin likely hottest less coolest core as it is now
 * @param spreadNow where that lies in eight cases of ten
 * @param riseNowKelvin likely rise as it is now, at the asked load
 * @param toldApart whether the readings tell the inner joint from the cooler
 * @param further readings that would narrow the forecast, the most telling first
 * @param remainderKelvin what geometry does not explain of each core's temperature
 * @param calibration what the readings tell
 * @param doubts what holds the uncertainty of the option that opens the chip and pays most
 */
public record Weighing(
    Question question,
    WhatIf whatIf,
    Finding advice,
    List<String> reasons,
    List<OptionForecast> options,
    List<OptionForecast> bundles,
    Optional<OptionKind> recommended,
    double spreadNowKelvin,
    Interval spreadNow,
    double riseNowKelvin,
    boolean toldApart,
    List<FurtherReading> further,
    List<Double> remainderKelvin,
    Calibration calibration,
    DoubtShares doubts)
    implements StageAnswer {
  /** Eight cases in ten. */
  public static final double LEVEL = 0.8;

  private static final int MOST_BUNDLES = 3;

  /** Bundles that are forecast in full, the best by a rough look first. */
  private static final int LOOKED_AT = 6;

  /** Copies its lists. */
  public Weighing {
    reasons = List.copyOf(reasons);
    options = List.copyOf(options);
    bundles = List.copyOf(bundles);
    further = List.copyOf(further);
    remainderKelvin = List.copyOf(remainderKelvin);
  }

  /** The options of a question, in the order of their kinds, the impossible ones among them. */
  public static List<Option> options(Question question, Notation notation) {
    return OptionList.of(question.now(), question.terms(), notation).stream()
        .map(
            option ->
                question.times().containsKey(option.kind())
                    ? option.taking(question.times().get(option.kind()))
                    : option)
        .toList();
  }

  /** The situations whose responses a weighing needs; no situation twice. */
  public static Set<Situation> situations(Question question, Notation notation) {
    Set<Situation> all = new LinkedHashSet<>();
    all.add(question.now());
    for (Option option : options(question, notation)) {
      if (option.possible()) {
        all.add(option.situation());
      }
    }
    all.addAll(Bundles.situations(question, notation));
    return all;
  }

  /**
   * Weighs the options.
   *
   * @param responses one for each of {@link #situations}
   */
  public static Weighing of(
      Question question, WhatIf whatIf, Map<Situation, Response> responses, Notation notation) {
    return of(question, whatIf, responses, notation, Runnable::run);
  }

  /**
   * Weighs the options, several at a time.
   *
   * @param responses one for each of {@link #situations}
   * @param helpers works beside the caller; the result does not depend on how many there are
   */
  public static Weighing of(
      Question question,
      WhatIf whatIf,
      Map<Situation, Response> responses,
      Notation notation,
      Executor helpers) {
    Response now = responses.get(question.now());
    Draws draws = Draws.of(question, whatIf, now, helpers);
    Calibration calibration = draws.calibration();
    Function<Option, OptionForecast> forecast =
        o -> draws.forecast(o, responses.get(o.situation()), question, notation);
    List<Option> all = options(question, notation);
    List<OptionForecast> options =
        SideBySide.each(all, o -> o.possible() ? forecast.apply(o) : impossible(o), helpers);
    List<Option> possible = Bundles.of(all, question.terms());
    List<Double> rough =
        SideBySide.each(
            possible, b -> draws.roughNet(b, responses.get(b.situation()), question), helpers);
    List<Option> likeliest =
        IntStream.range(0, possible.size())
            .boxed()
            .sorted(Comparator.comparingDouble((Integer i) -> rough.get(i)).reversed())
            .limit(LOOKED_AT)
            .map(possible::get)
            .toList();
    List<OptionForecast> together = SideBySide.each(likeliest, forecast, helpers);
    List<OptionForecast> bundles = Bundles.worthwhile(together, options, MOST_BUNDLES);
    Optional<double[]> opening = opening(question, responses, options, now, draws, whatIf);
    List<FurtherReading> further =
        opening
            .map(
                gains ->
                    FurtherReading.of(
                        now,
                        draws.unknowns(),
                        calibration,
                        gains,
                        question.heatWatts(),
                        question.readings()))
            .orElse(List.of());
    boolean toldApart =
        calibration.covariance(Unknowns.INNER, Unknowns.INNER) < 0.5
            || !question.now().build().lidOn();
    Advice advice =
        Advice.of(
            question, whatIf, options, bundles, toldApart, further, calibration, draws, notation);
    Middle spread = Middle.of(draws.spreadNow);
    return new Weighing(
        question,
        whatIf,
        advice.finding(),
        advice.reasons(),
        options,
        bundles,
        advice.recommended(),
        spread.median(),
        spread.range(),
        Middle.of(draws.riseNow).median(),
        toldApart,
        further,
        draws.remainderKelvin(),
        calibration,
        opening.map(gains -> DoubtShares.of(calibration.draws(), gains)).orElse(DoubtShares.NONE));
  }

  /** The gain in each case by the option that opens the chip and pays most, K. */
  private static Optional<double[]> opening(
      Question question,
      Map<Situation, Response> responses,
      List<OptionForecast> options,
      Response now,
      Draws draws,
      WhatIf whatIf) {
    Draws.Load load = Draws.Load.of(question, whatIf);
    return options.stream()
        .filter(o -> o.option().possible() && o.option().opens())
        .max(Comparator.comparingDouble(OptionForecast::netCoins))
        .map(OptionForecast::option)
        .map(
            option -> {
              Response then = responses.get(option.situation());
              Unknowns.After after = draws.unknowns().after(option);
              return Arrays.stream(draws.calibration().draws())
                  .mapToDouble(z -> Draws.gain(now, then, draws.unknowns(), after, z, load))
                  .toArray();
            });
  }

  private static OptionForecast impossible(Option option) {
    Interval none = new Interval(0, 0, LEVEL);
    return new OptionForecast(
        option,
        0,
        none,
        0,
        Double.NaN,
        none,
        0,
        new Price(0, none, 0, none, 0, none, 0),
        Double.NaN,
        new Finding(
            "weigh." + option.kind().name(),
            option.impossible().orElseThrow(),
            Double.NaN,
            Unit.KELVIN,
            Optional.empty(),
            new Working("shown as not possible", List.of(), "common practice", List.of())));
  }

  /** The same with another advice and other options. */
  Weighing with(Finding otherAdvice, List<OptionForecast> otherOptions) {
    return new Weighing(
        question,
        whatIf,
        otherAdvice,
        reasons,
        otherOptions,
        bundles,
        recommended,
        spreadNowKelvin,
        spreadNow,
        riseNowKelvin,
        toldApart,
        further,
        remainderKelvin,
        calibration,
        doubts);
  }

  /** The forecast of a kind. */
  public OptionForecast option(OptionKind kind) {
    return options.stream().filter(o -> o.option().kind() == kind).findFirst().orElseThrow();
  }

  /** Heat that was weighed for, by the question's heat. */
  public double heatFactor() {
    return whatIf.heat();
  }

  /** The forecasts by likely gain, the greatest first; the impossible ones last. */
  public List<OptionForecast> ranked() {
    return options.stream()
        .sorted(
            Comparator.comparing((OptionForecast o) -> !o.option().possible())
                .thenComparing(o -> -o.gainKelvin()))
        .toList();
  }

  @Override
  public Stage stage() {
    return Stage.WEIGH;
  }

  @Override
  public String sentence() {
    return advice.sentence();
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.of(advice);
  }
}
