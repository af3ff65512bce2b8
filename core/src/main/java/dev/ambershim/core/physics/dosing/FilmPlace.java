package dev.ambershim.core.physics.dosing;

/**
 * One die, or the lid over it, where a film is wanted.
 *
 * @param name what it is called
 * @param widthMillimetres size of the film in x
 * @param depthMillimetres size in y
 * @param gapMicrometres likely distance of the two faces
 * @param lowGapMicrometres as close as they may lie, nine cases in ten between this and the next
 * @param highGapMicrometres as far
 * @param roomMillimetres height of the space beside the film that squeezed-out metal can fill
 * @param partMillimetres how far it is to the nearest thing that the metal must not reach; null
 *     where nothing is near
 * @param part what that is
 * @param lower what the lower face is made of
 * @param upper what the upper face is made of
 */
public record FilmPlace(
    String name,
    double widthMillimetres,
    double depthMillimetres,
    double gapMicrometres,
    double lowGapMicrometres,
    double highGapMicrometres,
    double roomMillimetres,
    Double partMillimetres,
    String part,
    MetalFace lower,
    MetalFace upper) {
  /**
   * Checks its figures.
   *
   * @throws IllegalArgumentException if a size or a gap is not above zero or the gaps are not in
   *     order
   */
  public FilmPlace {
    if (!(widthMillimetres > 0 && depthMillimetres > 0 && roomMillimetres > 0)) {
      throw new IllegalArgumentException("a film has a size");
    }
    if (!(lowGapMicrometres > 0
        && lowGapMicrometres <= gapMicrometres
        && gapMicrometres <= highGapMicrometres)) {
      throw new IllegalArgumentException("gaps out of order");
    }
  }

  /** Its area, mm². */
  public double areaSquareMillimetres() {
    return widthMillimetres * depthMillimetres;
  }

  /** Length of its edge, mm. */
  public double edgeMillimetres() {
    return 2 * (widthMillimetres + depthMillimetres);
  }
}
