package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.stage.diagnosis.Cause;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.Executor;

/** The equally likely cases that all options are forecast over. */
final class Draws {
  /** Patterns are drawn from this; the same question gives the same answer. */
  private static final long SEED = 20_260_601L;

  /** Of so many cases one is taken for a rough look. */
  private static final int ROUGH = 8;

  /**
   * Of so many cases one tells how far the cores lie apart, which takes several times as long as
   * their mean and is shown to two digits.
   */
  private static final int SPREAD = 4;

  private final Response now;
  private final Unknowns unknowns;
  private final Calibration calibration;
  private final double[][] z;
  private final double[][][] pattern;
  private final CorePattern cores;
  private final double watts;
  private final double room;
  private final double fan;

  /** Heat through the joints of each case, W, and its hot place's K/W: all options have them. */
  private final double[] heat;

  private final double[] hotPlace;
  final double[] riseNow;
  final double[] spreadNow;

  /** The cases of a question, by what its readings tell. */
  static Draws of(Question question, WhatIf whatIf, Response now, Executor helpers) {
    Unknowns unknowns = new Unknowns(question.now());
    Calibration calibration = calibrated(question, unknowns, now, helpers);
    double[] likely = calibration.likely();
    return new Draws(
        now,
        unknowns,
        calibration,
        CorePattern.of(now, question.patterns(), unknowns.now(likely), unknowns.heat(likely)),
        Load.of(question, whatIf));
  }

  /**
   * What the readings tell, averaged over what may make the chip hot besides its joints: what such
   * a cause costs is no gain of an option, as putting it right brings it back without.
   */
  private static Calibration calibrated(
      Question question, Unknowns unknowns, Response now, Executor helpers) {
    List<List<Reading>> told = new ArrayList<>();
    told.add(question.readings());
    List<Double> shares = new ArrayList<>();
    double rest = 1;
    for (Cause cause : question.suspicion().causes()) {
      double perWatt = cause.kelvin() / question.suspicion().fullWatts();
      told.add(question.readings().stream().map(r -> r.cooler(perWatt * r.watts())).toList());
      shares.add(cause.probability());
      rest -= cause.probability();
    }
    List<Calibration> each =
        SideBySide.each(
            told, r -> Calibration.of(Calibration.data(now, unknowns, r), helpers), helpers);
    Calibration plain = each.get(0);
    return each.size() == 1 ? plain : plain.mixed(rest, each.subList(1, each.size()), shares);
  }

  /**
   * What is weighed for.
   *
   * @param watts heat by the power reading
   * @param room room air, °C
   * @param fan logarithm of the cooler's resistance by what it was read at
   */
  record Load(double watts, double room, double fan) {
    static Load of(Question question, WhatIf whatIf) {
      return new Load(
          question.heatWatts() * whatIf.heat(),
          question.roomCelsius() + whatIf.roomKelvin(),
          whatIf.coolerLogarithm());
    }
  }

  Calibration calibration() {
    return calibration;
  }

  Unknowns unknowns() {
    return unknowns;
  }

  /** What geometry does not explain of each core's temperature, K. */
  List<Double> remainderKelvin() {
    return Arrays.stream(cores.remainderKelvin(watts)).boxed().toList();
  }

  private Draws(
      Response now, Unknowns unknowns, Calibration calibration, CorePattern cores, Load load) {
    this.now = now;
    this.unknowns = unknowns;
    this.calibration = calibration;
    this.z = calibration.draws();
    this.cores = cores;
    this.watts = load.watts();
    this.room = load.room();
    this.fan = load.fan();
    pattern = new double[z.length / SPREAD][][];
    heat = new double[z.length];
    hotPlace = new double[z.length];
    riseNow = new double[z.length];
    spreadNow = new double[pattern.length];
    SplittableRandom random = new SplittableRandom(SEED);
    for (int i = 0; i < z.length; i++) {
      heat[i] = watts * unknowns.heat(z[i]);
      hotPlace[i] = unknowns.hotPlaceKelvinPerWatt(z[i]);
      double[] logs = Unknowns.warmed(now, fanned(unknowns.now(z[i]), fan), heat[i], room);
      boolean apart = i % SPREAD == 0;
      double[] there = apart ? now.coresAndMeanKelvinPerWatt(logs) : null;
      double mean = apart ? there[there.length - 1] : now.meanKelvinPerWatt(logs);
      riseNow[i] = heat[i] * (mean + hotPlace[i]) + unknowns.liftKelvin(z[i]);
      if (apart) {
        int s = i / SPREAD;
        pattern[s] = cores.draw(random);
        spreadNow[s] =
            CorePattern.spread(
                cores.pattern(
                    now, there, pattern[s], logs, watts, heat[i] / watts, Optional.empty()));
      }
    }
  }

  /** Figures at another speed of the fan; overwritten. */
  static double[] fanned(double[] logs, double fan) {
    logs[3] += fan;
    return logs;
  }

  /** Gain of an option for given unknowns, K. */
  static double gain(
      Response now, Response then, Unknowns unknowns, Unknowns.After after, double[] z, Load load) {
    double heat = load.watts() * unknowns.heat(z);
    double watts = heat * after.powerFactor(z);
    double hot = unknowns.hotPlaceKelvinPerWatt(z);
    double[] logs = Unknowns.warmed(then, fanned(after.logs(z), load.fan()), watts, load.room());
    return unknowns.riseKelvin(now, fanned(unknowns.now(z), load.fan()), z, heat, load.room())
        - watts * (then.meanKelvinPerWatt(logs) * after.geometry(z) + hot);
  }

  /** What is worth left over by a part of the cases: enough to tell what to look at closely. */
  double roughNet(Option option, Response then, Question question) {
    double[] gains = new double[z.length / ROUGH];
    Load load = new Load(watts, room, fan);
    Unknowns.After after = unknowns.after(option);
    for (int i = 0; i < gains.length; i++) {
      gains[i] = gain(now, then, unknowns, after, z[i * ROUGH], load);
    }
    return Middle.of(gains).median() * question.terms().coinsPerKelvin() - cost(option, question);
  }

  /** Bought, given up, hours, and the chip times its risk. */
  private static double cost(Option option, Question question) {
    return option.coins()
        + option.lostCoins()
        + option.handsHours() * question.terms().coinsPerHour()
        + ruin(option, question) * question.terms().chipCoins();
  }

  private static double ruin(Option option, Question question) {
    return question.record().chance(option.steps(), question.terms().odds());
  }

  OptionForecast forecast(Option option, Response then, Question question, Notation notation) {
    double[] gains = new double[z.length];
    double[] spreads = new double[pattern.length];
    SplittableRandom random = new SplittableRandom(SEED + option.kind().name().hashCode());
    boolean bare = !option.situation().build().lidOn();
    boolean anew = bare ? option.outer().isPresent() : option.inner().isPresent();
    Unknowns.After after = unknowns.after(option);
    int reached = 0;
    for (int i = 0; i < z.length; i++) {
      double power = after.powerFactor(z[i]);
      double through = heat[i] * power;
      double[] logs = Unknowns.warmed(then, fanned(after.logs(z[i]), fan), through, room);
      boolean apart = i % SPREAD == 0;
      double[] there = apart ? then.coresAndMeanKelvinPerWatt(logs) : null;
      double mean = apart ? there[there.length - 1] : then.meanKelvinPerWatt(logs);
      // Other heat in the loop stays, and warms the coolant as it did.
      gains[i] =
          riseNow[i]
              - unknowns.liftKelvin(z[i])
              - through * (mean * after.geometry(z[i]) + hotPlace[i]);
      reached += gains[i] >= question.careKelvin() ? 1 : 0;
      if (apart) {
        Optional<double[]> even =
            anew ? Optional.of(normal(random, then.cores())) : Optional.empty();
        double[][] drawn = pattern[i / SPREAD];
        spreads[i / SPREAD] =
            CorePattern.spread(
                cores.pattern(then, there, drawn, logs, watts * power, heat[i] / watts, even));
      }
    }
    Middle middle = Middle.of(gains);
    Middle spread = Middle.of(spreads);
    double gain = middle.median();
    Price price = Price.of(option, question, gain, gains);
    double cost = price.coins();
    OptionForecast bareFigures =
        new OptionForecast(
            option,
            gain,
            middle.range(),
            (double) reached / z.length,
            spread.median(),
            spread.range(),
            option.coins(),
            price,
            cost > 0 ? gain / cost : Double.NaN,
            new Finding("", "", gain, Unit.KELVIN, Optional.empty(), NONE));
    return OptionWords.with(bareFigures, now, then, question, watts, notation);
  }

  private static double[] normal(SplittableRandom random, int count) {
    double[] all = new double[count];
    Arrays.setAll(all, c -> random.nextGaussian());
    return all;
  }

  private static final Working NONE = new Working("", List.of(), "", List.of());
}
