package dev.ambershim.core.plan;

/** What could be done to a chip, from the least trouble to the most. */
public enum OptionKind {
  FRESH_PASTE("fresh outer paste", false),
  LOWER_VOLTAGE("lower voltage", false),
  LOWER_CLOCK("lower clock", false),
  METAL_ON_LID("liquid metal on the lid", false),
  LAP_TOP("lid's top lapped, fresh paste", false),
  LAP_PLATE("cold plate lapped, fresh paste", false),
  BETTER_COOLER("better cooler", false),
  METAL_ON_DIE("liquid metal on the die", false),
  METAL_RENEWED("fresh liquid metal", true),
  PASTE_INSIDE("fresh paste inside, lid glued", true),
  METAL_UNGLUED("liquid metal inside, lid unglued", true),
  METAL_GLUED("liquid metal inside, lid glued", true),
  METAL_LAPPED("liquid metal inside, lid lapped", true),
  COPPER_LID("liquid metal, flat copper lid", true),
  BARE("bare die", true),
  BARE_LAPPED("bare die, lapped", true);

  private final String words;
  private final boolean opens;

  OptionKind(String words, boolean opens) {
    this.words = words;
    this.opens = opens;
  }

  /**
   * The option in words.
   *
   * @param lidOn whether a lid is on after it
   */
  public String words(boolean lidOn) {
    return this == FRESH_PASTE && !lidOn ? "fresh paste on the die" : words;
  }

  /** Whether the lid comes off for it, if there is one. */
  public boolean opens() {
    return opens;
  }

  /** Whether metal or silicon is lapped for it. */
  public boolean laps() {
    return this == LAP_TOP || this == LAP_PLATE || this == METAL_LAPPED || this == BARE_LAPPED;
  }

  /** Whether it makes a chip with a lid one that runs without. */
  public boolean bares() {
    return this == BARE || this == BARE_LAPPED;
  }
}
