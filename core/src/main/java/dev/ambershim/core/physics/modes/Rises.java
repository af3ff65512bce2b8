package dev.ambershim.core.physics.modes;

/**
 * The rises of all boxes' faces over the coolant, by modes. Where a conductivity falls these are
 * transformed rises, and reading turns them back.
 *
 * @param boxes the geometry
 * @param low of the lower faces, by box and mode
 * @param top of the upper faces
 * @param far of the lower faces of boxes with heat, less what the heats do close by; else null
 * @param level of each box, K
 * @param laws of each box; null where the conductivity is constant
 * @param conductivity of each box, W/m·K
 * @param watts of each heat
 */
record Rises(
    Boxes boxes,
    double[][][] low,
    double[][][] top,
    double[][][] far,
    double[] level,
    Kirchhoff[] laws,
    double[] conductivity,
    double[] watts) {
  /** Rises of a lower face, K, by the box's cells. */
  double[][] low(int box) {
    return turnedBack(box, values(box, low[box], boxes.whole(box).x(), boxes.whole(box).y()));
  }

  /** Rises of an upper face, K. */
  double[][] top(int box) {
    return turnedBack(box, values(box, top[box], boxes.whole(box).x(), boxes.whole(box).y()));
  }

  private double[][] values(int box, double[][] modes, double[][] x, double[][] y) {
    double[][] half = new double[x.length][y[0].length];
    double[][] all = new double[x.length][y.length];
    Dense.addProduct(x, modes, half);
    Dense.addProduct(half, Dense.transposed(y), all);
    for (double[] row : all) {
      for (int j = 0; j < row.length; j++) {
        row[j] += level[box];
      }
    }
    return all;
  }

  private double[][] turnedBack(int box, double[][] values) {
    if (laws[box] != null) {
      for (double[] row : values) {
        for (int j = 0; j < row.length; j++) {
          row[j] = laws[box].back(row[j]);
        }
      }
    }
    return values;
  }

  /** True rises at places on the underside of the lowest solid, K. */
  double[][] at(int box, Spot.Places places) {
    return turnedBack(box, transformed(box, places));
  }

  /** The same, not turned back. */
  double[][] transformed(int box, Spot.Places places) {
    double[][] modes = far[box] == null ? low[box] : far[box];
    double[][] all = values(box, modes, places.x(), places.y());
    for (int s = 0; s < watts.length; s++) {
      Spot spot = boxes.spots.get(s);
      if (spot.box() == box) {
        Dense.add(all, watts[s] / spot.area() / conductivity[box], places.near()[s]);
      }
    }
    return all;
  }

  /** The same by other laws. */
  Rises under(Kirchhoff[] others) {
    return new Rises(boxes, low, top, far, level, others, conductivity, watts);
  }

  /** Whether every rise is a number. */
  boolean found() {
    for (double one : level) {
      if (Double.isNaN(one)) {
        return false;
      }
    }
    return true;
  }
}
