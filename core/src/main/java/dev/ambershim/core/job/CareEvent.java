package dev.ambershim.core.job;

import java.time.LocalDate;

/**
 * What happened to a chip in use.
 *
 * @param date the day
 * @param kind what it was
 * @param note free words
 */
public record CareEvent(LocalDate date, Kind kind, String note) {
  /** What can happen. */
  public enum Kind {
    OPENED("opened"),
    RENEWED("joint renewed"),
    DUST("dust cleaned"),
    FANS("fans changed"),
    COOLER("cooler changed"),
    FIRMWARE("firmware changed"),
    MOVED("moved"),
    SUMMER("hot summer"),
    OTHER("something else");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** It in words. */
    public String words() {
      return words;
    }
  }

  /** Fills in what was not said. */
  public CareEvent {
    kind = kind == null ? Kind.OTHER : kind;
    note = note == null ? "" : note.strip();
  }
}
