package dev.ambershim.core.physics.modes;

import java.util.Optional;

/**
 * The heat that would pass a box and the joint over it if the far side of the joint were even.
 * Under a thin die the cores' pattern comes out almost as sharp as it went in, and even fluxes in
 * cells would show it as stairs. Over an even joint the pattern is known mode by mode; so it is
 * taken off first, and the cells only have to carry the smooth rest that the far side makes of it.
 *
 * @param contact over the box
 * @param modes W out of the box's top, by its modes
 * @param watts the same by the contact's cells
 */
record Passing(int contact, double[][] modes, double[][] watts) {
  /**
   * The pattern over a box.
   *
   * @param entering heat into the box's underside, W by modes
   * @param specific resistance of each contact's cells, m²·K/W
   * @return empty where the box's top is not covered by one joint
   */
  static Optional<Passing> of(
      Boxes boxes, int box, Slab slab, double[][] entering, double[][][] specific) {
    int found = -1;
    for (int c = 0; c < boxes.contacts.size(); c++) {
      if (boxes.contacts.get(c).below() == box) {
        if (found >= 0) {
          return Optional.empty();
        }
        found = c;
      }
    }
    if (found < 0 || !covers(boxes.contacts.get(found), boxes.boxes.get(box))) {
      return Optional.empty();
    }
    Contact contact = boxes.contacts.get(found);
    double mean = mean(contact, specific[found]);
    Box own = boxes.boxes.get(box);
    double[] lx = own.x().eigenvalues();
    double[] ly = own.y().eigenvalues();
    double[][] modes = own.modes();
    for (int p = 0; p < lx.length; p++) {
      for (int q = 0; q < ly.length; q++) {
        modes[p][q] = entering[p][q] * slab.passing(lx[p] + ly[q], mean);
      }
    }
    double[][] watts = contact.cells();
    contact.belowTrace().scatter(modes, 1, watts);
    contact.weigh(watts);
    return Optional.of(new Passing(found, modes, watts));
  }

  private static boolean covers(Contact contact, Box box) {
    boolean all =
        contact.columns() == box.right() - box.left() && contact.rows() == box.high() - box.low();
    for (boolean[] column : contact.open()) {
      for (boolean open : column) {
        all &= open;
      }
    }
    return all;
  }

  private static double mean(Contact contact, double[][] specific) {
    double sum = 0;
    double area = 0;
    for (int i = 0; i < contact.columns(); i++) {
      for (int j = 0; j < contact.rows(); j++) {
        sum += specific[i][j] * contact.area()[i][j];
        area += contact.area()[i][j];
      }
    }
    return sum / area;
  }

  /** All of the heat, W. */
  double sum() {
    double sum = 0;
    for (double[] row : watts) {
      for (double one : row) {
        sum += one;
      }
    }
    return sum;
  }
}
