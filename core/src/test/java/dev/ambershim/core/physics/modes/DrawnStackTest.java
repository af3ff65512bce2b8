package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.conduction.Stacks;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.Arrays;
import java.util.OptionalLong;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Draws of joints and heats against the solver itself. */
@Tag("slow")
class DrawnStackTest {
  private static StackCase drawn(StackCase stack, Random random) {
    StackLayer inner = stack.layers().get(1);
    StackLayer outer = stack.layers().get(3);
    double[] watts = new double[8];
    Arrays.setAll(watts, s -> 5 + 25 * random.nextDouble());
    double t = 30 + 60 * random.nextDouble();
    double bent = 20 * random.nextDouble();
    return stack
        .withLayer(
            1,
            StackLayer.joint(inner.name(), 5, inner.patches().get(0), t)
                .withMap(
                    new ThicknessMap.Plane(
                        2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1)))
        .withLayer(
            3,
            StackLayer.joint(outer.name(), 5, outer.patches().get(0), 50)
                .withMap(
                    new ThicknessMap.Grid(
                        new double[] {-17, 0, 17},
                        new double[] {-17, 0, 17},
                        new double[][] {
                          {50 + bent, 50, 50 + bent}, {50, 40, 50}, {50 + bent, 50, 50 + bent}
                        })))
        .withWatts(watts);
  }

  @Test
  void aDrawIsRightToHalfAPercent() {
    StackCase stack = Stacks.lidded();
    DrawnStack quick = new DrawnStack(stack, SolveWatch.NONE);
    Random random = new Random(4);
    for (int i = 0; i < 10; i++) {
      StackCase now = drawn(stack, random);
      DrawnStack.Draw draw = quick.with(now);
      StackSolution exact = SteadySolver.plain().solve(now, OptionalLong.empty(), 0.0005);
      for (int s = 0; s < 8; s++) {
        double rise = exact.sources().get(s).meanCelsius() - 25;
        assertThat(draw.celsius()[s] - 25).isCloseTo(rise, within(0.005 * rise));
      }
    }
  }

  @Test
  void itTellsHowEveryCellAndTheFilmMoveEverySource() {
    StackCase stack = drawn(Stacks.lidded(), new Random(9));
    DrawnStack quick = new DrawnStack(stack, SolveWatch.NONE);
    DrawnStack.Draw draw = quick.with(stack);
    assertThat(draw.byResistance()[0]).hasSize(quick.cells());
    // A contact resistance of 1 mm²·K/W on the inner joint adds 1e-6 / area to each of its cells.
    StackCase more = stack.withLayer(1, stack.layers().get(1).withContact(1));
    double[] there = quick.with(more).celsius();
    Boxes boxes = DrawnStack.coarse(stack);
    Contact inner = boxes.contacts.get(0);
    for (int s = 0; s < 8; s++) {
      double told = 0;
      int n = 0;
      for (int i = 0; i < inner.columns(); i++) {
        for (int j = 0; j < inner.rows(); j++) {
          told += draw.byResistance()[s][n++] * 1e-6 / inner.area()[i][j];
        }
      }
      double moved = there[s] - draw.celsius()[s];
      assertThat(told).isCloseTo(moved, within(0.08 * moved));
    }
    StackSolution warm =
        SteadySolver.plain().solve(stack.withFilm(5900), OptionalLong.empty(), 0.0002);
    StackSolution cool =
        SteadySolver.plain().solve(stack.withFilm(6100), OptionalLong.empty(), 0.0002);
    for (int s = 0; s < 8; s++) {
      double slope =
          (cool.sources().get(s).meanCelsius() - warm.sources().get(s).meanCelsius()) / 200;
      assertThat(draw.byFilm()[s]).isCloseTo(slope, within(0.02 * Math.abs(slope)));
    }
  }

  @Test
  void whatItWasNotWrittenOutForIsRefused() {
    DrawnStack quick = new DrawnStack(Stacks.lidded(), SolveWatch.NONE);
    assertThatThrownBy(() -> quick.with(Stacks.lidded().withFilm(5000)))
        .isInstanceOf(IllegalArgumentException.class);
    StackCase thicker =
        Stacks.lidded().withLayer(2, StackLayer.solid("lid", 401, new Patch(0, 0, 34, 34), 3000));
    assertThatThrownBy(() -> quick.with(thicker)).isInstanceOf(IllegalArgumentException.class);
    StackCase aluminium =
        Stacks.lidded().withLayer(2, StackLayer.solid("lid", 237, new Patch(0, 0, 34, 34), 2200));
    assertThatThrownBy(() -> quick.with(aluminium)).isInstanceOf(IllegalArgumentException.class);
  }
}
