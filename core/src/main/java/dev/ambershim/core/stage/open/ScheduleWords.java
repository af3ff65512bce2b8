package dev.ambershim.core.stage.open;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import dev.ambershim.core.plan.WorkLog;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A schedule in words. */
public final class ScheduleWords {
  private final Notation notation;
  private final ZoneId zone;

  /** Words in a person's notation, at a place. */
  public ScheduleWords(Notation notation, ZoneId zone) {
    this.notation = notation;
    this.zone = zone;
  }

  /** A moment as the person writes it. */
  public String moment(Instant at) {
    return at.equals(Instant.MAX) ? "beyond your hours" : notation.moment(at.atZone(zone));
  }

  /** A time of day. */
  public String time(Instant at) {
    return notation.time(at.atZone(zone).toLocalTime());
  }

  /** The answer in a sentence or two. */
  public String sentence(Plan plan, WorkLog log, Schedule schedule) {
    int left = schedule.slots().size();
    String steps = left == 1 ? "one step" : left + " steps";
    double hands = schedule.slots().stream().mapToDouble(s -> s.step().hands().likely()).sum();
    String work = steps + ", " + Notation.minutes(hands) + " at the bench";
    if (schedule.wanted().isPresent() && schedule.late()) {
      return "It cannot be done by "
          + moment(schedule.wanted().get())
          + ": begun now, it ends on "
          + moment(schedule.medianEnd())
          + " ("
          + work
          + ").";
    }
    if (schedule.cautiousBegin().isPresent()) {
      return "Begin by "
          + moment(schedule.begin())
          + " to be done by "
          + moment(schedule.wanted().orElseThrow())
          + "; to be careful, by "
          + moment(schedule.cautiousBegin().get())
          + " ("
          + work
          + ").";
    }
    String begin =
        log.begun()
            ? log.done().size() + " of " + plan.steps().size() + " steps are done; you finish"
            : "Begin "
                + (minutes(Duration.between(schedule.asOf(), schedule.begin())) < 5
                    ? "now"
                    : "on " + moment(schedule.begin()))
                + " and finish";
    return begin
        + " on "
        + moment(schedule.medianEnd())
        + ", or by "
        + moment(schedule.cautiousEnd())
        + " in nine cases of ten. That is "
        + work
        + ".";
  }

  /** What holds the end up, and how sure it is. */
  public List<String> reasons(Schedule schedule) {
    List<String> reasons = new ArrayList<>();
    Optional<Slot> longest =
        schedule.slots().stream()
            .filter(s -> s.step().passes().isPresent())
            .max((a, b) -> waits(a).compareTo(waits(b)));
    longest.ifPresent(
        s ->
            reasons.add(
                "The longest wait: "
                    + s.step().passes().orElseThrow().what()
                    + ", usually "
                    + Notation.minutes(minutes(waits(s)))
                    + "."));
    double saved = minutes(Duration.between(schedule.likelyEnd(), schedule.oneByOneEnd()));
    if (saved >= 10) {
      reasons.add(
          "You work on during the waits. If you sat each of them out, it would end "
              + Notation.minutes(saved)
              + " later.");
    }
    longest.ifPresent(
        s ->
            reasons.add(
                "How long that wait takes depends on: "
                    + s.step().passes().orElseThrow().depends()
                    + "."));
    reasons.add(
        "The order is the best one for the likely times. The end told held in half, the careful end in nine of ten"
            + " of "
            + Schedule.DRAWS
            + " draws of every time (PERT) and of your pace.");
    return reasons;
  }

  private static double minutes(Duration time) {
    return time.toSeconds() / 60.0;
  }

  private static Duration waits(Slot slot) {
    return Duration.between(slot.handsEnd(), slot.passedEnd());
  }
}
