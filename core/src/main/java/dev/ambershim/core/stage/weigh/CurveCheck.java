package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.stream.IntStream;

/**
 * Some of a forecast's cases solved in full. A forecast takes its thousand cases from curves
 * through a few solutions; here a low, a middle and a high gain among them are solved for
 * themselves, and how far the curves were off is told in the working.
 */
public final class CurveCheck {
  private static final double[] SHARES = {0.1, 0.5, 0.9};

  private final Weighing weighing;
  private final Map<Situation, Response> responses;
  private final Notation notation;
  private final SolveWatch watch;
  private final Executor helpers;

  /**
   * A check of a weighing.
   *
   * @param responses those that it was made of
   * @param watch asked between solutions
   * @param helpers works beside the caller
   */
  public CurveCheck(
      Weighing weighing,
      Map<Situation, Response> responses,
      Notation notation,
      SolveWatch watch,
      Executor helpers) {
    this.helpers = helpers;
    this.weighing = weighing;
    this.responses = responses;
    this.notation = notation;
    this.watch = watch;
  }

  /** The weighing with its advice and the recommended option checked; as it is without one. */
  public Weighing advised() {
    if (weighing.recommended().isEmpty()) {
      return weighing;
    }
    OptionForecast checked = of(weighing.option(weighing.recommended().get()));
    List<OptionForecast> options =
        weighing.options().stream()
            .map(o -> o.option().kind() == checked.option().kind() ? checked : o)
            .toList();
    Finding advice = weighing.advice();
    return weighing.with(
        new Finding(
            advice.key(),
            advice.sentence(),
            advice.value(),
            advice.unit(),
            advice.interval(),
            checked.finding().working()),
        options);
  }

  /** An option's forecast with the check in its working; as it is if it cannot be done. */
  public OptionForecast of(OptionForecast forecast) {
    if (!forecast.option().possible()) {
      return forecast;
    }
    Working working = forecast.finding().working();
    List<String> limits = new ArrayList<>(working.limits());
    limits.add(
        "The cases are taken from curves; three of them solved in full differ by at most "
            + notation.text(worstKelvin(forecast.option()), Unit.KELVIN)
            + ".");
    Finding finding = forecast.finding();
    return forecast.with(
        new Finding(
            finding.key(),
            finding.sentence(),
            finding.value(),
            finding.unit(),
            finding.interval(),
            new Working(working.formula(), working.inputs(), working.source(), limits)));
  }

  /** How far the gain by the curves lies from that by full solutions, at most, K. */
  double worstKelvin(Option option) {
    Question question = weighing.question();
    Unknowns unknowns = new Unknowns(question.now());
    Draws.Load load = Draws.Load.of(question, weighing.whatIf());
    Response now = responses.get(question.now());
    Response then = responses.get(option.situation());
    Unknowns.After changed = unknowns.after(option);
    List<double[]> cases = cases(now, then, unknowns, changed, load);
    List<double[]> before = new ArrayList<>();
    List<double[]> after = new ArrayList<>();
    for (double[] z : cases) {
      double heat = load.watts() * unknowns.heat(z);
      before.add(
          Unknowns.warmed(now, Draws.fanned(unknowns.now(z), load.fan()), heat, load.room()));
      after.add(
          Unknowns.warmed(
              then,
              Draws.fanned(changed.logs(z), load.fan()),
              heat * changed.powerFactor(z),
              load.room()));
    }
    List<Callable<double[]>> both =
        List.of(
            () -> Response.solvedKelvinPerWatt(now.situation(), before, watch),
            () -> Response.solvedKelvinPerWatt(then.situation(), after, watch));
    List<double[]> solved = SideBySide.all(both, helpers);
    double[] solvedNow = solved.get(0);
    double[] solvedThen = solved.get(1);
    double worst = 0;
    for (int c = 0; c < cases.size(); c++) {
      double[] z = cases.get(c);
      double heat = load.watts() * unknowns.heat(z);
      double left = changed.powerFactor(z) * changed.geometry(z);
      double off =
          now.meanKelvinPerWatt(before.get(c))
              - solvedNow[c]
              - left * (then.meanKelvinPerWatt(after.get(c)) - solvedThen[c]);
      worst = Math.max(worst, Math.abs(heat * off));
    }
    return worst;
  }

  private List<double[]> cases(
      Response now, Response then, Unknowns unknowns, Unknowns.After after, Draws.Load load) {
    double[][] draws = weighing.calibration().draws();
    double[] gains = new double[draws.length];
    for (int i = 0; i < gains.length; i++) {
      gains[i] = Draws.gain(now, then, unknowns, after, draws[i], load);
    }
    List<Integer> order =
        IntStream.range(0, gains.length)
            .boxed()
            .sorted(Comparator.comparingDouble(i -> gains[i]))
            .toList();
    List<double[]> cases = new ArrayList<>();
    for (double share : SHARES) {
      cases.add(draws[order.get((int) (share * (order.size() - 1)))]);
    }
    return cases;
  }
}
