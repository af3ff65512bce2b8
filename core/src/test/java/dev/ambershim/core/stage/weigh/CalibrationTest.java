package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.stage.weigh.Calibration.Datum;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Updates against the conjugate case: for a normal prior N(0, 1) and an observation y = g·z + e
 * with e ~ N(0, s²) the posterior has mean g·y / (g² + s²) and variance s² / (g² + s²) for a single
 * unknown (Gelman et al., <i>Bayesian Data Analysis</i>, 2.5; JCGM 106:2012, 6.2 for the same
 * formula in metrology).
 */
class CalibrationTest {
  private static Datum sees(double[] slope, double observed, double sigma) {
    return new Datum(
        "linear",
        z -> {
          double sum = 0;
          for (int i = 0; i < slope.length; i++) {
            sum += slope[i] * z[i];
          }
          return sum;
        },
        observed,
        sigma);
  }

  private static double[] column(Calibration calibration, int unknown) {
    return Arrays.stream(calibration.draws()).mapToDouble(d -> d[unknown]).toArray();
  }

  private static double mean(double[] values) {
    return Arrays.stream(values).average().orElseThrow();
  }

  private static double deviation(double[] values) {
    double mean = mean(values);
    return Math.sqrt(Arrays.stream(values).map(v -> (v - mean) * (v - mean)).average().orElse(0));
  }

  @Test
  void withoutReadingsThePriorStays() {
    Calibration prior = Calibration.of(List.of());
    for (int i = 0; i < Unknowns.ALL; i++) {
      assertThat(mean(column(prior, i))).isCloseTo(0, within(0.02));
      assertThat(deviation(column(prior, i))).isCloseTo(1, within(0.03));
    }
  }

  @Test
  void oneReadingOfOneUnknown() {
    Calibration seen = Calibration.of(List.of(sees(new double[] {0, 3, 0, 0, 0, 0, 0}, 4.5, 1.5)));
    double mean = 3 * 4.5 / (9 + 2.25);
    double sigma = Math.sqrt(2.25 / (9 + 2.25));
    assertThat(seen.likely()[1]).isCloseTo(mean, within(1e-6));
    assertThat(seen.covariance(1, 1)).isCloseTo(sigma * sigma, within(1e-6));
    assertThat(mean(column(seen, 1))).isCloseTo(mean, within(0.03));
    assertThat(deviation(column(seen, 1))).isCloseTo(sigma, within(0.03));
    assertThat(deviation(column(seen, 0))).isCloseTo(1, within(0.06));
  }

  @Test
  void aSumTellsItsPartsBySizeAndNotApart() {
    // y = 2·a + 1·b: mean of a is 2y/(5 + s²), of b y/(5 + s²); their covariance −2/(5 + s²).
    Calibration seen = Calibration.of(List.of(sees(new double[] {2, 1, 0, 0, 0, 0, 0}, 3, 0.5)));
    assertThat(seen.likely()[0]).isCloseTo(6 / 5.25, within(1e-6));
    assertThat(seen.likely()[1]).isCloseTo(3 / 5.25, within(1e-6));
    assertThat(seen.covariance(0, 1)).isCloseTo(-2 / 5.25, within(1e-6));
    assertThat(seen.covariance(0, 0)).isCloseTo(1 - 4 / 5.25, within(1e-6));
    double[] a = column(seen, 0);
    double[] b = column(seen, 1);
    double both = 0;
    for (int i = 0; i < a.length; i++) {
      both += (a[i] - mean(a)) * (b[i] - mean(b)) / a.length;
    }
    assertThat(both).isCloseTo(-2 / 5.25, within(0.03));
  }

  @Test
  void severalReadingsAddTheirWeight() {
    Calibration seen =
        Calibration.of(
            List.of(
                sees(new double[] {1, 0, 0, 0, 0, 0, 0}, 1, 1),
                sees(new double[] {1, 0, 0, 0, 0, 0, 0}, 2, 1),
                sees(new double[] {1, 0, 0, 0, 0, 0, 0}, 3, 1)));
    assertThat(seen.likely()[0]).isCloseTo(6 / 4.0, within(1e-6));
    assertThat(seen.covariance(0, 0)).isCloseTo(1 / 4.0, within(1e-6));
  }

  @Test
  void aCurvedModelIsSampledAsItIs() {
    // y = exp(z) seen as 1 within 0.5: the posterior of z leans to the left of its peak's normal.
    Datum curved = new Datum("curved", z -> Math.exp(z[2]), 1, 0.5);
    double[] draws = column(Calibration.of(List.of(curved)), 2);
    double norm = 0;
    double first = 0;
    double second = 0;
    for (double z = -6; z < 6; z += 1e-3) {
      double r = (Math.exp(z) - 1) / 0.5;
      double weight = Math.exp(-z * z / 2 - r * r / 2);
      norm += weight;
      first += weight * z;
      second += weight * z * z;
    }
    double mean = first / norm;
    assertThat(mean(draws)).isCloseTo(mean, within(0.03));
    assertThat(deviation(draws)).isCloseTo(Math.sqrt(second / norm - mean * mean), within(0.04));
  }

  @Test
  void aReadingFarOffIsNoticed() {
    assertThat(
            Calibration.of(List.of(sees(new double[] {1, 0, 0, 0, 0, 0, 0}, 1.5, 1))).worstMisfit())
        .isCloseTo(1.5 / Math.sqrt(2), within(1e-6));
    assertThat(
            Calibration.of(List.of(sees(new double[] {1, 0, 0, 0, 0, 0, 0}, 9, 1))).worstMisfit())
        .isGreaterThan(3);
  }

  @Test
  void theSameReadingsGiveTheSameDraws() {
    List<Datum> data = List.of(sees(new double[] {1, 2, 0, 1, 0, 0, 0}, 1.5, 0.3));
    assertThat(Calibration.of(data).draws()).isDeepEqualTo(Calibration.of(data).draws());
  }
}
