package dev.ambershim.core.physics.multigrid;

import java.util.Arrays;
import java.util.IdentityHashMap;

/**
 * The way between a grid and the coarser one: along x and along y the parabola through the centres
 * of a joined column and its two neighbours. Beyond an insulated edge stands the mirror image of
 * what is before it. Restriction is the transpose. A straight line between two centres would take
 * waves of some cells' length to the coarser grid and back too flat, and the cycle would leave a
 * quarter of them.
 *
 * <p>Only the first colour of {@link Chequer} is read and written: the second has no residual and
 * is solved anew after a correction.
 */
final class Transfer {
  private final int nx;
  private final int nz;
  private final int joinedColumns;
  private final int[] rows;
  private final int[] rowOf;
  private final int[] columnOf;

  /** By slice. */
  private final Shares[] shares;

  Transfer(Conductances fine, Conductances coarse, int[] gi, int[] gj) {
    nx = fine.nx;
    nz = fine.nz;
    joinedColumns = coarse.nx;
    rows = gj.clone();
    rowOf = owners(gj, fine.ny);
    columnOf = owners(gi, fine.nx);
    double[][] alongX = parabolas(fine.x, coarse.x, columnOf);
    double[][] alongY = parabolas(fine.y, coarse.y, rowOf);
    shares = new Shares[nz];
    IdentityHashMap<Pattern, Shares> known = new IdentityHashMap<>();
    for (int k = 0; k < nz; k++) {
      Pattern wide = coarse.pattern[k];
      shares[k] = known.computeIfAbsent(fine.pattern[k], p -> shares(p, wide, alongX, alongY));
    }
  }

  private static int[] owners(int[] groups, int count) {
    int[] owner = new int[count];
    for (int g = 0; g < groups.length - 1; g++) {
      for (int i = groups[g]; i < groups[g + 1]; i++) {
        owner[i] = g;
      }
    }
    return owner;
  }

  /**
   * Weights of the joined cell before the own one, of the own one and of the one behind it, for
   * each cell.
   */
  private static double[][] parabolas(Axis fine, Axis coarse, int[] owner) {
    double[][] weights = new double[3][owner.length];
    for (int i = 0; i < owner.length; i++) {
      int own = owner[i];
      double[] at = new double[3];
      for (int side = -1; side <= 1; side++) {
        int cell = own + side;
        // The mirror image of the own centre beyond the first and last edge.
        at[side + 1] =
            cell < 0
                ? 2 * coarse.edges[0] - coarse.centre(own)
                : cell >= coarse.cells()
                    ? 2 * coarse.edges[coarse.cells()] - coarse.centre(own)
                    : coarse.centre(cell);
      }
      double here = fine.centre(i);
      for (int a = 0; a < 3; a++) {
        double weight = 1;
        for (int b = 0; b < 3; b++) {
          weight *= a == b ? 1 : (here - at[b]) / (at[a] - at[b]);
        }
        weights[a][i] = weight;
      }
    }
    return weights;
  }

  /**
   * Weights in one pattern.
   *
   * @param alongY for each of the three joined rows, by row
   * @param whole whether a row and the joined rows about it have all cells of the pattern's box
   * @param single the nine weights, by joined row, joined column and column, of a row that is not
   * @param thinned the weights along x in a row that is whole, for even and for odd rows
   * @param box the columns and rows that hold anything
   * @param joinedBox the same of the joined columns and rows
   */
  private record Shares(
      float[][] alongY,
      boolean[] whole,
      float[][][] single,
      Thinned[] thinned,
      int[] box,
      int[] joinedBox) {}

  /**
   * What the first colour has in a row: at most one cell in each joined column, since at most two
   * are joined. All by joined column.
   *
   * @param cell that cell, or any if there is none
   * @param toLeft its weight in the joined column to the left, 0 if there is none
   * @param toOwn in its own
   * @param toRight in that to the right
   * @param fromLeft what the cell of the column to the left has here
   * @param fromRight that of the column to the right
   */
  private record Thinned(
      int[] cell,
      float[] toLeft,
      float[] toOwn,
      float[] toRight,
      float[] fromLeft,
      float[] fromRight) {}

  private Shares shares(Pattern fine, Pattern coarse, double[][] weightX, double[][] weightY) {
    int ny = rowOf.length;
    boolean[] wholeFine = whole(fine);
    boolean[] wholeCoarse = whole(coarse);
    float[][] x = new float[3][nx];
    for (int i = fine.box[0]; i < fine.box[1]; i++) {
      for (int side = 0; side < 3; side++) {
        int column = columnOf[i] + side - 1;
        boolean is = column >= coarse.box[0] && column < coarse.box[1];
        x[is ? side : 1][i] += (float) weightX[side][i];
      }
    }
    float[][] y = new float[3][ny];
    boolean[] whole = new boolean[ny];
    float[][][] single = new float[ny][][];
    for (int j = fine.box[2]; j < fine.box[3]; j++) {
      whole[j] = wholeFine[j];
      for (int side = 0; side < 3; side++) {
        int row = rowOf[j] + side - 1;
        boolean is = row >= coarse.box[2] && row < coarse.box[3];
        y[is ? side : 1][j] += (float) weightY[side][j];
        whole[j] &= !is || wholeCoarse[row];
      }
      if (!whole[j]) {
        single[j] = single(j, fine, coarse, weightX, weightY);
      }
    }
    Thinned[] thinned = {thinned(x, fine.box, 0), thinned(x, fine.box, 1)};
    return new Shares(y, whole, single, thinned, fine.box, coarse.box);
  }

  /** Whether a row has all cells of the pattern's box. */
  private static boolean[] whole(Pattern p) {
    boolean[] whole = new boolean[p.area.length];
    for (int j = p.box[2]; j < p.box[3]; j++) {
      whole[j] = true;
      for (int i = p.box[0]; i < p.box[1]; i++) {
        whole[j] &= p.area[j][i] > 0;
      }
    }
    return whole;
  }

  /** The nine weights of each cell of a row; what would come from no cell comes from beside it. */
  private float[][] single(
      int j, Pattern fine, Pattern coarse, double[][] weightX, double[][] weightY) {
    float[][] nine = new float[9][nx];
    for (int i = fine.box[0]; i < fine.box[1]; i++) {
      for (int up = 0; fine.area[j][i] > 0 && up < 3; up++) {
        boolean beyond = is(coarse, rowOf[j] + up - 1, columnOf[i]);
        for (int side = 0; side < 3; side++) {
          int to = beyond ? up : 1;
          boolean beside = is(coarse, rowOf[j] + to - 1, columnOf[i] + side - 1);
          nine[3 * to + (beside ? side : 1)][i] += (float) (weightY[up][j] * weightX[side][i]);
        }
      }
    }
    return nine;
  }

  private static boolean is(Pattern p, int j, int i) {
    return j >= 0 && i >= 0 && j < p.area.length && i < p.area[j].length && p.area[j][i] > 0;
  }

  private Thinned thinned(float[][] x, int[] box, int row) {
    int[] cell = new int[joinedColumns];
    float[][] to = new float[3][joinedColumns];
    float[] fromLeft = new float[joinedColumns];
    float[] fromRight = new float[joinedColumns];
    Arrays.fill(cell, box[0]);
    for (int i = first(box, row); i < box[1]; i += 2) {
      int c = columnOf[i];
      cell[c] = i;
      for (int side = 0; side < 3; side++) {
        to[side][c] = x[side][i];
      }
      if (c + 1 < joinedColumns) {
        fromLeft[c + 1] = x[2][i];
      }
      if (c > 0) {
        fromRight[c - 1] = x[0][i];
      }
    }
    return new Thinned(cell, to[0], to[1], to[2], fromLeft, fromRight);
  }

  /** The first column of a row whose place is the first colour's. */
  private static int first(int[] box, int row) {
    return box[0] + ((box[0] + row) & 1);
  }

  /** How many columns the coarser grid has along x. */
  int joinedColumns() {
    return joinedColumns;
  }

  /** Whether a slice has cells in a row. */
  private boolean isIn(int j, int k) {
    int[] box = shares[k].box;
    return j >= box[2] && j < box[3];
  }

  /** Fields between two halves of a restriction, by {@code row * nz + k}. */
  record Narrowed(float[][] own, float[][] below, float[][] above) {}

  /** What a thread needs: three rows of joined columns. */
  static final class Scratch {
    private final float[] own;
    private final float[] left;
    private final float[] right;

    Scratch(int joinedColumns) {
      own = new float[joinedColumns];
      left = new float[joinedColumns];
      right = new float[joinedColumns];
    }

    /** What stands before and behind each place of {@link #own}. */
    void shift() {
      System.arraycopy(own, 0, left, 1, own.length - 1);
      System.arraycopy(own, 1, right, 0, own.length - 1);
    }
  }

  /**
   * The first half of what {@link #interpolate} transposed does to a row of a slice: sums along x.
   *
   * @param from the first colour of the row's pair, read
   * @param to takes the sums; one for all joined rows where they differ by a factor only
   */
  void narrow(int j, int k, float[] from, Narrowed to, Scratch scratch) {
    if (!isIn(j, k)) {
      return;
    }
    Shares s = shares[k];
    int at = j * nz + k;
    if (s.whole[j]) {
      Thinned t = s.thinned[j & 1];
      int first = s.joinedBox[0];
      int past = s.joinedBox[1];
      pick(first, past, t.cell, from, scratch.own);
      scratch.shift();
      weigh(
          first,
          past,
          t.fromLeft,
          scratch.left,
          t.toOwn,
          scratch.own,
          t.fromRight,
          scratch.right,
          to.own[at]);
      return;
    }
    if (to.below[at] == null) {
      to.below[at] = new float[joinedColumns];
      to.above[at] = new float[joinedColumns];
    }
    for (int up = 0; up < 3; up++) {
      float[] sums = (up == 0 ? to.below : up == 1 ? to.own : to.above)[at];
      Arrays.fill(sums, 0);
      for (int side = 0; side < 3; side++) {
        float[] weight = s.single[j][3 * up + side];
        for (int i = first(s.box, j); i < s.box[1]; i += 2) {
          if (weight[i] != 0) {
            sums[columnOf[i] + side - 1] += weight[i] * from[i];
          }
        }
      }
    }
  }

  private static void pick(int from, int to, int[] cell, float[] values, float[] picked) {
    for (int c = from; c < to; c++) {
      picked[c] = values[cell[c]];
    }
  }

  private static void weigh(
      int from,
      int to,
      float[] wa,
      float[] a,
      float[] wb,
      float[] b,
      float[] wc,
      float[] c,
      float[] sum) {
    for (int i = from; i < to; i++) {
      sum[i] = wa[i] * a[i] + wb[i] * b[i] + wc[i] * c[i];
    }
  }

  /**
   * The second half: sums along y.
   *
   * @param from what {@link #narrow} made
   * @param to a joined row, overwritten where the layer is
   */
  void collect(int joined, int k, Narrowed from, float[] to) {
    Shares s = shares[k];
    int low = s.joinedBox[0];
    int high = s.joinedBox[1];
    Arrays.fill(to, low, high, 0);
    int first = Math.max(s.box[2], rows[Math.max(0, joined - 1)]);
    int past = Math.min(s.box[3], rows[Math.min(rows.length - 1, joined + 2)]);
    for (int j = first; j < past; j++) {
      int up = joined - rowOf[j] + 1;
      int at = j * nz + k;
      if (!s.whole[j]) {
        Rows.addTimes(
            low, high, 1, (up == 0 ? from.below : up == 1 ? from.own : from.above)[at], to);
      } else if (s.alongY[up][j] != 0) {
        Rows.addTimes(low, high, s.alongY[up][j], from.own[at], to);
      }
    }
  }

  /**
   * Adds the coarse field to the places of the first colour in one row of a slice.
   *
   * @param coarse read, in rows of columns
   * @param sum the first colour of the row's pair
   */
  void interpolate(int j, int k, float[][] coarse, float[] sum, Scratch scratch) {
    if (!isIn(j, k)) {
      return;
    }
    Shares s = shares[k];
    int own = rowOf[j] * nz + k;
    if (s.whole[j]) {
      int first = s.joinedBox[0];
      int past = s.joinedBox[1];
      float below = s.alongY[0][j];
      float above = s.alongY[2][j];
      mix(
          first,
          past,
          below,
          coarse[below == 0 ? own : own - nz],
          s.alongY[1][j],
          coarse[own],
          above,
          coarse[above == 0 ? own : own + nz],
          scratch.own);
      scratch.shift();
      Thinned t = s.thinned[j & 1];
      weigh(
          first,
          past,
          t.toLeft,
          scratch.left,
          t.toOwn,
          scratch.own,
          t.toRight,
          scratch.right,
          scratch.own);
      put(first, past, t.cell, scratch.own, sum);
      return;
    }
    for (int up = 0; up < 3; up++) {
      for (int side = 0; side < 3; side++) {
        float[] weight = s.single[j][3 * up + side];
        for (int i = first(s.box, j); i < s.box[1]; i += 2) {
          if (weight[i] != 0) {
            sum[i] += weight[i] * coarse[own + (up - 1) * nz][columnOf[i] + side - 1];
          }
        }
      }
    }
  }

  private static void put(int from, int to, int[] cell, float[] values, float[] sum) {
    for (int c = from; c < to; c++) {
      sum[cell[c]] += values[c];
    }
  }

  private static void mix(
      int from,
      int to,
      float wa,
      float[] a,
      float wb,
      float[] b,
      float wc,
      float[] c,
      float[] sum) {
    for (int i = from; i < to; i++) {
      sum[i] = wa * a[i] + wb * b[i] + wc * c[i];
    }
  }
}
