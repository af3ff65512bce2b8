package dev.ambershim.core.conduction;

import java.util.ArrayList;
import java.util.List;

/**
 * A multigrid cycle as the preconditioner of conjugate gradients. Columns are joined in x and y,
 * the narrowest first, so that all come to about one width; slices stay, as the smoother solves
 * whole columns. Coarse matrices are laid anew from areas and distances. Trottenberg, Oosterlee
 * &amp; Schüller, <i>Multigrid</i>, chapters 2 and 5.
 */
final class Multigrid {
  /** Columns of the next grid as a share of those of this one, at most. */
  private static final double JOINED = 0.45;

  private final List<MultigridLevel> levels = new ArrayList<>();

  /** Builds all grids down to a single column. */
  Multigrid(Conductances finest, Team team) {
    Conductances a = finest;
    double size = Math.min(a.x.medianWidth(), a.y.medianWidth());
    while (a.nx > 1 || a.ny > 1) {
      size *= 1.25;
      int[] gi = a.x.groups(size);
      int[] gj = a.y.groups(size);
      long columns = (long) (gi.length - 1) * (gj.length - 1);
      if (columns > 1 && columns > JOINED * a.nx * a.ny) {
        continue;
      }
      Conductances coarse = a.joined(gi, gj);
      levels.add(new MultigridLevel(a, new Transfer(a, coarse, gi, gj), team));
      a = coarse;
    }
    levels.add(new MultigridLevel(a, null, team));
  }

  /** The finest grid; the cycle reads its right-hand side there. */
  MultigridLevel finest() {
    return levels.get(0);
  }

  /**
   * One cycle from zero.
   *
   * @return the approximate solution, valid until the next cycle
   */
  float[][] cycle(Team team) {
    cycle(0, team);
    return levels.get(0).solution();
  }

  private void cycle(int at, Team team) {
    MultigridLevel level = levels.get(at);
    if (level.isColumn()) {
      level.solveColumn();
      return;
    }
    level.smoothFromZero(team);
    MultigridLevel coarse = levels.get(at + 1);
    level.restrictTo(coarse, team);
    cycle(at + 1, team);
    level.correctAndSmooth(coarse, team);
  }
}
