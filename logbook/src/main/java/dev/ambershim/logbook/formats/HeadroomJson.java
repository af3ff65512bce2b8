package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.core.stage.prove.NextRung;
import dev.ambershim.logbook.store.Json;
import java.util.List;

/** How far a chip clocks, under the keys of docs/formats.md. */
public final class HeadroomJson {
  private record Clocks(
      FindingJson headroom,
      List<String> reasons,
      double limitCelsius,
      double roomCelsius,
      Ladder before,
      Ladder after,
      FindingJson gainByHeat,
      FindingJson atEqualClock) {}

  private record Ladder(
      double highestPassedMegahertz,
      double lowestNotPassedMegahertz,
      FindingJson heatLimit,
      Next next,
      List<Tried> rungs) {
    static Ladder of(Headroom headroom, boolean after) {
      ClockLadder ladder = after ? headroom.after() : headroom.before();
      NextRung next = headroom.next(after);
      return new Ladder(
          ladder.highestPass().orElse(Double.NaN),
          ladder.lowestBlock().orElse(Double.NaN),
          FindingJson.of(headroom.heatLimit(after)),
          new Next(next.clockMegahertz().orElse(Double.NaN), next.sentence()),
          ladder.rungs().stream().map(r -> Tried.of(r, ladder)).toList());
    }
  }

  private record Next(double clockMegahertz, String sentence) {}

  private record Tried(
      double clockMegahertz,
      double voltageVolts,
      String outcome,
      String countsAs,
      String how,
      double hottestCelsius,
      double roomCelsius,
      double powerWatts,
      double minutes,
      JsonNode file) {
    static Tried of(Rung r, ClockLadder ladder) {
      return new Tried(
          r.clockMegahertz(),
          Json.known(r.voltageVolts()),
          r.outcome().words(),
          ladder.counts(r).words(),
          r.how(),
          Json.known(r.hottestCelsius()),
          Json.known(r.roomCelsius()),
          Json.known(r.watts()),
          Json.known(r.minutes()),
          Json.orNull(r.from()));
    }
  }

  private HeadroomJson() {}

  /** The published block. */
  public static ObjectNode of(Headroom headroom) {
    return Json.published(
        new Clocks(
            FindingJson.of(headroom.finding()),
            headroom.reasons(),
            headroom.before().terms().limitCelsius(),
            headroom.before().roomCelsius(),
            Ladder.of(headroom, false),
            Ladder.of(headroom, true),
            FindingJson.of(headroom.gainByHeat()),
            FindingJson.of(headroom.kelvinAtEqualClock())));
  }
}
