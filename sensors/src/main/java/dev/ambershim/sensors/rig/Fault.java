package dev.ambershim.sensors.rig;

/** What can be dialled into the rig. */
public enum Fault {
  DRY_PASTE(
      "dry paste",
      "the joint under the lid, or under the cold plate of a bare die, conducts"
          + " badly all over"),
  TILTED_COOLER("tilted cooler", "the cold plate lies on one edge and gapes at the other"),
  FILM_VOID("film void", "the joint over one core has a hole"),
  WEAK_PUMP("weak pump", "the loop moves little water");

  private final String words;
  private final String meaning;

  Fault(String words, String meaning) {
    this.words = words;
    this.meaning = meaning;
  }

  /** The fault in words. */
  public String words() {
    return words;
  }

  /** What is wrong then. */
  public String meaning() {
    return meaning;
  }
}
