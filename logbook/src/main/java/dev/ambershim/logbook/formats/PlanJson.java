package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import dev.ambershim.core.plan.Span;
import dev.ambershim.core.stage.open.OpenAnswer;
import dev.ambershim.logbook.store.Json;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A plan with its schedule and kit as JSON; times are UTC, lengths of time are minutes. */
public final class PlanJson {
  private record Planned(
      String format,
      String option,
      String seat,
      String answer,
      List<String> reasons,
      String begin,
      String likelyEnd,
      String medianEnd,
      String cautiousEnd,
      String cautiousBegin,
      Boolean late,
      List<Stepped> steps,
      List<String> tools,
      List<Line> kit) {}

  private record Stepped(
      String id,
      String phase,
      String title,
      String action,
      List<String> tools,
      Span handsMinutes,
      String waitsFor,
      Span waitMinutes,
      String hold,
      String caution,
      List<String> after,
      String begin,
      String handsEnd,
      String passedEnd,
      Double slackMinutes) {
    static Stepped of(PlanStep step, Optional<Slot> slot) {
      return new Stepped(
          step.id(),
          step.phase().words(),
          step.title(),
          step.action(),
          step.tools(),
          step.hands(),
          step.passes().map(w -> w.what()).orElse(null),
          step.passes().map(w -> w.span()).orElse(null),
          step.hold().map(h -> h.check()).orElse(null),
          step.caution().map(c -> c.words()).orElse(null),
          step.after().stream().sorted().toList(),
          slot.map(s -> s.begin().toString()).orElse(null),
          slot.map(s -> s.handsEnd().toString()).orElse(null),
          slot.map(s -> s.passedEnd().toString()).orElse(null),
          slot.map(s -> Math.round(s.slackMinutes() * 10) / 10.0).orElse(null));
    }
  }

  private record Line(
      String supply, double needed, String unit, double left, int packsToBuy, double coins) {
    static Line of(Kit.Line line) {
      return new Line(
          line.supply().words(),
          line.needed(),
          line.supply().unit(),
          line.left(),
          line.packs(),
          line.coins());
    }
  }

  private PlanJson() {}

  /** The published block. */
  public static ObjectNode of(Plan plan, Optional<Schedule> schedule, Kit kit, OpenAnswer said) {
    return Json.published(
        new Planned(
            "ambershim/plan-1",
            plan.work().option().name().toLowerCase(Locale.ROOT).replace('_', '-'),
            plan.work().chip().seat().words(),
            said.sentence(),
            said.reasons(),
            schedule.map(s -> s.begin().toString()).orElse(null),
            schedule.map(s -> s.likelyEnd().toString()).orElse(null),
            schedule.map(s -> s.medianEnd().toString()).orElse(null),
            schedule.map(s -> s.cautiousEnd().toString()).orElse(null),
            schedule.flatMap(Schedule::cautiousBegin).map(Object::toString).orElse(null),
            schedule.map(Schedule::late).orElse(null),
            plan.steps().stream().map(s -> Stepped.of(s, slot(schedule, s))).toList(),
            plan.tools(),
            kit.lines().stream().map(Line::of).toList()));
  }

  private static Optional<Slot> slot(Optional<Schedule> schedule, PlanStep step) {
    return schedule.flatMap(
        s -> s.slots().stream().filter(slot -> slot.step().equals(step)).findFirst());
  }
}
