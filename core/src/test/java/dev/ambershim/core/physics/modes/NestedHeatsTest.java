package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.conduction.Stacks;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;

/**
 * Cores that lie over the even heat of a die: the same heat written as tiles has the same peaks.
 */
class NestedHeatsTest {
  private static final Patch DIE = new Patch(0, 0, 16, 10);
  private static final double EVEN_WATTS = 40;
  private static final double CORE_WATTS = 20;

  /** Two cores close to each other, off the middle, so that no place is hottest by symmetry. */
  private static final List<Patch> CORES =
      List.of(new Patch(-4.3, 1.7, 2.2, 3.1), new Patch(-1.6, 1.7, 2.2, 3.1));

  private static StackCase heated(List<HeatSource> heat) {
    StackCase stack = Stacks.lidded();
    return new StackCase(
        stack.layers(), heat, stack.filmWattsPerSquareMetreKelvin(), stack.coolantCelsius());
  }

  private static List<HeatSource> nested() {
    List<HeatSource> all = new ArrayList<>();
    all.add(HeatSource.steady("die", DIE, EVEN_WATTS));
    for (int c = 0; c < CORES.size(); c++) {
      all.add(HeatSource.steady("core " + c, CORES.get(c), CORE_WATTS));
    }
    return all;
  }

  /** The die cut along the cores' edges; a core's tile has the core's heat as well. */
  private static List<HeatSource> tiles() {
    double[] xs = {-8, -5.4, -3.2, -2.7, -0.5, 8};
    double[] ys = {-5, 0.15, 3.25, 5};
    List<HeatSource> all = new ArrayList<>();
    for (int i = 0; i + 1 < xs.length; i++) {
      for (int j = 0; j + 1 < ys.length; j++) {
        double wide = xs[i + 1] - xs[i];
        double deep = ys[j + 1] - ys[j];
        Patch tile = new Patch((xs[i] + xs[i + 1]) / 2, (ys[j] + ys[j + 1]) / 2, wide, deep);
        boolean core = j == 1 && (i == 1 || i == 3);
        double watts = EVEN_WATTS * wide * deep / 160 + (core ? CORE_WATTS : 0);
        all.add(HeatSource.steady(core ? "core " + i / 2 : i + " " + j, tile, watts));
      }
    }
    return all;
  }

  private static double peak(StackSolution solution, String name) {
    return solution.sources().stream()
        .filter(s -> s.name().equals(name))
        .findFirst()
        .orElseThrow()
        .peakCelsius();
  }

  @Test
  void peaksDoNotHangOnHowTheHeatIsWritten() {
    SteadySolver solver = SteadySolver.plain();
    StackSolution nested = solver.solve(heated(nested()), OptionalLong.empty(), 2e-4);
    StackSolution tiled = solver.solve(heated(tiles()), OptionalLong.empty(), 2e-4);
    double told = nested.discretisationErrorKelvin() + tiled.discretisationErrorKelvin();
    for (String core : List.of("core 0", "core 1")) {
      assertThat(peak(nested, core)).isCloseTo(peak(tiled, core), within(told));
    }
    assertThat(peak(nested, "die")).isCloseTo(tiled.peakCelsius(), within(told));
    assertThat(told).isLessThan(4e-4 * (nested.peakCelsius() - 25));
  }
}
