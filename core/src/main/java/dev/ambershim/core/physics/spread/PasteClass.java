package dev.ambershim.core.physics.spread;

/**
 * Kinds of thermal paste by how they flow, as a Bingham fluid. All figures are common practice for
 * pastes of their kind at 23 °C; viscosity falls with warmth by an activation energy of 25 kJ/mol,
 * which is common practice too.
 */
public enum PasteClass {
  THIN("thin, flows by itself", 60, 40, 2.4, 4),
  MIDDLING("middling", 180, 110, 2.6, 5),
  STIFF("stiff", 450, 260, 2.8, 7);

  private static final double ACTIVATION_OVER_GAS = 25_000 / 8.314462618;
  private static final double AT = 296.15;

  private final String words;
  private final double viscosity;
  private final double yield;
  private final double density;
  private final double conductivity;

  PasteClass(String words, double viscosity, double yield, double density, double conductivity) {
    this.words = words;
    this.viscosity = viscosity;
    this.yield = yield;
    this.density = density;
    this.conductivity = conductivity;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Viscosity beyond the yield stress, Pa·s. */
  public double pascalSeconds(double celsius) {
    return viscosity * Math.exp(ACTIVATION_OVER_GAS * (1 / (celsius + 273.15) - 1 / AT));
  }

  /** Yield stress, Pa. */
  public double yieldPascal() {
    return yield;
  }

  /** How it flows at a temperature. */
  public PasteFlow at(double celsius) {
    return new PasteFlow(pascalSeconds(celsius), yield);
  }

  /** Density, g/cm³. */
  public double gramsPerCubicCentimetre() {
    return density;
  }

  /** Conductivity that goes with it as a rule, W/m·K. */
  public double conductivityWattsPerMetreKelvin() {
    return conductivity;
  }
}
