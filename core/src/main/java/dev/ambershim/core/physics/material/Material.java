package dev.ambershim.core.physics.material;

/**
 * Thermal conductivity at about 300 K in W/m·K, as low, likely and high where sources differ.
 *
 * <p>Metals and silicon: Incropera &amp; DeWitt, <i>Fundamentals of Heat and Mass Transfer</i>,
 * Table A.1. The figures were entered from the project's design sheet, which quotes that table.
 * Silicon is taken between its 400 K and 300 K values because dies run hot. The organic substrate,
 * pastes and solder are common practice. Heat capacities are density times specific heat of the
 * same table (from memory); the substrate's is common practice.
 */
public enum Material {
  COPPER("copper", 385, 401, 401, 3.44e6, "Incropera & DeWitt, Table A.1"),
  NICKEL("nickel", 90.7, 90.7, 90.7, 3.95e6, "Incropera & DeWitt, Table A.1"),
  ALUMINIUM("aluminium", 200, 237, 237, 2.44e6, "Incropera & DeWitt, Table A.1"),
  SILVER("silver", 429, 429, 429, 2.47e6, "Incropera & DeWitt, Table A.1"),
  SILICON("silicon", 98.9, 120, 148, 1.66e6, "Incropera & DeWitt, Table A.1 (400 K and 300 K)"),
  SUBSTRATE("organic substrate", 0.3, 0.6, 5, 2.0e6, "common practice");

  private final String words;
  private final double low;
  private final double likely;
  private final double high;
  private final double heatCapacity;
  private final String source;

  Material(
      String words, double low, double likely, double high, double heatCapacity, String source) {
    this.words = words;
    this.low = low;
    this.likely = likely;
    this.high = high;
    this.heatCapacity = heatCapacity;
    this.source = source;
  }

  /** The material in words. */
  public String words() {
    return words;
  }

  /** Lowest conductivity worth reckoning with, W/m·K. */
  public double lowWattsPerMetreKelvin() {
    return low;
  }

  /** Likely conductivity, W/m·K. */
  public double likelyWattsPerMetreKelvin() {
    return likely;
  }

  /** Highest conductivity worth reckoning with, W/m·K. */
  public double highWattsPerMetreKelvin() {
    return high;
  }

  /** Heat capacity by volume at 300 K, J/m³·K. */
  public double heatCapacityJoulesPerCubicMetreKelvin() {
    return heatCapacity;
  }

  /** Where the figures come from. */
  public String source() {
    return source;
  }
}
