package dev.ambershim.core.physics.multigrid;

/**
 * What the slices of a layer share across the columns: areas, and the conductances between
 * neighbouring columns for unit height and conductivity. All are rows along x, one for each y.
 */
final class Pattern {
  final Axis x;
  final Axis y;
  final double[][] area;

  /** To the left neighbour, and to the right one. */
  final double[][] left;

  final double[][] right;

  /** To the neighbour below; one row more than there are columns along y. */
  final double[][] low;

  /** The columns that hold anything: from and past the last, in x and in y. */
  final int[] box;

  /** Length of the face to the left, times a conductivity where that is not one for all. */
  private final double[][] xFace;

  private final double[][] yFace;

  private Pattern(Axis x, Axis y, double[][] area, double[][] xFace, double[][] yFace) {
    this.x = x;
    this.y = y;
    this.area = area;
    this.xFace = xFace;
    this.yFace = yFace;
    int nx = x.cells();
    int ny = y.cells();
    left = new double[ny][nx];
    right = new double[ny][nx];
    low = new double[ny + 1][nx];
    box = new int[] {nx, 0, ny, 0};
    double[] between = new double[nx];
    for (int i = 1; i < nx; i++) {
      between[i] = 1 / (x.centre(i) - x.centre(i - 1));
    }
    for (int j = 0; j < ny; j++) {
      times(xFace[j], between, left[j]);
      System.arraycopy(left[j], 1, right[j], 0, nx - 1);
      if (j > 0) {
        times(yFace[j], 1 / (y.centre(j) - y.centre(j - 1)), low[j]);
      }
      widen(j);
    }
  }

  private static void times(double[] a, double[] b, double[] product) {
    for (int i = 0; i < product.length; i++) {
      product[i] = a[i] * b[i];
    }
  }

  private static void times(double[] a, double b, double[] product) {
    for (int i = 0; i < product.length; i++) {
      product[i] = a[i] * b;
    }
  }

  /** Takes a row into the box. */
  private void widen(int j) {
    int from = 0;
    int to = area[j].length;
    while (from < to && area[j][from] == 0) {
      from++;
    }
    while (from < to && area[j][to - 1] == 0) {
      to--;
    }
    if (from < to) {
      box[0] = Math.min(box[0], from);
      box[1] = Math.max(box[1], to);
      box[2] = Math.min(box[2], j);
      box[3] = j + 1;
    }
  }

  /**
   * The finest pattern.
   *
   * @param present which columns exist, row-major
   * @param sideways false for an interface, whose columns do not touch
   * @param conductivity by column, or null for one
   */
  static Pattern of(Axis x, Axis y, boolean[] present, boolean sideways, double[] conductivity) {
    int nx = x.cells();
    int ny = y.cells();
    double[][] area = new double[ny][nx];
    double[][] xFace = new double[ny][nx];
    double[][] yFace = new double[ny][nx];
    for (int j = 0; j < ny; j++) {
      for (int i = 0; i < nx; i++) {
        int c = j * nx + i;
        if (!present[c]) {
          continue;
        }
        area[j][i] = x.width(i) * y.width(j);
        if (sideways && i > 0 && present[c - 1]) {
          xFace[j][i] = y.width(j) * between(conductivity, c - 1, x.width(i - 1), c, x.width(i));
        }
        if (sideways && j > 0 && present[c - nx]) {
          yFace[j][i] = x.width(i) * between(conductivity, c - nx, y.width(j - 1), c, y.width(j));
        }
      }
    }
    return new Pattern(x, y, area, xFace, yFace);
  }

  /** The conductivity of two half cells in series. */
  private static double between(double[] k, int a, double widthA, int b, double widthB) {
    return k == null ? 1 : (widthA + widthB) / (widthA / k[a] + widthB / k[b]);
  }

  /**
   * The pattern of joined columns. Two joined neighbours touch where their cells at the shared edge
   * do; the distance is that of the new centres.
   */
  Pattern joined(Axis coarseX, Axis coarseY, int[] gi, int[] gj) {
    int cx = coarseX.cells();
    int cy = coarseY.cells();
    double[][] cxFace = new double[cy][cx];
    double[][] cyFace = new double[cy][cx];
    for (int j = 0; j < cy; j++) {
      if (gj[j] >= box[3] || gj[j + 1] <= box[2]) {
        continue;
      }
      double[] alongX = cxFace[j];
      for (int row = gj[j]; row < gj[j + 1]; row++) {
        double[] faces = xFace[row];
        for (int i = 0; i < cx; i++) {
          alongX[i] += faces[gi[i]];
        }
      }
      addGroups(yFace[gj[j]], gi, cyFace[j]);
    }
    return new Pattern(coarseX, coarseY, joinedSum(area, gi, gj), cxFace, cyFace);
  }

  private static void addGroups(double[] values, int[] groups, double[] sums) {
    for (int i = 0; i < sums.length; i++) {
      double sum = values[groups[i]];
      for (int at = groups[i] + 1; at < groups[i + 1]; at++) {
        sum += values[at];
      }
      sums[i] += sum;
    }
  }

  /** Column values summed over groups. */
  static double[][] joinedSum(double[][] values, int[] gi, int[] gj) {
    double[][] sums = new double[gj.length - 1][gi.length - 1];
    for (int j = 0; j < sums.length; j++) {
      for (int row = gj[j]; row < gj[j + 1]; row++) {
        addGroups(values[row], gi, sums[j]);
      }
    }
    return sums;
  }
}
