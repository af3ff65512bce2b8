package dev.ambershim.core.physics.conduction;

/**
 * Resistance of a plate that is heated over a small area on one face and cooled over the whole of
 * the other: the closed form of Lee, Song, Au &amp; Moran (1995), "Constriction/spreading
 * resistance model for electronics packaging", ASME/JSME Thermal Engineering Conference, vol. 4.
 * Source and plate are taken as discs of equal area; the mean form is within about 5 % of the exact
 * half-space value, the peak form meets it.
 */
public final class Spreading {
  private Spreading() {}

  /**
   * Mean source temperature above the mean of the cooled face's far side, per watt, conduction
   * through the plate included, film excluded.
   *
   * @param sourceSquareMetres heated area
   * @param plateSquareMetres plate area, at least the heated area
   * @param thicknessMetres plate thickness
   * @param wattsPerMetreKelvin plate conductivity
   * @param filmWattsPerSquareMetreKelvin effective film coefficient on the cooled face
   * @return K/W
   */
  public static double meanKelvinPerWatt(
      double sourceSquareMetres,
      double plateSquareMetres,
      double thicknessMetres,
      double wattsPerMetreKelvin,
      double filmWattsPerSquareMetreKelvin) {
    Shape s =
        new Shape(
            sourceSquareMetres,
            plateSquareMetres,
            thicknessMetres,
            wattsPerMetreKelvin,
            filmWattsPerSquareMetreKelvin);
    double psi =
        s.epsilon * s.tau / Math.sqrt(Math.PI) + 0.5 * Math.pow(1 - s.epsilon, 1.5) * s.phi();
    return psi / (Math.sqrt(Math.PI) * wattsPerMetreKelvin * s.a);
  }

  /** As {@link #meanKelvinPerWatt}, for the hottest point of the source. */
  public static double peakKelvinPerWatt(
      double sourceSquareMetres,
      double plateSquareMetres,
      double thicknessMetres,
      double wattsPerMetreKelvin,
      double filmWattsPerSquareMetreKelvin) {
    Shape s =
        new Shape(
            sourceSquareMetres,
            plateSquareMetres,
            thicknessMetres,
            wattsPerMetreKelvin,
            filmWattsPerSquareMetreKelvin);
    double psi = (s.epsilon * s.tau + (1 - s.epsilon) * s.phi()) / Math.sqrt(Math.PI);
    return psi / (Math.sqrt(Math.PI) * wattsPerMetreKelvin * s.a);
  }

  private static final class Shape {
    final double a;
    final double epsilon;
    final double tau;
    final double biot;

    Shape(double source, double plate, double thickness, double conductivity, double film) {
      requirePositive("source area", source);
      requirePositive("plate area", plate);
      requirePositive("thickness", thickness);
      requirePositive("conductivity", conductivity);
      requirePositive("film coefficient", film);
      // A source that overhangs the plate cannot use the overhang; it spreads no further.
      double b = Math.sqrt(Math.max(plate, source) / Math.PI);
      a = Math.sqrt(source / Math.PI);
      epsilon = a / b;
      tau = thickness / b;
      biot = film * b / conductivity;
    }

    double phi() {
      double lambda = Math.PI + 1 / (epsilon * Math.sqrt(Math.PI));
      double th = Math.tanh(lambda * tau);
      return (th + lambda / biot) / (1 + lambda / biot * th);
    }

    private static void requirePositive(String name, double value) {
      if (!(value > 0) || !Double.isFinite(value)) {
        throw new IllegalArgumentException(name + " must be positive and finite, not " + value);
      }
    }
  }
}
