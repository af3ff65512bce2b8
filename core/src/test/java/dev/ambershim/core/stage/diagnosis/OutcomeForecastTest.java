package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.hipparchus.distribution.multivariate.MultivariateNormalDistribution;
import org.junit.jupiter.api.Test;

/** Densities and draws of a test's outcome. */
class OutcomeForecastTest {
  private static final int ROWS = 7;
  private static final int COLUMNS = 3;

  private final SplittableRandom random = new SplittableRandom(5);
  private final double[] mean = random.doubles(ROWS, -5, 5).toArray();
  private final double[] sigma = random.doubles(ROWS, 0.2, 2).toArray();
  private final double[][] moves = new double[ROWS][];
  private final double[][] covariance = new double[ROWS][ROWS];

  OutcomeForecastTest() {
    Arrays.setAll(moves, r -> random.doubles(COLUMNS, -3, 3).toArray());
    for (int i = 0; i < ROWS; i++) {
      for (int j = 0; j < ROWS; j++) {
        double sum = i == j ? 1 : 0;
        for (int k = 0; k < COLUMNS; k++) {
          sum += moves[i][k] * moves[j][k];
        }
        covariance[i][j] = sigma[i] * sigma[j] * sum;
      }
    }
  }

  /** Against the whole covariance, by Hipparchus. */
  @Test
  void densitiesAreThoseOfTheWholeCovariance() {
    OutcomeForecast forecast = new OutcomeForecast(2, 0.25, mean, sigma, moves);
    MultivariateNormalDistribution whole = new MultivariateNormalDistribution(mean, covariance);
    double left = 0.5 * ROWS * Math.log(2 * Math.PI) + Math.log(0.25);
    for (int k = 0; k < 20; k++) {
      double[] y = random.doubles(ROWS, -10, 10).toArray();
      assertThat(forecast.logWeight(y)).isCloseTo(Math.log(whole.density(y)) + left, within(1e-8));
    }
  }

  /** Squares by the inverse covariance are chi squared, whose mean is the number of rows. */
  @Test
  void drawsAreSpreadAsTheDensitySays() {
    OutcomeForecast forecast = new OutcomeForecast(0, 1, mean, sigma, moves);
    double peak = forecast.logWeight(mean);
    int draws = 4000;
    double squares = 0;
    for (int d = 0; d < draws; d++) {
      squares += 2 * (peak - forecast.logWeight(forecast.draw(random)));
    }
    // Four standard errors of the mean of chi squared.
    assertThat(squares / draws).isCloseTo(ROWS, within(4 * Math.sqrt(2.0 * ROWS / draws)));
  }
}
