package dev.ambershim.core.plan;

import java.util.List;

/**
 * The usual cautions, each said only at the step where it matters. They are common practice; a
 * product's label, the maker's instructions and local rules come first.
 */
public enum Caution {
  MAINS("Mains: switch off, pull the plug, press the power button once. Wait a minute."),
  STATIC("Static kills silently: touch bare earthed metal, wear a wrist strap if you have one."),
  BLADE("Blades cut away from hands and never touch the substrate. Eye protection on."),
  FORCE("Small even turns. Stop when it feels wrong; a chip costs more than ten minutes."),
  METAL(
      "Liquid metal conducts, creeps and eats aluminium. Gloves, eye protection, no jewellery. In"
          + " an eye: rinse for 15 minutes and see a doctor."),
  SOLVENT(
      "Solvent burns: window open, no flame, gloves, lid back on. Soaked wipes dry outdoors, never"
          + " in a bin."),
  VARNISH("Varnish vapour: open a window, no flame. Its label comes first."),
  GLUE("Glue: keep it off skin and eyes, fresh air while it cures. Its label comes first."),
  DUST("Lap wet. Nickel and silicon dust stay out of lungs and off skin: gloves, wipe up wet."),
  BARE_DIE(
      "Force on bare silicon chips its corners: set it down flat, small even turns crosswise."),
  WASTE("Liquid metal and its wipes are hazardous waste: sealed bag, by your local rules."),
  WARRANTY("Opening ends the warranty, and it shows. If you may still want it, stop here."),
  COLD("Extreme cold burns skin, and its gas chokes. Only for those who are trained for it."),
  BATTERY("A battery still feeds the board. Unplug it first; never pierce or bend it."),
  HOT("Metal parts are hot after a run. Let them cool until you can hold them.");

  private final String words;

  /** What you wear or have at hand for it. */
  public List<String> gear() {
    return switch (this) {
      case STATIC -> List.of("wrist strap");
      case BLADE -> List.of("eye protection", "cut-proof glove");
      case METAL, GLUE, VARNISH -> List.of("eye protection");
      case SOLVENT -> List.of("eye protection", "a lid for each solvent");
      case DUST -> List.of("dust mask");
      case COLD -> List.of("face shield", "cryogenic gloves");
      default -> List.of();
    };
  }

  Caution(String words) {
    this.words = words;
  }

  /** The caution in words. */
  public String words() {
    return words;
  }
}
