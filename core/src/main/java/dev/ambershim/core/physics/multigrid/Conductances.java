package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import java.util.IdentityHashMap;

/**
 * The symmetric matrix of the finite volumes, W/K, kept by what it is made of: a pattern over the
 * columns for each layer, a factor for each slice, a gap between each two slices, the film on top.
 * That is some tens of bytes a column instead of some for each cell.
 *
 * <p>A field is a row along x for each {@code j * nz + k}. Loops run over whole rows without an
 * offset, one kind of neighbour at a time, because only such loops are turned into vector
 * instructions by the Java 17 compiler; each is then four to ten times as fast.
 */
final class Conductances {
  final Axis x;
  final Axis y;
  final int nx;
  final int ny;
  final int nz;
  final Pattern[] pattern;

  /** Conductivity × height of each slice; 0 for an interface. */
  final double[] lateral;

  /** By column, between slice k and k + 1. */
  final double[][][] gap;

  /** Factor on each gap. */
  final double[] vertical;

  /** Film on the top slice, by column. */
  final double[][] film;

  /** Heat capacity × height ÷ time step of each slice, W/m²·K; multiplies its areas. */
  final double[] mass;

  private final double[] nothing;

  private Conductances(
      Axis x,
      Axis y,
      Pattern[] pattern,
      double[] lateral,
      double[][][] gap,
      double[] vertical,
      double[][] film,
      double[] mass) {
    this.x = x;
    this.y = y;
    this.nx = x.cells();
    this.ny = y.cells();
    this.nz = pattern.length;
    this.pattern = pattern;
    this.lateral = lateral;
    this.gap = gap;
    this.vertical = vertical;
    this.film = film;
    this.mass = mass;
    this.nothing = new double[nx];
  }

  /**
   * The conductances of a grid.
   *
   * @param conductivity by slice and column for layers whose conductivity falls with temperature;
   *     null, or null at a slice, for the layer's figure
   */
  static Conductances of(StackGrid grid, double[][] conductivity) {
    int nz = grid.slices();
    StackCase stack = grid.stack;
    Pattern[] perLayer = new Pattern[stack.layers().size()];
    Pattern[] pattern = new Pattern[nz];
    double[] lateral = new double[nz];
    double[][][] gap = new double[nz - 1][][];
    double[] vertical = new double[nz - 1];
    for (int k = 0; k < nz; k++) {
      int l = grid.layerOf[k];
      StackLayer layer = stack.layers().get(l);
      double[] own = conductivity == null ? null : conductivity[k];
      if (own != null) {
        pattern[k] = Pattern.of(grid.x, grid.y, grid.present[l], true, own);
        lateral[k] = grid.height[k];
      } else {
        if (perLayer[l] == null) {
          perLayer[l] = Pattern.of(grid.x, grid.y, grid.present[l], !layer.crossing(), null);
        }
        pattern[k] = perLayer[l];
        lateral[k] =
            layer.crossing() ? 0 : layer.conductivityWattsPerMetreKelvin() * grid.height[k];
      }
    }
    for (int k = 0; k < nz - 1; k++) {
      if (pattern[k] == pattern[k + 1]) {
        gap[k] = pattern[k].area;
        vertical[k] =
            2
                * stack.layers().get(grid.layerOf[k]).conductivityWattsPerMetreKelvin()
                / (grid.height[k] + grid.height[k + 1]);
      } else {
        gap[k] = gap(grid, pattern, conductivity, k);
        vertical[k] = 1;
      }
    }
    int nx = grid.x.cells();
    double[][] film = new double[grid.y.cells()][nx];
    double[][] top = pattern[nz - 1].area;
    for (int c = 0; c < nx * film.length; c++) {
      double area = top[c / nx][c % nx];
      if (area > 0) {
        film[c / nx][c % nx] =
            area
                / (grid.halfResistance(conductivity, nz - 1, c, true)
                    + 1 / stack.filmWattsPerSquareMetreKelvin());
      }
    }
    return new Conductances(grid.x, grid.y, pattern, lateral, gap, vertical, film, new double[nz]);
  }

  private static double[][] gap(StackGrid grid, Pattern[] pattern, double[][] conductivity, int k) {
    double[][] below = pattern[k].area;
    double[][] above = pattern[k + 1].area;
    int nx = grid.x.cells();
    double[][] g = new double[below.length][nx];
    for (int j = 0; j < g.length; j++) {
      for (int i = 0; i < nx; i++) {
        if (below[j][i] > 0 && above[j][i] > 0) {
          g[j][i] =
              below[j][i]
                  / (grid.halfResistance(conductivity, k, j * nx + i, true)
                      + grid.halfResistance(conductivity, k + 1, j * nx + i, false));
        }
      }
    }
    return g;
  }

  /** The same conductances with heat capacities, W/m²·K by slice. */
  Conductances withMass(double[] perSlice) {
    return new Conductances(x, y, pattern, lateral, gap, vertical, film, perSlice);
  }

  /** Cells, those of layers that are not there included. */
  long cells() {
    return (long) nx * ny * nz;
  }

  /** A field of zeros. */
  double[][] field() {
    return new double[ny * nz][nx];
  }

  /** The conductances of joined columns. */
  Conductances joined(int[] gi, int[] gj) {
    Axis coarseX = x.joined(gi);
    Axis coarseY = y.joined(gj);
    // What slices share here, they share there.
    IdentityHashMap<Pattern, Pattern> patterns = new IdentityHashMap<>();
    IdentityHashMap<double[][], double[][]> sums = new IdentityHashMap<>();
    Pattern[] coarse = new Pattern[nz];
    for (int k = 0; k < nz; k++) {
      coarse[k] = patterns.computeIfAbsent(pattern[k], p -> p.joined(coarseX, coarseY, gi, gj));
      sums.put(pattern[k].area, coarse[k].area);
    }
    double[][][] coarseGap = new double[nz - 1][][];
    for (int k = 0; k < nz - 1; k++) {
      coarseGap[k] = sums.computeIfAbsent(gap[k], g -> Pattern.joinedSum(g, gi, gj));
    }
    return new Conductances(
        coarseX,
        coarseY,
        coarse,
        lateral,
        coarseGap,
        vertical,
        Pattern.joinedSum(film, gi, gj),
        mass);
  }

  /**
   * The residual of a row of columns, right − A·field. In differences, so that what leaves one cell
   * enters its neighbour to the last bit.
   *
   * @param right read
   * @param field read
   * @param factor on the residual as it is written
   * @param narrow overwritten in this row
   * @param scratch three rows
   * @return the row's squared length of the residual without the factor
   */
  double residualRow(
      int j,
      double[][] right,
      double[][] field,
      double factor,
      float[][] narrow,
      double[][] scratch) {
    double squares = 0;
    double[] out = scratch[2];
    for (int k = 0; k < nz; k++) {
      Pattern p = pattern[k];
      if (j < p.box[2] || j >= p.box[3]) {
        continue;
      }
      int from = p.box[0];
      int to = p.box[1];
      int row = j * nz + k;
      double[] f = field[row];
      vertical(
          from,
          to,
          k > 0 ? vertical[k - 1] : 0,
          k > 0 ? gap[k - 1][j] : nothing,
          k > 0 ? field[row - 1] : nothing,
          k < nz - 1 ? vertical[k] : 0,
          k < nz - 1 ? gap[k][j] : nothing,
          k < nz - 1 ? field[row + 1] : nothing,
          f,
          out);
      if (lateral[k] != 0) {
        double[] below = j > 0 ? field[row - nz] : nothing;
        double[] above = j < ny - 1 ? field[row + nz] : nothing;
        lateral(from, to, lateral[k], p.low[j], below, p.low[j + 1], above, f, out);
        System.arraycopy(f, 0, scratch[0], 1, nx - 1);
        System.arraycopy(f, 1, scratch[1], 0, nx - 1);
        lateral(from, to, lateral[k], p.left[j], scratch[0], p.right[j], scratch[1], f, out);
      }
      if (mass[k] != 0) {
        ground(from, to, mass[k], p.area[j], f, out);
      }
      if (k == nz - 1) {
        ground(from, to, 1, film[j], f, out);
      }
      subtractFrom(from, to, right[row], out);
      squares += squares(from, to, out);
      narrow(from, to, out, factor, narrow[row]);
    }
    return squares;
  }

  private static void subtractFrom(int from, int to, double[] right, double[] out) {
    for (int i = from; i < to; i++) {
      out[i] = right[i] - out[i];
    }
  }

  /** Four sums at once: one would wait for itself at every step. */
  static double squares(int from, int to, double[] a) {
    double s0 = 0;
    double s1 = 0;
    double s2 = 0;
    double s3 = 0;
    int i = from;
    for (; i + 3 < to; i += 4) {
      s0 += a[i] * a[i];
      s1 += a[i + 1] * a[i + 1];
      s2 += a[i + 2] * a[i + 2];
      s3 += a[i + 3] * a[i + 3];
    }
    for (; i < to; i++) {
      s0 += a[i] * a[i];
    }
    return s0 + s1 + (s2 + s3);
  }

  static void narrow(int from, int to, double[] a, double factor, float[] narrow) {
    for (int i = from; i < to; i++) {
      narrow[i] = (float) (a[i] * factor);
    }
  }

  private static void vertical(
      int from,
      int to,
      double down,
      double[] gapBelow,
      double[] below,
      double up,
      double[] gapAbove,
      double[] above,
      double[] f,
      double[] out) {
    for (int i = from; i < to; i++) {
      out[i] = down * gapBelow[i] * (f[i] - below[i]) + up * gapAbove[i] * (f[i] - above[i]);
    }
  }

  private static void lateral(
      int from,
      int to,
      double factor,
      double[] ga,
      double[] a,
      double[] gb,
      double[] b,
      double[] f,
      double[] out) {
    for (int i = from; i < to; i++) {
      out[i] += factor * (ga[i] * (f[i] - a[i]) + gb[i] * (f[i] - b[i]));
    }
  }

  private static void ground(
      int from, int to, double factor, double[] g, double[] f, double[] out) {
    for (int i = from; i < to; i++) {
      out[i] += factor * g[i] * f[i];
    }
  }
}
