package dev.ambershim.core.plan;

import java.time.Instant;
import java.util.List;
import java.util.Objects;

/**
 * What was done at a step.
 *
 * @param id the step
 * @param begunAt when it was begun, or null
 * @param doneAt when it was done, or null while it is not
 * @param initials whose check passed the hold point; empty if none
 * @param reading what was read; empty if nothing
 * @param note what the person wrote; empty if nothing
 * @param overridden why the hold point was passed without its check; empty if it was not
 * @param photos photos that belong to it
 * @param mishap what went wrong, or null
 * @param used what was taken off the shelf
 */
public record StepEntry(
    String id,
    Instant begunAt,
    Instant doneAt,
    String initials,
    String reading,
    String note,
    String overridden,
    List<Photo> photos,
    Mishap mishap,
    List<Use> used) {
  /** Copies its lists and fills in what is not said. */
  public StepEntry {
    Objects.requireNonNull(id, "id");
    initials = initials == null ? "" : initials.strip();
    reading = reading == null ? "" : reading.strip();
    note = note == null ? "" : note.strip();
    overridden = overridden == null ? "" : overridden.strip();
    photos = photos == null ? List.of() : List.copyOf(photos);
    used = used == null ? List.of() : List.copyOf(used);
  }

  /** Nothing yet. */
  static StepEntry of(String id) {
    return new StepEntry(id, null, null, "", "", "", "", List.of(), null, List.of());
  }

  /** Whether it is done. */
  public boolean done() {
    return doneAt != null;
  }

  /** Whether its hold point may be passed. */
  public boolean passes(Hold hold) {
    if (!overridden.isEmpty()) {
      return true;
    }
    return switch (hold.evidence()) {
      case TICK -> !initials.isEmpty();
      case READING -> !reading.isEmpty();
      case PHOTO -> !photos.isEmpty();
    };
  }

  StepEntry begun(Instant at) {
    return begunAt != null
        ? this
        : new StepEntry(id, at, doneAt, initials, reading, note, overridden, photos, mishap, used);
  }

  StepEntry doneAt(Instant at) {
    return new StepEntry(
        id,
        begunAt == null ? at : begunAt,
        at,
        initials,
        reading,
        note,
        overridden,
        photos,
        mishap,
        used);
  }

  StepEntry opened() {
    return new StepEntry(
        id, begunAt, null, initials, reading, note, overridden, photos, mishap, List.of());
  }

  /** The same with initials. */
  public StepEntry withInitials(String text) {
    return new StepEntry(
        id, begunAt, doneAt, text, reading, note, overridden, photos, mishap, used);
  }

  /** The same with a reading. */
  public StepEntry withReading(String text) {
    return new StepEntry(
        id, begunAt, doneAt, initials, text, note, overridden, photos, mishap, used);
  }

  /** The same with a note. */
  public StepEntry withNote(String text) {
    return new StepEntry(
        id, begunAt, doneAt, initials, reading, text, overridden, photos, mishap, used);
  }

  /** The same with its hold point passed for a reason; an empty one takes that back. */
  public StepEntry withOverride(String why) {
    return new StepEntry(id, begunAt, doneAt, initials, reading, note, why, photos, mishap, used);
  }

  /** The same with other photos. */
  public StepEntry withPhotos(List<Photo> other) {
    return new StepEntry(
        id, begunAt, doneAt, initials, reading, note, overridden, other, mishap, used);
  }

  /** The same with a mishap; null takes it back. */
  public StepEntry withMishap(Mishap what) {
    return new StepEntry(
        id, begunAt, doneAt, initials, reading, note, overridden, photos, what, used);
  }

  /** The same with what was taken off the shelf. */
  public StepEntry withUsed(List<Use> what) {
    return new StepEntry(
        id, begunAt, doneAt, initials, reading, note, overridden, photos, mishap, what);
  }
}
