package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.special.Erf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ErrorFunctionTest {
  /** Abramowitz &amp; Stegun, table 7.1, from memory. */
  @ParameterizedTest
  @CsvSource({"0.5,0.5204998778", "1.0,0.8427007929", "1.5,0.9661051465", "2.0,0.9953222650"})
  void itIsThatOfTheHandbook(double z, double erf) {
    assertThat(ErrorFunction.of(z)).isCloseTo(erf, within(1e-10));
  }

  @Test
  void itIsTheLibrarysBetweenThePlacesOfTheTableToo() {
    for (int i = -70_000; i <= 70_000; i++) {
      double z = i * 1.000_3e-4;
      assertThat(ErrorFunction.of(z)).as("erf(%s)", z).isCloseTo(Erf.erf(z), within(1e-14));
    }
  }

  @Test
  void smallArgumentsKeepTheirDigits() {
    assertThat(ErrorFunction.of(1e-12) / 1e-12).isCloseTo(2 / Math.sqrt(Math.PI), within(1e-12));
    assertThat(ErrorFunction.of(-0.3)).isEqualTo(-ErrorFunction.of(0.3));
  }

  @Test
  void whatIsNoNumberStaysNone() {
    assertThat(ErrorFunction.of(Double.NaN)).isNaN();
    assertThat(ErrorFunction.of(Double.NEGATIVE_INFINITY)).isEqualTo(-1);
  }
}
