package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Runs of one exact exponential, whose end is known. */
class StillWarmingTest {
  private static final double QUICK = 32;
  private static final double SLOW = 18;

  private static double[] rise(int seconds, double tau, double noise, long seed) {
    Random random = new Random(seed);
    return IntStream.range(0, seconds)
        .mapToDouble(s -> QUICK + SLOW * (1 - Math.exp(-s / tau)) + noise * random.nextGaussian())
        .toArray();
  }

  private static StillWarming of(double[] rise, boolean fromRest) {
    int n = rise.length;
    return StillWarming.of(
        IntStream.range(0, n).asDoubleStream().toArray(),
        rise,
        IntStream.range(0, n).toArray(),
        new boolean[n],
        IntStream.range(n / 2, n).toArray(),
        QUICK + SLOW,
        fromRest);
  }

  /** Mean of what is left over the second half, by hand. */
  private static double truth(int seconds, double tau) {
    return IntStream.range(seconds / 2, seconds)
        .mapToDouble(s -> SLOW * Math.exp(-s / tau))
        .average()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"900,200", "1200,300", "1800,400", "2400,600", "1500,600"})
  void whatIsLeftIsFoundWithinItsDoubt(int seconds, double tau) {
    StillWarming left = of(rise(seconds, tau, 0.3, 5), true);
    double truth = truth(seconds, tau);
    assertThat(left.kelvin()).isCloseTo(truth, within(0.15 + 3 * left.standardError()));
    assertThat(left.standardError()).isLessThan(0.3 + 0.3 * truth);
  }

  @Test
  void withoutNoiseItIsExact() {
    StillWarming left = of(rise(1200, 400, 0, 1), true);
    assertThat(left.kelvin()).isCloseTo(truth(1200, 400), within(0.1));
    // 18 K fall to a third of a kelvin in four time constants: 400 s × ln(18/0.33) = 1600 s.
    assertThat(left.minutes()).isCloseTo(1600 / 60.0, within(1.5));
    assertThat(of(rise(1800, 400, 0, 1), true).minutes()).as("they are over").isNaN();
  }

  @Test
  void aShortRunOfALongLoopLeavesMuchOpen() {
    StillWarming left = of(rise(300, 600, 0.3, 2), true);
    assertThat(left.kelvin() + 2 * left.standardError()).isGreaterThan(truth(300, 600));
    assertThat(left.kelvin()).isGreaterThan(3);
  }

  @Test
  void aFlatRunThatMayBeWarmAlreadyGetsNothing() {
    double[] flat = IntStream.range(0, 900).mapToDouble(s -> 50 + 0.3 * Math.sin(s)).toArray();
    StillWarming left = of(flat, false);
    assertThat(left.kelvin()).isCloseTo(0, within(0.1));
  }

  @Test
  void whatIsAddedEndsTheRunAtItsEnd() {
    double[] rise = rise(1500, 600, 0.2, 3);
    StillWarming left = of(rise, true);
    double[] all = left.added(IntStream.range(0, rise.length).asDoubleStream().toArray(), rise);
    double early = mean(all, 700, 900);
    double late = mean(all, 1300, 1500);
    assertThat(early).isCloseTo(QUICK + SLOW, within(0.7));
    assertThat(late).isCloseTo(early, within(0.3));
    assertThat(left.at(-100)).isEqualTo(left.at(0));
    assertThat(left.at(9999)).isEqualTo(left.at(1499));
  }

  private static double mean(double[] y, int from, int to) {
    return IntStream.range(from, to).mapToDouble(i -> y[i]).average().orElseThrow();
  }

  @Test
  void timesThatStandStillTellNothing() {
    int n = 100;
    StillWarming left =
        StillWarming.of(
            new double[n],
            rise(n, 50, 0.1, 4),
            IntStream.range(0, n).toArray(),
            new boolean[n],
            IntStream.range(50, n).toArray(),
            50,
            true);
    assertThat(left.kelvin()).isZero();
    assertThat(left.added(new double[n], new double[n])).containsOnly(0);
  }
}
