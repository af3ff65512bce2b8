package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Wish;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Kelvin in other currencies, by hand. */
class CurrencyTest {
  private static Currency of(Wish wish, CoolerClass kind, double clock) {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation now = new Situation(point.chip("x"), kind.usual("c", 3.5), point.asBought());
    Question question =
        new Question(
                now, 150, 22, 1, List.of(), List.of(), Terms.USUAL.withWish(wish), OwnRecord.NONE)
            .withClockMegahertz(clock);
    return new Currency(question, WhatIf.AS_IT_IS, 60);
  }

  /** A fifth less to a fifth more. */
  private static Interval about(double gain) {
    return new Interval(gain - Math.abs(gain) / 5, gain + Math.abs(gain) / 5, 0.8);
  }

  private static Currency of(Wish wish) {
    return of(wish, CoolerClass.LARGE_AIR_TOWER, 5000);
  }

  /** 15 of 60 K less: heat may go up by a third, and the clock by the root of that. */
  @Test
  void clockGoesByTheRootOfHeat() {
    assertThat(of(Wish.MORE_CLOCK).clock(15)).isCloseTo(Math.sqrt(60 / 45.0) - 1, within(1e-12));
    assertThat(of(Wish.MORE_CLOCK).words(15, about(15), Notation.METRIC))
        .hasValue("about 770 MHz (510 to 1210) more at today's temperature");
    assertThat(
            of(Wish.MORE_CLOCK, CoolerClass.OTHER, Double.NaN)
                .words(15, about(15), Notation.METRIC))
        .hasValue("about 15.5 % (10.1 to 24.2) more at today's temperature");
    assertThat(of(Wish.MORE_CLOCK).words(-6, about(-6), Notation.METRIC).orElseThrow())
        .contains(" less at");
  }

  /** 150 W by 0.1 K/W are 15 K: with 15 K to spend the cooler may be half as good. */
  @Test
  void aSlowerFanSpendsTheGain() {
    double fan = of(Wish.QUIETER).fan(15);
    assertThat(Math.pow(fan, -0.6)).isCloseTo(2, within(1e-9));
    // 50·lg of the speed: half the speed is 15 dB.
    assertThat(Currency.decibels(0.5)).isCloseTo(15.05, within(0.01));
    assertThat(of(Wish.QUIETER).words(15, about(15), Notation.METRIC).orElseThrow())
        .startsWith("the fan at 31 %")
        .endsWith("quieter");
    assertThat(of(Wish.QUIETER).words(-3, about(-3), Notation.METRIC).orElseThrow())
        .endsWith("louder");
    assertThat(of(Wish.QUIETER, CoolerClass.COLD_POT, 5000).words(15, about(15), Notation.METRIC))
        .isEmpty();
  }

  /** Arrhenius by hand: 0.7 eV between 82 and 72 °C. */
  @Test
  void lifeGoesByArrhenius() {
    double byHand = Math.exp(0.7 / 8.617333e-5 * (1 / 345.15 - 1 / 355.15));
    assertThat(of(Wish.LONGER_LIFE).life(10)).isCloseTo(byHand, within(1e-9));
    assertThat(byHand).isBetween(1.8, 2.0);
    assertThat(of(Wish.LONGER_LIFE).words(10, about(10), Notation.METRIC))
        .hasValue("by heat alone it lasts about 1.9 times as long (1.6 to 2.4)");
  }

  /** By hand: the gain's own end and the exponent's, 2 ± 0.623 in eight cases of ten, squared. */
  @Test
  void aWorthHasTheDoubtOfItsRuleToo() {
    double likely = Math.sqrt(60 / 45.0) - 1;
    double byGain = likely - (Math.sqrt(60 / 48.0) - 1);
    double byRule = likely - (Math.pow(60 / 45.0, 1 / 2.623) - 1);
    assertThat(of(Wish.MORE_CLOCK).clock(15, about(15)).low())
        .isCloseTo(likely - Math.hypot(byGain, byRule), within(2e-4));
    assertThat(of(Wish.MORE_CLOCK).clock(15, about(15)).level()).isEqualTo(0.8);
  }

  @Test
  void kelvinSayItForTheOthers() {
    assertThat(of(Wish.COOLER).words(10, about(10), Notation.METRIC)).isEmpty();
    assertThat(of(Wish.LEAST_RISK).words(10, about(10), Notation.METRIC)).isEmpty();
  }
}
