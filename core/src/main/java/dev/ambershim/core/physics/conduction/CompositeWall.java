package dev.ambershim.core.physics.conduction;

/**
 * Plane layers in series, each over its own area: R = Σ t / (k·A). Incropera &amp; DeWitt,
 * <i>Fundamentals of Heat and Mass Transfer</i>, section 3.1.
 */
public final class CompositeWall {
  private CompositeWall() {}

  /**
   * One layer's resistance.
   *
   * @param thicknessMetres thickness
   * @param wattsPerMetreKelvin conductivity
   * @param squareMetres area
   * @return K/W
   */
  public static double layerKelvinPerWatt(
      double thicknessMetres, double wattsPerMetreKelvin, double squareMetres) {
    return thicknessMetres / (wattsPerMetreKelvin * squareMetres);
  }

  /** A film's resistance, 1 / (h·A), K/W. */
  public static double filmKelvinPerWatt(
      double filmWattsPerSquareMetreKelvin, double squareMetres) {
    return 1 / (filmWattsPerSquareMetreKelvin * squareMetres);
  }
}
