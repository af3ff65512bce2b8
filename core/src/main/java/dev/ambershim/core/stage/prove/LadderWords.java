package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.runs.clocking.ClockGain;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The sentences about two ladders.
 *
 * @param before the ladder before the work
 * @param after the ladder after it
 */
record LadderWords(ClockLadder before, ClockLadder after, Notation notation) {
  /** The ladders side by side in a sentence. */
  String sentence(Optional<ClockGain> gain, Optional<Headroom.Headline> headline) {
    if (isEmpty()) {
      return "No rung yet. Write down a clock, how it ended and its hottest core.";
    }
    if (after.rungs().isEmpty() || before.rungs().isEmpty()) {
      ClockLadder only = before.rungs().isEmpty() ? after : before;
      return "It holds " + where(only) + under() + ".";
    }
    String both =
        "It holds " + where(after) + " after and " + where(before) + " before the work" + under();
    if (gain.isEmpty()) {
      return both + headline.map(h -> ": " + h.words()).orElse(". That tells no gain yet") + ".";
    }
    Interval interval = gain.get().interval();
    double mean = gain.get().megahertz();
    return both
        + (interval.contains(0)
            ? ". That does not tell a gain ("
            : ": " + megahertz(Math.abs(mean)) + (mean < 0 ? " less (" : " more ("))
        + notation.range(
            mean < 0 && !interval.contains(0) ? interval.negated() : interval, Unit.MEGAHERTZ)
        + ").";
  }

  private String where(ClockLadder ladder) {
    if (ladder.highestPass().isEmpty()) {
      return ladder.lowestBlock().isEmpty()
          ? "what no rung tells yet"
          : "less than " + megahertz(ladder.lowestBlock().getAsDouble());
    }
    String pass = notation.number(ladder.highestPass().getAsDouble(), Unit.MEGAHERTZ);
    return ladder.lowestBlock().isEmpty()
        ? pass + " MHz or more"
        : pass + " to " + megahertz(ladder.lowestBlock().getAsDouble());
  }

  private String under() {
    double room = before.roomCelsius();
    return " under "
        + notation.text(before.terms().limitCelsius(), Unit.CELSIUS)
        + (Double.isNaN(room) ? "" : " in a room of " + notation.text(room, Unit.CELSIUS));
  }

  /** What one should know to judge it, a sentence each. */
  List<String> reasons() {
    List<String> reasons = new ArrayList<>();
    for (ClockLadder ladder : List.of(before, after)) {
      String side = ladder == before ? "Before" : "After";
      for (Rung r : ladder.blockers()) {
        if (ladder.counts(r) != Outcome.PASSED) {
          reasons.add(
              side
                  + ", "
                  + megahertz(r.clockMegahertz())
                  + " "
                  + words(ladder.counts(r))
                  + (r.how().isEmpty() ? "" : ": " + r.how())
                  + ".");
        }
      }
    }
    for (ClockLadder ladder : List.of(before, after)) {
      for (Rung r : ladder.failedBelow()) {
        reasons.add(
            (ladder == before ? "Before, " : "After, ")
                + megahertz(r.clockMegahertz())
                + " failed although a higher clock passed; try both again, and longer.");
      }
    }
    unequal(reasons);
    if (!isEmpty() && !before.terms().load().isEmpty()) {
      reasons.add("Load: " + before.terms().load() + ".");
    }
    if (!isEmpty() && Double.isNaN(before.roomCelsius())) {
      reasons.add("No rung has a room temperature, so the limit is judged in the room of the day.");
    }
    return reasons;
  }

  private static String words(Outcome outcome) {
    return switch (outcome) {
      case PASSED -> "passed";
      case FAILED -> "failed";
      case THROTTLED -> "throttled";
      case TOO_HOT -> "was too hot";
      case STOPPED -> "was stopped";
    };
  }

  private void unequal(List<String> reasons) {
    if (before.highestPass().isEmpty() || after.highestPass().isEmpty()) {
      return;
    }
    Rung first = before.passedAt(before.highestPass().getAsDouble());
    Rung second = after.passedAt(after.highestPass().getAsDouble());
    if (first.voltageVolts() != null
        && second.voltageVolts() != null
        && !first.sameVoltage(second)) {
      reasons.add(
          "The highest rungs stand at "
              + notation.text(second.voltageVolts(), Unit.VOLT)
              + " after and "
              + notation.text(first.voltageVolts(), Unit.VOLT)
              + " before; part of the change is the voltage.");
    }
    if (first.minutes() != null
        && second.minutes() != null
        && Math.max(first.minutes(), second.minutes())
            > 2 * Math.min(first.minutes(), second.minutes())) {
      reasons.add(
          "They were held for "
              + notation.fixed(second.minutes(), 0)
              + " and "
              + notation.fixed(first.minutes(), 0)
              + " minutes; hold both as long to be sure.");
    }
  }

  private boolean isEmpty() {
    return before.rungs().isEmpty() && after.rungs().isEmpty();
  }

  private String megahertz(double value) {
    return notation.text(value, Unit.MEGAHERTZ);
  }
}
