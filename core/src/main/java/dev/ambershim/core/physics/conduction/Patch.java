package dev.ambershim.core.physics.conduction;

/**
 * A rectangle in the plane of the stack.
 *
 * @param xMillimetres centre, to the right
 * @param yMillimetres centre, upwards
 * @param widthMillimetres size along x
 * @param depthMillimetres size along y
 */
public record Patch(
    double xMillimetres, double yMillimetres, double widthMillimetres, double depthMillimetres) {
  /** Left edge, mm. */
  public double leftMillimetres() {
    return xMillimetres - widthMillimetres / 2;
  }

  /** Right edge, mm. */
  public double rightMillimetres() {
    return xMillimetres + widthMillimetres / 2;
  }

  /** Lower edge, mm. */
  public double lowMillimetres() {
    return yMillimetres - depthMillimetres / 2;
  }

  /** Upper edge, mm. */
  public double highMillimetres() {
    return yMillimetres + depthMillimetres / 2;
  }

  /** Whether a point lies inside or on the edge. */
  public boolean holds(double x, double y) {
    return x >= leftMillimetres()
        && x <= rightMillimetres()
        && y >= lowMillimetres()
        && y <= highMillimetres();
  }
}
