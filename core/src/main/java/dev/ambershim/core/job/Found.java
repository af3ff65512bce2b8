package dev.ambershim.core.job;

import java.time.LocalDate;
import java.util.List;

/**
 * What a joint looked like when it was opened again.
 *
 * @param date the day
 * @param looks what was seen, in the order of the list
 * @param note free words, such as the lesson
 * @param photos it then and now, or null
 */
public record Found(LocalDate date, List<Look> looks, String note, PhotoPair photos) {
  /** What a film, a paste or the faces can look like. */
  public enum Look {
    WET("wet and bright"),
    DULL("dull"),
    DRY("dry"),
    CRUMBLY("crumbly"),
    BEAD("a bead at the edge"),
    STAIN("a stain"),
    PITS("pits"),
    CRUST("a crust"),
    CRACKS("cracks");

    private final String words;

    Look(String words) {
      this.words = words;
    }

    /** It in words. */
    public String words() {
      return words;
    }
  }

  /** Copies its list in its own order, and fills in what was not said. */
  public Found {
    looks = looks == null ? List.of() : looks.stream().distinct().sorted().toList();
    note = note == null ? "" : note.strip();
    photos = photos == null || photos.now() == null ? null : photos;
  }

  /** Without photos. */
  public Found(LocalDate date, List<Look> looks, String note) {
    this(date, looks, note, null);
  }
}
