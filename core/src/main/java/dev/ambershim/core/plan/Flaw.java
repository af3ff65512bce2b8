package dev.ambershim.core.plan;

import java.util.Objects;

/**
 * Something that was found on a face.
 *
 * @param face where
 * @param kind what
 * @param deep whether it is deep, large or many: a nail catches, or it is wider than a millimetre
 * @param note the place in words; may be empty
 */
public record Flaw(Face face, Kind kind, boolean deep, String note) {
  /** Faces that are judged. */
  public enum Face {
    DIE("die"),
    DIE_EDGE("edge of the die"),
    SUBSTRATE("substrate"),
    PARTS("parts near the die"),
    LID_INSIDE("lid, inside"),
    LID_RIM("lid, rim"),
    LID_TOP("lid, top"),
    PLATE("cold plate");

    private final String words;

    Face(String words) {
      this.words = words;
    }

    /** The face in words. */
    public String words() {
      return words;
    }
  }

  /** Kinds of flaw. */
  public enum Kind {
    SCRATCH("scratch"),
    CHIP("chipped edge"),
    GOUGE("gouge"),
    STAIN("stain"),
    PIT("pit"),
    CRUST("dry black crust"),
    CRACK("crack"),
    LIFTED("lifted plating"),
    LOOSE("loose or missing part");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** The kind in words. */
    public String words() {
      return words;
    }
  }

  /** Fills in what is not said. */
  public Flaw {
    Objects.requireNonNull(face, "face");
    Objects.requireNonNull(kind, "kind");
    note = note == null ? "" : note.strip();
  }
}
