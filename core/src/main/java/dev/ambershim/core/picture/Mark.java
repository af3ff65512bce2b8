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

  /**
   * Coloured cells in rows from the top, for maps whose colour is a figure.
   *
   * @param columns cells in a row
   * @param colours red, green and blue as {@code 0xrrggbb} for each cell, −1 for none; shared and
   *     not to be written
   */
  record Raster(double x, double y, double width, double height, int columns, int[] colours)
      implements Mark {
    /** Count of rows. */
    public int rows() {
      return colours.length / columns;
    }
  }

  /** A straight line. */
  record Line(double x1, double y1, double x2, double y2, Tone tone, double width, boolean dashed)
      implements Mark {}

  /** A line through many points; the arrays are shared and not to be written. */
  record Trace(double[] xs, double[] ys, Tone tone, double width) implements Mark {}

  /**
   * What lies between an upper and a lower line, filled: a line so dense that its strokes would
   * cover it all. The arrays are shared and not to be written.
   */
  record Band(double[] xs, double[] tops, double[] bottoms, Tone tone) implements Mark {
    /** Its outline, there along the upper line and back along the lower. */
    public double[] outlineXs() {
      double[] all = new double[2 * xs.length];
      for (int i = 0; i < xs.length; i++) {
        all[i] = xs[i];
        all[all.length - 1 - i] = xs[i];
      }
      return all;
    }

    /** The outline's heights. */
    public double[] outlineYs() {
      double[] all = new double[2 * xs.length];
      for (int i = 0; i < xs.length; i++) {
        all[i] = tops[i];
        all[all.length - 1 - i] = bottoms[i];
      }
      return all;
    }
  }

  /** A line of text; {@code y} is its base line. */
  record Words(
      double x, double y, String text, Tone tone, double size, Anchor anchor, boolean strong)
      implements Mark {}
}
