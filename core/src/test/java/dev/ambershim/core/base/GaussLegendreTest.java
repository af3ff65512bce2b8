package dev.ambershim.core.base;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Against integrals in closed form, and Hipparchus' own factory. */
class GaussLegendreTest {
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 5, 16, 48})
  void polynomialsAreIntegratedExactly(int points) {
    int degree = 2 * points - 1;
    double found = GaussLegendre.of(points, 0.5, 1.5).integrate(x -> Math.pow(x, degree));
    double exact = (Math.pow(1.5, degree + 1) - Math.pow(0.5, degree + 1)) / (degree + 1);
    assertThat(found / exact).isCloseTo(1, within(1e-12));
  }

  @ParameterizedTest
  @ValueSource(ints = {5, 16, 48})
  void placesAndWeightsAreTheFactorys(int points) {
    GaussIntegrator own = GaussLegendre.of(points, -8, 3);
    GaussIntegrator library = new GaussIntegratorFactory().legendre(points, -8, 3);
    for (int i = 0; i < points; i++) {
      assertThat(own.getPoint(i)).isCloseTo(library.getPoint(i), within(1e-13));
      assertThat(own.getWeight(i)).isCloseTo(library.getWeight(i), within(1e-13));
    }
  }
}
