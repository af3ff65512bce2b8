package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.physics.conduction.StackSolution;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * Steady conduction by finite volumes. A conductivity that falls with temperature is taken from the
 * last temperatures until they rest (Picard); leakage is found from how much each source warms each
 * (Newton from below, which for growing, convex power reaches the lowest balance if there is one).
 *
 * <p>The discretisation error follows from the same stack on grids of twice and four times the cell
 * size (Roache 1994, <i>J. Fluids Eng.</i> 116, 405): the observed order is used between 1 and 1.5,
 * as heat crowds along the edges of footprints and a higher one is chance; and his factor of safety
 * for three grids, 1.25.
 */
public final class CellSolver {
  /** On the residual. */
  private static final double TOLERANCE = 1e-8;

  private static final double SAFETY = 1.25;

  /** By how much a step is larger than the next finer one, at least and at most. */
  private static final double LEAST_GAIN = Math.sqrt(2);

  private static final double MOST_GAIN = Math.pow(2, 1.5);

  /** Where steps go up and down. */
  private static final double UNSTEADY_GAIN = 2;

  /** Where refinement by itself starts, grows and ends. */
  private static final long FIRST_CELLS = 24_000;

  private static final int GROWTH = 4;
  private static final long MOST_CELLS = 6_200_000;

  private final Team team;
  private final SolveWatch watch;

  /**
   * How to solve.
   *
   * @param team who works
   * @param watch who watches
   */
  public CellSolver(Team team, SolveWatch watch) {
    this.team = team;
    this.watch = watch;
  }

  /** On the calling thread, unwatched. */
  public static CellSolver plain() {
    return new CellSolver(Team.alone(), SolveWatch.NONE);
  }

  /**
   * Solves on a grid of about so many cells, or refines until the discretisation error is below a
   * share of the highest rise.
   *
   * @param cells wanted number of cells, or empty to refine
   * @param errorShare of the rise, such as 0.005; not used where {@code cells} is given
   * @throws Problem {@code stack.…} if the stack cannot be, or {@code stack.runaway}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public StackSolution solve(StackCase stack, OptionalLong cells, double errorShare) {
    StackRules.check(stack);
    if (cells.isPresent()) {
      return solution(StackGrid.ofAbout(stack, cells.getAsLong()), watch);
    }
    double done = 0;
    StackSolution best = null;
    for (long wanted = FIRST_CELLS; wanted <= MOST_CELLS; wanted *= GROWTH) {
      double to = done + (1 - done) * 0.5;
      best = solution(StackGrid.ofAbout(stack, wanted), watch.part(done, to));
      done = to;
      double rise = best.peakCelsius() - stack.coolantCelsius();
      if (best.discretisationErrorKelvin() <= errorShare * rise) {
        break;
      }
    }
    return best;
  }

  private StackSolution solution(StackGrid fine, SolveWatch part) {
    StackGrid middle = fine.coarser();
    StackGrid coarse = middle.coarser();
    List<StackSolution.Source> c = field(coarse, SolveWatch.NONE).field.sources();
    part.share(0.05);
    List<StackSolution.Source> m = field(middle, part.part(0.05, 0.2)).field.sources();
    Solved solved = field(fine, part.part(0.2, 1));
    List<StackSolution.Source> f = solved.field.sources();
    double error = 0;
    for (int s = 0; s < f.size(); s++) {
      error =
          Math.max(
              error, error(c.get(s).meanCelsius(), m.get(s).meanCelsius(), f.get(s).meanCelsius()));
      error =
          Math.max(
              error, error(c.get(s).peakCelsius(), m.get(s).peakCelsius(), f.get(s).peakCelsius()));
    }
    double in = solved.field.watts();
    return new StackSolution(
        f,
        solved.field.peak(),
        solved.field.layers(),
        in,
        in == 0 ? 0 : (in - solved.field.leaving()) / in,
        error,
        fine.cells(),
        solved.iterations,
        Optional.of(solved.field.map()));
  }

  /** What is left in the finest of three values, by the order they show, held between ½ and 1.5. */
  static double error(double coarse, double middle, double fine) {
    double last = Math.abs(fine - middle);
    double before = Math.abs(middle - coarse);
    double ratio = last > 0 ? before / last : MOST_GAIN;
    boolean steady = (fine - middle) * (middle - coarse) >= 0;
    double gain = steady ? Math.min(MOST_GAIN, Math.max(LEAST_GAIN, ratio)) : UNSTEADY_GAIN;
    return SAFETY * last / (gain - 1);
  }

  private record Solved(StackField field, int iterations) {}

  private Solved field(StackGrid grid, SolveWatch part) {
    boolean falls = grid.stack.layers().stream().anyMatch(l -> l.fall().isPresent());
    double[][] conductivity = falls ? conductivity(grid, null) : null;
    double[][] x = null;
    int iterations = 0;
    StackField last = null;
    for (int round = 0; round < 60; round++) {
      Conductances matrix = Conductances.of(grid, conductivity);
      ConjugateGradients solver = new ConjugateGradients(matrix, team);
      double[] watts = watts(grid, matrix, conductivity, solver, part);
      double[][] right = StackField.load(grid, matrix, watts);
      if (x == null) {
        x = matrix.field();
      }
      solver.solve(right, x, TOLERANCE, part);
      iterations += solver.iterations();
      StackField now = new StackField(grid, matrix, conductivity, x, watts);
      double[][] next = falls ? conductivity(grid, now) : null;
      if (!falls || change(conductivity, next) < 1e-7) {
        return new Solved(now, iterations);
      }
      conductivity = next;
      last = now;
    }
    throw runaway(grid.stack, last);
  }

  /** Conductivities of falling layers from temperatures, or from the coolant's. */
  private static double[][] conductivity(StackGrid grid, StackField field) {
    double[][] all = new double[grid.slices()][];
    for (int k = 0; k < all.length; k++) {
      StackLayer layer = grid.stack.layers().get(grid.layerOf[k]);
      if (layer.fall().isEmpty()) {
        continue;
      }
      all[k] = new double[grid.x.cells() * grid.y.cells()];
      for (int c = 0; c < all[k].length; c++) {
        double celsius = grid.stack.coolantCelsius() + (field == null ? 0 : field.riseAt(c, k));
        all[k][c] = layer.conductivityWattsPerMetreKelvin() * layer.fall().get().factor(celsius);
      }
    }
    return all;
  }

  private static double change(double[][] before, double[][] after) {
    double most = 0;
    for (int k = 0; k < before.length; k++) {
      for (int c = 0; before[k] != null && c < before[k].length; c++) {
        most = Math.max(most, Math.abs(after[k][c] / before[k][c] - 1));
      }
    }
    return most;
  }

  /** The heat of each source, leakage included. */
  private double[] watts(
      StackGrid grid,
      Conductances matrix,
      double[][] conductivity,
      ConjugateGradients solver,
      SolveWatch part) {
    List<HeatSource> heat = grid.stack.heat();
    double[] watts = heat.stream().mapToDouble(HeatSource::watts).toArray();
    if (heat.stream().allMatch(h -> h.leakage().isEmpty())) {
      return watts;
    }
    double coolant = grid.stack.coolantCelsius();
    int n = watts.length;
    RealMatrix warms = MatrixUtils.createRealMatrix(n, n);
    for (int s = 0; s < n; s++) {
      double[] one = new double[n];
      one[s] = 1;
      double[][] x = matrix.field();
      solver.solve(StackField.load(grid, matrix, one), x, TOLERANCE, part);
      List<StackSolution.Source> unit =
          new StackField(grid, matrix, conductivity, x, one).sources();
      for (int r = 0; r < n; r++) {
        warms.setEntry(r, s, unit.get(r).meanCelsius() - coolant);
      }
    }
    double[] celsius = warms.operate(watts);
    for (int s = 0; s < n; s++) {
      celsius[s] += coolant;
    }
    for (int round = 0; round < 200; round++) {
      double[] power = watts.clone();
      RealMatrix slope = MatrixUtils.createRealIdentityMatrix(n);
      for (int s = 0; s < n; s++) {
        if (heat.get(s).leakage().isPresent()) {
          HeatSource.Leakage leak = heat.get(s).leakage().get();
          power[s] += leak.at(celsius[s]);
          for (int r = 0; r < n; r++) {
            slope.addToEntry(r, s, -warms.getEntry(r, s) * leak.slope(celsius[s]));
          }
        }
      }
      double[] missing = warms.operate(power);
      for (int s = 0; s < n; s++) {
        missing[s] += coolant - celsius[s];
      }
      LUDecomposition split = new LUDecomposition(slope);
      if (!split.getSolver().isNonSingular()) {
        throw runaway(grid.stack, null);
      }
      double[] step = split.getSolver().solve(new ArrayRealVector(missing)).toArray();
      double most = 0;
      for (int s = 0; s < n; s++) {
        // From below every step is upwards; one downwards means that the balance was lost.
        if (!(step[s] > -1e-6) || celsius[s] + step[s] > 3000) {
          throw runaway(grid.stack, null);
        }
        celsius[s] += step[s];
        most = Math.max(most, Math.abs(step[s]));
      }
      if (most < 1e-9) {
        return power;
      }
    }
    throw runaway(grid.stack, null);
  }

  private static Problem runaway(StackCase stack, StackField last) {
    String names = Arrays.toString(stack.heat().stream().map(HeatSource::name).toArray());
    return new Problem(
        "stack.runaway",
        Place.field("heat " + names),
        "Thermal runaway: with its leakage the heat grows faster than the stack can carry it away"
            + (last == null
                ? "."
                : String.format(Locale.ROOT, "; last seen at %.0f °C.", last.peak())),
        "Lower the power or the leakage, or improve the joints or the cooling.");
  }
}
