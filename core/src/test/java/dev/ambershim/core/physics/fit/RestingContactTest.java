package dev.ambershim.core.physics.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.ForkJoinPool;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Resting contact against trying every triple of tops, and chances against reckoning by hand. */
class RestingContactTest {
  private static List<Feature> scatter(long seed, int count, double step) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Feature> all = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double height = random.nextDouble();
      all.add(
          Feature.of(
              "top " + i,
              40 * random.nextDouble() - 20,
              40 * random.nextDouble() - 20,
              step == 0 ? height : step * Math.round(height / step),
              0.02));
    }
    return all;
  }

  /** Height of the plate over the load for the triple that holds it and clears all others. */
  private static double byTriples(List<Feature> tops, double[] z, double xLoad, double yLoad) {
    int n = tops.size();
    for (int a = 0; a < n; a++) {
      for (int b = a + 1; b < n; b++) {
        for (int c = b + 1; c < n; c++) {
          double[] w = shares(tops, a, b, c, xLoad, yLoad);
          if (w == null || w[0] < 0 || w[1] < 0 || w[2] < 0) {
            continue;
          }
          boolean clear = true;
          for (int i = 0; i < n && clear; i++) {
            double[] s =
                shares(tops, a, b, c, tops.get(i).xMillimetres(), tops.get(i).yMillimetres());
            clear = s[0] * z[a] + s[1] * z[b] + s[2] * z[c] > z[i] - 1e-9;
          }
          if (clear) {
            return w[0] * z[a] + w[1] * z[b] + w[2] * z[c];
          }
        }
      }
    }
    return Double.NaN;
  }

  private static double[] shares(List<Feature> t, int a, int b, int c, double x, double y) {
    double ax = t.get(a).xMillimetres() - x;
    double ay = t.get(a).yMillimetres() - y;
    double bx = t.get(b).xMillimetres() - x;
    double by = t.get(b).yMillimetres() - y;
    double cx = t.get(c).xMillimetres() - x;
    double cy = t.get(c).yMillimetres() - y;
    double whole = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay);
    if (Math.abs(whole) < 1e-12) {
      return null;
    }
    return new double[] {
      (bx * cy - cx * by) / whole, (cx * ay - ax * cy) / whole, (ax * by - bx * ay) / whole
    };
  }

  @ParameterizedTest
  @CsvSource({"1,5,0", "2,9,0", "3,14,0", "4,14,0.25", "5,20,0.5", "6,20,0", "7,30,0.2", "8,30,0"})
  void restsAsTryingEveryTripleSays(long seed, int count, double step) {
    List<Feature> tops = scatter(seed, count, step);
    double[] z = tops.stream().mapToDouble(f -> f.height().nominal()).toArray();
    double expected = byTriples(tops, z, 1, -2);
    RestingContact rest = RestingContact.of(tops, 1, -2);
    assertThat(rest.at(1, -2)).isCloseTo(expected, within(1e-9));
    for (int i = 0; i < count; i++) {
      Feature f = tops.get(i);
      double gap = rest.at(f.xMillimetres(), f.yMillimetres()) - z[i];
      assertThat(rest.clearances().get(i)).isCloseTo(gap, within(1e-9)).isNotNegative();
      assertThat(rest.touching().contains(f.name())).isEqualTo(gap <= RestingContact.TOUCH);
    }
    assertThat(rest.touching().size()).isGreaterThanOrEqualTo(3);
  }

  @Test
  void aLevelPlateTouchesAllFourCorners() {
    List<Feature> tops =
        List.of(
            Feature.of("a", -5, -5, 1, 0),
            Feature.of("b", 5, -5, 1, 0),
            Feature.of("c", -5, 5, 1, 0),
            Feature.of("d", 5, 5, 1, 0),
            Feature.of("low", 0, 0, 0.4, 0));
    RestingContact rest = RestingContact.of(tops, 0.5, 0.2);
    assertThat(rest.touching()).containsExactly("a", "b", "c", "d");
    assertThat(rest.tiltDegrees()).isZero();
    assertThat(rest.clearances().get(4)).isCloseTo(0.6, within(1e-12));
    assertThat(rest.rocking()).isFalse();
    // One corner 0.1 up: a ridge from a to d, and the load on b's side of it, by hand.
    List<Feature> other = new ArrayList<>(tops);
    other.set(3, Feature.of("d", 5, 5, 1.1, 0));
    RestingContact tilted = RestingContact.of(other, 2, 1);
    assertThat(tilted.touching()).containsExactly("a", "b", "d");
    assertThat(tilted.tiltDegrees()).isCloseTo(Math.toDegrees(Math.atan(0.01)), within(1e-9));
    assertThat(tilted.clearances().get(2)).isCloseTo(0.1, within(1e-12));
    assertThat(tilted.rocking()).isFalse();
    assertThat(RestingContact.of(other, 1, 1).rocking()).isTrue();
  }

  @Test
  void aLoneHighTopUnderTheLoadRocks() {
    List<Feature> tops =
        List.of(
            Feature.of("die", 0, 0, 1, 0),
            Feature.of("a", -9, -9, 0.8, 0),
            Feature.of("b", 9, -9, 0.8, 0),
            Feature.of("c", 0, 9, 0.8, 0));
    RestingContact rest = RestingContact.of(tops, 0, 0);
    assertThat(rest.touching()).contains("die");
    assertThat(rest.rocking()).isTrue();
  }

  @Test
  void refusesWhatCannotRest() {
    Feature a = Feature.of("a", 0, 0, 1, 0);
    Feature b = Feature.of("b", 5, 0, 1, 0);
    refused("rest.few", List.of(a, b), 1, 0);
    refused("rest.line", List.of(a, b, Feature.of("c", 9, 0, 1, 0)), 1, 0);
    refused(
        "rest.twice",
        List.of(a, b, Feature.of("c", 0, 5, 1, 0), Feature.of("again", 5, 0, 1.2, 0)),
        1,
        1);
    List<Feature> three = List.of(a, b, Feature.of("c", 0, 5, 1, 0));
    refused("rest.unstable", three, 4, 4);
    assertThatThrownBy(() -> RestingContact.of(three, 4, 4))
        .hasMessageContaining("tips over")
        .hasMessageContaining("2.121 mm outside");
  }

  private static void refused(String key, List<Feature> tops, double x, double y) {
    assertThatThrownBy(() -> RestingContact.of(tops, x, y))
        .isInstanceOfSatisfying(Problem.class, p -> assertThat(p.key()).isEqualTo(key));
  }

  /** Two tops with equal limits, one higher by d: first with chance 1 − (1 − d/2t)²/2, by hand. */
  @Test
  void chancesOfTwoRectanglesByHand() {
    double t = 0.02;
    double d = 0.01;
    List<Feature> tops =
        List.of(
            Feature.of("high", -5, 0, 1 + d, t),
            Feature.of("low", 5, 0, 1, t),
            Feature.of("far", 0, 9, 0.2, 0));
    TouchChances chances = TouchChances.of(tops, 0, 1, 200_000, Runnable::run);
    double expected = 1 - Math.pow(1 - d / (2 * t), 2) / 2;
    assertThat(chances.of("high").touchesFirst()).isCloseTo(expected, within(0.004));
    assertThat(chances.of("low").touchesFirst()).isCloseTo(1 - expected, within(0.004));
    assertThat(chances.of("far").touchesFirst()).isZero();
    assertThat(chances.of("far").carries()).isEqualTo(1);
  }

  /** The feet of a thousand draws, each found anew by trying every triple. */
  @Test
  void drawsRestWhereTryingEveryTripleSays() {
    List<Feature> tops = scatter(31, 9, 0);
    SplittableRandom random = new SplittableRandom(4);
    Resting resting = new Resting(tops, 0, 0);
    double[] z = new double[9];
    for (int k = 0; k < 1000; k++) {
      for (int i = 0; i < 9; i++) {
        z[i] = tops.get(i).height().nominal() + 0.4 * random.nextDouble();
      }
      resting.settle(z);
      double[] plane = resting.plane(z);
      assertThat(plane[0]).isCloseTo(byTriples(tops, z, 0, 0), within(1e-9));
    }
  }

  @Test
  void chancesDoNotDependOnThreads() {
    List<Feature> tops = scatter(41, 8, 0);
    TouchChances alone = TouchChances.of(tops, 0, 0, 20_000, Runnable::run);
    TouchChances shared = TouchChances.of(tops, 0, 0, 20_000, ForkJoinPool.commonPool());
    assertThat(shared).isEqualTo(alone);
    assertThat(alone.chances().stream().mapToDouble(TouchChances.Chance::touchesFirst).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(alone.chances().stream().mapToDouble(TouchChances.Chance::carries).sum())
        .isCloseTo(3, within(1e-9));
  }
}
