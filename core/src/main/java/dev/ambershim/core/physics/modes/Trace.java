package dev.ambershim.core.physics.modes;

/**
 * Some cells on a box's face as its modes see them: heat through cells becomes modes, and modes
 * become the cells' mean temperatures. Both go by the same matrices, so what is built on them is
 * symmetric.
 */
final class Trace {
  private final double[][] x;
  private final double[][] xBack;
  private final double[][] y;
  private final double[][] yBack;

  /**
   * A rectangle of cells.
   *
   * @param x the mean of each mode along x in each column of cells
   * @param y the same along y by row
   */
  Trace(double[][] x, double[][] y) {
    this.x = x;
    this.y = y;
    xBack = Dense.transposed(x);
    yBack = Dense.transposed(y);
  }

  /**
   * Adds heat to modes.
   *
   * @param watts by cells, read
   * @param to by modes, changed
   */
  void gather(double[][] watts, double sign, double[][] to) {
    double[][] half = new double[x.length][yBack.length];
    Dense.addProduct(watts, y, half);
    Dense.scale(half, sign);
    Dense.addProduct(xBack, half, to);
  }

  /**
   * Adds mean temperatures.
   *
   * @param modes read
   * @param to by cells, changed
   */
  void scatter(double[][] modes, double sign, double[][] to) {
    double[][] half = new double[x.length][yBack.length];
    Dense.addProduct(x, modes, half);
    Dense.scale(half, sign);
    Dense.addProduct(half, yBack, to);
  }
}
