package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;

class ContoursTest {
  private static double[][] table(int columns, int rows, DoubleBinaryOperator f) {
    double[][] all = new double[columns][rows];
    for (int i = 0; i < columns; i++) {
      for (int j = 0; j < rows; j++) {
        all[i][j] = f.applyAsDouble(i, j);
      }
    }
    return all;
  }

  @Test
  void aPlaneHasOneStraightLineFromEdgeToEdge() {
    List<Contours.Line> lines = Contours.at(table(9, 7, (x, y) -> x + 2 * y), 7.5);
    assertThat(lines).hasSize(1);
    Contours.Line line = lines.get(0);
    for (int k = 0; k < line.columns().length; k++) {
      assertThat(line.columns()[k] + 2 * line.rows()[k]).isCloseTo(7.5, within(1e-12));
    }
    double from = line.columns()[0];
    double to = line.columns()[line.columns().length - 1];
    assertThat(Math.abs(from - to)).isCloseTo(7.5, within(1e-12));
  }

  @Test
  void aHillHasAClosedLineAtItsRadius() {
    List<Contours.Line> lines =
        Contours.at(table(41, 41, (x, y) -> -Math.hypot(x - 20, y - 20)), -11.3);
    assertThat(lines).hasSize(1);
    Contours.Line line = lines.get(0);
    int last = line.columns().length - 1;
    assertThat(line.columns()[0]).isEqualTo(line.columns()[last]);
    assertThat(line.rows()[0]).isEqualTo(line.rows()[last]);
    for (int k = 0; k <= last; k++) {
      assertThat(Math.hypot(line.columns()[k] - 20, line.rows()[k] - 20))
          .isCloseTo(11.3, within(0.02));
    }
  }

  @Test
  void twoHillsHaveTwoLinesAndASaddleNeitherCrosses() {
    double[][] hills =
        table(
            31,
            15,
            (x, y) ->
                Math.exp(-((x - 8) * (x - 8) + (y - 7) * (y - 7)) / 9)
                    + Math.exp(-((x - 22) * (x - 22) + (y - 7) * (y - 7)) / 9));
    assertThat(Contours.at(hills, 0.5)).hasSize(2);
    List<Contours.Line> saddle = Contours.at(new double[][] {{1, 0}, {0, 1}}, 0.5);
    assertThat(saddle).hasSize(2);
    assertThat(saddle).allSatisfy(line -> assertThat(line.columns()).hasSize(2));
  }

  @Test
  void aLevelBeyondTheTableAndACornerThatIsNoNumberHaveNoLine() {
    assertThat(Contours.at(table(5, 5, (x, y) -> x), 9)).isEmpty();
    assertThat(Contours.at(new double[][] {{0, 1}, {Double.NaN, 1}}, 0.5)).isEmpty();
  }
}
