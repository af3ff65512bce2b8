package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Wish;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Options that go together: liquid metal inside with a film on the lid or another cooler, another
 * cooler with the bare die, and a lower voltage with any. What both need is bought once.
 */
final class Bundles {
  private Bundles() {}

  /** Pairs whose parts can both be done, as options of their own. */
  static List<Option> of(List<Option> options, Terms terms) {
    Map<OptionKind, Option> possible =
        options.stream()
            .filter(Option::possible)
            .collect(Collectors.toMap(Option::kind, Function.identity()));
    List<Option> all = new ArrayList<>();
    for (OptionKind inside : List.of(OptionKind.METAL_GLUED, OptionKind.METAL_RENEWED)) {
      pair(possible, inside, OptionKind.METAL_ON_LID, terms).ifPresent(all::add);
      pair(possible, inside, OptionKind.BETTER_COOLER, terms).ifPresent(all::add);
    }
    pair(possible, OptionKind.BARE, OptionKind.BETTER_COOLER, terms).ifPresent(all::add);
    List<Option> slower = new ArrayList<>();
    Option voltage = possible.get(OptionKind.LOWER_VOLTAGE);
    if (voltage != null && terms.wish() != Wish.MORE_CLOCK) {
      for (Option option : possible.values()) {
        boolean slows =
            option.kind() == OptionKind.LOWER_VOLTAGE || option.kind() == OptionKind.LOWER_CLOCK;
        if (!slows) {
          slower.add(lower(option, voltage));
        }
      }
      all.stream().toList().forEach(b -> slower.add(lower(b, voltage)));
    }
    all.addAll(slower);
    return all;
  }

  private static Option lower(Option option, Option voltage) {
    List<OptionKind> also = new ArrayList<>(option.also());
    also.add(OptionKind.LOWER_VOLTAGE);
    return option
        .withAlso(also)
        .withPowerFactor(voltage.powerFactor())
        .withHow(option.how() + " " + voltage.how())
        .withLostCoins(option.lostCoins() + voltage.lostCoins())
        .withHandsHours(option.handsHours() + voltage.handsHours())
        .withMostHandsHours(option.mostHandsHours() + voltage.mostHandsHours());
  }

  private static Optional<Option> pair(
      Map<OptionKind, Option> possible, OptionKind first, OptionKind second, Terms terms) {
    Option a = possible.get(first);
    Option b = possible.get(second);
    if (a == null || b == null) {
      return Optional.empty();
    }
    boolean film = second == OptionKind.METAL_ON_LID;
    Build build = a.situation().build();
    Situation together =
        new Situation(
            a.situation().chip(),
            b.situation().cooler(),
            film ? build.withOuter(b.situation().build().outer()) : build);
    Set<Step> steps = new LinkedHashSet<>(a.steps());
    steps.addAll(b.steps());
    // Paste, cleaner and the syringe of metal serve both.
    double shared =
        film
            ? Math.min(b.coins(), terms.metalCoins() + terms.sundryCoins())
            : Math.min(b.coins(), terms.pasteCoins());
    return Optional.of(
        a.withAlso(List.of(second))
            .withHow(a.how() + " " + b.how())
            .withSituation(together)
            .withOuter(film ? b.outer() : a.outer())
            .withCooler(b.cooler())
            .withSteps(List.copyOf(steps))
            .withCoins(a.coins() + b.coins() - shared)
            .withLostCoins(a.lostCoins() + b.lostCoins())
            .withHandsHours(a.handsHours() + b.handsHours() / 2)
            .withMostHandsHours(a.mostHandsHours() + b.mostHandsHours() / 2)
            .withWaitHours(Math.max(a.waitHours(), b.waitHours())));
  }

  /** The situations that bundles need beyond those of the options. */
  static Set<Situation> situations(Question question, Notation notation) {
    Set<Situation> all = new LinkedHashSet<>();
    of(Weighing.options(question, notation), question.terms()).forEach(o -> all.add(o.situation()));
    return all;
  }

  /**
   * Those that nothing outdoes: no option or bundle brings as much for less cost and less risk, and
   * each brings more than its best part alone by a tenth at least; the best by worth first.
   */
  static List<OptionForecast> worthwhile(
      List<OptionForecast> bundles, List<OptionForecast> options, int most) {
    List<OptionForecast> all = new ArrayList<>(options);
    all.addAll(bundles);
    return bundles.stream()
        .filter(b -> b.chance() >= Advice.SURE)
        .filter(b -> !dominated(b, all))
        .filter(
            b ->
                options.stream()
                    .filter(o -> o.option().possible())
                    .filter(o -> b.option().kinds().contains(o.option().kind()))
                    .allMatch(o -> b.gainKelvin() > 1.1 * o.gainKelvin()))
        .sorted((x, y) -> Double.compare(y.netCoins(), x.netCoins()))
        .limit(most)
        .toList();
  }

  /**
   * Whether another brings as much for no more cost and no more risk, and one of them is better.
   */
  static boolean dominated(OptionForecast one, List<OptionForecast> all) {
    return all.stream()
        .filter(o -> o.option().possible())
        .anyMatch(
            o ->
                o.gainKelvin() >= one.gainKelvin()
                    && o.costCoins() <= one.costCoins()
                    && o.ruin() <= one.ruin()
                    && (o.gainKelvin() > one.gainKelvin()
                        || o.costCoins() < one.costCoins()
                        || o.ruin() < one.ruin()));
  }
}
