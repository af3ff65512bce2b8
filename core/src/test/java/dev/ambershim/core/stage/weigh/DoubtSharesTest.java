package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.stage.weigh.DoubtShares.Doubt;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DoubtSharesTest {
  private static double[][] draws(int count) {
    Random random = new Random(5);
    double[][] draws = new double[count][Unknowns.ALL];
    for (double[] z : draws) {
      for (int k = 0; k < z.length; k++) {
        z[k] = random.nextGaussian();
      }
    }
    return draws;
  }

  /** A sum of independent parts: each holds its own variance of the whole, 9 to 4 to 1. */
  @Test
  void aSumHoldsWhatItsPartsHold() {
    double[][] draws = draws(40_000);
    DoubtShares shares =
        DoubtShares.of(
            draws,
            Arrays.stream(draws)
                .mapToDouble(
                    z -> 10 + 3 * z[Unknowns.INNER] - 2 * z[Unknowns.COOLER] + z[Unknowns.HEAT])
                .toArray());
    assertThat(shares.shares().get(Doubt.INNER)).isCloseTo(9.0 / 14, within(0.01));
    assertThat(shares.shares().get(Doubt.COOLER)).isCloseTo(4.0 / 14, within(0.01));
    assertThat(shares.shares().get(Doubt.HEAT)).isCloseTo(1.0 / 14, within(0.01));
    assertThat(shares.shares().get(Doubt.OUTER)).isLessThan(0.001);
    assertThat(shares.words("before.inner.bondLineMicrometres", Notation.METRIC))
        .contains("64 % of the uncertainty in the forecast is this joint's.");
    assertThat(shares.words("heatWatts", Notation.METRIC))
        .contains("7 % of the uncertainty in the forecast comes from it.");
    assertThat(shares.words("before.outer.bondLineMicrometres", Notation.METRIC))
        .contains("Under 1 % of the uncertainty in the forecast is this joint's.");
    assertThat(shares.words("chip.lid.thicknessMillimetres", Notation.METRIC)).isEmpty();
  }

  /** What was not weighed holds nothing, and a gain that does not move is no one's. */
  @Test
  void withoutAnUncertaintyThereIsNoShare() {
    assertThat(DoubtShares.NONE.words("heatWatts", Notation.METRIC)).isEmpty();
    double[] same = new double[50];
    Arrays.fill(same, 7);
    assertThat(DoubtShares.of(draws(50), same).of("heatWatts").orElseThrow()).isZero();
  }

  /** On a chip with paste under the lid nobody knows that joint well before a reading. */
  @Test
  void thePasteUnderTheLidHoldsMostUntilItIsRead() {
    Weighing blind = Solved.weigh(TypicalChips.MIDDLING_PASTE.question, WhatIf.AS_IT_IS);
    double inner = blind.doubts().of("before.inner.conductivityWattsPerMetreKelvin").orElseThrow();
    assertThat(inner).isGreaterThan(0.4);
    assertThat(blind.doubts().of("cooler.resistanceKelvinPerWatt").orElseThrow()).isLessThan(inner);
  }
}
