package dev.ambershim.core.physics.material;

/**
 * What a joint is filled with. The likely conductivity and bond line are starting values that the
 * person may replace; the factors say how far the joint's whole resistance may lie from them (low
 * and high, about nine cases in ten).
 *
 * <p>Liquid metal: published measurements for Ga–In–Sn near 16.5 and eutectic Ga–In near 26 W/m·K;
 * sellers claim far more. The likely value is the measured one. Pastes, pads and solder: common
 * practice. Where a source is named the value was entered from the project's design sheet.
 */
public enum Filling {
  PASTE("paste", 5, 50, 0.55, 1.9, "common practice"),
  FACTORY_PASTE("factory paste", 4, 70, 0.55, 1.8, "common practice"),
  DRIED_PASTE("dried-out paste", 2, 80, 0.5, 2.2, "common practice"),
  SOLDER(
      "indium solder",
      60,
      250,
      0.6,
      1.8,
      "indium 81.8 W/m·K (Incropera & DeWitt), voids by common practice"),
  LIQUID_METAL("liquid metal", 20, 40, 0.5, 2.2, "published Ga–In–Sn 16.5 to Ga–In 26 W/m·K"),
  /** Solid when cold; at its first warmth it melts and is pressed as thin as good paste. */
  PHASE_CHANGE("phase-change pad", 4, 30, 0.55, 1.9, "common practice"),
  /** Through the sheet; its faces do not wet, so the contact counts as much as the sheet. */
  GRAPHITE_SHEET("graphite sheet", 7, 100, 0.6, 2, "common practice"),
  /** Stock comes in steps of 0.25 or 0.5 mm, and is pressed by a fifth. */
  PAD("thermal pad", 6, 800, 0.6, 2, "common practice"),
  /** Gives way until the neighbours rest. */
  PUTTY("thermal putty", 5, 500, 0.5, 2.2, "common practice");

  private final String words;
  private final double conductivity;
  private final double bondLine;
  private final double lowFactor;
  private final double highFactor;
  private final String source;

  Filling(
      String words,
      double conductivity,
      double bondLine,
      double lowFactor,
      double highFactor,
      String source) {
    this.words = words;
    this.conductivity = conductivity;
    this.bondLine = bondLine;
    this.lowFactor = lowFactor;
    this.highFactor = highFactor;
    this.source = source;
  }

  /** The filling in words. */
  public String words() {
    return words;
  }

  /** Likely conductivity, W/m·K. */
  public double conductivityWattsPerMetreKelvin() {
    return conductivity;
  }

  /** Likely bond line, µm. */
  public double bondLineMicrometres() {
    return bondLine;
  }

  /** Factor on the joint's resistance for the favourable end. */
  public double lowFactor() {
    return lowFactor;
  }

  /** Factor on the joint's resistance for the unfavourable end. */
  public double highFactor() {
    return highFactor;
  }

  /** Where the figures come from. */
  public String source() {
    return source;
  }
}
