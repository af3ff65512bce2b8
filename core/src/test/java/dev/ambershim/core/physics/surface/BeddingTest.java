package dev.ambershim.core.physics.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleBounds;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.BOBYQAOptimizer;
import org.junit.jupiter.api.Test;

/** How a flat face beds down, against what has to balance and against another way to find it. */
class BeddingTest {
  private static final double GRAIN = 2;
  private static final double[] XS = {-9, -6, -1, 3, 8, 11};
  private static final double[] YS = {2, 3, 7, 12};
  private static final double X0 = 1;
  private static final double Y0 = 7;

  private static double[][] drawn(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double[][] h = new double[YS.length][XS.length];
    for (double[] row : h) {
      for (int i = 0; i < row.length; i++) {
        row[i] = 20 * random.nextDouble();
      }
    }
    return h;
  }

  /** What bears has no moment about the load, and nothing stands through the face. */
  @Property(tries = 50)
  void whatBearsBalances(@ForAll @LongRange(min = 1, max = 1_000_000) long seed) {
    double[][] h = drawn(seed);
    ReferencePlane plane = Bedding.on(XS, YS, h);
    double least = Double.POSITIVE_INFINITY;
    double force = 0;
    double alongX = 0;
    double alongY = 0;
    for (int j = 0; j < YS.length; j++) {
      for (int i = 0; i < XS.length; i++) {
        double gap = plane.at(XS[i], YS[j]) - h[j][i];
        double bears = Math.exp(-gap / GRAIN);
        least = Math.min(least, gap);
        force += bears;
        alongX += bears * (XS[i] - X0);
        alongY += bears * (YS[j] - Y0);
      }
    }
    assertThat(least).isCloseTo(0, within(1e-9));
    assertThat(alongX / force).isCloseTo(0, within(1e-4));
    assertThat(alongY / force).isCloseTo(0, within(1e-4));
  }

  /** Hipparchus' search by trust regions, which takes no slope, over the same soft height. */
  @Property(tries = 10)
  void aSearchWithoutSlopesFindsTheSame(@ForAll @LongRange(min = 1, max = 1_000_000) long seed) {
    double[][] h = drawn(seed);
    double[] found =
        new BOBYQAOptimizer(5, 1, 1e-9)
            .optimize(
                new MaxEval(5000),
                new ObjectiveFunction(p -> soft(h, p[0], p[1])),
                GoalType.MINIMIZE,
                new SimpleBounds(new double[] {-30, -30}, new double[] {30, 30}),
                new InitialGuess(new double[] {0, 0}))
            .getPoint();
    ReferencePlane plane = Bedding.on(XS, YS, h);
    assertThat(plane.xSlope()).isCloseTo(found[0], within(1e-4));
    assertThat(plane.ySlope()).isCloseTo(found[1], within(1e-4));
  }

  private static double soft(double[][] h, double a, double b) {
    double sum = 0;
    for (int j = 0; j < YS.length; j++) {
      for (int i = 0; i < XS.length; i++) {
        sum += Math.exp((h[j][i] - a * (XS[i] - X0) - b * (YS[j] - Y0)) / GRAIN);
      }
    }
    return GRAIN * Math.log(sum);
  }

  @Test
  void onThreeSeparatePlacesItRestsAsAPlateDoes() {
    double[][] h = new double[YS.length][XS.length];
    h[0][0] = 500;
    h[0][5] = 560;
    h[3][2] = 520;
    ReferencePlane plane = Bedding.on(XS, YS, h);
    // The plane through (-9, 2, 500), (11, 2, 560) and (-1, 12, 520).
    assertThat(plane.xSlope()).isCloseTo(3, within(0.4));
    assertThat(plane.ySlope()).isCloseTo(-0.4, within(0.4));
    assertThat(plane.at(11, 2)).isCloseTo(560, within(3.0));
  }

  @Test
  void levelPlacesLeaveItLevel() {
    ReferencePlane plane = Bedding.on(XS, YS, new double[YS.length][XS.length]);
    // More places lie left of the middle than right of it, so a soft joint tips it a little.
    assertThat(plane.tiltDegrees()).isLessThan(0.01);
    double[] even = {-10, -5, 0, 5, 10};
    assertThat(Bedding.on(even, even, new double[5][5]).tiltDegrees()).isCloseTo(0, within(1e-9));
  }
}
