package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.physics.conduction.StackSolution;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A stack on one grid that is solved again and again as figures change: each solution starts from
 * the one before. What the change leaves as it was (grid, matrix, preconditioner) is kept. Used by
 * one thread at a time.
 */
public final class LiveCells {
  /**
   * Relative residual that leaves temperatures right to a few thousandths of the rise's percent.
   */
  public static final double FOR_A_PICTURE = 1e-6;

  /** Relative residual for figures that are compared or differentiated. */
  public static final double FOR_FIGURES = 1e-8;

  private final Team team;
  private StackGrid grid;
  private Conductances matrix;
  private ConjugateGradients solver;
  private double[][] rise;
  private StackField field;
  private double watts;
  private int iterations;

  /**
   * Lays the grid.
   *
   * @param cells about how many
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   */
  public LiveCells(StackCase stack, long cells, Team team) {
    StackRules.check(stack);
    this.team = team;
    grid = StackGrid.ofAbout(stack, cells);
  }

  /** Cells along x, y and z, those that lie in no layer included. */
  public int[] shape() {
    return new int[] {grid.x.cells(), grid.y.cells(), grid.slices()};
  }

  /** Cells that lie in a layer. */
  public long cells() {
    return grid.cells();
  }

  /** The temperatures of a changed stack, good enough for figures. */
  public StackSolution update(StackCase stack, SolveWatch watch) {
    return update(stack, FOR_FIGURES, watch);
  }

  /**
   * The temperatures of a changed stack. Layers must keep their footprints, solids their thickness
   * and sources their places; leakage and falling conductivity are left out.
   *
   * @param tolerance relative residual to reach, such as {@link #FOR_A_PICTURE}
   * @return a solution that carries no discretisation error of its own (NaN)
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws IllegalArgumentException if the geometry changed
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public StackSolution update(StackCase stack, double tolerance, SolveWatch watch) {
    if (!sameGeometry(grid.stack, stack)) {
      throw new IllegalArgumentException("the geometry changed; lay a new grid");
    }
    StackRules.check(stack);
    boolean sameMatrix =
        solver != null
            && grid.stack.layers().equals(stack.layers())
            && grid.stack.filmWattsPerSquareMetreKelvin() == stack.filmWattsPerSquareMetreKelvin();
    grid = grid.with(stack);
    if (!sameMatrix) {
      matrix = Conductances.of(grid, null);
      solver = null; // its memory is free before the next takes as much
      solver = new ConjugateGradients(matrix, team);
    }
    double[] each = stack.heat().stream().mapToDouble(HeatSource::watts).toArray();
    double sum = Arrays.stream(each).sum();
    if (rise == null) {
      rise = matrix.field();
    } else if (watts > 0) {
      for (double[] row : rise) {
        for (int i = 0; i < row.length; i++) {
          row[i] *= sum / watts;
        }
      }
    }
    watts = sum;
    solver.solve(StackField.load(grid, matrix, each), rise, tolerance, watch);
    iterations = solver.iterations();
    field = new StackField(grid, matrix, null, rise, each);
    List<StackSolution.Source> sources = field.sources();
    return new StackSolution(
        sources,
        field.peak(),
        field.layers(),
        sum,
        sum == 0 ? 0 : (sum - field.leaving()) / sum,
        Double.NaN,
        grid.cells(),
        iterations,
        Optional.of(field.map()));
  }

  /**
   * Mean temperatures of each layer's faces in the shadow of some patches, °C, in the latest
   * solution; not a number for a layer that does not lie over them.
   *
   * @throws IllegalStateException before the first solution
   */
  public List<StackSolution.Layer> layersOver(List<Patch> patches) {
    if (field == null) {
      throw new IllegalStateException("nothing is solved yet");
    }
    return field.layersOver(patches);
  }

  /** Whether a stack can be solved on another's grid. */
  public static boolean sameGeometry(StackCase a, StackCase b) {
    if (a.layers().size() != b.layers().size() || a.heat().size() != b.heat().size()) {
      return false;
    }
    for (int l = 0; l < a.layers().size(); l++) {
      StackLayer p = a.layers().get(l);
      StackLayer q = b.layers().get(l);
      if (p.crossing() != q.crossing()
          || !p.patches().equals(q.patches())
          || (!p.crossing() && p.thicknessMicrometres() != q.thicknessMicrometres())) {
        return false;
      }
    }
    for (int s = 0; s < a.heat().size(); s++) {
      if (!a.heat().get(s).patch().equals(b.heat().get(s).patch())) {
        return false;
      }
    }
    return true;
  }
}
