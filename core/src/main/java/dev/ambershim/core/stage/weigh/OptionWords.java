package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** An option's forecast as a finding: its sentence and its working. */
public final class OptionWords {
  private OptionWords() {}

  static OptionForecast with(
      OptionForecast f,
      Response now,
      Response then,
      Question question,
      double watts,
      Notation notation) {
    Option option = f.option();
    Finding finding =
        new Finding(
            "weigh." + option.kind().name(),
            option.how() + " " + gain(f, notation) + " at " + notation.text(watts, Unit.WATT) + ".",
            f.gainKelvin(),
            Unit.KELVIN,
            Optional.of(f.gain()),
            working(f, now, then, question, watts));
    return f.with(finding);
  }

  /** What an option costs, how sure that is, and whether it pays. */
  public static String cost(OptionForecast f, Notation notation) {
    Price price = f.price();
    return "Costs "
        + notation.text(price.coins(), Unit.COIN)
        + " in all ("
        + notation.range(price.range(), Unit.COIN)
        + "): "
        + notation.text(f.coins(), Unit.COIN)
        + " to buy, "
        + hours(f.option(), notation)
        + " at the bench, and "
        + riskWithRange(f, notation)
        + ". "
        + (f.option().waitHours() > 0
            ? "Then " + notation.text(f.option().waitHours(), Unit.HOUR) + " of waiting. "
            : "")
        + "The gain is worth more than that in "
        + notation.fixed(100 * price.pays(), 0)
        + " % of cases.";
  }

  /** Hours at the bench, and those that nine cases of ten keep where a plan tells them. */
  static String hours(Option option, Notation notation) {
    return notation.text(option.handsHours(), Unit.HOUR)
        + (Double.isNaN(option.mostHandsHours())
            ? ""
            : " (seldom over " + notation.number(option.mostHandsHours(), Unit.HOUR) + ")");
  }

  /** Such as "1.3 % risk of ruining the chip". */
  static String risk(OptionForecast f, Notation notation) {
    return f.ruin() == 0
        ? "no risk to the chip"
        : notation.fixed(100 * f.ruin(), 1) + " % risk of ruining the chip";
  }

  /** Such as "1.3 % risk of ruining the chip (0.1 to 3.4 %)", or "(up to 3.4 %)". */
  private static String riskWithRange(OptionForecast f, Notation notation) {
    if (f.ruin() == 0) {
      return risk(f, notation);
    }
    double low = 100 * f.price().ruinRange().low();
    return risk(f, notation)
        + " ("
        + (low < 0.05 ? "up" : notation.fixed(low, 1))
        + " to "
        + notation.fixed(100 * f.price().ruinRange().high(), 1)
        + " %)";
  }

  /** Gain and interval in words, such as "Expect 12.1 K less (8.0 to 16.4 K)". */
  static String gain(OptionForecast f, Notation notation) {
    String size = notation.text(Math.abs(f.gainKelvin()), Unit.KELVIN);
    String range = notation.range(f.gain(), Unit.KELVIN) + " " + notation.symbol(Unit.KELVIN);
    if (f.gain().contains(0)) {
      return "It may gain nothing: "
          + notation.text(f.gainKelvin(), Unit.KELVIN)
          + " ("
          + range
          + ")";
    }
    return f.gainKelvin() > 0
        ? "Expect " + size + " less (" + range + ")"
        : "Expect it to lose " + size + " (gain " + range + ")";
  }

  private static Working working(
      OptionForecast f, Response now, Response then, Question question, double watts) {
    Option option = f.option();
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("heat", watts, Unit.WATT));
    inputs.add(new Working.Input("heat afterwards", watts * option.powerFactor(), Unit.WATT));
    joints(inputs, "now", now.situation());
    joints(inputs, "afterwards", then.situation());
    inputs.add(
        new Working.Input(
            "likely resistance now", now.meanKelvinPerWatt(new double[4]), Unit.KELVIN_PER_WATT));
    inputs.add(
        new Working.Input(
            "likely resistance afterwards",
            then.meanKelvinPerWatt(new double[4]),
            Unit.KELVIN_PER_WATT));
    if (metal(option) && !question.terms().advertised()) {
      inputs.add(
          new Working.Input(
              "likely gain with liquid metal as advertised",
              f.gainKelvin() + more(then, watts),
              Unit.KELVIN));
    }
    for (Step step : option.steps()) {
      inputs.add(
          new Working.Input(
              "odds of " + step.words(),
              100 * question.record().chance(step, question.terms().odds()),
              Unit.PERCENT));
    }
    inputs.add(new Working.Input("bought", f.coins(), Unit.COIN));
    inputs.add(new Working.Input("given up", option.lostCoins(), Unit.COIN));
    inputs.add(new Working.Input("hours at the bench", option.handsHours(), Unit.HOUR));
    inputs.add(new Working.Input("an hour's worth", question.terms().coinsPerHour(), Unit.COIN));
    inputs.add(new Working.Input("the chip anew", question.terms().chipCoins(), Unit.COIN));
    inputs.add(new Working.Input("cost in all", f.costCoins(), Unit.COIN));
    inputs.add(new Working.Input("cost, low", f.price().range().low(), Unit.COIN));
    inputs.add(new Working.Input("cost, high", f.price().range().high(), Unit.COIN));
    inputs.add(new Working.Input("pays in", 100 * f.price().pays(), Unit.PERCENT));
    inputs.add(new Working.Input("spread afterwards", f.spreadKelvin(), Unit.KELVIN));
    return new Working(
        "gain = heat × (resistance now − power factor × resistance afterwards), over "
            + Calibration.DRAWS
            + " equally likely cases of all doubtful figures after the readings; resistances by"
            + " three-dimensional conduction; cost = bought + given up + hours × worth"
            + " + odds × chip",
        inputs,
        "conduction: the layers' own modes, checked in docs/sources.md; update: Bayes' rule by"
            + " Laplace's approximation and importance resampling (Gelman et al., Bayesian Data"
            + " Analysis); priors: the table in docs/handbook/weigh.md",
        List.of(
            "Cores are taken in the order of the log, row by row over the die; the chip's plan is"
                + " not known.",
            "Heat into the board and the lid's rim are left out.",
            "The interval holds eight cases in ten if the table of priors does.",
            "Odds, prices and hours are common practice until you put in your own. The believed odds"
                + " count as "
                + OwnRecord.WEIGHT
                + " tries, and hours run over as those of the plan do."));
  }

  private static boolean metal(Option option) {
    return option.inner().filter(Option.Fresh::metal).isPresent()
        || option.outer().filter(Option.Fresh::metal).isPresent();
  }

  /** How much cooler it would be if liquid metal conducted as well as sellers have it, K. */
  private static double more(Response then, double watts) {
    double better = -Math.log(PriorTable.METAL_ADVERTISED.likely() / PriorTable.METAL.likely());
    double[] logs = new double[4];
    logs[
            then.situation().build().inner().filling() == Filling.LIQUID_METAL
                    && then.situation().build().lidOn()
                ? 0
                : 1] =
        better;
    return watts * (then.meanKelvinPerWatt(new double[4]) - then.meanKelvinPerWatt(logs));
  }

  private static void joints(List<Working.Input> inputs, String when, Situation at) {
    if (at.build().lidOn()) {
      joint(inputs, "inner joint " + when, at.build().inner());
    }
    joint(inputs, (at.build().lidOn() ? "outer joint " : "bare joint ") + when, at.build().outer());
  }

  private static void joint(List<Working.Input> inputs, String name, Joint joint) {
    inputs.add(new Working.Input(name, joint.bondLineMicrometres(), Unit.MICROMETRE));
    inputs.add(
        new Working.Input(
            name + ", conductivity",
            joint.conductivityWattsPerMetreKelvin(),
            Unit.WATT_PER_METRE_KELVIN));
  }
}
