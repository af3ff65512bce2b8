package dev.ambershim.core.conduction;

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
    for (int j = 0; j < ny; j++) {
      for (int i = 0; i < nx; i++) {
        if (i > 0) {
          left[j][i] = xFace[j][i] / (x.centre(i) - x.centre(i - 1));
          right[j][i - 1] = left[j][i];
        }
        if (j > 0) {
          low[j][i] = yFace[j][i] / (y.centre(j) - y.centre(j - 1));
        }
        if (area[j][i] > 0) {
          box[0] = Math.min(box[0], i);
          box[1] = Math.max(box[1], i + 1);
          box[2] = Math.min(box[2], j);
          box[3] = Math.max(box[3], j + 1);
        }
      }
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
      for (int i = 0; i < cx; i++) {
        for (int row = gj[j]; row < gj[j + 1]; row++) {
          cxFace[j][i] += xFace[row][gi[i]];
        }
        for (int col = gi[i]; col < gi[i + 1]; col++) {
          cyFace[j][i] += yFace[gj[j]][col];
        }
      }
    }
    return new Pattern(coarseX, coarseY, joinedSum(area, gi, gj), cxFace, cyFace);
  }

  /** Column values summed over groups. */
  static double[][] joinedSum(double[][] values, int[] gi, int[] gj) {
    double[][] sums = new double[gj.length - 1][gi.length - 1];
    for (int j = 0; j < sums.length; j++) {
      for (int row = gj[j]; row < gj[j + 1]; row++) {
        for (int i = 0; i < sums[j].length; i++) {
          for (int col = gi[i]; col < gi[i + 1]; col++) {
            sums[j][i] += values[row][col];
          }
        }
      }
    }
    return sums;
  }
}
