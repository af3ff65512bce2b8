package dev.ambershim.core.physics.conduction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The closed form of Lee, Song, Au and Moran (1995) against limits that are known exactly. */
class SpreadingTest {
  private static final double K = 401;

  /**
   * Isoflux disc on a half-space: centre 1/(πka), mean 8/(3π²ka). Carslaw &amp; Jaeger,
   * <i>Conduction of Heat in Solids</i>, 2nd ed., section 8.2.
   */
  @Test
  void aSmallSourceOnAHugeBlockIsAHalfSpace() {
    double a = 1e-3;
    double source = Math.PI * a * a;
    double plate = source * 1e8;
    double thickness = 20;
    // A film so strong that the far face is at the coolant, as infinity is.
    double film = 1e9;
    double column = thickness / (K * plate);
    double peak = new Spreading(source, plate, thickness, K).peakKelvinPerWatt(film) - column;
    double mean = new Spreading(source, plate, thickness, K).meanKelvinPerWatt(film) - column;
    assertThat(peak).isCloseTo(1 / (Math.PI * K * a), within(0.001 / (Math.PI * K * a)));
    double exactMean = 8 / (3 * Math.PI * Math.PI * K * a);
    // The published form is 4.4 % above the exact mean in this limit.
    assertThat(mean / exactMean).isBetween(0.99, 1.05);
  }

  @Test
  void aSourceAsLargeAsThePlateIsAPlaneWall() {
    double area = 9e-4;
    double wall = CompositeWall.layerKelvinPerWatt(2e-3, K, area);
    assertThat(new Spreading(area, area, 2e-3, K).meanKelvinPerWatt(5000))
        .isCloseTo(wall, within(1e-12));
    assertThat(new Spreading(area, area, 2e-3, K).peakKelvinPerWatt(5000))
        .isCloseTo(wall, within(1e-12));
  }

  /** Thick plates end where the disc in a long cylinder does: φ → 1, whatever the film. */
  @ParameterizedTest
  @ValueSource(doubles = {500, 5e4, 5e6})
  void theFilmDoesNotMatterUnderAThickPlate(double film) {
    double source = 1e-4;
    double plate = 9e-4;
    double thick = 0.2;
    double spread =
        new Spreading(source, plate, thick, K).peakKelvinPerWatt(film)
            - CompositeWall.layerKelvinPerWatt(thick, K, plate);
    double epsilon = Math.sqrt(source / plate);
    double limit = (1 - epsilon) / (Math.PI * K * Math.sqrt(source / Math.PI));
    assertThat(spread).isCloseTo(limit, within(1e-6 * limit));
  }

  @Test
  void theMeanIsBelowThePeakAndBothFallWithConductivity() {
    double mean = new Spreading(1.7e-4, 9.3e-4, 2.3e-3, 401).meanKelvinPerWatt(8000);
    double peak = new Spreading(1.7e-4, 9.3e-4, 2.3e-3, 401).peakKelvinPerWatt(8000);
    assertThat(mean).isLessThan(peak);
    assertThat(new Spreading(1.7e-4, 9.3e-4, 2.3e-3, 237).meanKelvinPerWatt(8000))
        .isGreaterThan(mean);
  }

  @Test
  void nonsenseIsRefusedByName() {
    assertThatThrownBy(() -> new Spreading(1e-4, 1e-3, 0, K).meanKelvinPerWatt(100))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("thickness");
    assertThatThrownBy(() -> new Spreading(1e-4, 1e-3, 1e-3, K).meanKelvinPerWatt(Double.NaN))
        .hasMessageContaining("film");
  }

  /**
   * Incropera &amp; DeWitt, <i>Fundamentals of Heat and Mass Transfer</i>, Example 3.1 (skin and
   * aerogel suit; entered from memory): 1.8 m², skin 3 mm at 0.3 W/m·K, aerogel at 0.014 W/m·K, 100
   * W from 35 °C to 10 °C. In air (film and radiation 7.9 W/m²·K) 4.4 mm are needed, in water (200
   * W/m²·K) 6.1 mm.
   */
  @Test
  void theCompositeWallMeetsAHandbookExample() {
    double area = 1.8;
    double skin = CompositeWall.layerKelvinPerWatt(3e-3, 0.3, area);
    double air = CompositeWall.filmKelvinPerWatt(7.9, area);
    double water = CompositeWall.filmKelvinPerWatt(200, area);
    double suitInAir = CompositeWall.layerKelvinPerWatt(4.4e-3, 0.014, area);
    double suitInWater = CompositeWall.layerKelvinPerWatt(6.1e-3, 0.014, area);
    assertThat(25 / (skin + suitInAir + air)).isCloseTo(100, within(0.5));
    assertThat(25 / (skin + suitInWater + water)).isCloseTo(100, within(0.5));
  }
}
