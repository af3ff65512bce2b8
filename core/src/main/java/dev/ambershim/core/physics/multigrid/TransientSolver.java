package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.base.Latest;
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
import java.util.Map;
import java.util.function.Function;

/**
 * Conduction in time, from an even start at the coolant's temperature, with heat that changes in
 * steps. Each time step is taken by the L-stable diagonally implicit Runge–Kutta rule of order two
 * with γ = 1 − 1/√2 (Alexander 1977, <i>SIAM J. Numer. Anal.</i> 14, 1006); steps are halved or
 * doubled by the difference from its embedded rule of order one.
 *
 * <p>Conductivities are taken as they stand and leakage is left out: a stack with either is
 * refused.
 */
public final class TransientSolver {
  private static final double GAMMA = 1 - Math.sqrt(0.5);

  /** Residual of a step: far below the step's own error. */
  private static final double TOLERANCE = 1e-7;

  /** For single steps of a simulation, whose sensors show tenths of a degree. */
  private static final double ROUGH_TOLERANCE = 1e-6;

  /** Wanted error of a step as a share of the highest rise so far. */
  private static final double STEP_SHARE = 4e-3;

  private static final int DEEPEST = 40;

  /** After a jump of the heat the field moves within a thousandth of the interval. */
  private static final int FIRST_DEPTH = 10;

  private static final int KEPT_MATRICES = 6;

  private final StackGrid grid;
  private final Conductances steady;
  private final double[] capacity;
  private final Team team;
  private final SolveWatch watch;
  private double[][] rise;
  private double time;
  private double[] lastWatts = new double[0];
  private int depth = FIRST_DEPTH;
  private final Map<Double, ConjugateGradients> solvers = new Latest<>(KEPT_MATRICES);

  /**
   * The state at a time.
   *
   * @param seconds time
   * @param sources means and peaks just before the heat changes
   * @param peakCelsius hottest place of the underside
   */
  public record Moment(double seconds, List<StackSolution.Source> sources, double peakCelsius) {
    /** Copies its list. */
    public Moment {
      sources = List.copyOf(sources);
    }
  }

  /**
   * Lays the grid.
   *
   * @param cells about how many
   * @throws Problem {@code stack.…} if the stack cannot be, {@code stack.capacity} if a solid layer
   *     has no heat capacity
   */
  public TransientSolver(StackCase stack, long cells, Team team, SolveWatch watch) {
    StackRules.check(stack);
    for (StackLayer layer : stack.layers()) {
      if (!layer.crossing() && layer.heatCapacityJoulesPerCubicMetreKelvin().isEmpty()) {
        throw new Problem(
            "stack.capacity",
            Place.field("layer \"" + layer.name() + "\""),
            "It has no heat capacity, which a solution in time needs.",
            "Give volumetricHeatCapacityJoulesPerCubicMetreKelvin, such as 3.44e6 for copper.");
      }
      if (layer.fall().isPresent()) {
        throw new Problem(
            "stack.transient",
            Place.field("layer \"" + layer.name() + "\""),
            "Its conductivity falls with temperature, which is reckoned with in steady cases only.",
            "Give its conductivity at the expected temperature.");
      }
    }
    for (HeatSource heat : stack.heat()) {
      if (heat.leakage().isPresent()) {
        throw new Problem(
            "stack.transient",
            Place.field("heat \"" + heat.name() + "\""),
            "Its leakage is reckoned with in steady cases only.",
            "Put the whole heat into the power table.");
      }
    }
    this.team = team;
    this.watch = watch;
    grid = StackGrid.ofAbout(stack, cells);
    steady = Conductances.of(grid, null);
    rise = steady.field();
    capacity = new double[grid.slices()];
    for (int k = 0; k < capacity.length; k++) {
      StackLayer layer = stack.layers().get(grid.layerOf[k]);
      // An interface of no stated capacity holds no heat; a map's thickness is taken as nominal.
      capacity[k] = layer.heatCapacityJoulesPerCubicMetreKelvin().orElse(0) * grid.height[k];
    }
  }

  /** Number of cells. */
  public long cells() {
    return grid.cells();
  }

  /**
   * The states at all times of a power table.
   *
   * @param seconds rising; the first is the start
   * @param watts for each time the heat of each source from then on
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public List<Moment> run(double[] seconds, double[][] watts) {
    return through(seconds, watts, this::moment);
  }

  /**
   * The means of the sources alone at these times, °C, which takes a part of the time: the hottest
   * places are not looked for.
   *
   * @param seconds as for {@link #run}
   * @param watts as for {@link #run}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public List<double[]> means(double[] seconds, double[][] watts) {
    return through(seconds, watts, each -> field(each).means());
  }

  private <T> List<T> through(double[] seconds, double[][] watts, Function<double[], T> look) {
    List<T> all = new ArrayList<>();
    rise = steady.field();
    time = seconds[0];
    lastWatts = new double[watts[0].length];
    all.add(look.apply(lastWatts));
    for (int row = 0; row + 1 < seconds.length; row++) {
      watch.check();
      watch.share((double) row / seconds.length);
      goOn(seconds[row + 1] - seconds[row], watts[row]);
      all.add(look.apply(lastWatts));
    }
    return all;
  }

  /**
   * Goes on by a time under even heat, from an even start at the coolant's temperature at first.
   *
   * @param seconds how long, above 0
   * @param watts the heat of each source
   * @return the state at the end
   */
  public Moment advance(double seconds, double[] watts) {
    goOn(seconds, watts);
    return moment(lastWatts);
  }

  private void goOn(double seconds, double[] watts) {
    boolean jump = !Arrays.equals(watts, lastWatts);
    depth = interval(seconds, StackField.load(grid, steady, watts), jump ? FIRST_DEPTH : depth);
    lastWatts = watts.clone();
    time += seconds;
  }

  /**
   * As {@link #advance}, in one step of the rule whatever its error: for heat that changes a little
   * in every step, such as leakage does; solved to a millionth.
   *
   * @return the mean of each source, °C
   */
  public double[] step(double seconds, double[] watts) {
    double[][] half = copy(rise);
    double[][] next = copy(rise);
    step(seconds, StackField.load(grid, steady, watts), half, next, ROUGH_TOLERANCE);
    rise = next;
    lastWatts = watts.clone();
    time += seconds;
    return field(watts).means();
  }

  /** The layers' faces at the end of the last run. */
  public List<StackSolution.Layer> lastLayers() {
    return field(lastWatts).layers();
  }

  private StackField field(double[] watts) {
    return new StackField(grid, steady, null, rise, watts);
  }

  private Moment moment(double[] watts) {
    StackField field = field(watts);
    return new Moment(time, field.sources(), field.peak());
  }

  /**
   * Goes through one interval of even heat in steps of its length ÷ 2^depth.
   *
   * @param from the depth to begin with
   * @return the depth it ended with
   */
  private int interval(double length, double[][] load, int from) {
    long unit = 1L << DEEPEST;
    long at = 0;
    int now = Math.min(from, DEEPEST);
    while (at < unit) {
      watch.check();
      long step = unit >> now;
      double dt = length * ((double) step / unit);
      double[][] half = copy(rise);
      double[][] next = copy(rise);
      double error = step(dt, load, half, next, TOLERANCE);
      double scale = Math.max(highest(next), 1e-6);
      if (error > STEP_SHARE * scale && now < DEEPEST) {
        now++;
        continue;
      }
      at += step;
      rise = next;
      // Doubled only where the longer step begins on its own grid.
      if (error < STEP_SHARE * scale / 5 && now > 0 && at % (step * 2) == 0) {
        now--;
      }
    }
    return now;
  }

  /** One step; returns the largest difference from the embedded rule, K. */
  private double step(
      double dt, double[][] load, double[][] half, double[][] next, double tolerance) {
    double[] mass = new double[capacity.length];
    for (int k = 0; k < mass.length; k++) {
      mass[k] = capacity[k] / (GAMMA * dt);
    }
    ConjugateGradients solver =
        solvers.computeIfAbsent(dt, d -> new ConjugateGradients(steady.withMass(mass), team));
    double[][] right = steady.field();
    weigh(mass, rise, load, right);
    solver.solve(right, half, tolerance, SolveWatch.NONE);
    double[][] mixed = copy(rise);
    double factor = (1 - GAMMA) / GAMMA;
    for (int r = 0; r < mixed.length; r++) {
      for (int i = 0; i < mixed[r].length; i++) {
        mixed[r][i] += factor * (half[r][i] - rise[r][i]);
        next[r][i] = half[r][i];
      }
    }
    weigh(mass, mixed, load, right);
    solver.solve(right, next, tolerance, SolveWatch.NONE);
    double most = 0;
    for (int r = 0; r < rise.length; r++) {
      // Where nothing stores heat, the field follows at once and has no rate.
      if (mass[r % steady.nz] == 0) {
        continue;
      }
      for (int i = 0; i < rise[r].length; i++) {
        double rate = (half[r][i] - rise[r][i]) / GAMMA;
        most = Math.max(most, Math.abs(next[r][i] - rise[r][i] - rate));
      }
    }
    return most;
  }

  /** right = mass · field + load. */
  private void weigh(double[] mass, double[][] field, double[][] load, double[][] right) {
    for (int r = 0; r < field.length; r++) {
      int k = r % steady.nz;
      double[] area = steady.pattern[k].area[r / steady.nz];
      for (int i = 0; i < area.length; i++) {
        right[r][i] = mass[k] * area[i] * field[r][i] + load[r][i];
      }
    }
  }

  private static double[][] copy(double[][] field) {
    double[][] copy = new double[field.length][];
    for (int r = 0; r < copy.length; r++) {
      copy[r] = field[r].clone();
    }
    return copy;
  }

  private static double highest(double[][] field) {
    double most = 0;
    for (double[] row : field) {
      for (double v : row) {
        most = Math.max(most, Math.abs(v));
      }
    }
    return most;
  }
}
