package dev.ambershim.logbook.formats;

import dev.ambershim.core.runs.drift.Crossing;
import dev.ambershim.core.runs.drift.Trend;
import dev.ambershim.core.stage.keep.CourseAnswer;
import dev.ambershim.core.stage.keep.KeepAnswer;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Action;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Uid;

/**
 * What a chip in use asks for, as iCalendar (RFC 5545): a whole day for the next check, and one for
 * the next opening where that has a date. Each rings in the morning.
 */
public final class KeepCalendar {
  private static final Duration MORNING = Duration.ofHours(9);

  private KeepCalendar() {}

  /**
   * The calendar as the bytes of an {@code .ics} file.
   *
   * @param id the job's key, so that a later calendar replaces this one
   * @param title the job's title
   * @param written when it is written
   * @throws IllegalArgumentException if there is nothing to remind of
   */
  public static byte[] of(KeepAnswer answer, String id, String title, Instant written) {
    Optional<LocalDate> due = KeepAnswer.due(answer.care());
    if (due.isEmpty()) {
      throw new IllegalArgumentException("no check yet");
    }
    Calendar calendar = CalendarText.begin("keep");
    LocalDate today = LocalDate.ofInstant(written, ZoneOffset.UTC);
    String name = CalendarText.plain(title);
    String key = CalendarText.plain(id);
    calendar.add(
        day(
            due.get(),
            name + ": check",
            "Conduct a run, or log half an hour of ordinary use, and add it in Keep. "
                + answer.sentence(),
            key + "-check@amber-shim",
            written));
    answer
        .course()
        .filter(c -> c.drift().trend() != Trend.STEADY)
        .flatMap(CourseAnswer::reopen)
        .map(Crossing::date)
        .map(date -> date.isBefore(today) ? today : date)
        .ifPresent(
            date ->
                calendar.add(
                    day(
                        date,
                        name + ": open it again",
                        String.join(" ", answer.reasons()),
                        key + "-open@amber-shim",
                        written)));
    return CalendarText.bytes(calendar, title);
  }

  private static VEvent day(
      LocalDate date, String summary, String words, String key, Instant written) {
    VEvent event = new VEvent(date, date.plusDays(1), summary);
    event.replace(new DtStamp(written.truncatedTo(ChronoUnit.SECONDS)));
    event.add(new Uid(key));
    event.add(new Description(CalendarText.plain(words)));
    VAlarm alarm = new VAlarm(MORNING);
    alarm.add(new Action("DISPLAY"));
    alarm.add(new Description(summary));
    event.add(alarm);
    return event;
  }
}
