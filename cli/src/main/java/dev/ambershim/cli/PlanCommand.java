package dev.ambershim.cli;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Use;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.open.OpenAnswer;
import dev.ambershim.core.stage.open.ScheduleWords;
import dev.ambershim.logbook.formats.PlanJson;
import dev.ambershim.logbook.formats.ScheduleCalendar;
import dev.ambershim.logbook.report.Card;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import dev.ambershim.logbook.store.Shelf;
import dev.ambershim.logbook.store.WholeFile;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code plan}: the work of a job step by step, in time, with its kit. */
@Command(
    name = "plan",
    mixinStandardHelpOptions = true,
    description = "Plan the work of a job: steps, times, kit.")
final class PlanCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(paramLabel = "JOB.json", description = "The job.")
  Path file;

  @Option(names = "--start", paramLabel = "TIME", description = "Start then, such as 18:30.")
  String start;

  @Option(
      names = "--done-by",
      paramLabel = "TIME",
      description = "Be done by then, such as \"2026-06-16 18:30\".")
  String doneBy;

  @Option(
      names = "--hours",
      paramLabel = "FROM-TO",
      description = "Work only then, such as 18:00-22:00.")
  String hours;

  @Option(
      names = "--days",
      paramLabel = "D",
      split = ",",
      description = "Work only on these days, 1 Monday to 7 Sunday, such as 6,7.")
  List<Integer> days;

  @Option(names = "--logbook", paramLabel = "DIR", description = "Take the shelf of this logbook.")
  Path logbook;

  @Option(names = "--ics", paramLabel = "FILE", description = "Write the schedule as a calendar.")
  Path ics;

  @Option(names = "--card", paramLabel = "FILE", description = "Write a card (.pdf or .html).")
  Path card;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    Job job = JobInput.read(file);
    Instant now = Clock.systemUTC().instant();
    ZoneId zone = ZoneId.systemDefault();
    Job asked = job.withWork(asked(job.work(), now, zone));
    Plan plan = Plan.of(asked.workCase());
    Optional<Schedule> schedule = Schedule.of(plan, asked.work(), now, zone);
    Kit kit = kit(plan, asked, now, zone);
    if (ics != null) {
      Schedule there = needed(schedule);
      String id = Readings.sha256(job.title().getBytes(StandardCharsets.UTF_8)).substring(0, 16);
      WholeFile.write(ics, ScheduleCalendar.of(there, id, job.title(), now));
    }
    if (card != null) {
      ReportFiles.write(Card.of(asked, needed(schedule), kit, Notation.METRIC, zone), card);
    }
    OpenAnswer said =
        OpenAnswer.of(plan, asked.work(), schedule, Optional.empty(), Notation.METRIC, zone);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(PlanJson.of(plan, schedule, kit, said)));
    } else {
      print(out, said, plan, schedule, kit, zone);
    }
    return 0;
  }

  private WorkLog asked(WorkLog log, Instant now, ZoneId zone) {
    WorkLog asked = log;
    if (hours != null || days != null) {
      String[] ends =
          hours == null
              ? new String[] {log.hours().from(), log.hours().to()}
              : hours.split("-", -1);
      Hours other =
          new Hours(
              ends[0].strip(),
              ends.length > 1 ? ends[1].strip() : "",
              days == null ? log.hours().days() : days);
      if (!other.sound() || other.days().stream().anyMatch(d -> d < 1 || d > 7)) {
        throw new Problem(
            "hours.unsound",
            Place.field("--hours, --days"),
            "These hours leave no time to work.",
            "Say them as --hours 18:00-22:00 --days 1,2,3,4,5.");
      }
      asked = asked.withHours(other);
    }
    if (start != null || doneBy != null) {
      asked =
          asked.between(
              start == null ? null : MomentText.read(start, zone, now, "--start"),
              doneBy == null ? null : MomentText.read(doneBy, zone, now, "--done-by"));
    }
    return asked;
  }

  private Kit kit(Plan plan, Job job, Instant now, ZoneId zone) {
    List<ShelfItem> shelf = List.of();
    List<Use> used = List.of();
    if (logbook != null) {
      try (Logbook book = Logbook.open(logbook, Access.READ_ONLY, Clock.systemUTC())) {
        shelf = Shelf.of(book);
        List<Job> jobs = new ArrayList<>();
        jobs.addAll(book.jobs().values());
        used = Shelf.used(jobs);
      }
    }
    return Kit.of(plan, job.work(), shelf, used, job.terms(), now.atZone(zone).toLocalDate());
  }

  private static Schedule needed(Optional<Schedule> schedule) {
    return schedule.orElseThrow(
        () ->
            new Problem(
                "plan.done",
                Place.NOWHERE,
                "All steps of this job are done, so nothing is left to be written.",
                "Leave --ics and --card away."));
  }

  private static void print(
      PrintWriter out,
      OpenAnswer said,
      Plan plan,
      Optional<Schedule> schedule,
      Kit kit,
      ZoneId zone) {
    out.println(said.sentence());
    said.reasons().forEach(out::println);
    if (schedule.isEmpty()) {
      return;
    }
    ScheduleWords words = new ScheduleWords(Notation.METRIC, zone);
    for (Slot slot : schedule.get().slots()) {
      out.printf(
          "%-24s %-42s %s%s%n",
          words.moment(slot.begin()),
          slot.step().title(),
          Notation.minutes(slot.step().hands().likely()),
          slot.step().hold().map(h -> "  hold: " + h.check()).orElse(""));
    }
    if (!plan.tools().isEmpty()) {
      out.println("Tools: " + String.join(", ", plan.tools()) + ".");
    }
    out.println("Kit: " + kit.sentence(Notation.METRIC));
    kit.shopping()
        .forEach(
            line ->
                out.println(
                    "  buy "
                        + line.packs()
                        + " × "
                        + line.supply().words()
                        + ", about "
                        + Notation.METRIC.text(line.coins(), Unit.COIN)));
  }
}
