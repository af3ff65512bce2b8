package dev.ambershim.core.physics.dosing;

/**
 * A metal that is liquid at the bench.
 *
 * <p>Gallium: melting point 29.76 °C (CRC Handbook), density of the liquid 6077 kg/m³ at the
 * melting point, falling by 0.611 kg/m³ a kelvin (Assael et al. 2012, J. Phys. Chem. Ref. Data 41,
 * 033101; from memory). Ga–In–Sn 6.44 g/cm³ (published); eutectic Ga–In 6.25 g/cm³ and both surface
 * tensions as commonly published, from memory. The alloys are taken to expand as gallium does.
 */
public enum Alloy {
  GALLIUM_INDIUM_TIN("gallium, indium and tin", 6.44, 20, 10.5, 0.534),
  GALLIUM_INDIUM("gallium and indium", 6.25, 25, 15.5, 0.624),
  GALLIUM("gallium alone", 6.077, 29.76, 29.76, 0.708);

  /** Expansion by volume of liquid gallium, 1/K. */
  private static final double EXPANSION = 0.611 / 6077;

  private final String words;
  private final double density;
  private final double at;
  private final double melts;
  private final double tension;

  Alloy(String words, double density, double at, double melts, double tension) {
    this.words = words;
    this.density = density;
    this.at = at;
    this.melts = melts;
    this.tension = tension;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Melting point, °C. */
  public double meltsCelsius() {
    return melts;
  }

  /**
   * Where it freezes as sold, °C: about −19 for Ga–In–Sn, 15 for Ga–In, which both stay liquid
   * somewhat below their melting point; common practice.
   */
  public double freezesCelsius() {
    return switch (this) {
      case GALLIUM_INDIUM_TIN -> -19;
      case GALLIUM_INDIUM -> 15;
      case GALLIUM -> melts;
    };
  }

  /** Surface tension without its skin of oxide, N/m. */
  public double tensionNewtonsPerMetre() {
    return tension;
  }

  /** Density of the liquid, g/cm³, which is also mg/mm³. */
  public double gramsPerCubicCentimetre(double celsius) {
    return density * (1 - EXPANSION * (celsius - at));
  }
}
