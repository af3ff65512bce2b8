package dev.ambershim.core.base;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.hipparchus.distribution.RealDistribution;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.distribution.continuous.GammaDistribution;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.random.RandomDataGenerator;
import org.hipparchus.stat.inference.KolmogorovSmirnovTest;
import org.junit.jupiter.api.Test;

/** Draws are those of the distributions that they are asked for, and the same for a seed. */
class SeededDrawsTest {
  private static final int COUNT = 5000;

  private static double chance(RealDistribution of, double[] drawn) {
    return new KolmogorovSmirnovTest().kolmogorovSmirnovTest(of, drawn);
  }

  @Test
  void theyFollowTheirDistributions() {
    RandomDataGenerator random = SeededDraws.of(11);
    double[] normal = new double[COUNT];
    Arrays.setAll(normal, i -> random.nextNormal(3, 2));
    assertThat(chance(new NormalDistribution(3, 2), normal)).isGreaterThan(0.01);
    assertThat(chance(new NormalDistribution(3, 2.2), normal)).isLessThan(0.001);
    double[] gamma = new double[COUNT];
    Arrays.setAll(gamma, i -> random.nextGamma(2.5, 2));
    assertThat(chance(new GammaDistribution(2.5, 2), gamma)).isGreaterThan(0.01);
    double[] beta = new double[COUNT];
    Arrays.setAll(beta, i -> random.nextBeta(2, 5));
    assertThat(chance(new BetaDistribution(2, 5), beta)).isGreaterThan(0.01);
  }

  private static double[] four(RandomDataGenerator random) {
    double[] all = new double[4];
    Arrays.setAll(all, i -> random.nextDouble());
    return all;
  }

  @Test
  void aSeedGivesTheSameAgain() {
    RandomDataGenerator first = SeededDraws.of(5);
    double[] once = four(first);
    assertThat(four(SeededDraws.of(5))).containsExactly(once);
    assertThat(four(SeededDraws.of(6))).isNotEqualTo(once);
    first.setSeed(5);
    assertThat(first.nextDouble()).isEqualTo(once[0]);
    byte[] bytes = new byte[6];
    first.nextBytes(bytes, 2, 3);
    assertThat(bytes[0]).isZero();
    assertThat(bytes[5]).isZero();
  }
}
