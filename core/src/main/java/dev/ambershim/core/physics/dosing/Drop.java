package dev.ambershim.core.physics.dosing;

/**
 * A volume of liquid metal as the eye, the scale and the syringe see it.
 *
 * @param cubicMillimetres its volume, not negative
 */
public record Drop(double cubicMillimetres) {
  /** Liquid metal stands on a face that it has not wetted yet at about this angle, degrees. */
  public static final double STANDING_DEGREES = 150;

  /**
   * Checks its volume.
   *
   * @throws IllegalArgumentException if it is negative or not a number
   */
  public Drop {
    if (!(cubicMillimetres >= 0)) {
      throw new IllegalArgumentException("a drop of " + cubicMillimetres + " mm³");
    }
  }

  /** A ball of a diameter. */
  public static Drop ball(double diameterMillimetres) {
    return new Drop(Math.PI / 6 * Math.pow(diameterMillimetres, 3));
  }

  /** Diameter of the ball that it would be, mm: (6V/π)^⅓. */
  public double ballMillimetres() {
    return Math.cbrt(6 * cubicMillimetres / Math.PI);
  }

  /**
   * Greatest width of the cap that it is on a face, mm. A cap of radius R that meets the face at θ
   * holds πR³(2 + cos θ)(1 − cos θ)²/3; gravity, which flattens drops over some 3 mm, is left out.
   *
   * @param degrees angle inside the metal at which it meets the face
   */
  public double capMillimetres(double degrees) {
    double cos = Math.cos(Math.toRadians(degrees));
    double radius = Math.cbrt(3 * cubicMillimetres / (Math.PI * (2 + cos) * (1 - cos) * (1 - cos)));
    return 2 * radius * (degrees >= 90 ? 1 : Math.sin(Math.toRadians(degrees)));
  }

  /** Volume of a cap by its foot's diameter and its height, mm³: πh(3r² + h²)/6. */
  public static double cap(double footMillimetres, double heightMillimetres) {
    double r = footMillimetres / 2;
    return Math.PI * heightMillimetres * (3 * r * r + heightMillimetres * heightMillimetres) / 6;
  }

  /** Mass, mg. */
  public double milligrams(Alloy alloy, double celsius) {
    return cubicMillimetres * alloy.gramsPerCubicCentimetre(celsius);
  }

  /** How far the plunger of a syringe moves, mm. */
  public double travelMillimetres(double boreMillimetres) {
    return cubicMillimetres / (Math.PI / 4 * boreMillimetres * boreMillimetres);
  }

  /** So many times as much. */
  public Drop times(double factor) {
    return new Drop(cubicMillimetres * factor);
  }
}
