package dev.ambershim.core.physics.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.junit.jupiter.api.Test;

/**
 * What must hold of any resting plate, and its height over the load against Hipparchus' linear
 * programme: the lowest plane there that clears every top.
 */
class RestingPropertiesTest {
  private static List<Feature> tops(long seed, int count, double tolerance) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Feature> all = new ArrayList<>();
    // Four corners far out, so that the load always lies within the feet.
    for (int i = 0; i < 4; i++) {
      all.add(
          Feature.of(
              "corner " + i,
              i % 2 == 0 ? -30 : 30,
              i < 2 ? -30 : 30,
              random.nextDouble(),
              tolerance));
    }
    for (int i = 0; i < count; i++) {
      all.add(
          Feature.of(
              "top " + i,
              50 * random.nextDouble() - 25,
              50 * random.nextDouble() - 25,
              1.2 * random.nextDouble(),
              tolerance));
    }
    return all;
  }

  private static List<Feature> moved(List<Feature> tops, double dx, double dy, double angle) {
    double c = Math.cos(angle);
    double s = Math.sin(angle);
    return tops.stream()
        .map(
            f ->
                new Feature(
                    f.name(),
                    c * f.xMillimetres() - s * f.yMillimetres() + dx,
                    s * f.xMillimetres() + c * f.yMillimetres() + dy,
                    f.height()))
        .toList();
  }

  @Property(tries = 60)
  void nothingStandsThroughThePlateAndThreeBearIt(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 0, max = 40) int count) {
    List<Feature> tops = tops(seed, count, 0);
    RestingContact rest = RestingContact.of(tops, 2, -3);
    assertThat(rest.feet()).doesNotHaveDuplicates().hasSize(3);
    for (int i = 0; i < tops.size(); i++) {
      Feature f = tops.get(i);
      double gap = rest.at(f.xMillimetres(), f.yMillimetres()) - f.height().nominal();
      assertThat(gap).isGreaterThan(-1e-9);
      if (rest.feet().contains(i)) {
        assertThat(gap).isCloseTo(0, within(1e-9));
        assertThat(rest.clearances().get(i)).isZero();
      }
    }
  }

  @Property(tries = 30)
  void itIsTheLowestPlaneOverTheLoad(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 1, max = 25) int count) {
    List<Feature> tops = tops(seed, count, 0);
    List<LinearConstraint> clear = new ArrayList<>();
    for (Feature f : tops) {
      clear.add(
          new LinearConstraint(
              new double[] {1, f.xMillimetres(), f.yMillimetres()},
              Relationship.GEQ,
              f.height().nominal()));
    }
    PointValuePair best =
        new SimplexSolver(1e-10, 10, 1e-12)
            .optimize(
                new LinearObjectiveFunction(new double[] {1, 2, -3}, 0),
                new LinearConstraintSet(clear),
                GoalType.MINIMIZE,
                new NonNegativeConstraint(false));
    RestingContact rest = RestingContact.of(tops, 2, -3);
    assertThat(rest.at(2, -3)).isCloseTo(best.getValue(), within(1e-7));
  }

  @Property(tries = 40)
  void aTurnedAndShiftedChipRestsAlike(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 0, max = 359) int degrees) {
    List<Feature> tops = tops(seed, 12, 0);
    RestingContact rest = RestingContact.of(tops, 2, -3);
    double angle = Math.toRadians(degrees);
    double x = Math.cos(angle) * 2 + Math.sin(angle) * 3 + 7;
    double y = Math.sin(angle) * 2 - Math.cos(angle) * 3 - 4;
    RestingContact turned = RestingContact.of(moved(tops, 7, -4, angle), x, y);
    assertThat(turned.touching()).containsExactlyInAnyOrderElementsOf(rest.touching());
    assertThat(turned.tiltDegrees()).isCloseTo(rest.tiltDegrees(), within(1e-7));
    for (int i = 0; i < tops.size(); i++) {
      assertThat(turned.clearances().get(i)).isCloseTo(rest.clearances().get(i), within(1e-8));
    }
  }

  @Property(tries = 40)
  void raisingAFootTakesThePlateWithItAndAClearTopDoesNot(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed) {
    List<Feature> tops = tops(seed, 10, 0);
    RestingContact rest = RestingContact.of(tops, 2, -3);
    for (int i = 0; i < tops.size(); i++) {
      Feature f = tops.get(i);
      List<Feature> other = new ArrayList<>(tops);
      double by = rest.feet().contains(i) ? 0.05 : rest.clearances().get(i) / 2;
      other.set(
          i,
          Feature.of(f.name(), f.xMillimetres(), f.yMillimetres(), f.height().nominal() + by, 0));
      double over = RestingContact.of(other, 2, -3).at(2, -3);
      if (rest.feet().contains(i)) {
        assertThat(over).isGreaterThanOrEqualTo(rest.at(2, -3) - 1e-12);
      } else {
        assertThat(over).isCloseTo(rest.at(2, -3), within(1e-9));
      }
    }
  }

  /** A large field of tops on a coarse scale of heights: many ties, and it must end. */
  @Test
  void aThousandTopsOfFewHeightsEnd() {
    SplittableRandom random = new SplittableRandom(77);
    for (int round = 0; round < 5; round++) {
      List<Feature> tops = new ArrayList<>();
      for (int i = 0; i < 32; i++) {
        for (int j = 0; j < 32; j++) {
          tops.add(Feature.of(i + "," + j, i - 15.5, j - 15.5, 0.1 * random.nextInt(3), 0));
        }
      }
      RestingContact rest = RestingContact.of(tops, 0.2, 0.1);
      assertThat(rest.touching().size()).isGreaterThanOrEqualTo(3);
      assertThat(rest.clearances()).allMatch(c -> c >= 0);
      assertThat(rest.at(0.2, 0.1)).isCloseTo(0.2, within(1e-9));
    }
  }

  /** Chances against draws of our own kind of rectangle, each plate found by the nominal solver. */
  @Test
  void chancesAgreeWithDrawingEachPlateAnew() {
    List<Feature> tops = tops(5, 6, 0.15);
    TouchChances chances = TouchChances.of(tops, 2, -3, 60_000, Runnable::run);
    Random random = new Random(12);
    int draws = 4000;
    int[] first = new int[tops.size()];
    int[] carries = new int[tops.size()];
    for (int d = 0; d < draws; d++) {
      List<Feature> drawn = new ArrayList<>();
      int highest = 0;
      for (int i = 0; i < tops.size(); i++) {
        Feature f = tops.get(i);
        double height = f.height().nominal() + 0.15 * (2 * random.nextDouble() - 1);
        drawn.add(Feature.of(f.name(), f.xMillimetres(), f.yMillimetres(), height, 0));
        if (height > drawn.get(highest).height().nominal()) {
          highest = i;
        }
      }
      first[highest]++;
      RestingContact.of(drawn, 2, -3).feet().forEach(k -> carries[k]++);
    }
    for (int i = 0; i < tops.size(); i++) {
      TouchChances.Chance chance = chances.of(tops.get(i).name());
      // Four standard errors of the coarser of both, sqrt(1/4/4000).
      assertThat(chance.touchesFirst()).isCloseTo((double) first[i] / draws, within(0.032));
      assertThat(chance.carries()).isCloseTo((double) carries[i] / draws, within(0.032));
    }
  }

  /** The triangle of a load: shares are those of a lever, by hand. */
  @Test
  void theLeastShareTellsARockingPlate() {
    List<Feature> three =
        List.of(
            Feature.of("a", 0, 0, 1, 0), Feature.of("b", 9, 0, 1, 0), Feature.of("c", 0, 9, 1, 0));
    Resting middle = new Resting(three, 3, 3);
    middle.settle(new double[] {1, 1, 1});
    assertThat(middle.leastWeight()).isCloseTo(1.0 / 3, within(1e-12));
    Resting edge = new Resting(three, 4.5, 0);
    edge.settle(new double[] {1, 1, 1});
    assertThat(edge.leastWeight()).isCloseTo(0, within(1e-12));
    assertThat(RestingContact.of(three, 4.5, 0).rocking()).isTrue();
    assertThat(RestingContact.of(three, 3, 3).rocking()).isFalse();
  }
}
