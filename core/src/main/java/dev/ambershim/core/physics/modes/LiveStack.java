package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.physics.conduction.StackSection;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.multigrid.LiveCells;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A stack that is solved again and again as figures change. What the change leaves as it was
 * (grids, modes, the answers of solids) is kept, and each solution starts from the fluxes of the
 * one before. Used by one thread at a time.
 */
public final class LiveStack {
  /** Cells over the width of what is heated, and by how much they shrink until they do. */
  private static final double FIRST_WIDTH = 5;

  private static final double GROWTH = 1.4;
  private static final int MOST_GRIDS = 6;

  /** For stacks that are not made of boxes. */
  private static final long CELLS = 20_000;

  private StackCase stack;
  private LiveCells cells;
  private Grids grids;

  /** Of the rise, on the stack that the grids were laid for. */
  private final double error;

  /**
   * Lays grids on which the stack's discretisation error stays below a share of the rise.
   *
   * @param share such as 0.001
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public LiveStack(StackCase stack, double share, SolveWatch watch) {
    this(stack, share, false, watch);
  }

  private LiveStack(StackCase stack, double share, boolean meansOnly, SolveWatch watch) {
    StackRules.check(stack);
    this.stack = stack;
    if (!SteadySolver.madeOfBoxes(stack)) {
      cells = new LiveCells(stack, CELLS, Team.alone());
      grids = null;
      error = Double.NaN;
      return;
    }
    cells = null;
    StackCase heated = evenlyHeated(stack);
    double fine = SteadySolver.width(stack) / FIRST_WIDTH;
    Grids laid = null;
    double told = Double.NaN;
    for (int grid = 0; grid < MOST_GRIDS; grid++) {
      laid =
          SteadySolver.on(
              heated, fine, meansOnly ? Grids.OF_MEANS : Grids.TOLERANCE, Team.alone(), watch);
      told = meansOnly ? ofMeans(laid, stack) : ofAll(laid.sources(), stack);
      if (!(told > share)) {
        break;
      }
      fine /= GROWTH;
    }
    error = told;
    grids = laid.coarserPair();
  }

  /**
   * Lays grids on which the error of the sources' means stays below a share of their rise. Means
   * need no peaks, and so coarser grids and less to work out.
   *
   * @param share such as 0.002
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static LiveStack forMeans(StackCase stack, double share, SolveWatch watch) {
    return new LiveStack(stack, share, true, watch);
  }

  private LiveStack(LiveStack from) {
    stack = from.stack;
    error = from.error;
    cells = from.cells == null ? null : new LiveCells(stack, CELLS, Team.alone());
    grids = from.grids == null ? null : from.grids.fork();
  }

  /** The same grids with a solution of their own, which begins where this one stands. */
  LiveStack fork() {
    return new LiveStack(this);
  }

  private static double ofAll(Grids.Sources found, StackCase stack) {
    return found.errorKelvin() / (found.peakCelsius() - stack.coolantCelsius());
  }

  private static double ofMeans(Grids laid, StackCase stack) {
    double hottest = Arrays.stream(laid.meansCelsius()).max().orElse(Double.NaN);
    return laid.meansErrorKelvin() / (hottest - stack.coolantCelsius());
  }

  /**
   * The stack with the same heat on every square millimetre that is heated, so that none is cold.
   */
  private static StackCase evenlyHeated(StackCase stack) {
    return stack.withWatts(
        stack.heat().stream()
            .mapToDouble(h -> h.patch().widthMillimetres() * h.patch().depthMillimetres())
            .toArray());
  }

  /** The discretisation error that the grids were laid for, as a share of the rise. */
  public double errorShare() {
    return error;
  }

  /**
   * The temperatures of a changed stack. Layers must keep their footprints, solids their thickness
   * and sources their places.
   *
   * @return a solution whose discretisation error is {@link #errorShare} of its rise
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws IllegalArgumentException if the geometry changed
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public StackSolution update(StackCase changed, SolveWatch watch) {
    if (!onGrids(changed, watch)) {
      return cells.update(changed, watch);
    }
    StackSolution found = grids.solution(true);
    double rise = found.peakCelsius() - changed.coolantCelsius();
    return found.withDiscretisationError(error * rise);
  }

  /**
   * What a picture shows of a solution.
   *
   * @param sources in the order of the stack
   * @param peakCelsius the highest
   * @param map of the underside
   */
  public record Pictured(
      List<StackSolution.Source> sources, double peakCelsius, StackSolution.HeatMap map) {}

  /** As {@link #update}, but for the faces of the layers, which take as long as the rest. */
  public Pictured pictured(StackCase changed, SolveWatch watch) {
    if (onGrids(changed, watch)) {
      Grids.Sources found = grids.sources();
      return new Pictured(found.all(), found.peakCelsius(), grids.map());
    }
    StackSolution found = cells.update(changed, watch);
    return new Pictured(found.sources(), found.peakCelsius(), found.map().orElseThrow());
  }

  /**
   * The sources' mean temperatures in a changed stack, °C, in its order; as {@link #update}, and
   * several times as quick.
   */
  public double[] meansCelsius(StackCase changed, SolveWatch watch) {
    return onGrids(changed, watch)
        ? grids.meansCelsius()
        : cells.update(changed, watch).sources().stream()
            .mapToDouble(StackSolution.Source::meanCelsius)
            .toArray();
  }

  /** Solves on the grids; false for a stack that needs cells, which is not solved yet. */
  private boolean onGrids(StackCase changed, SolveWatch watch) {
    if (!sameGeometry(stack, changed)) {
      throw new IllegalArgumentException("the geometry changed; lay new grids");
    }
    StackRules.check(changed);
    stack = changed;
    if (cells != null) {
      return false;
    }
    grids.solve(changed, watch);
    if (grids.rest()) {
      return true;
    }
    cells = new LiveCells(changed, CELLS, Team.alone());
    grids = null;
    return false;
  }

  /**
   * Mean temperatures of each layer's faces in the shadow of some patches, °C, in the latest
   * solution; not a number for a layer that does not lie over them.
   *
   * @throws IllegalStateException before the first solution
   */
  public List<StackSolution.Layer> layersOver(List<Patch> patches) {
    return cells != null ? cells.layersOver(patches) : grids.layersOver(patches);
  }

  /**
   * The mean temperature of one solid layer's top in the shadow of some patches, °C: quicker than
   * all of {@link #layersOver}.
   *
   * @throws IllegalStateException before the first solution
   */
  public double topOver(int layer, List<Patch> patches) {
    return cells != null
        ? cells.layersOver(patches).get(layer).topMeanCelsius()
        : grids.topOver(layer, patches);
  }

  /**
   * A cut through the solids of the latest solution, from front to back at one place.
   *
   * @param columns places along each solid
   * @param rows heights in each solid, both faces included
   * @return empty for a stack that is not made of boxes
   * @throws IllegalStateException before the first solution
   */
  public Optional<StackSection> section(double yMillimetres, int columns, int rows) {
    return cells != null
        ? Optional.empty()
        : Optional.of(grids.section(yMillimetres, columns, rows));
  }

  /** Whether a stack can be solved on another's grids. */
  public static boolean sameGeometry(StackCase a, StackCase b) {
    return LiveCells.sameGeometry(a, b);
  }
}
