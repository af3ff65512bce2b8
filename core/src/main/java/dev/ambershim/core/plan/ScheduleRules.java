package dev.ambershim.core.plan;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/** What must hold of hours, start and end so that a plan fits between them. */
final class ScheduleRules {
  /** Hours are looked at so far ahead, with room left for the work itself. */
  private static final Duration FARTHEST = Duration.ofDays(60);

  private ScheduleRules() {}

  /**
   * Checks that each block fits into the longest stretch of a day, and the ends into the months.
   */
  static void check(List<Block> blocks, WorkLog log, Instant now) {
    ahead(log.startAt(), now, "start at");
    ahead(log.doneBy(), now, "done by");
    for (Block block : blocks) {
      if (block.hands() > log.hours().longest()) {
        throw new Problem(
            "schedule.hours",
            Place.field(block.steps().get(0).title()),
            "It takes "
                + Math.round(block.hands())
                + " minutes in one go; your hours leave "
                + Math.round(log.hours().longest())
                + ".",
            "Widen the hours in which you may work.");
      }
    }
  }

  private static void ahead(Instant at, Instant now, String field) {
    if (at != null && at.isAfter(now.plus(FARTHEST))) {
      throw new Problem(
          "schedule.far",
          Place.field(field),
          "That lies more than " + FARTHEST.toDays() + " days ahead.",
          "Plan it when it is nearer.");
    }
  }
}
