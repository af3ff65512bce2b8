package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.assembly.CoolantBalance;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Wish;
import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.DiagnosisWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One sentence of advice. An option is worth a thought when its gain reaches the difference that
 * the person cares about in eight cases of ten, and its likely gain is worth more than it costs,
 * ruin counted in. Of these the one with the greatest worth left over is advised; if one that
 * leaves the lid on brings at least half as much, it comes first, because it can be undone. A lower
 * voltage or clock is no answer by itself to who wants a cooler chip or more clock, as it goes with
 * any other; who wants as small a risk as can be gets the least risk first. Where the person has a
 * target, the cheapest that reaches it in nine cases of ten is advised.
 */
record Advice(Finding finding, List<String> reasons, Optional<OptionKind> recommended) {
  static final double SURE = 0.8;
  private static final double FAR_OFF = 3;

  /** Above this a core is not let get: the chip holds itself back; common practice, °C. */
  private static final double LIMIT_CELSIUS = 100;

  static Advice of(
      Question question,
      WhatIf whatIf,
      List<OptionForecast> options,
      List<OptionForecast> bundles,
      boolean toldApart,
      List<FurtherReading> further,
      Calibration calibration,
      Draws draws,
      Notation notation) {
    List<OptionForecast> possible = options.stream().filter(o -> o.option().possible()).toList();
    List<OptionForecast> worth =
        possible.stream().filter(o -> o.chance() >= SURE && o.netCoins() > 0).toList();
    Pick pick = pick(question.terms(), worth);
    List<String> reasons = new ArrayList<>();
    String watts = notation.text(question.heatWatts() * whatIf.heat(), Unit.WATT);
    boolean farOff = calibration.worstMisfit() > FAR_OFF;
    Optional<Cause> suspect = question.suspicion().first();
    String sentence;
    Optional<OptionForecast> advised;
    if (suspect.isPresent()
        && pick.advised().or(pick::missed).filter(a -> a.option().opens()).isPresent()) {
      advised = Optional.empty();
      sentence = DiagnosisWords.before(suspect.get());
      reasons.add(DiagnosisWords.beforeOpening(suspect.get()));
      reasons.add(
          "By itself "
              + figures(pick.advised().or(pick::missed).orElseThrow(), notation)
              + " at "
              + watts
              + ".");
    } else if (farOff) {
      advised = Optional.empty();
      sentence =
          "Find the cause first: the reading lies far from what this chip and cooler should show.";
      reasons.add(
          "Buy and open nothing yet. Is the cooler seated flat and tight, and do fan and pump run?");
      reasons.add(
          "Check the room air, the power channel, and the figures of chip and cooler in the section;"
              + " then read again. The options below are what the figures say as they stand.");
    } else if (pick.missed().isPresent()) {
      advised = pick.advised();
      sentence = missed(question.terms(), pick.missed().get(), watts, notation);
    } else if (pick.advised().isPresent()) {
      advised = pick.advised();
      sentence = sentence(question, pick, watts, notation);
    } else {
      advised = Optional.empty();
      sentence = leave(question, possible, watts, notation);
    }
    double riseNow = Middle.of(draws.riseNow).median();
    Currency currency = new Currency(question, whatIf, riseNow);
    advised
        .flatMap(a -> currency.words(a.gainKelvin(), a.gain(), notation))
        .ifPresent(
            w -> reasons.add("You want " + question.terms().wish().words() + ": " + w + "."));
    advised.ifPresent(a -> reasons.add(cost(a, notation)));
    limit(question, whatIf, riseNow, advised, notation).ifPresent(reasons::add);
    spread(question, options, advised, draws, notation).ifPresent(reasons::add);
    if (question.readings().isEmpty()) {
      reasons.add(
          "There is no reading of this chip yet; add a baseline run and the forecast becomes"
              + " your own.");
    } else if (!toldApart && !farOff) {
      reasons.add("Inner joint and cooler cannot be told apart yet" + narrower(further, notation));
    }
    for (OptionForecast bundle : bundles) {
      reasons.add(together(bundle, notation));
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

  /**
   * What is advised.
   *
   * @param advised the option; empty if none is worth it
   * @param dearer what would bring more, where something gentler is advised first
   * @param missed the most that there is, where nothing reaches the target
   */
  private record Pick(
      Optional<OptionForecast> advised,
      Optional<OptionForecast> dearer,
      Optional<OptionForecast> missed) {}

  private static Pick pick(Terms terms, List<OptionForecast> worth) {
    Comparator<OptionForecast> net = Comparator.comparingDouble(OptionForecast::netCoins);
    if (terms.wish() == Wish.LEAST_RISK) {
      Optional<OptionForecast> safest =
          worth.stream()
              .min(Comparator.comparingDouble(OptionForecast::ruin).thenComparing(net.reversed()));
      return new Pick(safest, Optional.empty(), Optional.empty());
    }
    boolean slowing = terms.wish() == Wish.QUIETER || terms.wish() == Wish.LONGER_LIFE;
    List<OptionForecast> wanted = worth.stream().filter(o -> slowing || !slows(o)).toList();
    if (terms.targetKelvin() != null) {
      Optional<OptionForecast> reached =
          wanted.stream()
              .filter(o -> o.gain().low() >= terms.targetKelvin())
              .min(Comparator.comparingDouble(OptionForecast::costCoins));
      return new Pick(
          reached,
          Optional.empty(),
          reached.isPresent()
              ? Optional.empty()
              : wanted.stream().max(Comparator.comparingDouble(OptionForecast::gainKelvin)));
    }
    Optional<OptionForecast> best = wanted.stream().filter(o -> o.option().opens()).max(net);
    Optional<OptionForecast> gentle = wanted.stream().filter(o -> !o.option().opens()).max(net);
    if (best.isEmpty() && gentle.isEmpty() && terms.wish() == Wish.COOLER) {
      // Nothing else is worth it; then the settings are.
      gentle = worth.stream().max(net);
    }
    boolean first =
        best.isPresent()
            && gentle.isPresent()
            && gentle.get().gainKelvin() >= best.get().gainKelvin() / 2;
    return new Pick(
        first || best.isEmpty() ? gentle : best, first ? best : Optional.empty(), Optional.empty());
  }

  private static boolean slows(OptionForecast f) {
    return f.option().kind() == OptionKind.LOWER_VOLTAGE
        || f.option().kind() == OptionKind.LOWER_CLOCK;
  }

  private static String sentence(Question question, Pick pick, String watts, Notation notation) {
    OptionForecast advised = pick.advised().orElseThrow();
    String figures = figures(advised, notation) + " at " + watts;
    if (pick.dearer().isPresent()) {
      return "Try something cheaper first: "
          + figures
          + "; "
          + pick.dearer().get().option().words()
          + " would bring "
          + notation.text(pick.dearer().get().gainKelvin(), Unit.KELVIN)
          + ".";
    }
    boolean stays = question.now().build().lidOn() && !advised.option().opens();
    return (stays ? "Leave the lid on: " : "Go: ") + figures + ".";
  }

  private static String missed(Terms terms, OptionForecast most, String watts, Notation notation) {
    return "None of these reaches "
        + notation.text(terms.targetKelvin(), Unit.KELVIN)
        + " for sure: the most is "
        + figures(most, notation)
        + " at "
        + watts
        + ".";
  }

  private static String together(OptionForecast bundle, Notation notation) {
    return "Together: "
        + bundle.option().words()
        + ", "
        + notation.text(bundle.gainKelvin(), Unit.KELVIN)
        + " less ("
        + notation.range(bundle.gain(), Unit.KELVIN)
        + ") for "
        + notation.text(bundle.costCoins(), Unit.COIN)
        + " all in.";
  }

  /** A rise that the chip does not bear is throttling; then watts at its limit tell more. */
  private static Optional<String> limit(
      Question question,
      WhatIf whatIf,
      double riseNow,
      Optional<OptionForecast> advised,
      Notation notation) {
    double room = question.roomCelsius() + whatIf.roomKelvin();
    if (room + riseNow <= LIMIT_CELSIUS || room >= LIMIT_CELSIUS) {
      return Optional.empty();
    }
    double bears = question.heatWatts() * whatIf.heat() * (LIMIT_CELSIUS - room);
    String now =
        "The chip would throttle at this load: at "
            + notation.text(LIMIT_CELSIUS, Unit.CELSIUS)
            + " it carries about "
            + notation.text(bears / riseNow, Unit.WATT)
            + " now";
    return Optional.of(
        now
            + advised
                .filter(a -> a.gainKelvin() < riseNow)
                .map(
                    a ->
                        ", and "
                            + notation.text(bears / (riseNow - a.gainKelvin()), Unit.WATT)
                            + " then")
                .orElse("")
            + ".");
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
        OptionWords.hours(f.option(), notation)
            + " at the bench"
            + (f.option().waitHours() > 0
                ? " and " + notation.text(f.option().waitHours(), Unit.HOUR) + " of waiting"
                : "");
    return "It takes "
        + notation.text(f.coins(), Unit.COIN)
        + (f.option().waitHours() > 0 ? ", " : " and ")
        + hours
        + "; "
        + OptionWords.risk(f, notation)
        + ".";
  }

  private static Optional<String> spread(
      Question question,
      List<OptionForecast> options,
      Optional<OptionForecast> advised,
      Draws draws,
      Notation notation) {
    Optional<OptionForecast> about =
        advised.or(() -> options.stream().filter(o -> o.option().possible()).findFirst());
    if (about.isEmpty() || question.now().chip().cores() < 2) {
      return Optional.empty();
    }
    double now = Middle.of(draws.spreadNow).median();
    double then = about.get().spreadKelvin();
    boolean guess = question.patterns().isEmpty();
    String known =
        guess
            ? "Without core temperatures the spread between cores is a guess: "
            : "The spread between cores: ";
    return Optional.of(
        known
            + notation.text(now, Unit.KELVIN)
            + " now, "
            + notation.text(then, Unit.KELVIN)
            + " then ("
            + notation.range(about.get().spread(), Unit.KELVIN)
            + (guess ? ")." : "), apart from sensor differences."));
  }

  private static String narrower(List<FurtherReading> further, Notation notation) {
    return further.isEmpty()
        ? "."
        : "; a reading "
            + further.get(0).what()
            + " would narrow the gain to ±"
            + notation.text(
                Interval.normalHalf(Weighing.LEVEL) * further.get(0).sigmaKelvin(), Unit.KELVIN)
            + ".";
  }
}
