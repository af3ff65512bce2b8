package dev.ambershim.core.procedure;

import dev.ambershim.core.assembly.Die;
import dev.ambershim.core.assembly.Joint;

/**
 * How much a plan takes of what goes by area: area × thickness × faces, with what stays on swab and
 * nozzle on top. Density of Ga–In–Sn 6.44 g/cm³ (published; entered from the project's design
 * sheet); paste 2.5 g/cm³, the losses and everything else are common practice.
 */
final class Amounts {
  private static final double METAL_GRAMS_PER_CUBIC_MILLIMETRE = 6.44e-3;
  private static final double PASTE_GRAMS_PER_CUBIC_MILLIMETRE = 2.5e-3;

  /** Half as much again stays on the swab. */
  private static final double METAL_LOSS = 1.5;

  /** Paste is squeezed out from under the plate until its bond line is left. */
  private static final double PASTE_LOSS = 3;

  /** A film on one face before the faces meet. */
  private static final double FACE_MICROMETRES = 40;

  /** A ring of cover around a die, and how thick a coat goes on wet. */
  private static final double RING_MILLIMETRES = 5;

  private static final double COAT_MILLIMETRES = 0.1;

  private Amounts() {}

  /** Liquid metal on one side of the joint over the dies, g. */
  static double metalOnDies(WorkCase work) {
    return film(work.chip().dieAreaSquareMillimetres());
  }

  /** Liquid metal on the lid's top, g. */
  static double metalOnLid(WorkCase work) {
    return film(work.chip().lid().areaSquareMillimetres());
  }

  private static double film(double area) {
    return area * FACE_MICROMETRES / 1000 * METAL_GRAMS_PER_CUBIC_MILLIMETRE * METAL_LOSS;
  }

  /** Liquid metal that dissolves the solder on the dies: about its own volume, g. */
  static double metalForSolder(WorkCase work) {
    Joint solder = work.before().inner();
    return work.chip().dieAreaSquareMillimetres()
        * solder.bondLineMicrometres()
        / 1000
        * METAL_GRAMS_PER_CUBIC_MILLIMETRE;
  }

  /** Paste under the cold plate, g. */
  static double paste(WorkCase work) {
    double area =
        work.bare()
            ? work.chip().dieAreaSquareMillimetres()
            : work.chip().lid().areaSquareMillimetres();
    return area
        * work.after().outer().bondLineMicrometres()
        / 1000
        * PASTE_GRAMS_PER_CUBIC_MILLIMETRE
        * PASTE_LOSS;
  }

  /** Area around the dies that gets covered, mm². */
  private static double ring(WorkCase work) {
    double area = 0;
    for (Die die : work.chip().dies()) {
      area +=
          (die.widthMillimetres() + 2 * RING_MILLIMETRES)
                  * (die.depthMillimetres() + 2 * RING_MILLIMETRES)
              - die.areaSquareMillimetres();
    }
    return area;
  }

  /** One wet coat around the dies, ml. */
  static double coat(WorkCase work) {
    return ring(work) * COAT_MILLIMETRES / 1000;
  }

  /** Tape of 12 mm width around the dies, cm. */
  static double tape(WorkCase work) {
    double length = 0;
    for (Die die : work.chip().dies()) {
      length += 2 * (die.widthMillimetres() + die.depthMillimetres() + 4 * RING_MILLIMETRES);
    }
    return length / 10;
  }

  /** Sealant along the lid's rim, a bead of 1 mm, g. */
  static double sealant(WorkCase work, double share) {
    double length =
        2 * (work.chip().lid().widthMillimetres() + work.chip().lid().depthMillimetres());
    return length * share * Math.PI / 4 / 1000 * 1.1;
  }
}
