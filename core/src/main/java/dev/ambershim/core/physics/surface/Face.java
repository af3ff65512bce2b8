package dev.ambershim.core.physics.surface;

import java.util.List;

/** Faces that are probed and lapped. */
public enum Face {
  LID_TOP("top of the lid"),
  LID_UNDERSIDE("underside of the lid"),
  PLATE("cold plate"),
  DIE("die"),
  LAP("lapping plate");

  private final String words;

  Face(String words) {
    this.words = words;
  }

  /** The face so many places further on, and round again. */
  public Face further(int by) {
    List<Face> all = List.of(values());
    return all.get(Math.floorMod(all.indexOf(this) + by, all.size()));
  }

  /** In words. */
  public String words() {
    return words;
  }
}
