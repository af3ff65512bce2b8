package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Interval;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Noise of few degrees of freedom and doubts that are known in size, in one interval. Student's
 * factors are those of JCGM 100:2008, table G.2 (95 %).
 */
class DifferenceTest {
  @ParameterizedTest
  @CsvSource({
    // Noise alone: four degrees.
    "0.3, 0, 4, 0, 0.834",
    // Half of the variance is known: sixteen degrees, factor 2.12.
    "0.3, 0.3, 4, 0, 0.899",
    // Three quarters are known: 5 · 16 degrees, which table G.2 leaves between 50 and 100.
    "0.2, 0.34641, 5, 0, 0.796",
    // Nothing but what is known: the normal factor.
    "0, 0.5, 1, 0, 0.980",
    // A bias of unknown side comes on top.
    "0, 0.5, 1, 0.25, 1.230"
  })
  void degreesOfFreedomAreThoseOfWelchAndSatterthwaite(
      double error, double open, double freedom, double shift, double half) {
    Difference difference = new Difference(1, error, freedom, error, 0, false, "");
    Interval interval = difference.interval(0.95, open, shift);
    assertThat(interval.width() / 2).isCloseTo(half, within(2e-3));
    assertThat((interval.low() + interval.high()) / 2).isCloseTo(1, within(1e-12));
  }
}
