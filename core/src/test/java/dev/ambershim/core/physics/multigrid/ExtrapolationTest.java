package dev.ambershim.core.physics.multigrid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** Values on cells of no size, from sums of powers whose end is known. */
class ExtrapolationTest {
  private static final Extrapolation THREE = new Extrapolation(2, 3, 4);
  private static final Extrapolation FOUR = new Extrapolation(2, 3, 4, 6);

  private static double[] shown(Extrapolation grids, DoubleUnaryOperator ofWidth) {
    return Arrays.stream(grids.parts()).mapToDouble(p -> ofWidth.applyAsDouble(1.0 / p)).toArray();
  }

  @Test
  void secondAndThirdPowersAreTakenOut() {
    for (Extrapolation grids : new Extrapolation[] {THREE, FOUR}) {
      double[] shown = shown(grids, h -> 7 + 3 * h * h - 2 * h * h * h);
      assertThat(grids.of(shown)).isCloseTo(7, within(1e-12));
    }
    double[] square = shown(THREE, h -> 7 + 3 * h * h);
    assertThat(THREE.roughly(square)).isCloseTo(7, within(1e-12));
    assertThat(THREE.doubt(square)).isLessThan(1e-12);
  }

  /** Where footprints end, powers lie between two and four; one stands for cells too coarse. */
  @Test
  void theDoubtCoversOtherPowers() {
    for (double order : new double[] {1, 2, 2.5, 3, 3.5, 4}) {
      for (Extrapolation grids : new Extrapolation[] {THREE, FOUR}) {
        double[] shown = shown(grids, h -> 7 + Math.pow(h, order));
        double off = Math.abs(grids.of(shown) - 7);
        assertThat(grids.doubt(shown)).as("order %s", order).isGreaterThanOrEqualTo(off - 1e-12);
      }
    }
  }

  /** Where something is finer than the cells, three grids alone are not trusted. */
  @Test
  void valuesThatFallSlowlyAreDoubted() {
    double[] slow = shown(THREE, h -> 7 + h);
    double[] quick = shown(THREE, h -> 7 + h * h + h * h * h);
    double off = Math.abs(THREE.of(slow) - 7);
    assertThat(THREE.doubt(slow)).isGreaterThan(off);
    assertThat(THREE.doubt(slow)).isGreaterThan(5 * THREE.doubt(quick));
  }

  @Test
  void valuesThatStandStillAreNotDoubted() {
    assertThat(THREE.of(5, 5, 5)).isEqualTo(5);
    assertThat(THREE.doubt(5, 5, 5)).isZero();
    assertThat(THREE.roughDoubt(5, 5, 5)).isZero();
  }

  @Test
  void twoGridsAreTooFew() {
    assertThatThrownBy(() -> new Extrapolation(2, 3)).isInstanceOf(IllegalArgumentException.class);
  }
}
