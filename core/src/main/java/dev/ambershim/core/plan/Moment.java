package dev.ambershim.core.plan;

import java.time.Instant;
import java.util.Objects;

/**
 * A moment as the wall clock and the machine's uptime have it. Uptime goes on through a changed
 * clock and through sleep, but begins anew with each start of the machine.
 *
 * @param wall the wall clock
 * @param boot which start of the machine; empty if it cannot be told
 * @param upSeconds seconds since that start
 */
public record Moment(Instant wall, String boot, double upSeconds) {
  /** Checks that the wall clock is told. */
  public Moment {
    Objects.requireNonNull(wall, "wall");
    boot = boot == null ? "" : boot;
  }

  /** A moment of which only the wall clock is known. */
  public static Moment wall(Instant wall) {
    return new Moment(wall, "", 0);
  }

  /**
   * Time since then.
   *
   * @param seconds seconds, not below zero
   * @param sure whether the machine's uptime tells it; else the wall clock does, which may have
   *     been set since
   * @param shiftSeconds by how much the wall clock was set forward since, as far as that is known
   */
  public record Elapsed(double seconds, boolean sure, double shiftSeconds) {}

  /** The time that passed since a moment. */
  public Elapsed since(Moment then) {
    double byWall = (wall.toEpochMilli() - then.wall.toEpochMilli()) / 1000.0;
    if (!boot.isEmpty() && boot.equals(then.boot) && upSeconds >= then.upSeconds) {
      double passed = upSeconds - then.upSeconds;
      return new Elapsed(passed, true, byWall - passed);
    }
    return new Elapsed(Math.max(0, byWall), false, 0);
  }
}
