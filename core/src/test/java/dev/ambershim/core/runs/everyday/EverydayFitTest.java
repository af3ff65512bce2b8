package dev.ambershim.core.runs.everyday;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.everyday.Everyday.RoomKnown;
import dev.ambershim.core.runs.everyday.Everyday.Use;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@Tag("slow")
class EverydayFitTest {
  private static Everyday told(RunLog... logs) {
    return EverydayFit.of(List.of(logs), OptionalDouble.empty(), 0.3);
  }

  @ParameterizedTest
  @CsvSource({"25, true", "25, false", "60, true"})
  void ordinaryUseTellsTheResistance(double minutes, boolean roomLogged) {
    Ordinary ordinary = new Ordinary(30);
    ordinary.minutes = minutes;
    ordinary.roomLogged = roomLogged;
    int tries = 40;
    double[] off = new double[tries];
    int held = 0;
    int quick = 0;
    int usable = 0;
    for (int i = 0; i < tries; i++) {
      ordinary.chip();
      OptionalDouble typed =
          roomLogged
              ? OptionalDouble.empty()
              : OptionalDouble.of(ordinary.room + 0.3 * ordinary.random.nextGaussian());
      Everyday told = EverydayFit.of(List.of(ordinary.log()), typed, 0.3);
      off[i] = Math.abs(told.resistance() / ordinary.resistance() - 1);
      held += told.interval().contains(ordinary.resistance()) ? 1 : 0;
      usable += told.usable() ? 1 : 0;
      Everyday.Quick part = told.quick().orElseThrow();
      quick += Math.abs(part.resistance() - ordinary.quick()) < 1.96 * part.error() ? 1 : 0;
    }
    Arrays.sort(off);
    assertThat(off[tries / 2]).isLessThan(0.01);
    // 95 % less two and a half standard errors of 40 tries.
    assertThat(held).isGreaterThanOrEqualTo((int) (tries * (0.95 - 2.5 * 0.034)));
    assertThat(quick).isGreaterThanOrEqualTo((int) (tries * (0.95 - 2.5 * 0.034)));
    assertThat(usable).isGreaterThanOrEqualTo((int) (0.9 * tries));
  }

  @Test
  void withoutNoiseItIsNearlyExact() {
    Ordinary ordinary = new Ordinary(31);
    ordinary.steps = 0;
    ordinary.noise = 0.02;
    ordinary.minutes = 60;
    assertThat(told(ordinary.log()).resistance())
        .isCloseTo(ordinary.resistance(), within(0.006 * ordinary.resistance()));
  }

  /**
   * NIST StRD, nonlinear regression, Lanczos1 to Lanczos3: sums of 0.0951 e^(−x), 0.8607 e^(−3x)
   * and 1.5576 e^(−5x), which are notoriously hard to part; 2.5134 at x = 0. Taken as the cooling
   * of a chip with x in steps of 150 s and a tenth of a kelvin for each watt, rounded to five
   * digits like Lanczos3. What comes back are the whole and the quick part, not the three terms.
   */
  @Test
  void theNistSumOfThreeExponentialsIsFoundAgain() {
    double[] shares = {0.0951, 0.8607, 1.5576};
    double[] lags = {150, 150.0 / 3, 150.0 / 5};
    double[] rises = new double[3];
    StringBuilder csv = new StringBuilder("time_s,core 0,power_W,room_C\n");
    double watts = 100;
    for (int k = 0; k < 3; k++) {
      rises[k] = watts * shares[k] / 10;
    }
    for (int second = 0; second <= 2400; second++) {
      // Settled for five minutes, then cooling as in the tables, then under load again, and so on.
      watts = second / 300 % 2 == 0 ? 100 : 0;
      double rise = 0;
      for (int k = 0; k < 3; k++) {
        double target = watts * shares[k] / 10;
        rises[k] = target + (rises[k] - target) * Math.exp(-1 / lags[k]);
        rise += rises[k];
      }
      csv.append(String.format(Locale.ROOT, "%d,%.4f,%.1f,20.0%n", second + 1, 20 + rise, watts));
    }
    Everyday told = told(read(csv.toString()));
    assertThat(told.resistance()).isCloseTo(0.25134, within(0.01 * 0.25134));
    assertThat(told.interval().contains(0.25134)).isTrue();
    double quick = 0;
    for (int k = 0; k < 3; k++) {
      quick += shares[k] / 10 * (1 - Math.exp(-10 / lags[k]));
    }
    assertThat(told.quick().orElseThrow().resistance()).isCloseTo(quick, within(0.02 * quick));
  }

  @Test
  void aSteadyLogMovedTooLittle() {
    Ordinary ordinary = new Ordinary(32);
    ordinary.lowWatts = 80;
    ordinary.moves = 1;
    Everyday told = told(ordinary.log());
    assertThat(told.use()).isEqualTo(Use.MOVED_TOO_LITTLE);
    assertThat(told.usable()).isFalse();
    assertThat(told.movedWatts()).isLessThan(1.5);
  }

  @Test
  void aShortLogIsTooShort() {
    Ordinary ordinary = new Ordinary(33);
    ordinary.minutes = 5;
    assertThat(told(ordinary.log()).use()).isEqualTo(Use.TOO_SHORT);
    assertThat(told(ordinary.log()).resistance()).isNaN();
  }

  @Test
  void logsOfOneMountCountTogetherAndGapsAreLeftOut() {
    Ordinary ordinary = new Ordinary(34);
    ordinary.minutes = 30;
    ordinary.gapAtMinute = 12;
    RunLog log = ordinary.log();
    Everyday first = told(log);
    Everyday both = told(log, ordinary.log());
    assertThat(first.minutes()).isBetween(24.0, 26.0);
    assertThat(both.minutes()).isBetween(48.0, 52.0);
    assertThat(both.interval().contains(ordinary.resistance())).isTrue();
    assertThat(both.interval().width()).isLessThan(first.interval().width());
  }

  /** Ten samples a second tell what a few a second tell, and must not take their time. */
  @Test
  void aDenseLogIsTakenTogether() {
    Ordinary ordinary = new Ordinary(36);
    ordinary.everySeconds = 0.1;
    ordinary.minutes = 40;
    RunLog log = ordinary.log();
    assertThat(log.size()).isGreaterThan(20_000);
    assertThat(told(log).interval().contains(ordinary.resistance())).isTrue();
    assertThat(told(log).usable()).isTrue();
  }

  /**
   * Between samples that lie far apart nobody knows when the power changed: the quick part is less
   * sure, and from ten seconds on it is not told. Half of these loggers give the power at a moment.
   */
  @Test
  void coarseLogsTellLessOfTheQuickPart() {
    Ordinary ordinary = new Ordinary(37);
    ordinary.everySeconds = 5;
    int held = 0;
    for (int i = 0; i < 20; i++) {
      ordinary.chip();
      ordinary.atAMoment = i % 2 == 0;
      Everyday.Quick part = told(ordinary.log()).quick().orElseThrow();
      held += Math.abs(part.resistance() - ordinary.quick()) < 1.96 * part.error() ? 1 : 0;
    }
    assertThat(held).isGreaterThanOrEqualTo(17);
    ordinary.everySeconds = 10;
    Everyday coarse = told(ordinary.log());
    assertThat(coarse.quick()).isEmpty();
    assertThat(coarse.interval().contains(ordinary.resistance())).isTrue();
  }

  @Test
  void withoutARoomItIsLessSure() {
    Ordinary ordinary = new Ordinary(35);
    String csv = ordinary.csv();
    Everyday with = told(read(csv));
    Everyday without = told(read(csv.replaceAll("(?m),[^,]*$", "")));
    assertThat(with.room()).isEqualTo(RoomKnown.LOGGED);
    assertThat(without.room()).isEqualTo(RoomKnown.GUESSED);
    assertThat(without.interval().width()).isGreaterThan(with.interval().width());
  }

  @Test
  void whatCannotBeReadIsSaid() {
    assertThatThrownBy(() -> told(read("time_s,core 0\n0,50\n1,51\n2,52\n")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("power");
    assertThatThrownBy(() -> told(read("time_s,power_W\n0,50\n1,51\n2,52\n")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("core or package");
    StringBuilder cold = new StringBuilder("time_s,core 0,power_W,room_C\n");
    for (int i = 0; i < 1200; i++) {
      cold.append(i).append(",15,").append(20 + i % 90).append(",22\n");
    }
    assertThat(told(read(cold.toString())).use()).isEqualTo(Use.TOO_WIDE);
  }

  private static RunLog read(String csv) {
    return LogReader.read("log.csv", csv.getBytes(StandardCharsets.UTF_8));
  }
}
