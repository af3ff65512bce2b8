package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;
import net.jqwik.api.constraints.IntRange;

/** What must hold of any stack of boxes. */
@Tag("slow")
class ModesPropertiesTest {
  private static final double COOLANT = 25;

  /** One to three dies of 0.15 to 0.85 mm, with or without lid, joints, maps and fins; invented. */
  private static StackCase stack(int seed) {
    Random r = new Random(seed);
    double w = 6 + 20 * r.nextDouble();
    double d = 6 + 14 * r.nextDouble();
    List<Patch> dies = new ArrayList<>();
    int kind = r.nextInt(4);
    if (kind == 1) {
      dies.add(new Patch(-w / 2 - 1, 0.7, w * 0.8, d));
      dies.add(new Patch(w / 2 + 0.5, -1, w * 0.7, d * 0.6));
    } else if (kind == 2) {
      dies.add(new Patch(0, d * 0.7, w, d));
      dies.add(new Patch(-w * 0.4, -d * 0.6, w * 0.5, d * 0.8));
      dies.add(new Patch(w * 0.45, -d * 0.62, w * 0.5, d * 0.9));
    } else {
      dies.add(new Patch(2 * r.nextDouble() - 1, 2 * r.nextDouble() - 1, w, d));
    }
    List<StackLayer> layers = new ArrayList<>();
    double thick = 150 + 700 * r.nextDouble();
    layers.add(StackLayer.solid("die", 100 + 50 * r.nextDouble(), dies.get(0), thick).over(dies));
    StackLayer inner =
        StackLayer.joint(
                "inner joint", r.nextBoolean() ? 5 : 30, dies.get(0), 20 + 60 * r.nextDouble())
            .over(dies)
            .withContact(4 * r.nextDouble());
    if (r.nextInt(3) == 0) {
      inner =
          inner.withMap(
              new ThicknessMap.Grid(
                  new double[] {-5, 0, 6},
                  new double[] {-6, 1, 5},
                  new double[][] {{20, 40, 30}, {60, 25, 30}, {30, 35, 80}}));
    }
    layers.add(inner);
    double lidWidth = 3 * w + 4;
    double lidDepth = 3 * d + 2;
    if (r.nextInt(4) > 0) {
      Patch lid = new Patch(r.nextDouble(), r.nextDouble(), lidWidth, lidDepth);
      layers.add(StackLayer.solid("lid", 390, lid, 1000 + 2000 * r.nextDouble()));
      layers.add(
          StackLayer.joint(
                  "outer joint",
                  r.nextBoolean() ? 4 : 60,
                  new Patch(0, 0, lidWidth * 0.9, lidDepth),
                  30 + 100 * r.nextDouble())
              .withContact(5 * r.nextDouble()));
    }
    layers.add(
        StackLayer.solid(
            "plate",
            r.nextBoolean() ? 390 : 200,
            new Patch(0.5, -0.5, lidWidth * 1.3, lidDepth * 1.2),
            2000 + 4000 * r.nextDouble()));
    if (r.nextInt(3) == 0) {
      layers.add(
          StackLayer.solid("fins", 390, new Patch(0, 0, lidWidth * 0.8, lidDepth * 0.7), 150));
    }
    List<HeatSource> heat = new ArrayList<>();
    int count = 1 + r.nextInt(8);
    for (int i = 0; i < count; i++) {
      Patch on = dies.get(r.nextInt(dies.size()));
      double width = on.widthMillimetres() * (0.1 + 0.3 * r.nextDouble());
      double depth = on.depthMillimetres() * (0.1 + 0.3 * r.nextDouble());
      double x =
          on.leftMillimetres() + width / 2 + r.nextDouble() * (on.widthMillimetres() - width);
      double y = on.lowMillimetres() + depth / 2 + r.nextDouble() * (on.depthMillimetres() - depth);
      heat.add(
          HeatSource.steady("core " + i, new Patch(x, y, width, depth), 5 + 30 * r.nextDouble()));
    }
    return new StackCase(layers, heat, 2000 + 15_000 * r.nextDouble(), COOLANT);
  }

  @Property(tries = 12, shrinking = ShrinkingMode.OFF, seed = "7")
  void heatInIsHeatOutNothingIsBelowTheCoolantAndTheToldErrorHolds(
      @ForAll @IntRange(min = 1, max = 1_000_000) int seed) {
    StackCase stack = stack(seed);
    StackSolution s = SteadySolver.plain().solve(stack, OptionalLong.empty(), 0.003);
    StackSolution finer =
        SteadySolver.on(stack, SteadySolver.width(stack) / 12, Team.alone(), SolveWatch.NONE)
            .solution(false);
    assertThat(Math.abs(s.energyImbalanceRelative())).isLessThan(1e-9);
    double bound = s.discretisationErrorKelvin() + finer.discretisationErrorKelvin();
    for (int i = 0; i < stack.heat().size(); i++) {
      StackSolution.Source a = s.sources().get(i);
      StackSolution.Source b = finer.sources().get(i);
      assertThat(a.meanCelsius()).isGreaterThan(COOLANT).isLessThanOrEqualTo(a.peakCelsius());
      assertThat(a.meanCelsius()).isCloseTo(b.meanCelsius(), within(bound));
      assertThat(a.peakCelsius()).isCloseTo(b.peakCelsius(), within(bound));
    }
    for (StackSolution.Layer layer : s.layers()) {
      assertThat(layer.topMeanCelsius()).isGreaterThan(COOLANT);
      assertThat(layer.bottomMeanCelsius())
          .isGreaterThan(layer.topMeanCelsius() - s.discretisationErrorKelvin());
    }
  }

  /** Eight layers, each wider than the one below, and many small heats across each other. */
  private static StackCase crowded(int seed) {
    Random r = new Random(seed);
    double w = 8 + 12 * r.nextDouble();
    double d = 8 + 12 * r.nextDouble();
    List<HeatSource> heat = new ArrayList<>();
    for (int i = 0; i < 16; i++) {
      double width = 1 + 3 * r.nextDouble();
      double depth = 1 + 3 * r.nextDouble();
      double x = (r.nextDouble() - 0.5) * (w - width);
      double y = (r.nextDouble() - 0.5) * (d - depth);
      Patch on = new Patch(x, y, width, depth);
      heat.add(HeatSource.steady("core " + i, on, 2 + 18 * r.nextDouble()));
    }
    List<StackLayer> layers = new ArrayList<>();
    Patch at = new Patch(0, 0, w, d);
    for (int l = 0; l < 4; l++) {
      double thick = l == 0 ? 250 + 600 * r.nextDouble() : 500 + 4000 * r.nextDouble();
      double k = l == 0 ? 120 : Math.pow(10, 1.7 + 0.9 * r.nextDouble());
      layers.add(StackLayer.solid("solid " + l, k, at, thick));
      double joint = Math.pow(10, 0.3 + 1.6 * r.nextDouble());
      layers.add(StackLayer.joint("joint " + l, joint, at, 15 + 130 * r.nextDouble()));
      double wider = at.widthMillimetres() * (1 + 0.8 * r.nextDouble());
      double deeper = at.depthMillimetres() * (1 + 0.8 * r.nextDouble());
      at =
          new Patch(
              at.xMillimetres() + (r.nextDouble() - 0.5) * (wider - at.widthMillimetres()),
              at.yMillimetres() + (r.nextDouble() - 0.5) * (deeper - at.depthMillimetres()),
              wider,
              deeper);
    }
    return new StackCase(layers, heat, Math.pow(10, 3.5 + 1.2 * r.nextDouble()), COOLANT);
  }

  @Property(tries = 10, shrinking = ShrinkingMode.OFF, seed = "11")
  void theToldErrorHoldsWhereManyHeatsOverlap(
      @ForAll @IntRange(min = 1, max = 1_000_000) int seed) {
    StackCase stack = crowded(seed);
    StackSolution told = SteadySolver.plain().solve(stack, OptionalLong.empty(), 1e-3);
    StackSolution finer = SteadySolver.plain().solve(stack, OptionalLong.empty(), 1e-4);
    double rise = finer.peakCelsius() - COOLANT;
    assertThat(told.discretisationErrorKelvin()).isLessThan(1e-3 * rise);
    double bound = told.discretisationErrorKelvin() + finer.discretisationErrorKelvin();
    for (int i = 0; i < stack.heat().size(); i++) {
      StackSolution.Source a = told.sources().get(i);
      StackSolution.Source b = finer.sources().get(i);
      assertThat(a.meanCelsius()).isCloseTo(b.meanCelsius(), within(bound));
      assertThat(a.peakCelsius()).isCloseTo(b.peakCelsius(), within(bound));
    }
  }

  /** Maxwell's reciprocity, whatever lies in between, to the told errors. */
  @Property(tries = 6, shrinking = ShrinkingMode.OFF, seed = "8")
  void eachSourceWarmsEachAlike(@ForAll @IntRange(min = 1, max = 1_000_000) int seed) {
    StackCase stack = stack(seed);
    int n = stack.heat().size();
    List<StackSolution> alone = new ArrayList<>();
    for (int s = 0; s < n; s++) {
      double[] watts = new double[n];
      watts[s] = 10;
      alone.add(SteadySolver.plain().solve(stack.withWatts(watts), OptionalLong.empty(), 0.003));
    }
    for (int a = 0; a < n; a++) {
      for (int b = 0; b < a; b++) {
        double bound =
            alone.get(a).discretisationErrorKelvin() + alone.get(b).discretisationErrorKelvin();
        assertThat(alone.get(a).sources().get(b).meanCelsius())
            .isCloseTo(alone.get(b).sources().get(a).meanCelsius(), within(bound));
      }
    }
  }
}
