package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** The closed form against sums over a fine grid of every value that the unknowns can have. */
class NormalTest {
  private static final List<Straight.Row> ROWS =
      List.of(
          new Straight.Row(10, new double[] {1, 0.5}, 12, 0.7),
          new Straight.Row(4, new double[] {-0.3, 2}, 3.1, 0.4),
          new Straight.Row(7, new double[] {0.8, -1}, 7.4, 1.1));
  private static final double[] LIKELY = {0.5, -0.2};
  private static final double[] SPREAD = {1.3, 0.6};

  private record Sum(double evidence, double first, double second) {}

  private static double density(double x, double mean, double sigma) {
    double z = (x - mean) / sigma;
    return Math.exp(-z * z / 2) / (sigma * Math.sqrt(2 * Math.PI));
  }

  private static Sum bruteForce(double noise) {
    double evidence = 0;
    double first = 0;
    double second = 0;
    double step = 0.02;
    for (double a = -8; a < 9; a += step) {
      for (double b = -5; b < 5; b += step) {
        double p = density(a, LIKELY[0], SPREAD[0]) * density(b, LIKELY[1], SPREAD[1]);
        for (Straight.Row row : ROWS) {
          double forecast = row.expected() + row.slopes()[0] * a + row.slopes()[1] * b;
          p *= density(row.read(), forecast, row.sigma() * noise);
        }
        evidence += p * step * step;
        first += a * p * step * step;
        second += b * p * step * step;
      }
    }
    return new Sum(evidence, first / evidence, second / evidence);
  }

  private static Normal.Belief belief(double[] spread, double noise) {
    Normal normal = new Normal(2);
    normal.add(ROWS);
    return normal.belief(LIKELY, spread, noise);
  }

  @Test
  void evidenceAndMeansAreThoseOfAFineGrid() {
    for (double noise : new double[] {1, 3}) {
      Sum sum = bruteForce(noise);
      Normal.Belief belief = belief(SPREAD, noise);
      assertThat(belief.logEvidence()).isCloseTo(Math.log(sum.evidence), within(1e-4));
      assertThat(belief.likely()[0]).isCloseTo(sum.first, within(1e-4));
      assertThat(belief.likely()[1]).isCloseTo(sum.second, within(1e-4));
    }
  }

  @Test
  void anUnknownThatDoesNotStrayStaysWhereItIs() {
    Normal.Belief belief = belief(new double[] {1.3, 0}, 1);
    assertThat(belief.likely()[1]).isEqualTo(LIKELY[1]);
    assertThat(belief.free()).containsExactly(0);
  }
}
