package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The cut, against its own definition worked out the long way, and what becomes of the mean. */
class TruncationTest {
  private static double[] warming(int n, double share, double tau, long seed) {
    Random random = new Random(seed);
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      y[i] = 60 - share * Math.exp(-i / tau) + 0.3 * random.nextGaussian();
    }
    return y;
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void theRunningSumsGiveTheCutOfTheDefinition(long seed) {
    double[] y = warming(300, 12, 20, seed);
    assertThat(Truncation.mser5(y)).isEqualTo(bruteForce(y));
  }

  /** White 1997: least Σ(Y−mean)²/(m−d)² over the means of five left after dropping d of them. */
  private static int bruteForce(double[] y) {
    int m = y.length / 5;
    double[] batch = new double[m];
    for (int j = 0; j < m; j++) {
      for (int i = 0; i < 5; i++) {
        batch[j] += y[5 * j + i] / 5;
      }
    }
    double best = Double.POSITIVE_INFINITY;
    int cut = 0;
    for (int d = 0; d <= m / 2; d++) {
      double mean = 0;
      for (int j = d; j < m; j++) {
        mean += batch[j] / (m - d);
      }
      double squares = 0;
      for (int j = d; j < m; j++) {
        squares += (batch[j] - mean) * (batch[j] - mean);
      }
      double statistic = squares / ((double) (m - d) * (m - d));
      if (statistic < best - 1e-15) {
        best = statistic;
        cut = d;
      }
    }
    return 5 * cut;
  }

  @Test
  void warmUpIsCutAndTheMeanIsRight() {
    double[] y = warming(1800, 15, 120, 9);
    Truncation cut = Truncation.of(y);
    assertThat(cut.settled()).isTrue();
    assertThat(cut.start()).isBetween(200, 900);
    double sum = 0;
    for (int i = cut.start(); i < y.length; i++) {
      sum += y[i];
    }
    assertThat(sum / (y.length - cut.start())).isCloseTo(60, within(0.15));
  }

  @Test
  void aSteadySeriesKeepsNearlyAll() {
    double[] y = warming(600, 0, 1, 4);
    assertThat(Truncation.of(y).start()).isLessThan(310);
    assertThat(Truncation.of(y).settled()).isTrue();
  }

  @Test
  void aRampNeverSettles() {
    double[] y = new double[900];
    for (int i = 0; i < y.length; i++) {
      y[i] = 40 + 0.01 * i;
    }
    Truncation cut = Truncation.of(y);
    assertThat(cut.settled()).isFalse();
    assertThat(cut.driftKelvin()).isGreaterThan(1);
  }

  @Test
  void aConstantSeriesHasNoErrorAndNoMemory() {
    double[] y = new double[60];
    Arrays.fill(y, 71);
    BatchMeans m = BatchMeans.of(y);
    assertThat(m.mean()).isEqualTo(71);
    assertThat(m.standardError()).isZero();
    assertThat(BatchMeans.lagOne(y)).isZero();
  }

  @Test
  void tooFewSamplesAreRefused() {
    assertThatThrownBy(() -> BatchMeans.of(new double[7]))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("7");
  }

  /** Student's 97.5 % points, as every table has them (Abramowitz &amp; Stegun, Table 26.10). */
  @Test
  void studentFactorsMeetTheTable() {
    assertThat(BatchMeans.quantile(1, 0.95)).isCloseTo(12.706, within(5e-4));
    assertThat(BatchMeans.quantile(9, 0.95)).isCloseTo(2.262, within(5e-4));
    assertThat(BatchMeans.quantile(29, 0.99)).isCloseTo(2.756, within(5e-4));
    assertThat(BatchMeans.quantile(1e6, 0.95)).isCloseTo(1.960, within(5e-4));
  }
}
