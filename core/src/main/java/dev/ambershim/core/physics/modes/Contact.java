package dev.ambershim.core.physics.modes;

/**
 * Where a box's top meets the box above it, or the coolant: a rectangle of cells, through some or
 * all of which heat goes straight up.
 *
 * @param below the lower box, as an index
 * @param above the upper box, or {@link #COOLANT}
 * @param left first cell along x
 * @param low first cell along y
 * @param open through which cells heat goes, by x and y
 * @param area of the cells, m²
 * @param belowTrace the cells on the lower box's top
 * @param aboveTrace the cells on the upper box's underside; null for the coolant
 * @param x modes of the rectangle's own columns, for the preconditioner
 * @param y modes of its rows
 */
record Contact(
    int below,
    int above,
    int left,
    int low,
    boolean[][] open,
    double[][] area,
    Trace belowTrace,
    Trace aboveTrace,
    CellModes x,
    CellModes y) {
  static final int COOLANT = -1;

  boolean cooled() {
    return above == COOLANT;
  }

  /** Whether all its cells are cells of another as well. */
  boolean within(Contact other) {
    return left >= other.left
        && low >= other.low
        && left + columns() <= other.left + other.columns()
        && low + rows() <= other.low + other.rows();
  }

  int columns() {
    return open.length;
  }

  int rows() {
    return open[0].length;
  }

  /** An array for its cells. */
  double[][] cells() {
    return new double[columns()][rows()];
  }

  /** Multiplies by the cells' areas; where nothing is open nothing is left. */
  void weigh(double[][] values) {
    for (int i = 0; i < values.length; i++) {
      for (int j = 0; j < values[i].length; j++) {
        values[i][j] *= open[i][j] ? area[i][j] : 0;
      }
    }
  }

  /**
   * The watts through these cells when so many went through the same rectangle in other cells: the
   * flux goes straight from the middle of one cell to the next, counted in cells, which both grids
   * have crowd alike.
   *
   * @param watts by the other's cells; only read
   */
  double[][] from(Contact other, double[][] watts) {
    double[][] flux = Dense.copy(watts);
    for (int i = 0; i < flux.length; i++) {
      for (int j = 0; j < flux[i].length; j++) {
        flux[i][j] /= other.area[i][j];
      }
    }
    double[][] all = cells();
    for (int i = 0; i < all.length; i++) {
      double atX = among(i, columns(), flux.length);
      int left = (int) atX;
      int right = Math.min(left + 1, flux.length - 1);
      for (int j = 0; j < all[i].length; j++) {
        double atY = among(j, rows(), flux[left].length);
        int under = (int) atY;
        int over = Math.min(under + 1, flux[left].length - 1);
        double one = flux[left][under] + (flux[left][over] - flux[left][under]) * (atY - under);
        double two = flux[right][under] + (flux[right][over] - flux[right][under]) * (atY - under);
        all[i][j] = (one + (two - one) * (atX - left)) * area[i][j];
      }
    }
    mask(all);
    return all;
  }

  /** Where the middle of a cell lies among the middles of others along the same way. */
  private static double among(int cell, int count, int others) {
    return Math.max(0, Math.min(others - 1.0, (cell + 0.5) * others / count - 0.5));
  }

  /** Sets what is not open to nothing. */
  void mask(double[][] values) {
    for (int i = 0; i < values.length; i++) {
      for (int j = 0; j < values[i].length; j++) {
        if (!open[i][j]) {
          values[i][j] = 0;
        }
      }
    }
  }
}
