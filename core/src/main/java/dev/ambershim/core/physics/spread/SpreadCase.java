package dev.ambershim.core.physics.spread;

import java.util.List;

/**
 * Paste on a face, and a plate that is pressed onto it.
 *
 * @param grid the face
 * @param paste how it flows
 * @param pressing force on the plate, and where
 * @param pattern how it was laid down
 * @param own the person's strokes, for {@link PastePattern#OWN}
 * @param cubicMillimetres how much of it, above zero
 * @param bowMicrometres for each cell, how much wider the gap is there than at the closest place of
 *     both faces; empty for flat ones
 * @param limitSeconds when to stop looking
 */
public record SpreadCase(
    FaceGrid grid,
    PasteFlow paste,
    Pressing pressing,
    PastePattern pattern,
    List<PasteStroke> own,
    double cubicMillimetres,
    double[] bowMicrometres,
    double limitSeconds) {
  /** Ten minutes: by then a stress run has warmed it and it moves no more to speak of. */
  public static final double USUAL_LIMIT = 600;

  /**
   * Checks its figures.
   *
   * @throws IllegalArgumentException if the volume is not above zero, the bow does not fit the
   *     grid, or own strokes are asked for and there are none
   */
  public SpreadCase {
    own = own == null ? List.of() : List.copyOf(own);
    if (!(cubicMillimetres > 0)) {
      throw new IllegalArgumentException("there is no paste");
    }
    if (bowMicrometres.length != 0 && bowMicrometres.length != grid.size()) {
      throw new IllegalArgumentException("a bow for each of " + grid.size() + " cells");
    }
    if (pattern == PastePattern.OWN && own.isEmpty()) {
      throw new IllegalArgumentException("there are no strokes");
    }
  }

  /** Flat plates that come down level, for the usual time. */
  public static SpreadCase flat(
      FaceGrid grid,
      PasteFlow paste,
      double newtons,
      PastePattern pattern,
      double cubicMillimetres) {
    return new SpreadCase(
        grid,
        paste,
        Pressing.level(newtons),
        pattern,
        List.of(),
        cubicMillimetres,
        new double[0],
        USUAL_LIMIT);
  }

  /** The same with another amount. */
  public SpreadCase withVolume(double other) {
    return new SpreadCase(grid, paste, pressing, pattern, own, other, bowMicrometres, limitSeconds);
  }

  /** The same with another pattern. */
  public SpreadCase withPattern(PastePattern other) {
    return new SpreadCase(
        grid, paste, pressing, other, own, cubicMillimetres, bowMicrometres, limitSeconds);
  }
}
