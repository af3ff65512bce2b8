package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.assembly.CoolantBalance;
import dev.ambershim.core.plan.OptionKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One sentence of advice. An option is worth a thought when its gain reaches the difference that
 * the person cares about in eight cases of ten, and its likely gain is worth more than it costs,
 * ruin counted in. Of these the one with the greatest worth left over is advised; if one that
 * leaves the lid on brings at least half as much, it comes first, because it can be undone.
 */
record Advice(Finding finding, List<String> reasons, Optional<OptionKind> recommended) {
  private static final double SURE = 0.8;
  private static final double FAR_OFF = 3;

  static Advice of(
      Question question,
      WhatIf whatIf,
      List<OptionForecast> options,
      boolean toldApart,
      List<FurtherReading> further,
      Calibration calibration,
      Weighing.Draws draws,
      Notation notation) {
    List<OptionForecast> possible = options.stream().filter(o -> o.option().possible()).toList();
    List<OptionForecast> worth =
        possible.stream().filter(o -> o.chance() >= SURE && o.netCoins() > 0).toList();
    Optional<OptionForecast> best = best(worth, true);
    Optional<OptionForecast> gentle = best(worth, false);
    List<String> reasons = new ArrayList<>();
    String watts = notation.text(question.heatWatts() * whatIf.heat(), Unit.WATT);
    boolean farOff = calibration.worstMisfit() > FAR_OFF;
    String sentence;
    Optional<OptionForecast> advised;
    if (farOff) {
      advised = Optional.empty();
      sentence =
          "Find the cause first: the reading lies far from what this chip and cooler should show.";
      reasons.add(
          "Buy and open nothing yet. Is the cooler seated flat and tight, and do fan and pump run?");
      reasons.add(
          "Check the room air, the power channel, and the figures of chip and cooler in the section;"
              + " then read again. The options below are what the figures say as they stand.");
    } else if (best.isPresent()
        && gentle.isPresent()
        && gentle.get().gainKelvin() >= best.get().gainKelvin() / 2) {
      advised = gentle;
      sentence =
          "Try something cheaper first: "
              + figures(gentle.get(), notation)
              + " at "
              + watts
              + "; "
              + best.get().option().words()
              + " would bring "
              + notation.text(best.get().gainKelvin(), Unit.KELVIN)
              + ".";
    } else if (best.isPresent()) {
      advised = best;
      sentence = "Go: " + figures(best.get(), notation) + " at " + watts + ".";
    } else if (gentle.isPresent()) {
      advised = gentle;
      sentence =
          (question.now().build().lidOn() ? "Leave the lid on: " : "Go: ")
              + figures(gentle.get(), notation)
              + " at "
              + watts
              + ".";
    } else {
      advised = Optional.empty();
      sentence = leave(question, possible, watts, notation);
    }
    advised.ifPresent(a -> reasons.add(cost(a, notation)));
    spread(question, options, advised, draws, notation).ifPresent(reasons::add);
    if (question.readings().isEmpty()) {
      reasons.add(
          "There is no reading of this chip yet; add a baseline run and the forecast becomes"
              + " your own.");
    } else if (!toldApart && !farOff) {
      reasons.add(
          "Inner joint and cooler cannot be told apart by what was read"
              + narrower(further, notation));
    }
    balance(question, notation).ifPresent(reasons::add);
    Finding finding =
        new Finding(
            "weigh.advice",
            sentence,
            advised.map(OptionForecast::gainKelvin).orElse(0.0),
            Unit.KELVIN,
            advised.map(OptionForecast::gain),
            advised.map(a -> a.finding().working()).orElse(rule(question)));
    return new Advice(finding, reasons, advised.map(a -> a.option().kind()));
  }

  /** Whether coolant and chip tell the same heat, where flow and warming are known. */
  private static Optional<String> balance(Question question, Notation notation) {
    OptionalDouble carried = question.now().cooler().carriedWatts();
    if (carried.isEmpty()) {
      return Optional.empty();
    }
    String by =
        "The coolant carries "
            + notation.text(carried.getAsDouble(), Unit.WATT)
            + " by flow and warming";
    String chip = notation.text(question.heatWatts(), Unit.WATT);
    return Optional.of(
        CoolantBalance.agrees(carried.getAsDouble(), question.heatWatts())
            ? by + ", which fits the chip's " + chip + "."
            : by + ", but the chip's power is " + chip + ": check both readings.");
  }

  private static Optional<OptionForecast> best(List<OptionForecast> worth, boolean opens) {
    return worth.stream()
        .filter(o -> o.option().opens() == opens)
        .max(Comparator.comparingDouble(OptionForecast::netCoins));
  }

  private static Working rule(Question question) {
    return new Working(
        "an option is advised if its gain reaches what you care about in eight cases of ten and is"
            + " worth more than it costs",
        List.of(
            new Working.Input("you care about", question.careKelvin(), Unit.KELVIN),
            new Working.Input("a kelvin's worth", question.terms().coinsPerKelvin(), Unit.COIN)),
        "common practice",
        List.of("Worth, prices and odds are yours to set."));
  }

  private static String leave(
      Question question, List<OptionForecast> possible, String watts, Notation notation) {
    Optional<OptionForecast> most =
        possible.stream()
            .filter(o -> o.option().opens())
            .max(Comparator.comparingDouble(OptionForecast::gainKelvin));
    boolean sure = possible.stream().anyMatch(o -> o.chance() >= SURE);
    String why =
        sure
            ? "nothing gains more than it costs you"
            : "nothing is likely to gain the "
                + notation.text(question.careKelvin(), Unit.KELVIN)
                + " that you care about";
    return "Leave it: "
        + why
        + " at "
        + watts
        + most.map(
                m ->
                    "; the most from opening it would be "
                        + notation.text(m.gainKelvin(), Unit.KELVIN)
                        + " ("
                        + m.option().words()
                        + ")")
            .orElse("")
        + ".";
  }

  private static String figures(OptionForecast f, Notation notation) {
    return f.option().words()
        + ", "
        + notation.text(f.gainKelvin(), Unit.KELVIN)
        + " less ("
        + notation.range(f.gain(), Unit.KELVIN)
        + " in eight cases of ten)";
  }

  private static String cost(OptionForecast f, Notation notation) {
    String hours =
        notation.text(f.option().handsHours(), Unit.HOUR)
            + " at the bench"
            + (f.option().waitHours() > 0
                ? " and " + notation.text(f.option().waitHours(), Unit.HOUR) + " of waiting"
                : "");
    return "It takes "
        + notation.text(f.coins(), Unit.COIN)
        + " and "
        + hours
        + (f.ruin() > 0
            ? "; " + notation.fixed(100 * f.ruin(), 1) + " % risk of ruining the chip."
            : "; no risk to the chip.");
  }

  private static Optional<String> spread(
      Question question,
      List<OptionForecast> options,
      Optional<OptionForecast> advised,
      Weighing.Draws draws,
      Notation notation) {
    Optional<OptionForecast> about =
        advised.or(() -> options.stream().filter(o -> o.option().possible()).findFirst());
    if (about.isEmpty() || question.now().chip().cores() < 2) {
      return Optional.empty();
    }
    double now = Weighing.median(draws.spreadNow);
    double then = about.get().spreadKelvin();
    String known =
        question.patterns().isEmpty()
            ? "Without core temperatures the spread between cores is a guess: "
            : "The spread between cores: ";
    return Optional.of(
        known
            + notation.text(now, Unit.KELVIN)
            + " now, "
            + notation.text(then, Unit.KELVIN)
            + " then ("
            + notation.range(about.get().spread(), Unit.KELVIN)
            + "), apart from sensor differences.");
  }

  private static String narrower(List<FurtherReading> further, Notation notation) {
    return further.isEmpty()
        ? "."
        : "; a reading "
            + further.get(0).what()
            + " would bring the gain to within ±"
            + notation.text(1.2816 * further.get(0).sigmaKelvin(), Unit.KELVIN)
            + ".";
  }
}
