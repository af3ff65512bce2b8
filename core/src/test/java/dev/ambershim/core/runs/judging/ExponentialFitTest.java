package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.runs.judging.ExponentialFit.Form;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/**
 * Against the certified values of NIST StRD nonlinear regression, sets Misra1a and Lanczos3 (data
 * and values from memory; they agree with each other to the digits asserted here, which wrong data
 * would not).
 */
class ExponentialFitTest {
  private static double[] ones(int n) {
    double[] w = new double[n];
    Arrays.fill(w, 1);
    return w;
  }

  /** y = b1·(1 − exp(−b2·x)); certified b1, b2, their deviations and the squares left. */
  @Test
  void misra1a() {
    double[] x = {
      77.6, 114.9, 141.1, 190.8, 239.9, 289.0, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1,
      760.0
    };
    double[] y = {
      10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.40, 75.47,
      81.78
    };
    ExponentialFit fit = ExponentialFit.of(x, y, ones(x.length), 1, Form.RISE);
    assertThat(fit.amplitudes()[0]).isCloseTo(2.3894212918E+02, within(1e-5));
    assertThat(fit.rates()[0]).isCloseTo(5.5015643181E-04, within(1e-10));
    assertThat(fit.residualSquares()).isCloseTo(1.2455138894E-01, within(1e-9));
    double deviation = Math.sqrt(fit.covariance().getEntry(0, 0));
    assertThat(deviation).isCloseTo(2.7070075241E+00, within(1e-4));
    double rateDeviation = Math.sqrt(fit.covariance().getEntry(1, 1)) * fit.rates()[0];
    assertThat(rateDeviation).isCloseTo(7.2668688436E-06, within(1e-9));
  }

  /** Three exponentials that hardly differ from two: the hardest of the kind. */
  @Test
  void lanczos3() {
    double[] y = {
      2.5134, 2.0443, 1.6684, 1.3664, 1.1232, 0.9269, 0.7679, 0.6389, 0.5338, 0.4479, 0.3776,
      0.3197, 0.2720, 0.2325, 0.1997, 0.1723, 0.1493, 0.1301, 0.1138, 0.1000, 0.0883, 0.0783,
      0.0698, 0.0624
    };
    double[] x = new double[y.length];
    for (int i = 0; i < x.length; i++) {
      x[i] = 0.05 * i;
    }
    ExponentialFit fit = ExponentialFit.of(x, y, ones(x.length), 3, Form.PLAIN_DECAY);
    assertThat(fit.residualSquares()).isCloseTo(1.6117193594E-08, within(1e-15));
    assertThat(fit.amplitudes()[2]).isCloseTo(8.6816414977E-02, within(1e-6));
    assertThat(fit.rates()[2]).isCloseTo(9.5498101505E-01, within(1e-5));
    assertThat(fit.amplitudes()[1]).isCloseTo(8.4400777463E-01, within(1e-5));
    assertThat(fit.rates()[1]).isCloseTo(2.9515951832E+00, within(1e-5));
    assertThat(fit.amplitudes()[0]).isCloseTo(1.5825685901E+00, within(1e-5));
    assertThat(fit.rates()[0]).isCloseTo(4.9863565084E+00, within(1e-5));
  }

  @Test
  void weightsCountAsRepeats() {
    double[] t = {0, 1, 2, 4, 8, 16};
    double[] y = {1.02, 0.61, 0.38, 0.12, 0.03, 0.01};
    double[] twice = {0, 0, 1, 2, 4, 8, 16};
    double[] both = {1.02, 1.02, 0.61, 0.38, 0.12, 0.03, 0.01};
    double[] weights = {2, 1, 1, 1, 1, 1};
    ExponentialFit a = ExponentialFit.of(t, y, weights, 1, Form.PLAIN_DECAY);
    ExponentialFit b = ExponentialFit.of(twice, both, ones(7), 1, Form.PLAIN_DECAY);
    assertThat(a.rates()[0]).isCloseTo(b.rates()[0], within(1e-7));
    assertThat(a.amplitudes()[0]).isCloseTo(b.amplitudes()[0], within(1e-7));
  }
}
