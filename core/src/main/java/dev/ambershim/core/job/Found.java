package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.time.LocalDate;
import java.util.List;

/**
 * What a joint looked like when it was opened again.
 *
 * @param date the day
 * @param looks what was seen, in the order of the list
 * @param note free words, such as the lesson
 * @param photos it then and now, or null
 * @param loadHours how long it was under load, hours, or null
 * @param warmUps how often it was heated through and cooled, or null
 */
public record Found(
    LocalDate date,
    List<Look> looks,
    String note,
    PhotoPair photos,
    Double loadHours,
    Double warmUps) {
  private static final double MOST_HOURS = 500_000;
  private static final double MOST_WARM_UPS = 500_000;

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
    this(date, looks, note, null, null, null);
  }

  /**
   * Refuses what cannot be.
   *
   * @throws Problem {@code found.use}
   */
  public Found checked() {
    if ((loadHours != null && !(loadHours >= 0 && loadHours <= MOST_HOURS))
        || (warmUps != null && !(warmUps >= 0 && warmUps <= MOST_WARM_UPS))) {
      throw new Problem(
          "found.use",
          Place.field("hours and warm-ups"),
          "A joint cannot have been used so much.",
          "Give hours under load and warm-ups since it was made, or leave them empty.");
    }
    return this;
  }
}
