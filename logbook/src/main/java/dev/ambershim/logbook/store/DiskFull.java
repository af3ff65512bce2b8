package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.Optional;

/** Tells a full disk from other failures. */
public final class DiskFull {
  private DiskFull() {}

  /** The problem of a disk that is full, if that is what a failure comes from. */
  public static Optional<Problem> of(Throwable failure) {
    for (Throwable e = failure; e != null; e = e.getCause()) {
      String said = String.valueOf(e.getMessage());
      if (said.contains("SQLITE_FULL")
          || said.contains("database or disk is full")
          || said.contains("No space left on device")) {
        return Optional.of(
            new Problem(
                "disk.full",
                Place.NOWHERE,
                "The disk is full, so nothing more can be kept.",
                "Make room, then make the change again; all that was kept before is safe.",
                e));
      }
    }
    return Optional.empty();
  }
}
