package dev.ambershim.core.conduction;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;

/**
 * The way between a grid and the coarser one: bilinear between the centres of joined columns, and
 * constant where the neighbour does not exist. Restriction is its transpose.
 */
final class Transfer {
  private final int nx;
  private final int[] rows;
  private final int[] rowOf;
  private final boolean[] leansUp;
  private final int[] columnOf;
  private final int[] nextColumn;

  /** By slice: shares of the joined neighbours. */
  private final Shares[] shares;

  Transfer(Conductances fine, Conductances coarse, int[] gi, int[] gj) {
    nx = fine.nx;
    rows = gj.clone();
    rowOf = owners(gj, fine.ny);
    columnOf = owners(gi, fine.nx);
    leansUp = new boolean[fine.ny];
    double[] shareY = new double[fine.ny];
    for (int j = 0; j < fine.ny; j++) {
      leansUp[j] = fine.y.centre(j) > coarse.y.centre(rowOf[j]);
      shareY[j] = share(fine.y, coarse.y, j, rowOf[j], rowOf[j] + (leansUp[j] ? 1 : -1));
    }
    nextColumn = new int[nx];
    double[] shareX = new double[nx];
    for (int i = 0; i < nx; i++) {
      int next = columnOf[i] + (fine.x.centre(i) > coarse.x.centre(columnOf[i]) ? 1 : -1);
      shareX[i] = share(fine.x, coarse.x, i, columnOf[i], next);
      nextColumn[i] = Math.min(coarse.nx - 1, Math.max(0, next));
    }
    shares = new Shares[fine.nz];
    IdentityHashMap<Pattern, Shares> known = new IdentityHashMap<>();
    for (int k = 0; k < fine.nz; k++) {
      Pattern wide = coarse.pattern[k];
      shares[k] = known.computeIfAbsent(fine.pattern[k], p -> shares(p, wide, shareX, shareY));
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

  private static double share(Axis fine, Axis coarse, int cell, int own, int next) {
    if (next < 0 || next >= coarse.cells()) {
      return 0;
    }
    return Math.abs(fine.centre(cell) - coarse.centre(own))
        / Math.abs(coarse.centre(next) - coarse.centre(own));
  }

  /**
   * Shares of the joined neighbours in one pattern, by row and column.
   *
   * @param alongX of the neighbour along x
   * @param alongY of the neighbour along y
   * @param even whether a row has the shares of {@code usual} and one share along y throughout, as
   *     all rows of a rectangle have
   * @param usual the shares along x of even rows, gathered for each joined column
   * @param box the columns and rows that hold anything
   */
  private record Shares(
      float[][] alongX, float[][] alongY, boolean[] even, Gathered usual, int[] box) {}

  /**
   * The shares along x, each with the column it comes from and the joined one it goes to.
   * Neighbours in the list go to different columns, so that no sum waits for the one before.
   */
  private record Gathered(int[] from, int[] to, float[] weight) {}

  private Shares shares(Pattern fine, Pattern coarse, double[] shareX, double[] shareY) {
    int ny = shareY.length;
    float[][] x = new float[ny][nx];
    float[][] y = new float[ny][nx];
    for (int j = fine.box[2]; j < fine.box[3]; j++) {
      int next = rowOf[j] + (leansUp[j] ? 1 : -1);
      for (int i = fine.box[0]; i < fine.box[1]; i++) {
        if (fine.area[j][i] == 0) {
          continue;
        }
        boolean besides = shareX[i] > 0 && coarse.area[rowOf[j]][nextColumn[i]] > 0;
        boolean beyond = shareY[j] > 0 && coarse.area[next][columnOf[i]] > 0;
        boolean across = besides && beyond && coarse.area[next][nextColumn[i]] > 0;
        x[j][i] = besides && (across || !beyond) ? (float) shareX[i] : 0;
        y[j][i] = beyond ? (float) shareY[j] : 0;
      }
    }
    int middle = (fine.box[2] + fine.box[3]) / 2;
    boolean[] even = new boolean[ny];
    for (int j = fine.box[2]; j < fine.box[3]; j++) {
      even[j] = Arrays.equals(x[j], x[middle]);
      for (int i = fine.box[0]; i < fine.box[1]; i++) {
        even[j] &= fine.area[j][i] > 0 && y[j][i] == y[j][fine.box[0]];
      }
      if (even[j]) {
        x[j] = x[middle];
      }
    }
    return new Shares(x, y, even, gathered(x[middle], fine.box, coarse.x.cells()), fine.box);
  }

  private Gathered gathered(float[] x, int[] box, int joined) {
    List<List<Integer>> sources = new ArrayList<>();
    for (int at = 0; at < joined; at++) {
      sources.add(new ArrayList<>());
    }
    for (int i = box[0]; i < box[1]; i++) {
      sources.get(columnOf[i]).add(i);
      if (x[i] > 0) {
        sources.get(nextColumn[i]).add(i);
      }
    }
    int count = sources.stream().mapToInt(List::size).sum();
    int[] from = new int[count];
    int[] to = new int[count];
    float[] weight = new float[count];
    int n = 0;
    for (int term = 0; n < count; term++) {
      for (int at = 0; at < joined; at++) {
        if (term < sources.get(at).size()) {
          int i = sources.get(at).get(term);
          from[n] = i;
          to[n] = at;
          weight[n++] = columnOf[i] == at ? 1 - x[i] : x[i];
        }
      }
    }
    return new Gathered(from, to, weight);
  }

  /** How many columns the coarser grid has along x. */
  int joinedColumns() {
    return columnOf[nx - 1] + 1;
  }

  /** The first fine row of a joined row. */
  int firstRow(int joined) {
    return rows[joined];
  }

  /** The joined row of a fine row. */
  int row(int j) {
    return rowOf[j];
  }

  /** Whether a fine row lies above the centre of its joined row. */
  boolean leansUp(int j) {
    return leansUp[j];
  }

  /**
   * The transpose of {@link #interpolate} for one row of a slice.
   *
   * @param from read
   * @param own the joined row, added to
   * @param next what belongs to the joined row beside it, added to
   * @param scratch a joined row
   */
  void spread(int j, int k, float[] from, float[] own, float[] next, float[] scratch) {
    Shares s = shares[k];
    float[] x = s.alongX[j];
    float[] y = s.alongY[j];
    if (s.even[j]) {
      gather(s.usual, from, scratch);
      float far = y[s.box[0]];
      addTimes(1 - far, scratch, own);
      addTimes(far, scratch, next);
      return;
    }
    for (int i = s.box[0]; i < s.box[1]; i++) {
      float far = from[i] * y[i];
      float near = from[i] - far;
      int a = columnOf[i];
      int b = nextColumn[i];
      own[a] += (1 - x[i]) * near;
      next[a] += (1 - x[i]) * far;
      own[b] += x[i] * near;
      next[b] += x[i] * far;
    }
  }

  private static void gather(Gathered usual, float[] values, float[] sums) {
    Arrays.fill(sums, 0);
    int[] from = usual.from;
    int[] to = usual.to;
    float[] weight = usual.weight;
    for (int n = 0; n < from.length; n++) {
      sums[to[n]] += weight[n] * values[from[n]];
    }
  }

  private static void addTimes(float factor, float[] from, float[] to) {
    for (int i = 0; i < to.length; i++) {
      to[i] += factor * from[i];
    }
  }

  /**
   * One row of a slice with the coarse field added.
   *
   * @param own the joined row, read
   * @param next the joined row beside it, read
   * @param fine the row without it, read
   * @param sum overwritten where the layer is
   * @param scratch a joined row
   */
  void interpolate(
      int j, int k, float[] own, float[] next, float[] fine, float[] sum, float[] scratch) {
    Shares s = shares[k];
    float[] x = s.alongX[j];
    float[] y = s.alongY[j];
    if (s.even[j]) {
      mix(y[s.box[0]], own, next, scratch);
      for (int i = s.box[0]; i < s.box[1]; i++) {
        float near = scratch[columnOf[i]];
        sum[i] = fine[i] + (near + x[i] * (scratch[nextColumn[i]] - near));
      }
      return;
    }
    for (int i = s.box[0]; i < s.box[1]; i++) {
      int a = columnOf[i];
      int b = nextColumn[i];
      float near = own[a] + x[i] * (own[b] - own[a]);
      float far = next[a] + x[i] * (next[b] - next[a]);
      sum[i] = fine[i] + (near + y[i] * (far - near));
    }
  }

  private static void mix(float share, float[] own, float[] next, float[] to) {
    for (int i = 0; i < to.length; i++) {
      to[i] = own[i] + share * (next[i] - own[i]);
    }
  }
}
