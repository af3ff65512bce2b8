package dev.ambershim.core.physics.surface;

/**
 * A plane over a face, nearly level.
 *
 * @param micrometres its height over x = y = 0
 * @param xSlope µm per mm along x
 * @param ySlope µm per mm along y
 */
public record ReferencePlane(double micrometres, double xSlope, double ySlope) {
  /** Height at a place, µm. */
  public double at(double xMillimetres, double yMillimetres) {
    return micrometres + xSlope * xMillimetres + ySlope * yMillimetres;
  }

  /** The sum of two planes. */
  public ReferencePlane plus(ReferencePlane other) {
    return new ReferencePlane(
        micrometres + other.micrometres, xSlope + other.xSlope, ySlope + other.ySlope);
  }

  /** Cosine of its tilt: a distance along its normal for one along z. */
  double cosine() {
    return 1 / Math.sqrt(1 + 1e-6 * (xSlope * xSlope + ySlope * ySlope));
  }

  /** Its tilt against level, degrees. */
  public double tiltDegrees() {
    return Math.toDegrees(Math.atan(1e-3 * Math.hypot(xSlope, ySlope)));
  }
}
