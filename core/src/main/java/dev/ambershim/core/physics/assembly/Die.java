package dev.ambershim.core.physics.assembly;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * One die, seen from above with the chip's centre as origin.
 *
 * @param name what it is called
 * @param xMillimetres centre, to the right
 * @param yMillimetres centre, upwards
 * @param widthMillimetres size in x
 * @param depthMillimetres size in y
 * @param heightMicrometres top of the die above the substrate
 * @param powerShare this die's share of the chip's heat, between 0 and 1
 */
@RecordBuilder
public record Die(
    String name,
    double xMillimetres,
    double yMillimetres,
    double widthMillimetres,
    double depthMillimetres,
    double heightMicrometres,
    double powerShare)
    implements DieBuilder.With {
  /** Top area in mm². */
  public double areaSquareMillimetres() {
    return widthMillimetres * depthMillimetres;
  }
}
