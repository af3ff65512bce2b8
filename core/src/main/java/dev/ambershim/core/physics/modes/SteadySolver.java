package dev.ambershim.core.physics.modes;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.multigrid.CellSolver;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.Arrays;
import java.util.OptionalLong;

/**
 * Steady conduction in a stack by its layers' own modes. The same stack is solved on three grids
 * whose cells are cut in two, three and four parts; what they show together is extrapolated to
 * cells of no size (Richardson 1911, <i>Phil. Trans. R. Soc. A</i> 210, 307), and how far the
 * extrapolations of the coarser and the finer pair differ tells the error. Stacks that are not made
 * of rectangles apart from each other go to the multigrid.
 */
public final class SteadySolver {
  /** Cells over the width of what is heated, before they are cut. */
  private static final double FIRST_WIDTH = 6;

  private static final double GROWTH = 1.5;
  private static final int MOST_GRIDS = 7;

  /** No more contact cells than this are laid: what they cost grows faster than what they tell. */
  private static final long MOST_CELLS = 60_000;

  private static final double SKIN_MICROMETRES = 100;
  private static final double SKIN_RATIO = 5;

  private final Team team;
  private final SolveWatch watch;

  /**
   * How to solve.
   *
   * @param team who works where the multigrid has to
   * @param watch who watches
   */
  public SteadySolver(Team team, SolveWatch watch) {
    this.team = team;
    this.watch = watch;
  }

  /** On the calling thread, unwatched. */
  public static SteadySolver plain() {
    return new SteadySolver(Team.alone(), SolveWatch.NONE);
  }

  /** Whether a stack is made of boxes that their modes solve well. */
  static boolean madeOfBoxes(StackCase stack) {
    boolean jointsFall =
        stack.layers().stream().anyMatch(l -> l.crossing() && l.fall().isPresent());
    return !jointsFall && !skins(stack) && Boxes.of(stack, width(stack), 1).isPresent();
  }

  /**
   * Whether solids touch without a joint where one is thin or conducts far less. The fluxes on both
   * sides of such a skin hang together so closely that the gradients creep.
   */
  private static boolean skins(StackCase stack) {
    for (int l = 1; l < stack.layers().size(); l++) {
      StackLayer below = stack.layers().get(l - 1);
      StackLayer above = stack.layers().get(l);
      if (below.crossing() || above.crossing()) {
        continue;
      }
      double thin = Math.min(below.thicknessMicrometres(), above.thicknessMicrometres());
      double a = below.conductivityWattsPerMetreKelvin();
      double b = above.conductivityWattsPerMetreKelvin();
      if (thin < SKIN_MICROMETRES || Math.max(a, b) > SKIN_RATIO * Math.min(a, b)) {
        return true;
      }
    }
    return false;
  }

  /**
   * Solves with about so many cells on the finest grid, or refines until the discretisation error
   * is below a share of the highest rise.
   *
   * @param cells wanted number of contact cells, or empty to refine
   * @param errorShare of the rise, such as 0.005; not used where {@code cells} is given
   * @throws Problem {@code stack.…} if the stack cannot be, or {@code stack.runaway}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public StackSolution solve(StackCase stack, OptionalLong cells, double errorShare) {
    StackRules.check(stack);
    if (!madeOfBoxes(stack)) {
      return new CellSolver(team, watch).solve(stack, cells, errorShare);
    }
    if (cells.isPresent()) {
      double fine = fineFor(stack, Math.min(MOST_CELLS, cells.getAsLong()));
      Grids grids = on(stack, fine, watch);
      return grids.rest()
          ? grids.solution()
          : new CellSolver(team, watch).solve(stack, cells, errorShare);
    }
    double done = 0;
    StackSolution best = null;
    double fine = width(stack) / FIRST_WIDTH;
    for (int grid = 0; grid < MOST_GRIDS; grid++) {
      double to = done + (1 - done) * 0.5;
      Grids grids = on(stack, fine, watch.part(done, to));
      if (!grids.rest()) {
        return new CellSolver(team, watch.part(to, 1)).solve(stack, cells, errorShare);
      }
      best = grids.solution();
      done = to;
      double rise = best.peakCelsius() - stack.coolantCelsius();
      if (best.discretisationErrorKelvin() <= errorShare * rise || best.cells() > MOST_CELLS) {
        break;
      }
      fine /= GROWTH;
    }
    return best;
  }

  /** Root of the area that all heats are in, m. */
  static double width(StackCase stack) {
    return Footprint.hullMetres(stack);
  }

  /** The grids of a stack with cells of a width, solved. */
  static Grids on(StackCase stack, double fine, SolveWatch watch) {
    Grids grids = new Grids(stack, fine);
    grids.solve(stack, watch);
    return grids;
  }

  private static double fineFor(StackCase stack, long cells) {
    double fine = width(stack);
    for (int i = 0; i < 60; i++) {
      double next = fine / 1.1;
      if (Grids.estimate(stack, next) > cells) {
        break;
      }
      fine = next;
    }
    return fine;
  }

  /** The heat of sources and what they make of it, for the message. */
  static Problem runaway(StackCase stack) {
    String names = Arrays.toString(stack.heat().stream().map(HeatSource::name).toArray());
    boolean leaks = stack.heat().stream().anyMatch(h -> h.leakage().isPresent());
    boolean falls = stack.layers().stream().map(StackLayer::fall).anyMatch(f -> f.isPresent());
    String grows =
        leaks
            ? "with its leakage the heat grows faster than the stack can carry it away."
            : "the conductivity falls faster than the heat can find its way out.";
    return new Problem(
        "stack.runaway",
        Place.field("heat " + names),
        "Thermal runaway: " + (leaks || falls ? grows : "no temperature carries this heat."),
        "Lower the power or the leakage, or improve the joints or the cooling.");
  }
}
