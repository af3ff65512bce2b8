package dev.ambershim.core.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.SeriesSchedule;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/** When the mounts of a series are made, by the planner that sets the work on a chip in time. */
public record SeriesTimes(Schedule schedule, String sentence) {
  /**
   * The mounts that are left.
   *
   * @return empty if none is
   * @throws dev.ambershim.core.base.Problem {@code schedule.hours} or {@code schedule.far}
   */
  public static Optional<SeriesTimes> of(
      Series series, Instant now, ZoneId zone, Notation notation) {
    List<SeriesSchedule.Mounting> due =
        series.due().stream()
            .map(d -> new SeriesSchedule.Mounting(d.number(), d.block(), d.candidate()))
            .toList();
    SeriesTerms terms = series.terms();
    return SeriesSchedule.of(
            due,
            terms.mountMinutes(),
            terms.wholeMinutes() - terms.mountMinutes(),
            series.hours(),
            series.startAt(),
            now,
            zone)
        .map(s -> new SeriesTimes(s, sentence(due.size(), s, zone, notation)));
  }

  private static String sentence(int left, Schedule schedule, ZoneId zone, Notation notation) {
    int set = Math.min(left, SeriesSchedule.MOST_MOUNTS);
    return (left == 1
            ? "The last mount"
            : set < left
                ? "The next " + set + " of " + left + " mounts"
                : "The " + left + " mounts that are left")
        + (set == 1 ? " is" : " are")
        + " done by "
        + notation.moment(schedule.medianEnd().atZone(zone))
        + ", or by "
        + notation.moment(schedule.cautiousEnd().atZone(zone))
        + " in nine cases of ten.";
  }
}
