package dev.ambershim.core.physics.multigrid;

import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.function.IntConsumer;

/**
 * One grid of the multigrid in single precision: its matrix, its smoother and the way to the next
 * coarser grid.
 *
 * <p>The smoother solves each column of cells exactly (in z the couplings differ by many powers of
 * ten), the columns of one colour of a chessboard at a time, with what those of the other have
 * become: Gauss and Seidel's method by coloured lines (Trottenberg, Oosterlee &amp; Schüller,
 * <i>Multigrid</i>, sections 4.3 and 5.1.3). The colours follow as second, first, second on the way
 * down and on the way up: the same order from either end, so that the whole cycle is symmetric and
 * conjugate gradients may use it. {@link Chequer} tells how fields are kept.
 */
final class MultigridLevel {
  private final int nx;
  private final int ny;
  private final int nz;
  private final int pairs;
  private final long cells;
  private final Chequer.Couplings[] couplings;
  private final float[][][] area;
  private final float[][][] gap;
  private final int[][] box;
  private final float[] lateral;
  private final float[] vertical;
  private final float[] mass;
  private final float[][] film;
  private final float[] nothing;

  /** Inverse pivots of the columns' elimination. */
  private final float[][] pivot;

  /** The wanted right-hand side. */
  final float[][] wanted;

  private final float[][] solution;

  /** What the first colour was solved for; then the residual narrowed along x, in plain rows. */
  private final float[][] load;

  private final Transfer.Narrowed narrowed;
  private final Transfer down;
  private final PerThread<Scratch> scratch;

  /** What one thread needs to work on a row of columns. */
  private static final class Scratch {
    final float[] before;
    final float[] behind;
    final Transfer.Scratch transfer;
    final float[] residual;

    Scratch(int nx, int coarse) {
      transfer = new Transfer.Scratch(coarse);
      before = new float[nx];
      residual = new float[nx];
      behind = new float[nx];
    }
  }

  MultigridLevel(Conductances a, Transfer down, Team team) {
    nx = a.nx;
    ny = a.ny;
    nz = a.nz;
    pairs = Chequer.padded(ny) / 2;
    cells = a.cells();
    IdentityHashMap<double[][], float[][]> shared = new IdentityHashMap<>();
    IdentityHashMap<Pattern, Chequer.Couplings> coupled = new IdentityHashMap<>();
    couplings = new Chequer.Couplings[nz];
    area = new float[nz][][];
    box = new int[nz][];
    gap = new float[nz - 1][][];
    for (int k = 0; k < nz; k++) {
      Pattern p = a.pattern[k];
      couplings[k] = coupled.computeIfAbsent(p, of -> Chequer.Couplings.of(of, nx));
      area[k] = shared.computeIfAbsent(p.area, values -> Chequer.of(values, nx));
      box[k] = p.box;
    }
    for (int k = 0; k < nz - 1; k++) {
      gap[k] = shared.computeIfAbsent(a.gap[k], values -> Chequer.of(values, nx));
    }
    film = Chequer.of(a.film, nx);
    lateral = single(a.lateral);
    vertical = single(a.vertical);
    mass = single(a.mass);
    nothing = new float[nx];
    pivot = field();
    wanted = field();
    solution = field();
    load = field();
    narrowed =
        new Transfer.Narrowed(load, new float[2 * pairs * nz][], new float[2 * pairs * nz][]);
    this.down = down;
    int coarse = down == null ? 0 : down.joinedColumns();
    scratch = new PerThread<>(team, () -> new Scratch(nx, coarse));
    team.each(2 * pairs, cells, row -> eliminate(row, scratch.get()));
  }

  private static float[] single(double[] values) {
    float[] floats = new float[values.length];
    for (int i = 0; i < floats.length; i++) {
      floats[i] = (float) values[i];
    }
    return floats;
  }

  /** A field of zeros. */
  float[][] field() {
    return new float[2 * pairs * nz][nx];
  }

  /** How many pairs of rows of columns there are. */
  int pairs() {
    return pairs;
  }

  /** Works on the part of a row of a field that may hold cells. */
  interface Work {
    void at(int row, int from, int to);
  }

  /** Runs {@code work} on the rows of a field for a pair. */
  void rows(int pair, Work work) {
    for (int row = 2 * pair; row < 2 * pair + 2; row++) {
      for (int k = 0; k < nz; k++) {
        if (isIn(row, k)) {
          work.at(row * nz + k, box[k][0], box[k][1]);
        }
      }
    }
  }

  /**
   * Inverse pivots of a row. Each pivot is the gap above plus what leads to ground from there down;
   * the latter is summed without cancellation, so that single precision will do.
   */
  private void eliminate(int row, Scratch s) {
    float[] ground = s.before;
    Arrays.fill(ground, 0);
    for (int k = 0; k < nz; k++) {
      int at = row * nz + k;
      if (!isIn(row, k)) {
        continue;
      }
      int from = box[k][0];
      int to = box[k][1];
      if (k > 0) {
        // Nothing comes from where there is nothing below: the gap or the pivot is zero there.
        Rows.throughBelow(from, to, vertical[k - 1], gap[k - 1][row], pivot[at - 1], ground);
      }
      Rows.addTimes(from, to, lateral[k], couplings[k].sum()[row], ground);
      if (mass[k] != 0) {
        Rows.addTimes(from, to, mass[k], area[k][row], ground);
      }
      if (k == nz - 1) {
        Rows.addTimes(from, to, 1, film[row], ground);
      }
      Rows.invert(
          from,
          to,
          ground,
          k < nz - 1 ? vertical[k] : 0,
          k < nz - 1 ? gap[k][row] : nothing,
          pivot[at]);
    }
  }

  /** The solution so far. */
  float[][] solution() {
    return solution;
  }

  /** Whether there is one column only. */
  boolean isColumn() {
    return nx == 1 && ny == 1;
  }

  /**
   * Smooths from zero towards {@link #wanted} and readies the residual for the coarser grid, if
   * there is one.
   *
   * @param finer where the right-hand side comes from, or null if it stands there already
   */
  void goDown(MultigridLevel finer, Team team) {
    team.wave(
        pairs,
        cells,
        pair -> {
          if (finer != null) {
            collect(finer, pair);
          }
          solveColumnsAlone(2 * pair + 1);
        },
        pair -> solveColumns(2 * pair, load),
        pair -> {
          if (!isColumn()) {
            solveSecond(pair);
          }
        },
        pair -> {
          if (!isColumn()) {
            narrow(pair);
          }
        });
  }

  /**
   * Adds the coarser grid's solution and smooths in the opposite order. The solution of the coarser
   * grid has been turned to rows of columns.
   *
   * @param last what is to be done to each pair in the end, with what is final in it and its
   *     neighbours
   */
  void goUp(MultigridLevel coarse, Team team, IntConsumer last) {
    team.wave(
        pairs,
        cells,
        pair -> correctFirst(coarse, pair),
        this::solveSecond,
        this::solveFirst,
        this::solveSecond,
        last);
  }

  /** Turns a pair of the solution to rows of columns. */
  void turn(int pair) {
    Chequer.turn(pair, nz, solution);
  }

  private void solveFirst(int pair) {
    solveColumns(2 * pair, null);
  }

  private void solveSecond(int pair) {
    solveColumns(2 * pair + 1, null);
  }

  /** Whether a slice has cells in the pair of a row. */
  private boolean isIn(int row, int k) {
    int even = row & ~1;
    return box[k][2] <= even + 1 && even < box[k][3];
  }

  /**
   * Solves the columns of a row for the right-hand side and what comes from their neighbours.
   *
   * @param loads where the sum of both is put, or null for what is overwritten in the end
   */
  private void solveColumns(int row, float[][] loads) {
    Scratch s = scratch.get();
    for (int k = 0; k < nz; k++) {
      if (isIn(row, k)) {
        int at = row * nz + k;
        float[] load = wanted[at];
        if (lateral[k] != 0) {
          load = loads == null ? solution[at] : loads[at];
          fromNeighbours(row, k, wanted[at], load, s);
        }
        forward(row, k, load);
      }
    }
    backward(row);
  }

  /** The same where the neighbours are zero. */
  private void solveColumnsAlone(int row) {
    for (int k = 0; k < nz; k++) {
      if (isIn(row, k)) {
        forward(row, k, wanted[row * nz + k]);
      }
    }
    backward(row);
  }

  private void forward(int row, int k, float[] load) {
    int at = row * nz + k;
    int from = box[k][0];
    int to = box[k][1];
    if (k == 0) {
      Rows.scale(from, to, load, pivot[at], solution[at]);
    } else {
      float[] under = solution[at - 1];
      Rows.forward(
          from, to, load, vertical[k - 1], gap[k - 1][row], pivot[at], under, solution[at]);
    }
  }

  private void backward(int row) {
    for (int k = nz - 2; k >= 0; k--) {
      if (isIn(row, k)) {
        int at = row * nz + k;
        float[] over = solution[at + 1];
        Rows.backward(
            box[k][0], box[k][1], vertical[k], gap[k][row], pivot[at], over, solution[at]);
      }
    }
  }

  /** What flows to the cells of a row from the solution at their neighbours, on top of a load. */
  private void fromNeighbours(int row, int k, float[] load, float[] to, Scratch s) {
    int first = box[k][0];
    int past = box[k][1];
    Chequer.Couplings c = couplings[k];
    int other = row ^ 1;
    float[] beside = solution[other * nz + k];
    float[] under = other > 1 ? solution[(other - 2) * nz + k] : nothing;
    float[] over = other + 2 < 2 * pairs ? solution[(other + 2) * nz + k] : nothing;
    Rows.fromTwo(first, past, load, lateral[k], c.below()[row], under, c.above()[row], over, to);
    System.arraycopy(beside, 0, s.before, 1, nx - 1);
    System.arraycopy(beside, 1, s.behind, 0, nx - 1);
    Rows.fromThree(
        first,
        past,
        lateral[k],
        c.left()[row],
        s.before,
        c.right()[row],
        s.behind,
        c.within()[row],
        beside,
        to);
  }

  /**
   * The rows of a pair of minus the matrix times a field.
   *
   * @param field read
   * @param product overwritten in these rows
   */
  void negativeProduct(int pair, float[][] field, float[][] product) {
    Scratch s = scratch.get();
    for (int row = 2 * pair; row < 2 * pair + 2; row++) {
      for (int k = 0; k < nz; k++) {
        if (isIn(row, k)) {
          negativeProduct(row, k, field, product[row * nz + k], s);
        }
      }
    }
  }

  private void negativeProduct(int row, int k, float[][] in, float[] w, Scratch s) {
    int from = box[k][0];
    int to = box[k][1];
    int at = row * nz + k;
    float[] f = in[at];
    Rows.vertical(
        from,
        to,
        k > 0 ? vertical[k - 1] : 0,
        k > 0 ? gap[k - 1][row] : nothing,
        k > 0 ? in[at - 1] : nothing,
        k < nz - 1 ? vertical[k] : 0,
        k < nz - 1 ? gap[k][row] : nothing,
        k < nz - 1 ? in[at + 1] : nothing,
        f,
        w);
    if (lateral[k] != 0) {
      Chequer.Couplings c = couplings[k];
      int other = row ^ 1;
      float[] beside = in[other * nz + k];
      float[] under = other > 1 ? in[(other - 2) * nz + k] : nothing;
      float[] over = other + 2 < 2 * pairs ? in[(other + 2) * nz + k] : nothing;
      Rows.lateral(from, to, lateral[k], c.below()[row], under, c.above()[row], over, f, w);
      System.arraycopy(beside, 0, s.before, 1, nx - 1);
      System.arraycopy(beside, 1, s.behind, 0, nx - 1);
      Rows.lateral(from, to, lateral[k], c.left()[row], s.before, c.right()[row], s.behind, f, w);
      Rows.lateral(from, to, lateral[k], c.within()[row], beside, f, w);
    }
    if (mass[k] != 0) {
      Rows.ground(from, to, mass[k], area[k][row], f, w);
    }
    if (k == nz - 1) {
      Rows.ground(from, to, 1, film[row], f, w);
    }
  }

  /**
   * The residual of a pair, narrowed along x for the coarser grid. The second colour has just been
   * solved, so that only the first has a residual: what its neighbours send now less what they sent
   * when it was solved.
   */
  private void narrow(int pair) {
    Scratch s = scratch.get();
    int row = 2 * pair;
    for (int k = 0; k < nz; k++) {
      if (lateral[k] != 0 && isIn(row, k)) {
        int at = row * nz + k;
        Rows.difference(box[k][0], box[k][1], wanted[at], load[at], s.residual);
        fromNeighbours(row, k, s.residual, s.residual, s);
        down.narrow(row, k, s.residual, narrowed, s.transfer);
        down.narrow(row + 1, k, s.residual, narrowed, s.transfer);
      }
    }
  }

  /** The right-hand side of a pair: the residual of a finer grid. */
  private void collect(MultigridLevel finer, int pair) {
    for (int j = 2 * pair; j < 2 * pair + 2; j++) {
      for (int k = 0; k < nz; k++) {
        if (j == ny) {
          Arrays.fill(wanted[j * nz + k], 0);
        } else if (lateral[k] != 0) {
          finer.down.collect(j, k, finer.narrowed, wanted[j * nz + k]);
        }
      }
    }
    Chequer.turn(pair, nz, wanted);
  }

  /** Corrects the first colour; the second will be solved anew from it. */
  private void correctFirst(MultigridLevel coarse, int pair) {
    Scratch s = scratch.get();
    float[][] c = coarse.solution;
    for (int j = 2 * pair; j < Math.min(ny, 2 * pair + 2); j++) {
      for (int k = 0; k < nz; k++) {
        down.interpolate(j, k, c, solution[2 * pair * nz + k], s.transfer);
      }
    }
  }
}
