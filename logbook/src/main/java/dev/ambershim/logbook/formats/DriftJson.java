package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Crossing;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.Line;
import dev.ambershim.core.stage.keep.CourseAnswer;
import dev.ambershim.logbook.store.Json;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a history says, as JSON. */
public final class DriftJson {
  private record Told(
      String trend,
      double watts,
      JsonNode kelvinPerYear,
      List<Jump> jumps,
      JsonNode reopen,
      double falseAlarmChance,
      int checks,
      List<Apart> apart,
      List<Mount> remounts,
      List<String> reasons,
      List<String> notes,
      FindingJson finding) {}

  private record Rate(double value, double low95, double high95) {
    static Rate of(Line line) {
      Interval interval = line.perYearInterval();
      return new Rate(line.perYear(), interval.low(), interval.high());
    }
  }

  private record Jump(String date, String lastBefore, double kelvin, double low95, double high95) {}

  private record Apart(String date, double riseKelvin, double powerWatts, String why) {
    static Apart of(Drift.Apart a) {
      Check c = a.check();
      return new Apart(
          c.date().toString(),
          c.riseKelvin(),
          c.watts(),
          a.reason().name().toLowerCase(Locale.ROOT).replace('_', ' '));
    }
  }

  private record Mount(String date, double kelvin) {}

  private record Reopen(String date, String low95, JsonNode high95) {
    static Reopen of(Crossing c) {
      return new Reopen(
          c.date().toString(),
          c.low().toString(),
          Json.orNull(c.high().map(LocalDate::toString).orElse(null)));
    }
  }

  private DriftJson() {}

  /** The published block. */
  public static ObjectNode of(CourseAnswer answer) {
    Drift drift = answer.drift();
    return Json.published(
        new Told(
            drift.trend().words(),
            drift.watts(),
            orNull(drift.line().map(Rate::of)),
            drift.jumps().stream()
                .map(
                    j ->
                        new Jump(
                            j.date().toString(),
                            j.last().toString(),
                            j.kelvin(),
                            j.interval().low(),
                            j.interval().high()))
                .toList(),
            orNull(answer.reopen().map(Reopen::of)),
            drift.chance(),
            drift.used().size(),
            drift.apart().stream().map(Apart::of).toList(),
            drift.remounts().stream().map(r -> new Mount(r.date().toString(), r.kelvin())).toList(),
            answer.reasons(),
            answer.notes(),
            FindingJson.of(answer.told())));
  }

  /** A block whose key stays where there is none. */
  private static JsonNode orNull(Optional<? extends Record> block) {
    return block.<JsonNode>map(Json::published).orElse(NullNode.getInstance());
  }
}
