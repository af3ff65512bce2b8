package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.distribution.continuous.TDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StudentizedRangeTest {
  /** Upper 5 % and 1 % points as they stand in the textbooks' tables; from memory. */
  @ParameterizedTest
  @CsvSource({
    "2, 2, 0.95, 6.08",
    "3, 10, 0.95, 3.88",
    "5, 12, 0.95, 4.51",
    "4, 20, 0.95, 3.96",
    "10, 20, 0.95, 5.01",
    "3, 60, 0.95, 3.40",
    "3, 10, 0.99, 5.27",
    "5, 12, 0.99, 5.84",
    "10, 20, 0.99, 6.09"
  })
  void asInTheTables(int count, double freedom, double chance, double table) {
    assertThat(new StudentizedRange(count, freedom).quantile(chance))
        .isCloseTo(table, within(0.011));
  }

  /** Of a known standard error: 2.77, 3.31, 3.63 and 4.47 for 2, 3, 4 and 10 means. */
  @Test
  void ofAKnownStandardError() {
    double[] table = {2.77, 3.31, 3.63};
    for (int i = 0; i < table.length; i++) {
      double q = new StudentizedRange(i + 2, Double.POSITIVE_INFINITY).quantile(0.95);
      assertThat(q).isCloseTo(table[i], within(0.006));
    }
    assertThat(new StudentizedRange(10, 1e9).quantile(0.95)).isCloseTo(4.47, within(0.006));
  }

  /** Of two means it is Student's t times the root of two. */
  @Test
  void ofTwoMeansItIsStudents() {
    for (double freedom : new double[] {1, 2, 3, 7, 25, 400}) {
      double t = new TDistribution(freedom).inverseCumulativeProbability(0.975);
      assertThat(new StudentizedRange(2, freedom).quantile(0.95))
          .as("%s", freedom)
          .isCloseTo(t * Math.sqrt(2), within(2e-4 * t));
    }
  }

  @Test
  void itGrowsWithTheMeansAndFallsWithTheFreedom() {
    double last = 0;
    for (int count = 2; count <= 40; count += 3) {
      double q = new StudentizedRange(count, 9).quantile(0.95);
      assertThat(q).isGreaterThan(last);
      last = q;
    }
    assertThat(new StudentizedRange(5, 30).quantile(0.95))
        .isLessThan(new StudentizedRange(5, 6).quantile(0.95));
    assertThat(new StudentizedRange(5, 6).cumulative(0)).isZero();
  }
}
