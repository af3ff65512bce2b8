package dev.ambershim.core.plan;

/** What has liquid metal on it goes away before anything clean is touched again. */
final class WasteSteps {
  private WasteSteps() {}

  /**
   * The step.
   *
   * @param things what it comes after, and what waits for it
   */
  static StepDraft after(String id, Thing... things) {
    return new StepDraft(id, id.equals("waste-old") ? Phase.CLEAN : Phase.COAT, things)
        .title("Metal away, fresh gloves")
        .action(
            "Cap the syringe. Swabs, wipes and gloves with metal on them into a bag, sealed and"
                + " labelled. Wipe the bench, look under the lamp for beads. Then fresh gloves.")
        .reason("What is on your gloves is on chip, board and door handle next.")
        .look("No silver dot anywhere on bench, tools, sleeves.")
        .wrong("A bead on aluminium", "it eats into it", "wipe it off at once; keep an eye on it")
        .wrong(
            "Metal on the board",
            "it shorts what it bridges",
            "no power; pick it up with a swab dipped in metal, see Rescue (M)")
        .wrong("Metal on skin", "it stains and irritates", "soap and water; rings off first")
        .tools("lamp")
        .needs(Supply.BAG, 1)
        .needs(Supply.ALCOHOL, 10)
        .needs(Supply.WIPES, 3)
        .needs(Supply.GLOVES, 1)
        .minutes(4, 7, 15)
        .caution(Caution.WASTE)
        .hold("Is all metal packed away, the syringe capped, and are your gloves fresh?");
  }
}
