package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import dev.ambershim.core.plan.Span;
import dev.ambershim.logbook.store.Json;
import java.util.Locale;
import java.util.Optional;

/** A plan with its schedule and kit as JSON. */
public final class PlanJson {
  private PlanJson() {}

  /** The tree; times are UTC, lengths of time are minutes. */
  public static ObjectNode of(Plan plan, Optional<Schedule> schedule, Kit kit) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("format", "ambershim/plan-1");
    node.put("option", plan.work().option().name().toLowerCase(Locale.ROOT).replace('_', '-'));
    node.put("seat", plan.work().chip().seat().words());
    schedule.ifPresent(
        s -> {
          node.put("begin", s.begin().toString());
          node.put("likelyEnd", s.likelyEnd().toString());
          node.put("medianEnd", s.medianEnd().toString());
          node.put("cautiousEnd", s.cautiousEnd().toString());
          s.cautiousBegin().ifPresent(b -> node.put("cautiousBegin", b.toString()));
          node.put("late", s.late());
        });
    ArrayNode steps = node.putArray("steps");
    for (PlanStep step : plan.steps()) {
      ObjectNode one = steps.addObject();
      one.put("id", step.id());
      one.put("phase", step.phase().words());
      one.put("title", step.title());
      one.put("action", step.action());
      ArrayNode tools = one.putArray("tools");
      step.tools().forEach(tools::add);
      one.set("handsMinutes", span(step.hands()));
      step.passes()
          .ifPresent(
              w -> {
                one.put("waitsFor", w.what());
                one.set("waitMinutes", span(w.span()));
              });
      step.hold().ifPresent(h -> one.put("hold", h.check()));
      step.caution().ifPresent(c -> one.put("caution", c.words()));
      ArrayNode after = one.putArray("after");
      step.after().stream().sorted().forEach(after::add);
      schedule.flatMap(s -> slot(s, step)).ifPresent(slot -> put(one, slot));
    }
    ArrayNode tools = node.putArray("tools");
    plan.tools().forEach(tools::add);
    ArrayNode lines = node.putArray("kit");
    for (Kit.Line line : kit.lines()) {
      ObjectNode one = lines.addObject();
      one.put("supply", line.supply().words());
      one.put("needed", line.needed());
      one.put("unit", line.supply().unit());
      one.put("left", line.left());
      one.put("packsToBuy", line.packs());
      one.put("coins", line.coins());
    }
    return node;
  }

  private static void put(ObjectNode one, Slot slot) {
    one.put("begin", slot.begin().toString());
    one.put("handsEnd", slot.handsEnd().toString());
    one.put("passedEnd", slot.passedEnd().toString());
    one.put("slackMinutes", Math.round(slot.slackMinutes() * 10) / 10.0);
  }

  private static Optional<Slot> slot(Schedule schedule, PlanStep step) {
    return schedule.slots().stream().filter(s -> s.step().equals(step)).findFirst();
  }

  private static ObjectNode span(Span span) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("low", span.low());
    node.put("likely", span.likely());
    node.put("high", span.high());
    return node;
  }
}
