package dev.ambershim.core.physics.multigrid;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;

/**
 * A multigrid cycle as the preconditioner of conjugate gradients. Columns are joined in x and y,
 * the narrowest first, so that all come to about one width; slices stay, as the smoother solves
 * whole columns. Coarse matrices are laid anew from areas and distances. Trottenberg, Oosterlee
 * &amp; Schüller, <i>Multigrid</i>, chapters 2 and 5.
 */
final class Multigrid {
  /**
   * Width to which columns are joined, in widths of the narrowest (of even ones, of the middle
   * one): that is joined in twos, and those little wider. Were more joined, what changes along the
   * short side of long cells would be smoothed too slowly.
   */
  private static final double WIDTHS = 2.8;

  /** Columns of the next grid as a share of those of this one, at most. */
  private static final double JOINED = 0.8;

  /** Likewise of even ones, which can be joined faster. */
  private static final double EVEN_JOINED = 0.7;

  private final List<MultigridLevel> levels = new ArrayList<>();

  /** Builds all grids down to a single column. */
  Multigrid(Conductances finest, Team team) {
    Conductances a = finest;
    while (a.nx > 1 || a.ny > 1) {
      double size = WIDTHS * Math.min(a.x.narrowWidth(), a.y.narrowWidth());
      int[] gi = a.x.groups(size);
      int[] gj = a.y.groups(size);
      double most = (a.x.isEven() ? EVEN_JOINED : JOINED) * a.nx * a.ny;
      while ((gi.length - 1) * (gj.length - 1) > most) {
        size *= 1.25;
        gi = a.x.groups(size);
        gj = a.y.groups(size);
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
   * @param last what is to be done to each pair of rows when it is final
   * @return the approximate solution, valid until the next cycle
   */
  float[][] cycle(Team team, IntConsumer last) {
    int coarsest = levels.size() - 1;
    for (int at = 0; at <= coarsest; at++) {
      levels.get(at).goDown(at > 0 ? levels.get(at - 1) : null, team);
    }
    for (int at = coarsest - 1; at >= 0; at--) {
      MultigridLevel level = levels.get(at);
      level.goUp(levels.get(at + 1), team, at > 0 ? level::turn : last);
    }
    return levels.get(0).solution();
  }
}
