package dev.ambershim.core.base;

/**
 * The units that figures are kept in, each with the customary unit it is shown in when the person
 * works in inches or in Fahrenheit. Conversion factors are exact by definition (inch 25.4 mm, its
 * square and cube; NIST SP 811).
 */
public enum Unit {
  MILLIMETRE("mm", 1, "in", 1 / 25.4, 3),
  MICROMETRE("µm", 0, "thou", 1 / 25.4, 2),
  SQUARE_MILLIMETRE("mm²", 0, "in²", 1 / 645.16, 3),
  CUBIC_MILLIMETRE("mm³", 1, "in³", 1 / 16_387.064, 5),
  DEGREE("°", 2, "", 1, 2),
  CELSIUS("°C", 1, "°F", 1.8, 1),
  KELVIN("K", 1, "°F diff.", 1.8, 1),
  KELVIN_PER_YEAR("K a year", 1, "°F diff. a year", 1.8, 1),
  WATT("W", 0, "", 1, 0),
  MEGAHERTZ("MHz", 0, "", 1, 0),
  VOLT("V", 3, "", 1, 3),
  TURNS_PER_MINUTE("rpm", 0, "", 1, 0),
  LITRE_PER_HOUR("l/h", 0, "gal/h", 0.2642, 1),
  WATT_PER_METRE_KELVIN("W/m·K", 1, "", 1, 1),
  KELVIN_PER_WATT("K/W", 3, "", 1, 3),
  SQUARE_MILLIMETRE_KELVIN_PER_WATT("mm²·K/W", 1, "", 1, 1),
  PERCENT("%", 1, "", 1, 1),
  DECIBEL("dB", 1, "", 1, 1),
  HOUR("h", 1, "", 1, 1),
  MINUTE("min", 0, "", 1, 0),
  SECOND("s", 0, "", 1, 0),
  COIN("coins", 0, "", 1, 0),
  NEWTON("N", 0, "", 1, 0),
  NEWTON_PER_MILLIMETRE("N/mm", 1, "", 1, 1),
  MEGAPASCAL("MPa", 2, "", 1, 2),
  NEWTON_METRE("N·m", 2, "", 1, 2),
  MILLIGRAM("mg", 0, "", 1, 0),
  GRAM("g", 2, "", 1, 2),
  GRAM_PER_CUBIC_CENTIMETRE("g/cm³", 2, "", 1, 2),
  STROKE("strokes", 0, "", 1, 0),
  TURN("turns", 2, "", 1, 2),
  TIMES("×", 1, "", 1, 1),
  NUMBER("", 2, "", 1, 2),
  COUNT("", 0, "", 1, 0);

  private final String symbol;
  private final int decimals;
  private final String customarySymbol;
  private final double customaryFactor;
  private final int customaryDecimals;

  Unit(
      String symbol,
      int decimals,
      String customarySymbol,
      double customaryFactor,
      int customaryDecimals) {
    this.symbol = symbol;
    this.decimals = decimals;
    this.customarySymbol = customarySymbol;
    this.customaryFactor = customaryFactor;
    this.customaryDecimals = customaryDecimals;
  }

  boolean isLength() {
    return this == MILLIMETRE
        || this == MICROMETRE
        || this == SQUARE_MILLIMETRE
        || this == CUBIC_MILLIMETRE;
  }

  boolean isTemperature() {
    return this == CELSIUS || this == KELVIN || this == KELVIN_PER_YEAR;
  }

  /** Its sign in metric units. */
  public String symbol() {
    return symbol;
  }

  String symbol(boolean customary) {
    return customary ? customarySymbol : symbol;
  }

  int decimals(boolean customary) {
    return customary ? customaryDecimals : decimals;
  }

  double shown(double kept, boolean customary) {
    if (!customary) {
      return kept;
    }
    return kept * customaryFactor + (this == CELSIUS ? 32 : 0);
  }

  double kept(double shown, boolean customary) {
    if (!customary) {
      return shown;
    }
    return (shown - (this == CELSIUS ? 32 : 0)) / customaryFactor;
  }
}
