package dev.ambershim.core.surface;

/** Faces that are probed and lapped. */
public enum Face {
  LID_TOP("lid, top"),
  LID_UNDERSIDE("lid, underside"),
  PLATE("cold plate"),
  DIE("die"),
  LAP("lapping plate");

  private final String words;

  Face(String words) {
    this.words = words;
  }

  /** In words. */
  public String words() {
    return words;
  }
}
