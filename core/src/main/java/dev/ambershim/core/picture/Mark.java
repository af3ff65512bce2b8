package dev.ambershim.core.picture;

/** One thing in a picture. Lengths are in picture units, y downwards. */
public sealed interface Mark {
  /** Where a text's given point lies in it. */
  enum Anchor {
    START,
    MIDDLE,
    END
  }

  /**
   * A filled box.
   *
   * @param part the name of the part it shows, so that it can be picked; empty if it is no part
   */
  record Box(double x, double y, double width, double height, Tone fill, String part)
      implements Mark {}

  /** A straight line. */
  record Line(double x1, double y1, double x2, double y2, Tone tone, double width, boolean dashed)
      implements Mark {}

  /** A line through many points; the arrays are shared and not to be written. */
  record Trace(double[] xs, double[] ys, Tone tone, double width) implements Mark {}

  /** A line of text; {@code y} is its base line. */
  record Words(
      double x, double y, String text, Tone tone, double size, Anchor anchor, boolean strong)
      implements Mark {}
}
