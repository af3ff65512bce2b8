package dev.ambershim.core.physics.dosing;

/**
 * What covers parts and contacts around a die. Exactly one of them: one over another lifts, cracks
 * or never dries. Thickness, drying and heat are common practice; the label comes first.
 */
public enum Cover {
  VARNISH(
      "insulating varnish", 25, 2, 15, 30, 130, "acetone or its own thinner on a swab, no blade"),
  POLYIMIDE_TAPE("polyimide tape", 65, 1, 0, 0, 260, "peel it off warm, then alcohol for the glue"),
  VINYL_TAPE("vinyl tape", 130, 1, 0, 0, 80, "peel it off, then petroleum ether for the glue"),
  SILICONE("silicone", 400, 1, 120, 480, 200, "rub it off with a wooden stick, then alcohol"),
  FOIL("foil", 110, 1, 0, 0, 150, "lift it at a corner, then alcohol for the glue");

  private final String words;
  private final double coat;
  private final int coats;
  private final double dryLow;
  private final double dryLikely;
  private final double heat;
  private final String removal;

  Cover(
      String words,
      double coat,
      int coats,
      double dryLow,
      double dryLikely,
      double heat,
      String removal) {
    this.words = words;
    this.coat = coat;
    this.coats = coats;
    this.dryLow = dryLow;
    this.dryLikely = dryLikely;
    this.heat = heat;
    this.removal = removal;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** One coat or layer when dry, µm. */
  public double coatMicrometres() {
    return coat;
  }

  /** How many coats or layers are usual. */
  public int usualCoats() {
    return coats;
  }

  /** A coat dries at least so long, minutes; 0 for what need not dry. */
  public double dryLowMinutes() {
    return dryLow;
  }

  /** A coat is dry after so long as a rule, minutes. */
  public double dryLikelyMinutes() {
    return dryLikely;
  }

  /** What it stands for years, °C. */
  public double heatCelsius() {
    return heat;
  }

  /** What takes it off again. */
  public String removal() {
    return removal;
  }
}
