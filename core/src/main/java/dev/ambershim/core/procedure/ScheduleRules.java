package dev.ambershim.core.procedure;

import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import java.util.List;

/** What must hold of hours so that a plan fits into them. */
final class ScheduleRules {
  private ScheduleRules() {}

  /** Checks that each block fits into the longest stretch of a day. */
  static void check(List<Block> blocks, Hours hours) {
    for (Block block : blocks) {
      if (block.hands() > hours.longest()) {
        throw new Problem(
            "schedule.hours",
            Place.field(block.steps().get(0).title()),
            "It takes "
                + Math.round(block.hands())
                + " minutes in one go; your hours leave "
                + Math.round(hours.longest())
                + ".",
            "Widen the hours in which you may work.");
      }
    }
  }
}
