package dev.ambershim.core.picture;

/** A chip seen from above, to scale in a box of a picture: x to the right, y upwards. */
public final class PlanScale {
  final double perMillimetre;
  private final double x0;
  private final double y0;

  /** Fits a rectangle of mm, around the origin, into a box of the picture. */
  public PlanScale(double half, double left, double top, double width, double height) {
    perMillimetre = Math.min(width, height) / (2 * half);
    x0 = left + width / 2;
    y0 = top + height / 2;
  }

  public double x(double millimetres) {
    return x0 + millimetres * perMillimetre;
  }

  public double y(double millimetres) {
    return y0 - millimetres * perMillimetre;
  }

  public double length(double millimetres) {
    return millimetres * perMillimetre;
  }
}
