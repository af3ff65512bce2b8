package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.physics.conduction.StackSolution;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * Steady conduction by finite volumes. A conductivity that falls with temperature is taken from the
 * last temperatures until they rest (Picard); leakage is found from how much each source warms each
 * (Newton from below, which for growing, convex power reaches the lowest balance if there is one).
 *
 * <p>The same stack is solved on grids whose cells are cut in two, three and four parts, and in
 * more for as long as the error asks for it; {@link Extrapolation} tells what they show together.
 */
public final class CellSolver {
  /** On the residual. */
  private static final double TOLERANCE = 1e-8;

  /** Cells over the width of what is heated, before they are cut. */
  private static final double FIRST_WIDTH = 12;

  /** Into how many parts the cells of the first grids are cut. */
  private static final List<Integer> PARTS = List.of(2, 3, 4);

  /** Where so few cells are asked for that edges alone ask for more. */
  private static final List<Integer> FEWEST_PARTS = List.of(1, 2, 3);

  /** By how much finer the next grid is, at least and at most. */
  private static final double LEAST_GROWTH = 1.25;

  private static final double MOST_GROWTH = 1.75;

  /** What is told falls about with this power of the cells' width; so much less is aimed at. */
  private static final double ORDER = 3.5;

  private static final double AIM = 1.2;

  /** Finer grids take tens of seconds. */
  private static final long MOST_CELLS = 3_000_000;

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
   * Solves on grids of which the finest has about so many cells, or refines until the
   * discretisation error is below a share of the highest rise.
   *
   * @param cells wanted number of cells, or empty to refine
   * @param errorShare of the rise, such as 0.005; not used where {@code cells} is given
   * @throws Problem {@code stack.…} if the stack cannot be, or {@code stack.runaway}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public StackSolution solve(StackCase stack, OptionalLong cells, double errorShare) {
    StackRules.check(stack);
    if (cells.isPresent()) {
      long wanted = cells.getAsLong();
      List<Integer> parts = parts(stack, 1, wanted);
      return told(
          stack,
          shown(stack, StackGrid.fineFor(stack, wanted, new Cut(parts.get(2))), parts, watch));
    }
    double fine = stack.heatedMetres() / FIRST_WIDTH;
    double done = 0.5;
    List<Shown> all = shown(stack, fine, parts(stack, fine, MOST_CELLS), watch.part(0, done));
    while (true) {
      StackSolution found = told(stack, all);
      double wanted = errorShare * (found.peakCelsius() - stack.coolantCelsius());
      if (found.discretisationErrorKelvin() <= wanted) {
        return found;
      }
      int last = all.get(all.size() - 1).parts;
      double growth = Math.pow(AIM * found.discretisationErrorKelvin() / wanted, 1 / ORDER);
      growth = Math.max(LEAST_GROWTH, Math.min(MOST_GROWTH, growth));
      int next = Math.max(last + 1, (int) Math.ceil(growth * last));
      if (StackGrid.estimate(stack, fine, new Cut(next)) > MOST_CELLS) {
        return found;
      }
      double to = done + (1 - done) * 0.5;
      all.addAll(shown(stack, fine, List.of(next), watch.part(done, to)));
      done = to;
    }
  }

  private static List<Integer> parts(StackCase stack, double fine, long most) {
    boolean few = StackGrid.estimate(stack, fine, new Cut(PARTS.get(2))) > most;
    return few ? FEWEST_PARTS : PARTS;
  }

  /**
   * What one grid shows.
   *
   * @param parts into how many its cells are cut
   */
  private record Shown(
      int parts,
      List<StackSolution.Source> sources,
      List<StackSolution.Layer> layers,
      double leaving,
      long cells,
      int iterations,
      StackSolution.HeatMap map) {}

  private List<Shown> shown(StackCase stack, double fine, List<Integer> parts, SolveWatch watch) {
    double[] work =
        parts.stream().mapToDouble(p -> StackGrid.estimate(stack, fine, new Cut(p))).toArray();
    double whole = Arrays.stream(work).sum();
    double done = 0;
    List<Shown> all = new ArrayList<>();
    for (int g = 0; g < work.length; g++) {
      double to = Math.min(1, done + work[g] / whole);
      StackGrid grid = StackGrid.of(stack, fine, new Cut(parts.get(g)));
      Solved solved = field(grid, watch.part(done, to));
      all.add(
          new Shown(
              parts.get(g),
              solved.field.sources(),
              solved.field.layers(),
              solved.field.leaving(),
              grid.cells(),
              solved.iterations,
              solved.field.map()));
      done = to;
    }
    return all;
  }

  /** What all grids show together. */
  private static StackSolution told(StackCase stack, List<Shown> all) {
    Extrapolation together = new Extrapolation(all.stream().mapToInt(Shown::parts).toArray());
    Shown finest = all.get(all.size() - 1);
    List<StackSolution.Source> sources = new ArrayList<>();
    double error = 0;
    double in = 0;
    double peak = stack.coolantCelsius();
    for (int s = 0; s < finest.sources.size(); s++) {
      int at = s;
      double[] means = each(all, g -> g.sources.get(at).meanCelsius());
      double[] peaks = each(all, g -> g.sources.get(at).peakCelsius());
      // What the hottest place is above the mean is small and does not fall as evenly.
      double[] above = new double[peaks.length];
      Arrays.setAll(above, g -> peaks[g] - means[g]);
      StackSolution.Source f = finest.sources.get(s);
      double mean = together.of(means);
      double high = mean + together.roughly(above);
      sources.add(new StackSolution.Source(f.name(), f.watts(), mean, high));
      error = Math.max(error, together.doubt(means) + together.roughDoubt(above));
      peak = Math.max(peak, high);
      in += f.watts();
    }
    List<StackSolution.Layer> layers = new ArrayList<>();
    for (int l = 0; l < finest.layers.size(); l++) {
      int at = l;
      layers.add(
          new StackSolution.Layer(
              finest.layers.get(l).name(),
              together.of(each(all, g -> g.layers.get(at).bottomMeanCelsius())),
              together.of(each(all, g -> g.layers.get(at).topMeanCelsius()))));
    }
    return new StackSolution(
        sources,
        peak,
        layers,
        in,
        in == 0 ? 0 : (in - finest.leaving) / in,
        error,
        finest.cells,
        finest.iterations,
        Optional.of(finest.map));
  }

  private static double[] each(List<Shown> all, ToDoubleFunction<Shown> value) {
    return all.stream().mapToDouble(value).toArray();
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
