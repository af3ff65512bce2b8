package dev.ambershim.core.physics.modes;

/**
 * One rectangle of a solid layer.
 *
 * @param layer in the stack
 * @param left first contact cell along x
 * @param right one past the last
 * @param low first contact cell along y
 * @param high one past the last
 * @param x modes along x
 * @param y modes along y
 */
record Box(int layer, int left, int right, int low, int high, Cosines x, Cosines y) {
  /** An array for its modes. */
  double[][] modes() {
    return new double[x.count()][y.count()];
  }

  /** An array for its cells. */
  double[][] cells() {
    return new double[right - left][high - low];
  }
}
