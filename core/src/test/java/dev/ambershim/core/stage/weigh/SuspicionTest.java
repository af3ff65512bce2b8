package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.Shape;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a cause that can be undone does to a weighing. */
class SuspicionTest {
  private static final Question PASTE =
      TypicalChips.MIDDLING_PASTE.question.withReadings(List.of(Reading.plain("hot", 150, 95, 22)));

  private static Cause tilt(double probability, double kelvin) {
    return new Cause(
        CauseKind.TILTED, Optional.of("outer joint"), probability, kelvin, Shape.NONE, -1);
  }

  private static Weighing weighed(Suspicion suspicion) {
    return Solved.weigh(PASTE.withSuspicion(suspicion), WhatIf.AS_IT_IS);
  }

  private static OptionForecast metalInside(Weighing weighing) {
    return weighing.options().stream()
        .filter(o -> o.option().possible() && o.option().opens())
        .filter(o -> o.option().kind() == OptionKind.METAL_GLUED)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatACauseCostsIsNoGainOfAnOption() {
    Weighing plain = weighed(Suspicion.NONE);
    Weighing sure = weighed(new Suspicion(List.of(tilt(0.95, 12)), Optional.empty(), 150));
    Weighing half = weighed(new Suspicion(List.of(tilt(0.5, 12)), Optional.empty(), 150));
    double gain = metalInside(plain).gainKelvin();
    assertThat(metalInside(sure).gainKelvin()).isLessThan(gain - 1);
    assertThat(metalInside(half).gainKelvin()).isBetween(metalInside(sure).gainKelvin(), gain);
    // Not to know which it is widens what is told.
    assertThat(metalInside(half).gain().width()).isGreaterThan(metalInside(sure).gain().width());
  }

  @Test
  void aLikelyCauseStandsBeforeOpening() {
    Weighing plain = weighed(Suspicion.NONE);
    assertThat(plain.recommended().map(k -> plain.option(k).option().opens())).contains(true);
    Cause tilt = tilt(0.6, 12);
    Weighing suspected = weighed(new Suspicion(List.of(tilt), Optional.of(tilt), 150));
    assertThat(suspected.recommended()).isEmpty();
    assertThat(suspected.sentence())
        .isEqualTo(
            "Find the cause first: a tilted outer joint may make it hot (60 %), and that is put"
                + " right without opening it.");
    assertThat(suspected.reasons().get(0)).startsWith("Mount the cooler again");
    assertThat(suspected.reasons().get(1)).startsWith("By itself liquid metal");
  }

  @Test
  void readingsWithoutACauseAreCoolerButNoColderThanTheRoom() {
    Reading hot = Reading.plain("hot", 150, 95, 22);
    assertThat(hot.cooler(12).coreCelsius()).isEqualTo(83);
    assertThat(hot.cooler(100).coreCelsius()).isEqualTo(22);
    assertThat(hot.cooler(12).watts()).isCloseTo(150, within(0.0));
  }
}
