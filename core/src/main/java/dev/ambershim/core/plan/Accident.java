package dev.ambershim.core.plan;

/** Kinds of mishap that have a way out of their own. */
public enum Accident {
  PART_OFF("a small part was knocked off"),
  SUBSTRATE_CUT("substrate or trace scratched"),
  DIE_CHIPPED("corner or edge of the die chipped"),
  DIE_SCRATCHED("die scratched"),
  METAL_SPILLED_OFF("liquid metal spilled, board without power"),
  METAL_SPILLED_ON("liquid metal spilled, board under power"),
  METAL_RAN("machine ran with liquid metal beside the die"),
  PINS_BENT("pins or contacts bent"),
  PASTE_IN_SOCKET("paste in the socket"),
  NO_START("nothing happens at power-on"),
  MEMORY_CODE("it starts with a code or beeps for memory"),
  CHIP_CODE("it starts with a code for the chip"),
  HOT_AT_ONCE("it starts, and is hot or throttles at once"),
  CHIP_STUCK("the chip is stuck to the cooler"),
  SCREW_STRIPPED("a screw's head or thread is worn out"),
  LID_DROPPED("the lid fell or slid on its glue");

  private final String words;

  Accident(String words) {
    this.words = words;
  }

  /** The mishap in words. */
  public String words() {
    return words;
  }
}
