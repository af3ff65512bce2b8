package dev.ambershim.core.physics.dosing;

/**
 * How far the metal reaches that is pressed out over a film's edge. It stands there as a round bead
 * beside the film, since it does not wet what is around it; where the space is lower than the bead
 * would be, it lies in it as a band with a round front. A standing board lets all of it sink to the
 * lower edge, and drops what surface tension cannot hold (Furmidge 1962: ρ·g·A = γ·(cos θr − cos
 * θa); the difference of the cosines on a covered board that is knocked is taken as 0.5).
 */
final class Squeezed {
  private static final double HOLD = 0.5;
  private static final double GRAVITY = 9.81;

  private Squeezed() {}

  /**
   * Reach of a bead from the film's edge, mm.
   *
   * @param sectionSquareMillimetres its cross-section
   * @param roomMillimetres height of the space
   */
  static double reach(double sectionSquareMillimetres, double roomMillimetres) {
    double round = Math.PI / 4 * roomMillimetres * roomMillimetres;
    return sectionSquareMillimetres <= round
        ? 2 * Math.sqrt(Math.max(0, sectionSquareMillimetres) / Math.PI)
        : roomMillimetres + (sectionSquareMillimetres - round) / roomMillimetres;
  }

  /** Cross-section of the bead that just reaches so far, mm². */
  static double section(double reachMillimetres, double roomMillimetres) {
    return reachMillimetres <= roomMillimetres
        ? Math.PI / 4 * reachMillimetres * reachMillimetres
        : Math.PI / 4 * roomMillimetres * roomMillimetres
            + (reachMillimetres - roomMillimetres) * roomMillimetres;
  }

  /** Cross-section that surface tension holds on a standing board, mm². */
  static double held(Alloy alloy) {
    return alloy.tensionNewtonsPerMetre()
        * HOLD
        / (alloy.gramsPerCubicCentimetre(25) * 1000 * GRAVITY)
        * 1e6;
  }

  /** Length of edge along which metal comes out, mm. */
  static double outlet(FilmPlace place, boolean upright, double unevenness) {
    return upright
        ? Math.min(place.widthMillimetres(), place.depthMillimetres())
        : place.edgeMillimetres() / unevenness;
  }
}
