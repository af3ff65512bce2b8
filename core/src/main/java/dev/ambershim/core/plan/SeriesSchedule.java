package dev.ambershim.core.plan;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The mounts of a series set in time as the work on a chip is: hands only within the hours, and
 * waits while a mount heats through, settles and cools.
 */
public final class SeriesSchedule {
  /** So many mounts are set in time at most; what lies beyond is set once these are made. */
  public static final int MOST_MOUNTS = 30;

  /** Shares of one mount's time: clean and mount, heat and settle, cool; common practice. */
  private static final double HANDS = 15.0 / 45;

  private static final double SETTLE = 20.0 / 45;
  private static final double COOL = 10.0 / 45;

  /** Reading the figures and lifting the cooler. */
  private static final double READ_MINUTES = 2;

  private static final double SHORTEST = 0.8;
  private static final double LONGEST = 1.5;

  private SeriesSchedule() {}

  /**
   * A mount that is to be made.
   *
   * @param number its place among all
   * @param block from 1
   * @param candidate what is mounted
   */
  public record Mounting(int number, int block, String candidate) {}

  /**
   * Sets mounts in time, one after the other.
   *
   * @param due the mounts; the first {@value #MOST_MOUNTS} count
   * @param mountMinutes one mount without warm-ups
   * @param warmUpMinutes all warm-ups of one mount
   * @param startAt when to begin, or null for now
   * @return empty if no mount is due
   * @throws dev.ambershim.core.base.Problem as {@link Schedule#of}
   */
  public static Optional<Schedule> of(
      List<Mounting> due,
      double mountMinutes,
      double warmUpMinutes,
      Hours hours,
      Instant startAt,
      Instant now,
      ZoneId zone) {
    List<PlanStep> steps = new ArrayList<>();
    String before = null;
    for (Mounting m : due.subList(0, Math.min(MOST_MOUNTS, due.size()))) {
      PlanStep mount = mount(m, mountMinutes, warmUpMinutes, before);
      PlanStep read = read(m, mountMinutes, mount.id());
      steps.add(mount);
      steps.add(read);
      before = read.id();
    }
    WorkLog log =
        WorkLog.EMPTY
            .withHours(hours)
            .withStartAt(startAt != null && startAt.isAfter(now) ? startAt : null);
    return Schedule.of(steps, log, now, zone);
  }

  private static PlanStep mount(Mounting m, double minutes, double warmUps, String before) {
    return draft("mount-" + m.number(), HANDS * minutes)
        .title("Mount " + m.number() + ": " + m.candidate() + ", block " + m.block())
        .action("Clean both faces, spread, mount and start the load.")
        .wait(
            SHORTEST * (SETTLE * minutes + warmUps),
            SETTLE * minutes + warmUps,
            LONGEST * (SETTLE * minutes + warmUps),
            m.candidate() + " heats through and settles",
            "how long cooler and coolant take to warm through")
        .after(before == null ? Set.of() : Set.of(before));
  }

  private static PlanStep read(Mounting m, double minutes, String before) {
    return draft("read-" + m.number(), READ_MINUTES)
        .title("Read mount " + m.number() + ": " + m.candidate())
        .action("Write it down, end the load, and lift the cooler once it is cool.")
        .wait(
            SHORTEST * COOL * minutes,
            COOL * minutes,
            LONGEST * COOL * minutes,
            m.candidate() + " cools down",
            "how much heat cooler and coolant hold")
        .after(Set.of(before));
  }

  private static StepDraft draft(String id, double minutes) {
    return new StepDraft(id, Phase.MOUNT, Thing.CHIP, Thing.LID, Thing.PLATE, Thing.MACHINE)
        .minutes(SHORTEST * minutes, minutes, LONGEST * minutes);
  }
}
