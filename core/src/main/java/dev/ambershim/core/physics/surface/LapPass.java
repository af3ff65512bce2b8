package dev.ambershim.core.physics.surface;

/**
 * One pass of lapping that was done.
 *
 * @param face the face
 * @param grit the paper
 * @param strokes how many strokes, one way each
 * @param newtons how hard it was pressed
 * @param strokeMillimetres length of a stroke
 * @param removedMicrometres mean thickness that came off, by micrometer at several places; null if
 *     it was not measured
 * @param note free words
 */
public record LapPass(
    Face face,
    Grit grit,
    double strokes,
    double newtons,
    double strokeMillimetres,
    Double removedMicrometres,
    String note) {
  /** Fills in what an older job does not say. */
  public LapPass {
    note = note == null ? "" : note;
  }

  /** The same pass, measured. */
  public LapPass removing(double micrometres) {
    return new LapPass(face, grit, strokes, newtons, strokeMillimetres, micrometres, note);
  }

  /** Press times path, N·m. */
  double work() {
    return newtons * strokes * strokeMillimetres / 1000;
  }
}
