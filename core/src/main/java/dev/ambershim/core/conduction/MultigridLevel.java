package dev.ambershim.core.conduction;

import java.util.Arrays;
import java.util.IdentityHashMap;

/**
 * One grid of the multigrid in single precision: its matrix, its smoother and the way to the next
 * coarser grid.
 *
 * <p>The smoother solves each column of cells exactly (in z the couplings differ by many powers of
 * ten) and damps what remains between columns by Chebyshev's polynomial of degree two over the
 * upper three quarters of the spectrum, which lies within (0, 2) (Saad, <i>Iterative Methods for
 * Sparse Linear Systems</i>, section 12.3). It is symmetric, so that conjugate gradients may use
 * it.
 */
final class MultigridLevel {
  /** The damped part of the spectrum, from this to 2. */
  private static final double LOW = 0.3;

  private static final float FIRST = (float) (2 / (2 + LOW));
  private static final float AGAIN;
  private static final float SECOND;

  static {
    double theta = (2 + LOW) / 2;
    double delta = (2 - LOW) / 2;
    double sigma = theta / delta;
    double rho = 1 / (2 * sigma - 1 / sigma);
    AGAIN = (float) (rho / sigma);
    SECOND = (float) (2 * rho / delta);
  }

  private final int nx;
  private final int ny;
  private final int nz;
  private final long cells;
  private final float[][][] left;
  private final float[][][] right;
  private final float[][][] low;
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

  /** The wanted right-hand side, and two fields of the solution in turn. */
  final float[][] wanted;

  private float[][] solution;
  private float[][] other;
  private final Transfer down;
  private final ThreadLocal<Scratch> scratch;

  /** What one thread needs to work on a row of columns. */
  private static final class Scratch {
    final float[][] w;

    /** Three rows of columns each, in turn: {@code (j % 3) * nz + k}. */
    final float[][] corrected;

    final float[][] once;
    final float[] before;
    final float[] behind;
    final float[] joined;

    Scratch(int nx, int nz, int coarse) {
      joined = new float[coarse];
      w = new float[nz][nx];
      corrected = new float[3 * nz][nx];
      once = new float[3 * nz][nx];
      before = new float[nx];
      behind = new float[nx];
    }
  }

  MultigridLevel(Conductances a, Transfer down, Team team) {
    nx = a.nx;
    ny = a.ny;
    nz = a.nz;
    cells = a.cells();
    IdentityHashMap<double[][], float[][]> shared = new IdentityHashMap<>();
    left = new float[nz][][];
    right = new float[nz][][];
    low = new float[nz][][];
    area = new float[nz][][];
    box = new int[nz][];
    gap = new float[nz - 1][][];
    for (int k = 0; k < nz; k++) {
      Pattern p = a.pattern[k];
      left[k] = shared.computeIfAbsent(p.left, MultigridLevel::single);
      right[k] = shared.computeIfAbsent(p.right, MultigridLevel::single);
      low[k] = shared.computeIfAbsent(p.low, MultigridLevel::single);
      area[k] = shared.computeIfAbsent(p.area, MultigridLevel::single);
      box[k] = p.box;
    }
    for (int k = 0; k < nz - 1; k++) {
      gap[k] = shared.computeIfAbsent(a.gap[k], MultigridLevel::single);
    }
    film = single(a.film);
    lateral = single(a.lateral);
    vertical = single(a.vertical);
    mass = single(a.mass);
    nothing = new float[nx];
    pivot = new float[ny * nz][nx];
    wanted = new float[ny * nz][nx];
    solution = new float[ny * nz][nx];
    other = new float[ny * nz][nx];
    this.down = down;
    int coarse = down == null ? 0 : down.joinedColumns();
    scratch = ThreadLocal.withInitial(() -> new Scratch(nx, nz, coarse));
    team.each(ny, cells, j -> eliminate(a, j));
  }

  private static float[] single(double[] values) {
    float[] floats = new float[values.length];
    for (int i = 0; i < floats.length; i++) {
      floats[i] = (float) values[i];
    }
    return floats;
  }

  private static float[][] single(double[][] values) {
    float[][] floats = new float[values.length][];
    for (int i = 0; i < floats.length; i++) {
      floats[i] = single(values[i]);
    }
    return floats;
  }

  /**
   * Pivots of a row of columns. Each is the gap above plus what leads to ground from there down;
   * the latter is summed without cancellation.
   */
  private void eliminate(Conductances a, int j) {
    double[] ground = new double[nx];
    double[] inverse = new double[nx];
    double[] none = new double[nx];
    for (int k = 0; k < nz; k++) {
      Pattern p = a.pattern[k];
      Rows.toGround(
          a.lateral[k],
          p.left[j],
          p.right[j],
          p.low[j],
          p.low[j + 1],
          inverse,
          ground,
          k > 0 ? a.vertical[k - 1] : 0,
          k > 0 ? a.gap[k - 1][j] : none);
      Rows.addTimes(a.mass[k], p.area[j], ground);
      if (k == nz - 1) {
        Rows.addTimes(1, a.film[j], ground);
      }
      Rows.invert(ground, k < nz - 1 ? a.vertical[k] : 0, k < nz - 1 ? a.gap[k][j] : none, inverse);
      float[] to = pivot[j * nz + k];
      for (int i = 0; i < nx; i++) {
        to[i] = (float) inverse[i];
      }
    }
  }

  /** The solution so far. */
  float[][] solution() {
    return solution;
  }

  /**
   * Smooths from zero towards {@link #wanted}. Both steps of the polynomial follow each other row
   * by row, so that what the second needs is still near the processor.
   */
  void smoothFromZero(Team team) {
    float[][] out = solution;
    team.blocks(
        ny,
        cells,
        (first, past) -> {
          Scratch s = scratch.get();
          for (int j = Math.max(0, first - 1); j <= past; j++) {
            if (j < ny) {
              solveColumns(j, null, 0, 0, 0, s);
              finish(j, FIRST, null, 0, 0, null, 0, s.once, ring(j), s);
            }
            int own = j - 1;
            if (own >= first) {
              // The field before was zero, so the momentum is the whole field.
              solveColumns(own, s.once, ring(own - 1), ring(own), ring(own + 1), s);
              finish(own, SECOND, s.once, ring(own), 1 + AGAIN, null, 0, out, own * nz, s);
            }
          }
        });
  }

  /** Adds the coarser grid's solution and smooths towards {@link #wanted}, row by row. */
  void correctAndSmooth(MultigridLevel coarse, Team team) {
    float[][] in = solution;
    float[][] out = other;
    team.blocks(
        ny,
        cells,
        (first, past) -> {
          Scratch s = scratch.get();
          for (int j = first - 2; j <= past + 1; j++) {
            if (j >= 0 && j < ny) {
              correct(j, in, coarse, s);
            }
            int once = j - 1;
            if (once >= Math.max(0, first - 1) && once < Math.min(ny, past + 1)) {
              float[][] c = s.corrected;
              solveColumns(once, c, ring(once - 1), ring(once), ring(once + 1), s);
              finish(once, FIRST, c, ring(once), 1, null, 0, s.once, ring(once), s);
            }
            int own = j - 2;
            if (own >= first && own < past) {
              float[][] x = s.once;
              solveColumns(own, x, ring(own - 1), ring(own), ring(own + 1), s);
              finish(
                  own, SECOND, x, ring(own), 1 + AGAIN, s.corrected, ring(own), out, own * nz, s);
            }
          }
        });
    solution = out;
    other = in;
  }

  private int ring(int j) {
    return (j + 3) % 3 * nz;
  }

  private void correct(int j, float[][] in, MultigridLevel coarse, Scratch s) {
    int own = down.row(j) * nz;
    int next = Math.min(coarse.ny - 1, Math.max(0, down.row(j) + (down.leansUp(j) ? 1 : -1))) * nz;
    for (int k = 0; k < nz; k++) {
      // Where there is no layer nothing flows, so that what stands there does not matter.
      if (isIn(j, k)) {
        float[] to = s.corrected[ring(j) + k];
        float[][] c = coarse.solution;
        down.interpolate(j, k, c[own + k], c[next + k], in[j * nz + k], to, s.joined);
      }
    }
  }

  /** Solves a grid of one column. */
  void solveColumn() {
    Scratch s = scratch.get();
    solveColumns(0, null, 0, 0, 0, s);
    finish(0, 1, null, 0, 0, null, 0, solution, 0, s);
  }

  /** Whether there is one column only. */
  boolean isColumn() {
    return nx == 1 && ny == 1;
  }

  /** A field that is free until the next cycle. */
  float[][] spare() {
    return other;
  }

  /**
   * A row of columns of minus the matrix times a field.
   *
   * @param field read
   * @param product overwritten in this row
   */
  void negativeProductRow(int j, float[][] field, float[][] product) {
    Scratch s = scratch.get();
    for (int k = 0; k < nz; k++) {
      if (isIn(j, k)) {
        int row = j * nz;
        residual(j, k, field, row - nz, row, row + nz, nothing, product[row + k], s);
      }
    }
  }

  private boolean isIn(int j, int k) {
    return j >= box[k][2] && j < box[k][3];
  }

  /**
   * Solves a row of columns for the residual, M·w = wanted − A·in, into the scratch.
   *
   * @param in read, or null for zero
   * @param below where the row below stands in {@code in}
   * @param own where this row stands
   * @param above where the row above stands
   */
  private void solveColumns(int j, float[][] in, int below, int own, int above, Scratch s) {
    float[][] w = s.w;
    for (int k = 0; k < nz; k++) {
      int from = box[k][0];
      int to = box[k][1];
      if (!isIn(j, k)) {
        continue;
      }
      float[] piv = pivot[j * nz + k];
      float[] load = wanted[j * nz + k];
      if (in != null) {
        residual(j, k, in, below, own, above, load, w[k], s);
        load = w[k];
      }
      if (k > 0) {
        Rows.forward(from, to, load, vertical[k - 1], gap[k - 1][j], piv, w[k - 1], w[k]);
      } else {
        Rows.scale(from, to, load, piv, w[k]);
      }
    }
    for (int k = nz - 2; k >= 0; k--) {
      if (isIn(j, k)) {
        Rows.backward(
            box[k][0], box[k][1], vertical[k], gap[k][j], pivot[j * nz + k], w[k + 1], w[k]);
      }
    }
  }

  /** Sets out = share · in + (1 − share) · old + weight · w, with in and old null for zero. */
  private void finish(
      int j,
      float weight,
      float[][] in,
      int inRow,
      float share,
      float[][] old,
      int oldRow,
      float[][] out,
      int outRow,
      Scratch s) {
    for (int k = 0; k < nz; k++) {
      if (!isIn(j, k)) {
        continue;
      }
      int from = box[k][0];
      int to = box[k][1];
      float[] o = out[outRow + k];
      if (in == null) {
        Rows.set(from, to, weight, s.w[k], o);
      } else if (old == null) {
        Rows.add(from, to, weight, s.w[k], share, in[inRow + k], o);
      } else {
        Rows.addBoth(from, to, weight, s.w[k], share, in[inRow + k], old[oldRow + k], o);
      }
    }
  }

  /** The residual of a row at a slice, into {@code w}. */
  private void residual(
      int j,
      int k,
      float[][] in,
      int below,
      int own,
      int above,
      float[] right,
      float[] w,
      Scratch s) {
    int from = box[k][0];
    int to = box[k][1];
    float[] f = in[own + k];
    Rows.vertical(
        from,
        to,
        k > 0 ? vertical[k - 1] : 0,
        k > 0 ? gap[k - 1][j] : nothing,
        k > 0 ? in[own + k - 1] : nothing,
        k < nz - 1 ? vertical[k] : 0,
        k < nz - 1 ? gap[k][j] : nothing,
        k < nz - 1 ? in[own + k + 1] : nothing,
        f,
        right,
        w);
    if (lateral[k] != 0) {
      float[] under = j > 0 ? in[below + k] : nothing;
      float[] over = j < ny - 1 ? in[above + k] : nothing;
      Rows.lateral(from, to, lateral[k], low[k][j], under, low[k][j + 1], over, f, w);
      System.arraycopy(f, 0, s.before, 1, nx - 1);
      System.arraycopy(f, 1, s.behind, 0, nx - 1);
      Rows.lateral(
          from, to, lateral[k], this.left[k][j], s.before, this.right[k][j], s.behind, f, w);
    }
    if (mass[k] != 0) {
      Rows.ground(from, to, mass[k], area[k][j], f, w);
    }
    if (k == nz - 1) {
      Rows.ground(from, to, 1, film[j], f, w);
    }
  }

  /** Hands the residual to the coarser grid as its right-hand side. */
  void restrictTo(MultigridLevel coarse, Team team) {
    float[][] in = solution;
    // The coarse fields are free now; they take what goes to the row below and above.
    float[][] below = coarse.solution;
    float[][] above = coarse.other;
    team.each(
        coarse.ny,
        cells,
        joined -> {
          Scratch s = scratch.get();
          for (int row = joined * nz; row < (joined + 1) * nz; row++) {
            Arrays.fill(coarse.wanted[row], 0);
            Arrays.fill(below[row], 0);
            Arrays.fill(above[row], 0);
          }
          for (int j = down.firstRow(joined); j < down.firstRow(joined + 1); j++) {
            float[][] next = down.leansUp(j) ? above : below;
            for (int k = 0; k < nz; k++) {
              if (isIn(j, k)) {
                residual(
                    j, k, in, (j - 1) * nz, j * nz, (j + 1) * nz, wanted[j * nz + k], s.w[k], s);
                int row = joined * nz + k;
                down.spread(j, k, s.w[k], coarse.wanted[row], next[row], s.joined);
              }
            }
          }
        });
    team.each(
        coarse.ny,
        coarse.cells,
        joined -> {
          for (int row = joined * nz; row < (joined + 1) * nz; row++) {
            if (joined + 1 < coarse.ny) {
              Rows.sum(below[row + nz], coarse.wanted[row]);
            }
            if (joined > 0) {
              Rows.sum(above[row - nz], coarse.wanted[row]);
            }
          }
        });
  }
}
