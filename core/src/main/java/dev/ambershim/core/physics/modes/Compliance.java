package dev.ambershim.core.physics.modes;

/**
 * A slab's answers for all modes of a box, K·m²/W.
 *
 * @param slab the material
 * @param low the lower face by its own flux
 * @param across one face by the other's flux
 * @param top the upper face by its own flux
 */
record Compliance(Slab slab, double[][] low, double[][] across, double[][] top) {
  /** The answers of a box made of a slab. */
  static Compliance of(Box box, Slab slab) {
    double[] lx = box.x().eigenvalues();
    double[] ly = box.y().eigenvalues();
    Compliance all = new Compliance(slab, box.modes(), box.modes(), box.modes());
    for (int p = 0; p < lx.length; p++) {
      for (int q = 0; q < ly.length; q++) {
        double square = lx[p] + ly[q];
        all.low[p][q] = slab.low(square);
        all.across[p][q] = slab.across(square);
        all.top[p][q] = slab.top(square);
      }
    }
    return all;
  }
}
