package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How many runs a difference takes. */
class RunsNeededTest {
  /**
   * Cohen 1988, <i>Statistical Power Analysis for the Behavioral Sciences</i>, table 2.4.1, two
   * sides, α = 0.05, power 0.80 (from memory): 393, 64, 26 and 17 each side. The t-factor formula
   * may be one higher than the exact non-central figure, never lower.
   */
  @ParameterizedTest
  @CsvSource({"0.2,393", "0.5,64", "0.8,26", "1.0,17"})
  void cohensTable(double effect, int each) {
    assertThat(RunsNeeded.eachSide(1, effect)).isBetween(each, each + 1);
  }

  @Test
  void whatIsPlainTakesTwo() {
    assertThat(RunsNeeded.eachSide(0.01, 10)).isEqualTo(2);
    assertThat(RunsNeeded.eachSide(100, 0.1)).isEqualTo(Integer.MAX_VALUE);
  }

  /** With the count it gives, four in five made experiments see the difference, or more. */
  @Test
  void theCountKeepsItsWord() {
    Random random = new Random(11);
    int n = RunsNeeded.eachSide(0.5, 1);
    double factor = BatchMeans.quantile(2.0 * (n - 1), 0.95);
    int seen = 0;
    int tries = 4000;
    for (int k = 0; k < tries; k++) {
      double[] a = new double[n];
      double[] b = new double[n];
      for (int i = 0; i < n; i++) {
        a[i] = 0.5 * random.nextGaussian();
        b[i] = 1 + 0.5 * random.nextGaussian();
      }
      double va = Math.pow(BatchMeans.standardDeviation(a), 2);
      double vb = Math.pow(BatchMeans.standardDeviation(b), 2);
      double error = Math.sqrt((va + vb) / n);
      seen += BatchMeans.mean(b) - BatchMeans.mean(a) > factor * error ? 1 : 0;
    }
    assertThat(seen / (double) tries).isBetween(0.78, 0.90);
  }
}
