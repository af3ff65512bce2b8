package dev.ambershim.core.runs.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TrendTestsTest {
  /** Gilbert 1987, 16.4.1: data 10, 15, 14, 20 have a score of +4; from memory. */
  @Test
  void gilbertsFourValues() {
    MannKendall told = MannKendall.of(new double[] {10, 15, 14, 20});
    assertThat(told.score()).isEqualTo(4);
    assertThat(told.chance()).isCloseTo(2 * 0.167, within(0.001));
  }

  /** Gilbert 1987, Table A18, after Kendall: chances of a score at least so high; from memory. */
  @ParameterizedTest
  @CsvSource({
    "4, 4, 0.167",
    "4, 6, 0.042",
    "5, 6, 0.117",
    "5, 8, 0.042",
    "5, 10, 0.0083",
    "8, 0, 0.548",
    "8, 12, 0.089",
    "9, 18, 0.038",
    "10, 21, 0.036",
    "10, 23, 0.023"
  })
  void chancesOfTheTable(int n, int score, double chance) {
    assertThat(MannKendall.upper(n, score)).isCloseTo(chance, within(0.0006));
  }

  @Test
  void tiesGoByTheNormalDistribution() {
    // Var(S) by hand: n = 6, one tie of two and one of three: (6·5·17 − 2·1·9 − 3·2·11)/18.
    MannKendall told = MannKendall.of(new double[] {1, 2, 2, 3, 3, 3});
    assertThat(told.score()).isEqualTo(11);
    double z = 10 / Math.sqrt((6 * 5 * 17 - 18 - 66) / 18.0);
    assertThat(z).isCloseTo(2.0554, within(1e-3));
    assertThat(told.chance()).isCloseTo(0.0398, within(5e-4));
    assertThat(MannKendall.of(new double[] {5, 5, 5}).chance()).isEqualTo(1);
  }

  /** Gilbert 1987, 16.5: eight values at five times have 24 slopes; their median by hand. */
  @Test
  void sensSlope() {
    double[] times = {1, 1, 1, 2, 3, 3, 4, 5};
    double[] values = {10, 22, 21, 30, 22, 30, 40, 40};
    assertThat(TheilSen.slope(times, values)).isEqualTo(5.5);
    assertThat(TheilSen.slope(new double[] {2, 2}, new double[] {1, 5})).isNaN();
  }

  /** The drift with a prior against the product of both densities on a grid. */
  @Test
  void aPriorIsMultiplied() {
    Line line = new Line(60, 3, 0.09, 0.49, 0.12, 0);
    Line with = line.with(0.5, 0.6);
    double determinant = 0.09 * 0.49 - 0.12 * 0.12;
    double sum = 0;
    double level = 0;
    double slope = 0;
    double squares = 0;
    for (double a = 58; a <= 62; a += 0.01) {
      for (double b = -3; b <= 6; b += 0.01) {
        double da = a - 60;
        double db = b - 3;
        double square = (0.49 * da * da - 2 * 0.12 * da * db + 0.09 * db * db) / determinant;
        double p = Math.exp(-0.5 * (square + Math.pow((b - 0.5) / 0.6, 2)));
        sum += p;
        level += p * a;
        slope += p * b;
        squares += p * b * b;
      }
    }
    assertThat(with.kelvin()).isCloseTo(level / sum, within(1e-3));
    assertThat(with.perYear()).isCloseTo(slope / sum, within(1e-3));
    assertThat(with.slopeVariance())
        .isCloseTo(squares / sum - Math.pow(slope / sum, 2), within(1e-3));
  }

  /** Dates against draws of lines. */
  @Test
  void theLimitIsMetAsOftenAsItSays() {
    Line line = new Line(60, 4, 0.04, 0.25, 0.05, 0);
    LocalDate last = LocalDate.of(2026, 1, 1);
    Crossing told = Crossing.of(line, last, 68).orElseThrow();
    Random random = new Random(4);
    int early = 0;
    int half = 0;
    int late = 0;
    int draws = 20_000;
    for (int i = 0; i < draws; i++) {
      double z = random.nextGaussian();
      double level = 60 + 0.2 * z;
      double slope = 4 + 0.25 * z + Math.sqrt(0.25 - 0.0625) * random.nextGaussian();
      double years = slope > 0 ? (68 - level) / slope : 1e9;
      early += years < years(last, told.low()) ? 1 : 0;
      half += years < years(last, told.date()) ? 1 : 0;
      late += years > years(last, told.high().orElseThrow()) ? 1 : 0;
    }
    assertThat(early / (double) draws).isCloseTo(0.025, within(0.005));
    assertThat(half / (double) draws).isCloseTo(0.5, within(0.015));
    assertThat(late / (double) draws).isCloseTo(0.025, within(0.005));
  }

  private static double years(LocalDate last, LocalDate day) {
    return (day.toEpochDay() - last.toEpochDay()) / 365.25;
  }

  @Test
  void aLimitThatIsMetOrNever() {
    LocalDate last = LocalDate.of(2026, 1, 1);
    Line up = new Line(60, 4, 0.04, 0.25, 0, 10);
    assertThat(Crossing.of(up, last, 59).orElseThrow().date()).isEqualTo(last);
    assertThat(Crossing.of(up, last, 140)).isEmpty();
    Line flat = new Line(60, 0.1, 0.04, 0.25, 0, 10);
    assertThat(Crossing.of(flat, last, 63)).isEmpty();
    Line unsure = new Line(60, 1, 0.04, 1, 0, 10);
    assertThat(Crossing.of(unsure, last, 62).orElseThrow().high()).isEmpty();
  }
}
