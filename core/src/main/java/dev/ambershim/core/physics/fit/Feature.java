package dev.ambershim.core.physics.fit;

import java.util.List;

/**
 * One top that the plate could touch.
 *
 * @param name what it is called; several may bear one name, such as the corners of a die
 * @param xMillimetres place
 * @param yMillimetres place
 * @param height how high it stands
 */
public record Feature(String name, double xMillimetres, double yMillimetres, Chain height) {
  /** A top with a tolerance, which may be nought. */
  public static Feature of(String name, double x, double y, double height, double tolerance) {
    return new Feature(
        name,
        x,
        y,
        tolerance == 0
            ? new Chain(height, List.of())
            : Chain.of(height, Source.within(name, tolerance)));
  }
}
