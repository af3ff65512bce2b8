package dev.ambershim.core.stage;

import dev.ambershim.core.picture.Picture;

/**
 * A picture of an answer, drawn as large as its medium has room.
 *
 * @param name what to find it by among the answer's pictures
 * @param caption what it shows, in words
 * @param height the height that it needs, in units of the screen
 * @param painter draws it
 */
public record Drawing(String name, String caption, double height, Painter painter) {
  /** Draws into a width and a height. */
  @FunctionalInterface
  public interface Painter {
    /** The picture, so wide and so high. */
    Picture at(double width, double height);
  }

  /** The picture in a width, as high as it needs. */
  public Picture at(double width) {
    return painter.at(width, height);
  }
}
