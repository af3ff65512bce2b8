package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("slow")
class TwoFactorsTest {
  private static Judged judge(List<Mount> mounts) {
    return SeriesFit.of(mounts, 0.5, Optional.empty());
  }

  /**
   * Battery life by material and temperature (Montgomery, <i>Design and Analysis of
   * Experiments</i>, example 5.1, from memory): interaction F = 3.56 with 4 and 27 degrees of
   * freedom, by chance in 1.86 %; error mean square 675.21. Lives are shifted into what a chip can
   * rise; that moves none of these.
   */
  @Test
  void theWorkedExampleOfTwoFactors() {
    double[][][] lives = {
      {{130, 155, 74, 180}, {34, 40, 80, 75}, {20, 70, 82, 58}},
      {{150, 188, 159, 126}, {136, 122, 106, 115}, {25, 70, 58, 45}},
      {{138, 110, 168, 160}, {174, 120, 150, 139}, {96, 104, 82, 60}}
    };
    List<Mount> mounts = new ArrayList<>();
    for (int m = 0; m < 3; m++) {
      for (int t = 0; t < 3; t++) {
        for (double life : lives[m][t]) {
          mounts.add(Mount.of("material " + m + " × " + (15 + 55 * t), "", life, 100));
        }
      }
    }
    Judged judged = judge(mounts);
    assertThat(judged.scatterKelvin() * judged.scatterKelvin()).isCloseTo(675.21, within(0.01));
    assertThat(judged.freedom()).isEqualTo(27);
    TwoFactors told = TwoFactors.of(judged).orElseThrow();
    assertThat(told.chance()).isCloseTo(0.0186, within(0.0001));
    assertThat(told.addUp()).isFalse();
    assertThat(told.first()).hasSize(3);
    // Means over all temperatures: 83.17, 108.33 and 125.08.
    assertThat(told.first().get(0).first()).isEqualTo("material 0");
    assertThat(told.first().get(0).second()).isEqualTo("material 2");
    assertThat(told.first().get(0).kelvin()).isCloseTo(83.17 - 125.08, within(0.01));
    assertThat(told.second().get(0).told()).isTrue();
  }

  /** Of things that do add up, few are told not to. */
  @Test
  void whatAddsUpIsSeldomDoubted() {
    int doubted = 0;
    int held = 0;
    for (int s = 0; s < 200; s++) {
      Random random = new Random(new SplittableRandom(s).nextLong());
      List<Mount> mounts = new ArrayList<>();
      for (int b = 0; b < 4; b++) {
        double level = random.nextGaussian();
        for (int p = 0; p < 2; p++) {
          for (int q = 0; q < 3; q++) {
            double rise = 60 + level + 2 * p + 0.7 * q + 0.5 * random.nextGaussian();
            mounts.add(Mount.of("paste " + p + " x dot " + q, "" + b, rise, 150));
          }
        }
      }
      TwoFactors told = TwoFactors.of(judge(mounts)).orElseThrow();
      doubted += told.addUp() ? 0 : 1;
      held += told.first().get(0).interval().contains(-2) ? 1 : 0;
      if (s == 0) {
        assertThat(told.first().get(0).first()).isEqualTo("paste 0");
        assertThat(told.second()).hasSize(3);
      }
      assertThat(told.first().get(0).interval().width()).isLessThan(3);
    }
    assertThat(doubted).isBetween(2, 20);
    // Three standard errors under 95 % of two hundred.
    assertThat(held).isGreaterThanOrEqualTo(181);
  }

  @Test
  void candidatesOfOneThingAreNone() {
    List<Mount> mounts = new Rounds(1).draw(new double[] {60, 61}, 5);
    assertThat(TwoFactors.of(judge(mounts))).isEmpty();
    List<Mount> oneLevel = new ArrayList<>();
    List<Mount> apart = new ArrayList<>();
    for (Mount m : mounts) {
      oneLevel.add(Mount.of(m.candidate() + " × dot", m.block(), m.riseKelvin(), m.watts()));
      apart.add(
          Mount.of(m.candidate() + " × " + m.candidate(), m.block(), m.riseKelvin(), m.watts()));
    }
    assertThat(TwoFactors.of(judge(oneLevel))).isEmpty();
    // Levels that never met cannot be told from each other.
    assertThat(TwoFactors.of(judge(apart))).isEmpty();
  }
}
