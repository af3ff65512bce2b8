package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What sensors and rooms leave open, against what can be worked out by hand. */
class RunDoubtsTest {
  private static final int N = 1800;
  private static final double[] SECONDS = IntStream.range(0, N).asDoubleStream().toArray();
  private static final int[] USED = IntStream.range(900, N).toArray();

  private static double[] ramp(double kelvin) {
    return IntStream.range(0, N).mapToDouble(i -> 22 + kelvin * i / N).toArray();
  }

  /** A room that climbs evenly is seen late by as much as it climbs in the lag, 300 s. */
  @Test
  void aRampIsSeenLateByItsLag() {
    assertThat(RunDoubts.lag(SECONDS, ramp(1.8), USED)).isCloseTo(0.3, within(0.02));
    assertThat(RunDoubts.lag(SECONDS, ramp(-1.8), USED)).isCloseTo(0.3, within(0.02));
    assertThat(RunDoubts.lag(SECONDS, ramp(0), USED)).isZero();
  }

  @Test
  void aTypedRoomThatMovedIsFoundOutByItsTrend() {
    Random random = new Random(3);
    double[] still = IntStream.range(0, N).mapToDouble(i -> 0.3 * random.nextGaussian()).toArray();
    double[] moved = ramp(1.8);
    for (int i = 0; i < N; i++) {
      moved[i] += still[i];
    }
    // 1 mK a second over the 1350 s from the beginning to the middle of what is settled.
    assertThat(RunDoubts.trend(SECONDS, moved, USED, 0)).isCloseTo(1.35, within(0.15));
    assertThat(RunDoubts.trend(SECONDS, still, USED, 0)).isLessThan(0.12);
    assertThat(RunDoubts.trend(SECONDS, moved, new int[] {1, 2, 3}, 0)).isZero();
  }

  /** A mean of steps without noise may be off by a rectangle's deviation, q/√12. */
  @ParameterizedTest
  @ValueSource(doubles = {1, 0.5, 0.1})
  void aSensorThatStandsStillIsOffByItsStep(double step) {
    double[] values = new double[N];
    for (int i = 0; i < N; i++) {
      values[i] = i < 900 ? step * (i % 2) : 7 * step;
    }
    assertThat(Rounding.of(values, USED)).isCloseTo(step / Math.sqrt(12), within(1e-9));
  }

  /**
   * Rounded noise of half a step and more: the mean's error by simulation is below what is told.
   */
  @ParameterizedTest
  @ValueSource(doubles = {0.05, 0.15, 0.3, 0.5, 1})
  void noiseMakesUpForSteps(double noise) {
    double squares = 0;
    double told = 0;
    int repeats = 200;
    for (int r = 0; r < repeats; r++) {
      Random random = new Random(100 + r);
      double truth = 50 + random.nextDouble();
      double[] values = new double[N];
      double sum = 0;
      for (int i = 0; i < N; i++) {
        // It warms up first, and so shows its steps.
        double warming = Math.max(0, 900 - i) / 30.0;
        values[i] = Math.rint(truth - warming + noise * random.nextGaussian());
        sum += i >= 900 ? values[i] / 900 : 0;
      }
      squares += (sum - truth) * (sum - truth) / repeats;
      double rounding = Rounding.of(values, USED);
      told += (rounding * rounding + noise * noise / 900) / repeats;
    }
    assertThat(Math.sqrt(squares)).isLessThan(1.35 * Math.sqrt(told));
  }

  @Test
  void finelyReadValuesLeaveNothing() {
    Random random = new Random(9);
    double[] values = IntStream.range(0, N).mapToDouble(i -> random.nextGaussian()).toArray();
    assertThat(Rounding.of(values, USED)).isLessThan(1e-9);
    assertThat(Rounding.of(values, new int[] {1, 2})).isZero();
  }

  @Test
  void anIndependentErrorAddsInSquares() {
    BatchMeans own = new BatchMeans(50, 0.3, 10, 11, true);
    BatchMeans wide = own.wider(0.4);
    assertThat(wide.standardError()).isCloseTo(0.5, within(1e-12));
    // Welch–Satterthwaite with a known part: (0.25)² / (0.09² / 10) = 77.
    assertThat(wide.degreesOfFreedom()).isEqualTo(77);
    assertThat(own.wider(0)).isSameAs(own);
  }
}
