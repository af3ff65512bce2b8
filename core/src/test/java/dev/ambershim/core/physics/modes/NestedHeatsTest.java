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
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

/**
 * Heats that lie over each other: cut into tiles that do not, the same heat has the same peaks, to
 * the told errors.
 */
class NestedHeatsTest {
  private static final double SHARE = 2e-4;

  private static HeatSource heat(double x, double y, double wide, double deep, double watts) {
    return HeatSource.steady(x + " " + y, new Patch(x, y, wide, deep), watts);
  }

  private static StackSolution solved(List<HeatSource> heat) {
    StackCase stack = Stacks.lidded();
    StackCase heated =
        new StackCase(
            stack.layers(), heat, stack.filmWattsPerSquareMetreKelvin(), stack.coolantCelsius());
    return SteadySolver.plain().solve(heated, OptionalLong.empty(), SHARE);
  }

  /** The same heat on the rectangles between all edges. */
  private static List<HeatSource> tiles(List<HeatSource> heats) {
    double[] xs = edges(heats, true);
    double[] ys = edges(heats, false);
    List<HeatSource> all = new ArrayList<>();
    for (int i = 0; i + 1 < xs.length; i++) {
      for (int j = 0; j + 1 < ys.length; j++) {
        double x = (xs[i] + xs[i + 1]) / 2;
        double y = (ys[j] + ys[j + 1]) / 2;
        double area = (xs[i + 1] - xs[i]) * (ys[j + 1] - ys[j]);
        double watts = 0;
        for (HeatSource h : heats) {
          Patch p = h.patch();
          watts +=
              p.holds(x, y) ? h.watts() * area / (p.widthMillimetres() * p.depthMillimetres()) : 0;
        }
        if (watts > 0) {
          all.add(heat(x, y, xs[i + 1] - xs[i], ys[j + 1] - ys[j], watts));
        }
      }
    }
    return all;
  }

  private static double[] edges(List<HeatSource> heats, boolean alongX) {
    return heats.stream()
        .map(HeatSource::patch)
        .flatMapToDouble(
            p ->
                alongX
                    ? DoubleStream.of(p.leftMillimetres(), p.rightMillimetres())
                    : DoubleStream.of(p.lowMillimetres(), p.highMillimetres()))
        .sorted()
        .distinct()
        .toArray();
  }

  private static void alike(List<HeatSource> heats) {
    List<HeatSource> tiles = tiles(heats);
    StackSolution over = solved(heats);
    StackSolution cut = solved(tiles);
    double told = over.discretisationErrorKelvin() + cut.discretisationErrorKelvin();
    assertThat(told).isLessThan(2 * SHARE * (over.peakCelsius() - 25));
    for (int h = 0; h < heats.size(); h++) {
      Patch patch = heats.get(h).patch();
      double hottest = 0;
      for (int t = 0; t < tiles.size(); t++) {
        Patch tile = tiles.get(t).patch();
        if (patch.holds(tile.xMillimetres(), tile.yMillimetres())) {
          hottest = Math.max(hottest, cut.sources().get(t).peakCelsius());
        }
      }
      assertThat(over.sources().get(h).peakCelsius()).isCloseTo(hottest, within(told));
    }
  }

  /** Two cores close to each other, off the middle, so that no place is hottest by symmetry. */
  @Test
  void coresOverTheEvenHeatOfTheirDie() {
    alike(
        List.of(
            heat(0, 0, 16, 10, 40), heat(-4.3, 1.7, 2.2, 3.1, 20), heat(-1.6, 1.7, 2.2, 3.1, 20)));
  }

  @Test
  void heatsThatOverlapInPart() {
    alike(List.of(heat(-3, 0, 5, 4, 20), heat(-0.5, 1.25, 3, 3.5, 45)));
    alike(List.of(heat(-3, 0, 5, 4, 60), heat(-0.5, 1.25, 3, 3.5, 5), heat(5, -3, 2, 2, 12)));
  }
}
