package dev.ambershim.core.plan;

/**
 * How chip and lid lie on the bench.
 *
 * @param cooler whether the cooler is on
 * @param lid whether the lid is on
 * @param sealant whether old sealant is still on the substrate or the lid's rim
 * @param residue whether the old filling is still on die and lid
 * @param masked whether the die is masked
 * @param covered whether the parts around the die are covered
 * @param filmed whether the new film or paste is on the die
 * @param fresh whether what lies between die and lid, or die and plate, is the new filling
 */
public record ChipState(
    boolean cooler,
    boolean lid,
    boolean sealant,
    boolean residue,
    boolean masked,
    boolean covered,
    boolean filmed,
    boolean fresh) {
  /** How a chip with its lid on comes to the bench. */
  public static final ChipState CLOSED =
      new ChipState(true, true, true, true, false, false, false, false);

  /** How a bare chip comes to the bench. */
  public static final ChipState BARE =
      new ChipState(true, false, false, true, false, false, false, false);

  /** The state after a change. */
  public ChipState after(Change change) {
    return switch (change) {
      case NOTHING -> this;
      case COOLER_OFF ->
          new ChipState(false, lid, sealant, residue, masked, covered, filmed, fresh);
      case COOLER_ON -> new ChipState(true, lid, sealant, residue, masked, covered, filmed, fresh);
      case LID_OFF ->
          new ChipState(cooler, false, sealant, residue, masked, covered, filmed, fresh);
      case SEALANT_OFF ->
          new ChipState(cooler, lid, false, residue, masked, covered, filmed, fresh);
      case CLEANED -> new ChipState(cooler, lid, sealant, false, masked, covered, filmed, fresh);
      case MASKED -> new ChipState(cooler, lid, sealant, residue, true, covered, filmed, fresh);
      case UNMASKED -> new ChipState(cooler, lid, sealant, residue, false, covered, filmed, fresh);
      case COVERED -> new ChipState(cooler, lid, sealant, residue, masked, true, filmed, fresh);
      case FILMED -> new ChipState(cooler, lid, sealant, residue, masked, covered, true, true);
      case LID_ON -> new ChipState(cooler, true, sealant, residue, masked, covered, filmed, true);
    };
  }

  /** What a step does to the chip. */
  public enum Change {
    NOTHING,
    COOLER_OFF,
    COOLER_ON,
    LID_OFF,
    SEALANT_OFF,
    CLEANED,
    MASKED,
    UNMASKED,
    COVERED,
    FILMED,
    LID_ON
  }

  /** The state in a few words, such as "lid off, sealant off". */
  public String words() {
    StringBuilder all = new StringBuilder(cooler ? "cooler on" : "cooler off");
    all.append(lid ? ", lid on" : ", lid off");
    if (!lid) {
      all.append(residue ? ", old filling still on" : ", cleaned");
      all.append(sealant ? ", sealant still on" : "");
      all.append(masked ? ", die masked" : "");
      all.append(covered ? ", parts covered" : "");
      all.append(filmed ? ", filmed" : "");
    }
    return all.toString();
  }
}
