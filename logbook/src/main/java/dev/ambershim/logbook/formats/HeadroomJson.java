package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.core.stage.prove.NextRung;
import dev.ambershim.logbook.store.Json;

/** How far a chip clocks as a JSON tree. A figure that is not known is null. */
public final class HeadroomJson {
  private HeadroomJson() {}

  /** Headroom under the keys of docs/formats.md. */
  public static ObjectNode of(Headroom headroom) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.set("headroom", ResultJson.of(headroom.finding()));
    ArrayNode reasons = node.putArray("reasons");
    headroom.reasons().forEach(reasons::add);
    node.put("limitCelsius", headroom.before().terms().limitCelsius());
    figure(node, "roomCelsius", headroom.before().roomCelsius());
    node.set("before", ladder(headroom, false));
    node.set("after", ladder(headroom, true));
    headroom.gainByHeat().ifPresent(f -> node.set("gainByHeat", ResultJson.of(f)));
    headroom.kelvinAtEqualClock().ifPresent(f -> node.set("atEqualClock", ResultJson.of(f)));
    return node;
  }

  private static ObjectNode ladder(Headroom headroom, boolean after) {
    ClockLadder ladder = after ? headroom.after() : headroom.before();
    ObjectNode node = Json.mapper().createObjectNode();
    figure(node, "highestPassedMegahertz", ladder.highestPass().orElse(Double.NaN));
    figure(node, "lowestNotPassedMegahertz", ladder.lowestBlock().orElse(Double.NaN));
    headroom.heatLimit(after).ifPresent(f -> node.set("heatLimit", ResultJson.of(f)));
    NextRung next = headroom.next(after);
    ObjectNode to = node.putObject("next");
    figure(to, "clockMegahertz", next.clockMegahertz().orElse(Double.NaN));
    to.put("sentence", next.sentence());
    ArrayNode rungs = node.putArray("rungs");
    for (Rung r : ladder.rungs()) {
      ObjectNode one = rungs.addObject();
      one.put("clockMegahertz", r.clockMegahertz());
      one.put("voltageVolts", r.voltageVolts());
      one.put("outcome", r.outcome().words());
      one.put("countsAs", ladder.counts(r).words());
      one.put("how", r.how());
      one.put("hottestCelsius", r.hottestCelsius());
      one.put("roomCelsius", r.roomCelsius());
      one.put("powerWatts", r.watts());
      one.put("minutes", r.minutes());
      one.put("file", r.from());
    }
    return node;
  }

  private static void figure(ObjectNode node, String key, double value) {
    if (Double.isFinite(value)) {
      node.put(key, value);
    } else {
      node.putNull(key);
    }
  }
}
