package dev.ambershim.logbook.store;

import java.time.Instant;
import java.time.format.DateTimeParseException;

/**
 * A job in the list of jobs.
 *
 * @param id its key in this logbook
 * @param title its title
 * @param touchedAt when it was last changed, ISO 8601 as it is kept: thousands are listed, and few
 *     of them are looked at
 */
public record JobHead(String id, String title, String touchedAt) {
  /** When it was last changed; the oldest moment there is where that cannot be read. */
  public Instant touched() {
    try {
      return Instant.parse(touchedAt);
    } catch (DateTimeParseException | NullPointerException e) {
      return Instant.EPOCH;
    }
  }
}
