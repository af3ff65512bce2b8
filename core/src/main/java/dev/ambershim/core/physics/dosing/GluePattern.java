package dev.ambershim.core.physics.dosing;

/** Where the lid is glued. */
public enum GluePattern {
  AROUND("around, with a gap to breathe"),
  CORNERS("at four corners"),
  NONE("not at all");

  private final String words;

  GluePattern(String words) {
    this.words = words;
  }

  /** In words. */
  public String words() {
    return words;
  }
}
