package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;

/** Patterns that are there are found, and those that are not are not. */
class HotSpotsTest {
  private static final int COLUMNS = 4;
  private static final int ROWS = 2;

  private static List<HotSpots.Hint> hints(long seed, double scatter, DoubleBinaryOperator rise) {
    return hints(seed, scatter, rise, COLUMNS, ROWS);
  }

  private static List<HotSpots.Hint> hints(
      long seed, double scatter, DoubleBinaryOperator rise, int columns, int rows) {
    Random random = new Random(seed);
    int n = columns * rows;
    double[] x = new double[n];
    double[] y = new double[n];
    double[] kelvin = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = (i % columns - (columns - 1) / 2.0) * 3;
      y[i] = ((rows - 1) / 2.0 - Math.floorDiv(i, columns)) * 4.0;
      kelvin[i] = 50 + rise.applyAsDouble(x[i], y[i]) + scatter * random.nextGaussian();
    }
    return HotSpots.of(kelvin, x, y, Notation.METRIC);
  }

  @Test
  void aTiltedCoolerHeatsOneSide() {
    List<HotSpots.Hint> found = hints(1, 0.8, (x, y) -> x);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).kind()).isEqualTo(HotSpots.Kind.SIDE);
    assertThat(found.get(0).kelvin()).isCloseTo(9, within(2.0));
    assertThat(found.get(0).sentence()).startsWith("The right side is hotter");
    assertThat(hints(2, 0.8, (x, y) -> 2 * y).get(0).sentence()).startsWith("The back side");
    assertThat(hints(3, 0.8, (x, y) -> -x - 1.6 * y).get(0).sentence())
        .startsWith("The front left side");
  }

  @Test
  void rimAndMiddle() {
    assertThat(hints(4, 0.5, (x, y) -> (x * x + y * y) / 5, 5, 3).get(0).kind())
        .isEqualTo(HotSpots.Kind.RIM);
    assertThat(hints(5, 0.5, (x, y) -> -(x * x + y * y) / 5, 5, 3).get(0).kind())
        .isEqualTo(HotSpots.Kind.MIDDLE);
  }

  @Test
  void oneCoreAlone() {
    List<HotSpots.Hint> found = hints(6, 0.5, (x, y) -> x > 1 && x < 2 && y > 0 ? 9 : 0);
    HotSpots.Hint last = found.get(found.size() - 1);
    assertThat(last.kind()).isEqualTo(HotSpots.Kind.ONE_CORE);
    assertThat(last.sentence()).startsWith("Core 2 alone");
  }

  @Test
  void withoutPlacesOnlyALoneCoreCanBeTold() {
    double[] kelvin = {50, 51, 50, 62, 51, 50, 49, 50};
    List<HotSpots.Hint> found = HotSpots.of(kelvin, new double[0], new double[0], Notation.METRIC);
    assertThat(found).extracting(HotSpots.Hint::kind).containsExactly(HotSpots.Kind.ONE_CORE);
  }

  /**
   * Cores that differ by a couple of kelvin without a pattern: at most one in ten is called one.
   */
  @Test
  void whatIsOnlyScatterIsSeldomCalledAPattern() {
    int called = 0;
    for (int i = 0; i < 400; i++) {
      called += hints(100 + i, 2, (x, y) -> 0).isEmpty() ? 0 : 1;
    }
    assertThat(called).isLessThan(40);
  }
}
