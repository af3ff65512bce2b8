package dev.ambershim.core.physics.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Q = ṁ·c·ΔT, Incropera &amp; DeWitt, 1.3. */
class CoolantBalanceTest {
  @Test
  void aLitreAMinuteCarriesSeventyWattsForEachKelvin() {
    // 1 l/min of water of 0.9957 kg/l and 4.178 kJ/kg·K: 69.3 W/K, by hand.
    assertThat(CoolantBalance.watts(60, 1)).isCloseTo(69.33, within(0.01));
    assertThat(CoolantBalance.watts(120, 2))
        .isCloseTo(4 * CoolantBalance.watts(60, 1), within(1e-9));
  }

  @Test
  void metersOfUsualQualityAreAllowedFor() {
    assertThat(CoolantBalance.agrees(150, 165)).isTrue();
    assertThat(CoolantBalance.agrees(100, 165)).isFalse();
  }

  @Test
  void onlyAFullReadingTellsWhatIsCarried() {
    Cooler loop = CoolerClass.OWN_LOOP_THICK.usual("loop", 3.5);
    assertThat(loop.carriedWatts()).isEmpty();
    assertThat(loop.withFlowLitresPerHour(60.0).carriedWatts()).isEmpty();
    assertThat(loop.withFlowLitresPerHour(60.0).withWarmsKelvin(2.0).carriedWatts().orElseThrow())
        .isCloseTo(138.7, within(0.1));
  }

  @Test
  void whatABaseHasAndWhatLiesBeyondMakeTheWhole() {
    for (CoolerClass kind : CoolerClass.values()) {
      Cooler cooler = kind.usual("c", 3.5);
      assertThat(cooler.baseKelvinPerWatt() + cooler.beyondKelvinPerWatt())
          .isCloseTo(cooler.resistanceKelvinPerWatt(), within(1e-15));
      assertThat(kind.baseShare() + kind.coolantShare()).isLessThanOrEqualTo(1 + 1e-12);
      assertThat(kind.across()).isGreaterThanOrEqualTo(1);
    }
  }
}
