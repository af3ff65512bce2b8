package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Terms;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.junit.jupiter.api.Test;

class PriceTest {
  private static final Question PASTE = TypicalChips.MIDDLING_PASTE.question;

  private static Option glued() {
    return Solved.weigh(PASTE, WhatIf.AS_IT_IS).option(OptionKind.METAL_GLUED).option();
  }

  private static double[] gains(int count, double mean, double sigma) {
    Random random = new Random(7);
    double[] gains = new double[count];
    Arrays.setAll(gains, i -> mean + sigma * random.nextGaussian());
    return gains;
  }

  private static Question with(OwnRecord record) {
    return new Question(PASTE.now(), 150, 22, 1, List.of(), List.of(), Terms.USUAL, record);
  }

  /** A share of 40 tries believed and so many done: quantiles of the Beta distribution itself. */
  @Test
  void theRiskOfOneStepHasTheQuantilesOfItsBetaDistribution() {
    Option one = glued().withSteps(List.of(Step.METAL_GUARDED));
    OwnRecord record = new OwnRecord(Map.of(Step.METAL_GUARDED, 60), Map.of(Step.METAL_GUARDED, 5));
    Price price = Price.of(one, with(record), 12, gains(20_000, 12, 3));
    double believed = Step.METAL_GUARDED.percent(Terms.USUAL.odds()) / 100 * OwnRecord.WEIGHT;
    BetaDistribution beta =
        new BetaDistribution(believed + 5, OwnRecord.WEIGHT + 60 - believed - 5);
    assertThat(price.ruin()).isCloseTo(beta.getNumericalMean(), within(1e-12));
    assertThat(price.ruinRange().low())
        .isCloseTo(beta.inverseCumulativeProbability(0.1), within(0.001));
    assertThat(price.ruinRange().high())
        .isCloseTo(beta.inverseCumulativeProbability(0.9), within(0.001));
  }

  @Test
  void whatIsDoneOftenIsKnownBetter() {
    OwnRecord often = new OwnRecord(Map.of(Step.OPEN_TOOL, 400, Step.METAL_GUARDED, 400), Map.of());
    double[] gains = gains(4000, 12, 3);
    Price fresh = Price.of(glued(), with(OwnRecord.NONE), 12, gains.clone());
    Price skilled = Price.of(glued(), with(often), 12, gains.clone());
    assertThat(skilled.ruinRange().high()).isLessThan(fresh.ruinRange().high() / 3);
    assertThat(skilled.ruin()).isLessThan(fresh.ruin());
  }

  /**
   * Truths of their own: each step's chance by the inverse of its Beta distribution, hours by the
   * plan's share of slow cases, prices as they are. The stated eight of ten must hold eight of ten.
   */
  @Test
  void costsHoldEightOfTenTruths() {
    OwnRecord record =
        new OwnRecord(
            Map.of(Step.OPEN_TOOL, 10, Step.METAL_GUARDED, 15), Map.of(Step.METAL_GUARDED, 2));
    Option option = glued().withHandsHours(2.5).withMostHandsHours(4);
    Price price = Price.of(option, with(record), 12, gains(4000, 12, 3));
    Terms t = Terms.USUAL;
    double sigma = Math.log(4 / 2.5) / 1.2816;
    Random random = new Random(99);
    int held = 0;
    int paid = 0;
    int rounds = 4000;
    for (int i = 0; i < rounds; i++) {
      double well = 1;
      for (Step step : option.steps()) {
        double tries = OwnRecord.WEIGHT + record.tries().getOrDefault(step, 0);
        double ruins =
            step.percent(t.odds()) / 100 * OwnRecord.WEIGHT + record.ruins().getOrDefault(step, 0);
        well *=
            1
                - new BetaDistribution(ruins, tries - ruins)
                    .inverseCumulativeProbability(random.nextDouble());
      }
      double cost =
          option.coins()
              + option.lostCoins()
              + 2.5 * Math.exp(sigma * random.nextGaussian()) * t.coinsPerHour()
              + (1 - well) * t.chipCoins();
      held += price.range().contains(cost) ? 1 : 0;
      paid += (12 + 3 * random.nextGaussian()) * t.coinsPerKelvin() > cost ? 1 : 0;
    }
    assertThat((double) held / rounds).isCloseTo(0.8, within(0.03));
    assertThat((double) paid / rounds).isCloseTo(price.pays(), within(0.03));
  }

  @Test
  void aChanceNeverTriedKeepsItsLikelyValueInside() {
    Price price = Price.of(glued(), with(OwnRecord.NONE), 12, gains(1024, 12, 3));
    assertThat(price.ruinRange().contains(price.ruin())).isTrue();
    assertThat(price.range().contains(price.coins())).isTrue();
    assertThat(price.netRange().contains(price.net())).isTrue();
  }
}
