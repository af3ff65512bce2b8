package dev.ambershim.core.physics.multigrid;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.Stacks;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Multigrid and conjugate gradients against EJML's sparse direct solution of the same volumes. */
class DirectSolutionTest {
  /** Largest difference of any cell as a share of the largest rise. */
  private static double difference(StackCase stack, long cells, double tolerance) {
    StackGrid grid = StackGrid.ofAbout(stack, cells);
    double[] direct = DirectSolution.of(grid);
    Conductances matrix = Conductances.of(grid, null);
    double[] watts = stack.heat().stream().mapToDouble(HeatSource::watts).toArray();
    double[][] x = matrix.field();
    new ConjugateGradients(matrix, Team.alone())
        .solve(StackField.load(grid, matrix, watts), x, tolerance, SolveWatch.NONE);
    double most = 0;
    double highest = 0;
    int columns = matrix.nx * matrix.ny;
    for (int k = 0; k < matrix.nz; k++) {
      for (int c = 0; c < columns; c++) {
        double exact = direct[k * columns + c];
        if (!Double.isNaN(exact)) {
          double mine = x[(c / matrix.nx) * matrix.nz + k][c % matrix.nx];
          most = Math.max(most, Math.abs(mine - exact));
          highest = Math.max(highest, exact);
        }
      }
    }
    return most / highest;
  }

  @Test
  void aLiddedStackAgrees() {
    assertThat(difference(Stacks.lidded(), 3000, 1e-11)).isLessThan(1e-8);
  }

  @Test
  void wedgesBowsPatchesAndContactsAgree() {
    List<Patch> dies = List.of(new Patch(-6, 1, 7, 8), new Patch(5, -2, 5, 5));
    Patch lid = new Patch(0, 0, 30, 26);
    ThicknessMap bow =
        new ThicknessMap.Grid(
            new double[] {-15, 0, 15},
            new double[] {-13, 0, 13},
            new double[][] {{90, 60, 90}, {70, 20, 70}, {90, 60, 90}});
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("dies", 120, dies.get(0), 600).over(dies),
                StackLayer.joint("inner", 20, dies.get(0), 40)
                    .over(dies)
                    .withContact(2)
                    .withMap(new ThicknessMap.Plane(1.5, -2)),
                StackLayer.solid("lid", 401, lid, 2000).withContact(3),
                StackLayer.joint("outer", 6, lid, 50).withMap(bow),
                StackLayer.solid("plate", 237, new Patch(4, 3, 44, 40), 3000)),
            List.of(
                new HeatSource("a", new Patch(-6, 1, 3, 3), 25, Optional.empty()),
                new HeatSource("b", new Patch(5, -2, 2, 4), 15, Optional.empty()),
                // Overlaps add.
                new HeatSource("c", new Patch(5, -3, 2, 2), 5, Optional.empty())),
            7000,
            25);
    assertThat(difference(stack, 3000, 1e-11)).isLessThan(1e-8);
  }

  /** Any two-layer stack of sensible sizes, with jumps up to a thousand. */
  @Property(tries = 12)
  void anyStackAgrees(
      @ForAll @DoubleRange(min = 0.4, max = 400) double below,
      @ForAll @DoubleRange(min = 0.4, max = 400) double above,
      @ForAll @DoubleRange(min = 4, max = 16) double width,
      @ForAll @DoubleRange(min = 2, max = 2000) double thickness,
      @ForAll @DoubleRange(min = 50, max = 1e5) double film) {
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", below, new Patch(1, -1, width, 6), thickness),
                StackLayer.solid("lid", above, new Patch(0, 0, 20, 20), 2000)),
            List.of(HeatSource.steady("core", new Patch(1, -1, width / 3, 2), 30)),
            film,
            25);
    // Slices of a micrometre leave a rounding of some 1e-11 in the residual.
    assertThat(difference(stack, 900, 1e-10)).isLessThan(1e-8);
  }
}
