package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.distribution.continuous.TDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AgainstReferenceTest {
  /** Upper 5 % points on two sides (Dunnett 1964), from memory. */
  @ParameterizedTest
  @CsvSource({
    "2, 10, 2.57",
    "3, 10, 2.76",
    "4, 10, 2.89",
    "2, 20, 2.38",
    "3, 20, 2.54",
    "4, 20, 2.65"
  })
  void asInTheTables(int others, double freedom, double table) {
    assertThat(new AgainstReference(others, freedom).quantile(0.95))
        .isCloseTo(table, within(0.006));
  }

  @Test
  void ofOneOtherItIsStudents() {
    assertThat(new AgainstReference(1, 7).quantile(0.95))
        .isCloseTo(new TDistribution(7).inverseCumulativeProbability(0.975), within(1e-3));
  }

  /** Fewer comparisons than all pairs need less room. */
  @Test
  void itIsNarrowerThanAllPairs() {
    assertThat(new AgainstReference(4, 12).quantile(0.95))
        .isLessThan(new StudentizedRange(5, 12).quantile(0.95) / Math.sqrt(2));
  }
}
