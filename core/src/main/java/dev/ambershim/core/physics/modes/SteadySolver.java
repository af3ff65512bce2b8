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
import java.util.Optional;
import java.util.OptionalLong;

/**
 * Steady conduction in a stack by its layers' own modes. The same stack is solved on three grids
 * whose cells are cut in two, three and four parts, and in more as long as the error asks for it;
 * what they show together is extrapolated to cells of no size (Richardson 1911, <i>Phil. Trans. R.
 * Soc. A</i> 210, 307), and how far the extrapolations of the two finest pairs differ tells the
 * error. Stacks that are not made of rectangles apart from each other go to the multigrid.
 */
public final class SteadySolver {
  /** Cells over the width of what is heated on the first grids, before they are cut. */
  private static final double FIRST_WIDTH = 6;

  /** Likewise at most. */
  private static final double MOST_FIRST_WIDTH = 12;

  /** Cells over the finest pattern of heat, of which about a part in a thousand is told. */
  static final double CELLS_BY_DETAIL = 1.1;

  /**
   * How wide the first cells may be in thicknesses of what is heated; a wider one shows on its
   * underside as a stair.
   */
  private static final double THICKNESSES = 2.5;

  /** What is told falls about with this power of the cells' width. */
  private static final double ORDER = 4;

  /** Of the wanted error, what is left of the residual. */
  private static final double TOLERANCE_SHARE = 6e-3;

  private static final double MOST_TOLERANCE = 6e-6;

  private static final int MOST_FINER = 6;

  /** No more contact cells than this are laid: what they cost grows faster than what they tell. */
  private static final long MOST_CELLS = 60_000;

  /**
   * Nor is a finer grid where cells times steps were more than this: it would take many seconds.
   */
  private static final long MOST_WORK = 2_500_000;

  /** Of the wanted error, what straight ways through thin solids may take. */
  private static final double SKIN_SHARE = 0.5;

  /** What is good enough where a number of cells is asked for. */
  private static final double USUAL_SHARE = 0.005;

  private final Team team;
  private final SolveWatch watch;

  /**
   * How to solve.
   *
   * @param team who works
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
    return !jointsFall && !Skins.creep(stack) && Boxes.rectangular(stack, width(stack));
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
    Optional<StackCase> thinless = Skins.straight(stack).filter(SteadySolver::joined);
    boolean boxes = madeOfBoxes(stack);
    Optional<StackSolution> straight =
        thinless
            .filter(s -> !boxes || cells.isPresent() || promises(stack, s, errorShare))
            .flatMap(s -> straightUp(stack, s, cells, errorShare));
    if (straight.filter(s -> fine(s, stack, cells, errorShare)).isPresent()) {
      return straight.get();
    }
    StackSolution whole =
        (boxes ? byModes(stack, cells, errorShare, watch) : Optional.<Grids>empty())
            .map(grids -> grids.solution(false))
            .orElseGet(() -> new CellSolver(team, watch).solve(stack, cells, errorShare));
    if (fine(whole, stack, cells, errorShare)) {
      return whole;
    }
    return straight
        .or(() -> thinless.flatMap(s -> straightUp(stack, s, cells, errorShare)))
        .filter(s -> s.discretisationErrorKelvin() < whole.discretisationErrorKelvin())
        .orElse(whole);
  }

  private static boolean fine(
      StackSolution found, StackCase stack, OptionalLong cells, double errorShare) {
    double share = cells.isPresent() ? USUAL_SHARE : errorShare;
    return found.discretisationErrorKelvin()
        <= share * (found.peakCelsius() - stack.coolantCelsius());
  }

  /** Whether all parts hang together and are boxes. */
  private static boolean joined(StackCase straight) {
    try {
      return madeOfBoxes(straight) && Boxes.of(straight, width(straight), 1).isPresent();
    } catch (Problem floats) {
      return false; // a thin solid holds them together
    }
  }

  /** Whether a first look tells that heat may go straight through thin solids. */
  private boolean promises(StackCase stack, StackCase straight, double errorShare) {
    Grids first = on(straight, width(stack) / FIRST_WIDTH, team, watch.part(0, 0.1));
    double rise = first.sources().peakCelsius() - stack.coolantCelsius();
    return first.leftOut(stack) <= SKIN_SHARE * errorShare * rise;
  }

  /** With heat going straight through thin solids; what that leaves out is in the error. */
  private Optional<StackSolution> straightUp(
      StackCase stack, StackCase straight, OptionalLong cells, double errorShare) {
    return byModes(straight, cells, errorShare * (1 - SKIN_SHARE), watch.part(0.1, 0.5))
        .map(
            grids -> {
              StackSolution found = grids.solution(false);
              return found.withDiscretisationError(
                  found.discretisationErrorKelvin() + grids.leftOut(stack));
            });
  }

  /** The grids of a stack of boxes; empty if their fluxes do not come to rest. */
  private Optional<Grids> byModes(
      StackCase stack, OptionalLong cells, double errorShare, SolveWatch watch) {
    if (cells.isPresent()) {
      double fine = fineFor(stack, Math.min(MOST_CELLS, cells.getAsLong()));
      return Optional.of(on(stack, fine, team, watch)).filter(Grids::rest);
    }
    double done = 0.5;
    double tolerance = Math.min(MOST_TOLERANCE, TOLERANCE_SHARE * errorShare);
    Grids grids = on(stack, first(stack, errorShare), tolerance, team, watch.part(0, done));
    for (int more = 0; grids.rest() && more < MOST_FINER; more++) {
      Grids.Sources found = grids.sources();
      boolean dear = grids.cells() > MOST_CELLS || grids.cells() * grids.steps() > MOST_WORK;
      double wanted = errorShare * (found.peakCelsius() - stack.coolantCelsius());
      if (found.errorKelvin() <= wanted || dear) {
        break;
      }
      double to = done + (1 - done) * 0.5;
      grids.refine(stack, found.errorKelvin() / wanted, watch.part(done, to));
      done = to;
    }
    return Optional.of(grids).filter(Grids::rest);
  }

  /** Width of the first cells, m: so fine that what is asked for will most likely be told. */
  private static double first(StackCase stack, double errorShare) {
    int lowest = Footprint.solid(stack, true);
    double thickness = stack.layers().get(lowest).thicknessMicrometres() * 1e-6;
    double detail = Footprint.detailMetres(stack, lowest) / CELLS_BY_DETAIL;
    double finest = Math.min(detail, THICKNESSES * thickness);
    double likely = finest * Math.pow(errorShare / 1e-3, 1 / ORDER);
    double width = width(stack);
    return Math.max(width / MOST_FIRST_WIDTH, Math.min(width / FIRST_WIDTH, likely));
  }

  /** Root of the area that all heats are in, m. */
  static double width(StackCase stack) {
    return stack.heatedMetres();
  }

  /** Solves on grids of a given width to the usual tolerance. */
  static Grids on(StackCase stack, double fine, Team team, SolveWatch watch) {
    return on(stack, fine, Grids.TOLERANCE, team, watch);
  }

  /** The grids of a stack with cells of a width, solved. */
  static Grids on(StackCase stack, double fine, double tolerance, Team team, SolveWatch watch) {
    Grids grids = new Grids(stack, fine, tolerance, team);
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
