package dev.ambershim.core.plan;

/** What could be done to a chip, from the least trouble to the most. */
public enum OptionKind {
  FRESH_PASTE("fresh outer paste", false),
  LOWER_VOLTAGE("lower voltage", false),
  LOWER_CLOCK("lower clock", false),
  METAL_ON_LID("liquid metal on the lid", false),
  BETTER_COOLER("better cooler", false),
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

  /** The option in words. */
  public String words() {
    return words;
  }

  /** Whether the lid comes off for it. */
  public boolean opens() {
    return opens;
  }
}
