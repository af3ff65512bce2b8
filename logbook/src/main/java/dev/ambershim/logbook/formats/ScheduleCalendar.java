package dev.ambershim.logbook.formats;

import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Action;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.Uid;

/**
 * A schedule as iCalendar (RFC 5545): one event for each stretch of work at the bench, which rings
 * a quarter of an hour before, and one for the end of each wait that takes an hour or more.
 */
public final class ScheduleCalendar {
  private static final Duration BREAK = Duration.ofMinutes(20);
  private static final Duration LONG_WAIT = Duration.ofHours(1);

  private ScheduleCalendar() {}

  /**
   * The calendar as the bytes of an {@code .ics} file.
   *
   * @param id the job's key, so that a later calendar replaces this one
   * @param title the job's title
   * @param written when it is written
   */
  public static byte[] of(Schedule schedule, String id, String title, Instant written) {
    return calendar(schedule, CalendarText.plain(id), CalendarText.plain(title), written);
  }

  private static byte[] calendar(Schedule schedule, String id, String title, Instant written) {
    Calendar calendar = CalendarText.begin("schedule");
    int from = 0;
    List<Slot> slots = schedule.slots();
    for (int i = 1; i <= slots.size(); i++) {
      boolean ends =
          i == slots.size()
              || slots.get(i).begin().isAfter(slots.get(i - 1).handsEnd().plus(BREAK));
      if (ends) {
        calendar.add(work(slots.subList(from, i), id, title, written));
        from = i;
      }
    }
    for (Slot slot : slots) {
      if (Duration.between(slot.handsEnd(), slot.passedEnd()).compareTo(LONG_WAIT) >= 0) {
        calendar.add(passed(slot, id, title, written));
      }
    }
    return CalendarText.bytes(calendar, title);
  }

  private static VEvent event(Instant from, Instant to, String summary, Instant written) {
    VEvent event =
        new VEvent(
            from.truncatedTo(ChronoUnit.SECONDS), to.truncatedTo(ChronoUnit.SECONDS), summary);
    event.replace(
        new net.fortuna.ical4j.model.property.DtStamp(written.truncatedTo(ChronoUnit.SECONDS)));
    return event;
  }

  private static VEvent work(List<Slot> slots, String id, String title, Instant written) {
    PlanStep first = slots.get(0).step();
    VEvent event =
        event(
            slots.get(0).begin(),
            slots.get(slots.size() - 1).handsEnd(),
            title + ": " + first.title() + (slots.size() > 1 ? " and on" : ""),
            written);
    event.add(new Uid(id + "-" + first.id() + "@amber-shim"));
    StringBuilder words = new StringBuilder();
    for (Slot slot : slots) {
      words.append(words.isEmpty() ? "" : "\n").append(slot.step().title());
      slot.step().hold().ifPresent(h -> words.append(": ").append(h.check()));
    }
    event.add(new Description(words.toString().replaceAll("[\\p{Cntrl}&&[^\n]]+", " ")));
    VAlarm alarm = new VAlarm(Duration.ofMinutes(-15));
    alarm.add(new Action("DISPLAY"));
    alarm.add(new Description(first.title()));
    event.add(alarm);
    return event;
  }

  private static VEvent passed(Slot slot, String id, String title, Instant written) {
    String what = slot.step().passes().orElseThrow().what();
    VEvent event =
        event(
            slot.passedEnd(),
            slot.passedEnd().plusSeconds(300),
            title + ": over, as a rule: " + what,
            written);
    event.add(new Uid(id + "-" + slot.step().id() + "-passed@amber-shim"));
    event.add(new Description(slot.step().passes().orElseThrow().depends()));
    return event;
  }
}
