package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import dev.ambershim.core.stage.open.ScheduleWords;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/** A plan as a card for the bench: every step with its time, its check and its caution. */
public final class Card {
  private Card() {}

  /** The card of a schedule, to be set as PDF or HTML. */
  public static Report of(Job job, Schedule schedule, Kit kit, Notation notation, ZoneId zone) {
    Plan plan = Plan.of(job.workCase(), notation);
    ScheduleWords words = new ScheduleWords(notation, zone);
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Block.Answer(job.title() + ": " + plan.work().words()));
    blocks.add(new Block.Paragraph(words.sentence(plan, job.work(), schedule)));
    if (!kit.lines().isEmpty()) {
      blocks.add(new Block.Heading("The kit"));
      List<List<String>> rows = new ArrayList<>();
      rows.add(List.of("What", "Needed", "On the shelf", "To buy"));
      for (Kit.Line line : kit.lines()) {
        rows.add(
            List.of(
                line.supply().words(),
                amount(line.needed(), line, notation),
                amount(line.left(), line, notation),
                line.enough() ? "–" : String.valueOf(line.packs())));
      }
      blocks.add(new Block.Table(rows));
    }
    if (!plan.tools().isEmpty()) {
      blocks.add(new Block.Paragraph("Tools: " + String.join(", ", plan.tools()) + "."));
    }
    LocalDate day = null;
    for (Slot slot : schedule.slots()) {
      LocalDate date = slot.begin().atZone(zone).toLocalDate();
      if (!date.equals(day)) {
        day = date;
        blocks.add(new Block.Heading(Notation.day(day)));
      }
      blocks.add(
          new Block.Check(
              words.time(slot.begin()),
              slot.step().title() + " (" + Notation.minutes(slot.step().hands().likely()) + ")",
              lines(slot.step())));
    }
    blocks.add(
        new Block.Paragraph(
            "Labels, the maker's instructions and local rules come before anything written here."));
    return new Report(job.title(), blocks);
  }

  private static String amount(double amount, Kit.Line line, Notation notation) {
    return notation.significant(amount).replaceAll("([.,]\\d*?)0+$", "$1").replaceAll("[.,]$", "")
        + " "
        + line.supply().unit();
  }

  private static List<String> lines(PlanStep step) {
    List<String> lines = new ArrayList<>();
    lines.add(step.action());
    step.hold().ifPresent(h -> lines.add("Hold: " + h.check()));
    step.caution().ifPresent(c -> lines.add("Caution: " + c.words()));
    step.passes()
        .ifPresent(
            w ->
                lines.add(
                    "Then "
                        + w.what()
                        + ": at least "
                        + Notation.minutes(w.span().low())
                        + ", as a rule "
                        + Notation.minutes(w.span().likely())
                        + ", safe "
                        + Notation.minutes(w.span().high())
                        + "."));
    return lines;
  }
}
