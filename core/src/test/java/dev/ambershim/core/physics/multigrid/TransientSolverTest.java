package dev.ambershim.core.physics.multigrid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.conduction.Stacks;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.special.Erf;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The solution in time against solutions that are known exactly. */
@Tag("slow")
class TransientSolverTest {
  private static final double COPPER = 3.44e6;

  private static List<TransientSolver.Moment> run(
      StackCase stack, long cells, double[] seconds, double[][] watts) {
    return new TransientSolver(stack, cells, Team.alone(), SolveWatch.NONE).run(seconds, watts);
  }

  /** Incropera &amp; DeWitt, section 5.1: with a small Biot number T = Q/(hA)·(1 − exp(−t/τ)). */
  @Test
  void aSmallBiotNumberIsALumpedExponential() {
    Patch face = new Patch(0, 0, 20, 20);
    double film = 50;
    StackCase stack =
        new StackCase(
            List.of(StackLayer.solid("block", 401, face, 2000).withHeatCapacity(COPPER)),
            List.of(HeatSource.steady("all", face, 0)),
            film,
            20);
    assertThat(film * 2e-3 / 401).isLessThan(1e-3);
    double[] seconds = {0, 20, 60, 140, 300, 420, 600};
    // On for five minutes, then off.
    double[][] watts = {{4}, {4}, {4}, {4}, {0}, {0}, {0}};
    List<TransientSolver.Moment> moments = run(stack, 400, seconds, watts);
    double whole = 4 / (film * 4e-4);
    double tau = COPPER * 2e-3 / film;
    double atEnd = whole * (1 - Math.exp(-300 / tau));
    for (int i = 1; i < seconds.length; i++) {
      double exact =
          seconds[i] <= 300
              ? whole * (1 - Math.exp(-seconds[i] / tau))
              : atEnd * Math.exp(-(seconds[i] - 300) / tau);
      assertThat(moments.get(i).sources().get(0).meanCelsius() - 20)
          .as("at %s s", seconds[i])
          .isCloseTo(exact, within(0.005 * exact));
    }
  }

  /**
   * A half-space with a steady flux from t = 0: T(z, t) = 2q√(αt/π)/k·exp(−z²/4αt) −
   * qz/k·erfc(z/2√(αt)). Carslaw &amp; Jaeger, section 2.9. The block is so thick that its far face
   * does not feel it.
   */
  @Test
  void aThickBlockFollowsTheErrorFunction() {
    Patch face = new Patch(0, 0, 1, 1);
    double k = 401;
    // Thin layers near the heated face, so that the slices resolve the young profile.
    List<StackLayer> layers = new ArrayList<>();
    for (double micrometres : new double[] {500, 1500, 5000}) {
      for (int i = 0; i < 8; i++) {
        layers.add(StackLayer.solid("slab", k, face, micrometres).withHeatCapacity(COPPER));
      }
    }
    layers.add(StackLayer.solid("far", k, face, 100_000).withHeatCapacity(COPPER));
    StackCase stack = new StackCase(layers, List.of(HeatSource.steady("all", face, 0)), 1000, 0);
    double[] seconds = {0, 0.05, 0.2, 0.8, 3};
    double[][] watts = {{1}, {1}, {1}, {1}, {1}};
    TransientSolver solver = new TransientSolver(stack, 6_000, Team.alone(), SolveWatch.NONE);
    List<TransientSolver.Moment> moments = solver.run(seconds, watts);
    double flux = 1 / 1e-6;
    double alpha = k / COPPER;
    for (int i = 1; i < seconds.length; i++) {
      double surface = 2 * flux / k * Math.sqrt(alpha * seconds[i] / Math.PI);
      assertThat(moments.get(i).sources().get(0).meanCelsius())
          .as("at %s s", seconds[i])
          .isCloseTo(surface, within(0.005 * surface));
    }
    double z = 4e-3;
    double reach = 2 * Math.sqrt(alpha * 3);
    double inside =
        2 * flux / k * Math.sqrt(alpha * 3 / Math.PI) * Math.exp(-z * z / reach / reach)
            - flux * z / k * Erf.erfc(z / reach);
    assertThat(solver.lastLayers().get(7).topMeanCelsius())
        .isCloseTo(inside, within(0.005 * inside));
  }

  @Test
  void inTheEndItIsSteady() {
    StackCase lidded = Stacks.lidded();
    StackCase stack =
        new StackCase(
            lidded.layers().stream().map(l -> l.crossing() ? l : l.withHeatCapacity(3e6)).toList(),
            lidded.heat(),
            lidded.filmWattsPerSquareMetreKelvin(),
            25);
    double[] watts = {18, 18, 18, 18, 18, 18, 18, 18};
    List<TransientSolver.Moment> moments =
        run(stack, 6000, new double[] {0, 1, 400}, new double[][] {watts, watts, watts});
    StackSolution steady = new LiveCells(stack, 6000, Team.alone()).update(stack, SolveWatch.NONE);
    assertThat(moments.get(0).peakCelsius()).isEqualTo(25);
    assertThat(moments.get(1).peakCelsius()).isBetween(40.0, steady.peakCelsius());
    assertThat(moments.get(2).peakCelsius()).isCloseTo(steady.peakCelsius(), within(0.01));
  }

  @Test
  void itRefusesWhatItCannotReckonWith() {
    StackCase stack = Stacks.lidded();
    assertThatThrownBy(() -> new TransientSolver(stack, 1000, Team.alone(), SolveWatch.NONE))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("die")
        .hasMessageContaining("heat capacity");
    StackCase falling =
        stack.withLayer(
            0, stack.layers().get(0).withHeatCapacity(1.6e6).withFall(StackLayer.Fall.SILICON));
    assertThatThrownBy(() -> new TransientSolver(falling, 1000, Team.alone(), SolveWatch.NONE))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("steady cases only");
  }
}
