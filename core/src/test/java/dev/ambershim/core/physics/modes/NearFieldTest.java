package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.Patch;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The short part of a heat's answer, and that both parts make the whole. */
class NearFieldTest {
  /**
   * With so few modes that the short part reaches far, and walls far away, the middle of a square
   * is as warm as that of an isoflux square on a half-space: q·a·ln(1 + √2)·2/(πk) for the side a
   * (Carslaw &amp; Jaeger, <i>Conduction of Heat in Solids</i>, 8.2), less what the long part
   * holds.
   */
  @Test
  void bothPartsMakeTheHalfSpaceWhateverTheSplit() {
    Patch heat = new Patch(0, 0, 1, 1);
    double a = 1e-3;
    double exact = 2 * a * Math.log(1 + Math.sqrt(2)) / Math.PI;
    double[] sums = new double[2];
    int[] counts = {160, 320};
    for (int n = 0; n < 2; n++) {
      Cosines axis = new Cosines(-40e-3, 80e-3, counts[n]);
      NearField field = new NearField(axis, axis, 1e-3);
      List<NearField.Span> middle = NearField.Span.places(0);
      double sum = field.of(heat, middle, middle)[0][0];
      double[] flux = axis.means(-0.5e-3, 0.5e-3);
      double[] at = axis.means(0, 0);
      double[] squares = axis.eigenvalues();
      for (int p = 0; p < counts[n]; p++) {
        for (int q = 0; q < counts[n]; q++) {
          double mu = Math.sqrt(squares[p] + squares[q]);
          if (mu > 0) {
            double rest = 1 / mu - field.symbol(mu * mu);
            sum += rest * flux[p] * flux[q] * at[p] * at[q] * a * a;
          } else {
            sum -= field.symbol(0) * flux[0] * flux[0] * at[0] * at[0] * a * a;
          }
        }
      }
      sums[n] = sum;
    }
    assertThat(sums[0]).isCloseTo(sums[1], within(1e-5 * exact));
    // Walls and the missing mean lower it by about the source over the width of the block.
    assertThat(sums[0]).isCloseTo(exact, within(0.03 * exact));
  }

  @Test
  void aCellsMeanIsTheMeanOfItsPlaces() {
    Cosines axis = new Cosines(-5e-3, 10e-3, 30);
    NearField field = new NearField(axis, axis, 1e-3);
    Patch heat = new Patch(0.4, -0.3, 1.5, 1);
    double mean =
        field
            .of(
                heat,
                List.of(new NearField.Span(0.2e-3, 0.6e-3)),
                List.of(new NearField.Span(-0.5e-3, 0.1e-3)))[0][0];
    double sum = 0;
    int n = 60;
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        double x = 0.2e-3 + 0.4e-3 * (i + 0.5) / n;
        double y = -0.5e-3 + 0.6e-3 * (j + 0.5) / n;
        sum += field.of(heat, NearField.Span.places(x), NearField.Span.places(y))[0][0] / n / n;
      }
    }
    assertThat(mean).isCloseTo(sum, within(1e-4 * sum));
  }
}
