package dev.ambershim.core.physics.conduction;

/**
 * Resistance of a plate that is heated over a small area on one face and cooled over the whole of
 * the other: the closed form of Lee, Song, Au &amp; Moran (1995), "Constriction/spreading
 * resistance model for electronics packaging", ASME/JSME Thermal Engineering Conference, vol. 4.
 * Source and plate are taken as discs of equal area; the mean form is within about 5 % of the exact
 * half-space value, the peak form meets it.
 */
public final class Spreading {
  private final double epsilon;
  private final double tau;
  private final double b;
  private final double conductivity;
  private final double lambda;
  private final double th;
  private final double scale;
  private final double meanShare;

  /**
   * A plate, for any cooling.
   *
   * @param sourceSquareMetres heated area
   * @param plateSquareMetres plate area, at least the heated area
   * @param thicknessMetres plate thickness
   * @param wattsPerMetreKelvin plate conductivity
   * @throws IllegalArgumentException if one of them is not positive
   */
  public Spreading(
      double sourceSquareMetres,
      double plateSquareMetres,
      double thicknessMetres,
      double wattsPerMetreKelvin) {
    requirePositive("source area", sourceSquareMetres);
    requirePositive("plate area", plateSquareMetres);
    requirePositive("thickness", thicknessMetres);
    requirePositive("conductivity", wattsPerMetreKelvin);
    // A source that overhangs the plate cannot use the overhang; it spreads no further.
    b = Math.sqrt(Math.max(plateSquareMetres, sourceSquareMetres) / Math.PI);
    double a = Math.sqrt(sourceSquareMetres / Math.PI);
    conductivity = wattsPerMetreKelvin;
    epsilon = a / b;
    tau = thicknessMetres / b;
    lambda = Math.PI + 1 / (epsilon * Math.sqrt(Math.PI));
    th = Math.tanh(lambda * tau);
    scale = Math.sqrt(Math.PI) * wattsPerMetreKelvin * a;
    meanShare = 0.5 * Math.pow(1 - epsilon, 1.5);
  }

  /**
   * Mean source temperature above the mean of the cooled face's far side, per watt, conduction
   * through the plate included, film excluded.
   *
   * @param filmWattsPerSquareMetreKelvin effective film coefficient on the cooled face
   * @return K/W
   */
  public double meanKelvinPerWatt(double filmWattsPerSquareMetreKelvin) {
    double straight = epsilon * tau / Math.sqrt(Math.PI);
    return (straight + meanShare * phi(filmWattsPerSquareMetreKelvin)) / scale;
  }

  /** As {@link #meanKelvinPerWatt}, for the hottest point of the source. */
  public double peakKelvinPerWatt(double filmWattsPerSquareMetreKelvin) {
    double spread = (1 - epsilon) * phi(filmWattsPerSquareMetreKelvin);
    return (epsilon * tau + spread) / Math.sqrt(Math.PI) / scale;
  }

  private double phi(double film) {
    requirePositive("film coefficient", film);
    double ratio = lambda / (film * b / conductivity);
    return (th + ratio) / (1 + ratio * th);
  }

  private static void requirePositive(String name, double value) {
    if (!(value > 0) || !Double.isFinite(value)) {
      throw new IllegalArgumentException(name + " must be positive and finite, not " + value);
    }
  }
}
