package dev.ambershim.core.physics.surface;

/**
 * One height that was probed.
 *
 * @param xMillimetres place, to the right of the face's middle
 * @param yMillimetres place, above it
 * @param micrometres height over whatever the gauge was set to
 */
public record ProbedPoint(double xMillimetres, double yMillimetres, double micrometres) {
  /** Farthest place from the middle of a face, mm: no lid or plate is larger. */
  public static final double MOST_MILLIMETRES = 500;

  /** Highest reading of a gauge over where it was set, µm: no stylus travels further. */
  public static final double MOST_MICROMETRES = 30_000;

  /** Whether such a point can be. */
  public boolean canBe() {
    return Math.abs(xMillimetres) <= MOST_MILLIMETRES
        && Math.abs(yMillimetres) <= MOST_MILLIMETRES
        && Math.abs(micrometres) <= MOST_MICROMETRES;
  }
}
