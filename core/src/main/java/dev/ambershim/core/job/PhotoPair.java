package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Photo;

/**
 * Two photos of the same face, to be seen side by side.
 *
 * @param then from the work, or null
 * @param now from the opening
 * @param thenMillimetres how much of the face the first shows from left to right, or null
 * @param nowMillimetres the same of the second, or null
 */
public record PhotoPair(Photo then, Photo now, Double thenMillimetres, Double nowMillimetres) {
  private static final double LEAST = 2;
  private static final double MOST = 500;

  /**
   * Refuses widths that no face has.
   *
   * @throws Problem {@code found.width}
   */
  public PhotoPair checked() {
    check(thenMillimetres);
    check(nowMillimetres);
    return this;
  }

  private static void check(Double millimetres) {
    if (millimetres != null && !(millimetres >= LEAST && millimetres <= MOST)) {
      throw new Problem(
          "found.width",
          Place.field("width"),
          "A photo cannot show " + millimetres + " mm of a chip.",
          "Give how much it shows from left to right, or leave it empty.");
    }
  }

  /** Whether both can be drawn at one scale. */
  public boolean oneScale() {
    return then != null && thenMillimetres != null && nowMillimetres != null;
  }

  /**
   * Width of a photo as a share of the wider one's, so that both stand at one scale; 1 where the
   * scale is not known.
   *
   * @param first whether it is the photo from the work
   */
  public double share(boolean first) {
    return oneScale()
        ? (first ? thenMillimetres : nowMillimetres) / Math.max(thenMillimetres, nowMillimetres)
        : 1;
  }
}
