package dev.ambershim.logbook.formats;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.logbook.Fixture;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.validate.ValidationResult;
import org.junit.jupiter.api.Test;

/** The calendar, checked by the library's own validator against RFC 5545 and read back. */
class ScheduleCalendarTest {
  private static final Instant NOW = Instant.parse("2026-06-15T12:00:00.250Z");

  private static Schedule schedule(Job job, WorkLog log) {
    return Schedule.of(Plan.of(job.workCase()), log, NOW, ZoneOffset.UTC).orElseThrow();
  }

  private static Calendar readBack(byte[] bytes) throws IOException, ParserException {
    return new CalendarBuilder().build(new ByteArrayInputStream(bytes));
  }

  @Test
  void itIsValidAndSaysWhatTheScheduleSays() throws IOException, ParserException {
    Job job = Fixture.job("Sedge Q4; \"bench, two\"");
    WorkLog evenings =
        WorkLog.EMPTY.withHours(new Hours("17:00", "21:00", List.of(1, 2, 3, 4, 5, 6, 7)));
    Schedule schedule = schedule(job, evenings);
    byte[] bytes = ScheduleCalendar.of(schedule, "job-1", job.title(), NOW);
    Calendar calendar = readBack(bytes);
    ValidationResult result = calendar.validate(true);
    assertThat(result.getEntries()).isEmpty();

    List<VEvent> events = calendar.getComponents(Component.VEVENT);
    assertThat(events.get(0).getSummary().getValue())
        .isEqualTo("Sedge Q4; \"bench, two\": Proof run at factory settings and on");
    assertThat(Instant.from(events.get(0).getDateTimeStart().getDate()))
        .isEqualTo(Instant.parse("2026-06-15T17:00:00Z"));
    // Every step is told once, in its stretch.
    String all =
        String.join("\n", events.stream().map(e -> e.getDescription().getValue()).toList());
    for (Slot slot : schedule.slots()) {
      assertThat(all).contains(slot.step().title());
    }
    // The cure rings by itself, at its end.
    assertThat(events.stream().map(e -> e.getSummary().getValue()))
        .anyMatch(s -> s.endsWith("over, as a rule: the glue cures until the chip can be handled"));
    assertThat(events.stream().map(e -> e.getUid().orElseThrow().getValue()))
        .doesNotHaveDuplicates();
  }

  @Test
  void linesAreFoldedAndEndAsTheStandardHasIt() {
    Job job = Fixture.job("Ä".repeat(90));
    String text =
        new String(
            ScheduleCalendar.of(schedule(job, WorkLog.EMPTY), "j", job.title(), NOW),
            StandardCharsets.UTF_8);
    assertThat(text).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n");
    for (String line : text.split("\r\n", -1)) {
      assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
      assertThat(line).doesNotContain("\n");
    }
  }
}
