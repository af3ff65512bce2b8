package dev.ambershim.core.physics.dosing;

/** How a drop is measured out, and how far it is off: common practice. */
public enum Measuring {
  EYE("by eye, against the picture", 0.25),
  SYRINGE("by the plunger's travel", 0.12),
  SCALE("on a scale of a milligram", 0.05);

  private final String words;
  private final double spread;

  Measuring(String words, double spread) {
    this.words = words;
    this.spread = spread;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Standard deviation of the volume, as a share of it. */
  public double spread() {
    return spread;
  }
}
