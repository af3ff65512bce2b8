package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Interval coverage by simulation with known truth: 95 % intervals must hold 92 to 98 % of it. */
@Tag("slow")
class CoverageTest {
  @ParameterizedTest
  @CsvSource({"0.0,600", "0.5,600", "0.8,900", "0.9,900", "0.95,1800", "0.97,3600"})
  void batchMeansCoverTheTruth(double phi, int n) {
    Random random = new Random(20260301);
    int hits = 0;
    int repeats = 3000;
    for (int r = 0; r < repeats; r++) {
      double[] y = new double[n];
      double state = random.nextGaussian();
      for (int i = 0; i < n; i++) {
        y[i] = 60 + state;
        state = phi * state + Math.sqrt(1 - phi * phi) * random.nextGaussian();
      }
      BatchMeans m = BatchMeans.of(y);
      if (Math.abs(m.mean() - 60) <= m.halfWidth(0.95)) {
        hits++;
      }
    }
    assertThat(hits / (double) repeats).isBetween(0.92, 0.98);
  }

  @ParameterizedTest
  @CsvSource({"0.0", "0.8", "0.95"})
  void comparisonsCoverTheTruthThroughTheWholeChain(double phi) {
    assertThat(coverage(phi, 60)).isBetween(0.92, 0.98);
  }

  /** Warm-up that still creeps by a tenth of a kelvin widens the interval; it may hold more. */
  @ParameterizedTest
  @CsvSource({"0.0", "0.8", "0.95"})
  void aSlowLoopNeverMakesTheIntervalTooNarrow(double phi) {
    assertThat(coverage(phi, 200)).isGreaterThan(0.91);
  }

  private static double coverage(double phi, double slowSeconds) {
    int hits = 0;
    int told = 0;
    int repeats = 600;
    for (int r = 0; r < repeats; r++) {
      Synthetic before = new Synthetic();
      before.phi = phi;
      Synthetic after = new Synthetic();
      after.phi = phi;
      // A room that moves widens the interval by itself.
      before.roomDrift = 0;
      after.roomDrift = 0;
      before.slowSeconds = slowSeconds;
      after.slowSeconds = slowSeconds;
      after.riseKelvin = 38.2;
      Comparison c =
          Comparison.of(
              MountedRun.ofOneMount(List.of(before.run("b", 2L * r))),
              MountedRun.ofOneMount(List.of(after.run("a", 2L * r + 1))),
              new Judging(1, 0),
              Notation.METRIC);
      if (c.interval().isPresent()) {
        told++;
        if (c.interval().get().contains(-11.8)) {
          hits++;
        }
      }
    }
    assertThat(told).isGreaterThan((int) (0.97 * repeats));
    return hits / (double) told;
  }

  @Test
  void aChangeOfNothingIsSeldomCalledHelpOrHarm() {
    int wrong = 0;
    int repeats = 300;
    for (int r = 0; r < repeats; r++) {
      Synthetic same = new Synthetic();
      Comparison c =
          Comparison.of(
              MountedRun.ofOneMount(List.of(same.run("b", 7000 + 2L * r))),
              MountedRun.ofOneMount(List.of(same.run("a", 7001 + 2L * r))),
              new Judging(0, 0),
              Notation.METRIC);
      if (c.verdict() == Verdict.HELPED || c.verdict() == Verdict.HURT) {
        wrong++;
      }
    }
    assertThat(wrong / (double) repeats).isLessThan(0.08);
  }

  /**
   * Less power is no help: three mounts a side, that scatter by 0.3 K, and nothing else changed.
   */
  @ParameterizedTest
  @CsvSource({"0", "0.01", "0.02", "0.028", "0.05", "0.09"})
  void lessPowerIsNotTakenForHelp(double less) {
    Random random = new Random(31);
    int held = 0;
    int claimed = 0;
    int repeats = 200;
    for (int r = 0; r < repeats; r++) {
      List<MountedRun> before = new ArrayList<>();
      List<MountedRun> after = new ArrayList<>();
      for (int mount = 0; mount < 3; mount++) {
        before.add(new MountedRun(side(0, random, 60_000 + 6L * r + mount), mount));
        after.add(new MountedRun(side(less, random, 60_003 + 6L * r + mount), mount));
      }
      Comparison c = Comparison.of(before, after, new Judging(0, 0.3), Notation.METRIC);
      held += c.interval().orElseThrow().contains(0) ? 1 : 0;
      claimed += c.verdict() == Verdict.HELPED ? 1 : 0;
    }
    assertThat(held / (double) repeats).isBetween(0.91, 1.0);
    assertThat(claimed / (double) repeats).isLessThan(0.06);
  }

  private static RunAnalysis side(double less, Random random, long seed) {
    Synthetic run = new Synthetic();
    run.watts = 160 * (1 - less);
    run.riseKelvin = 50 * (1 - less) + 0.3 * random.nextGaussian();
    return run.run("x", seed);
  }

  /** The same where nobody knows the room: nothing is corrected, and nothing is claimed. */
  @ParameterizedTest
  @CsvSource({"0", "0.01", "0.028"})
  void withoutTheRoomLessPowerIsNotTakenForHelpEither(double less) {
    Random random = new Random(32);
    int held = 0;
    int claimed = 0;
    int repeats = 200;
    for (int r = 0; r < repeats; r++) {
      List<MountedRun> before = new ArrayList<>();
      List<MountedRun> after = new ArrayList<>();
      for (int mount = 0; mount < 3; mount++) {
        before.add(new MountedRun(roomless(0, random, 70_000 + 6L * r + mount), mount));
        after.add(new MountedRun(roomless(less, random, 70_003 + 6L * r + mount), mount));
      }
      Comparison c = Comparison.of(before, after, new Judging(0, 0.3), Notation.METRIC);
      held += c.interval().filter(i -> i.contains(0)).isPresent() ? 1 : 0;
      claimed += c.verdict() == Verdict.HELPED ? 1 : 0;
    }
    assertThat(held / (double) repeats).isBetween(0.9, 1.0);
    assertThat(claimed / (double) repeats).isLessThan(0.06);
  }

  private static RunAnalysis roomless(double less, Random random, long seed) {
    Synthetic run = new Synthetic();
    run.withRoom = false;
    run.roomDrift = 0;
    run.watts = 160 * (1 - less);
    run.riseKelvin = 50 * (1 - less) + 0.3 * random.nextGaussian();
    return run.run("x", seed);
  }

  /** A room that was read off a thermometer of 0.3 K is not known to better than that. */
  @Test
  void aTypedRoomIsNotTakenAsExact() {
    Random random = new Random(77);
    int held = 0;
    int told = 0;
    int repeats = 300;
    for (int r = 0; r < repeats; r++) {
      Comparison c =
          Comparison.of(
              MountedRun.ofOneMount(List.of(typed(random, 90_000 + 2L * r))),
              MountedRun.ofOneMount(List.of(typed(random, 90_001 + 2L * r))),
              new Judging(0, 0),
              Notation.METRIC);
      told += c.interval().isPresent() ? 1 : 0;
      held += c.interval().filter(i -> i.contains(0)).isPresent() ? 1 : 0;
    }
    assertThat(told).isGreaterThan((int) (0.97 * repeats));
    assertThat(held / (double) told).isBetween(0.92, 0.985);
  }

  private static RunAnalysis typed(Random random, long seed) {
    Synthetic run = new Synthetic();
    run.withRoom = false;
    run.roomDrift = 0;
    double read = run.room + 0.3 * random.nextGaussian();
    return RunAnalyser.analyse(run.log("x", seed), OptionalDouble.of(read));
  }
}
