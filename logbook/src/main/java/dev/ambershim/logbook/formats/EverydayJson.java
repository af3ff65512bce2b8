package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.everyday.Everyday;
import dev.ambershim.core.stage.keep.EverydayWords;
import dev.ambershim.logbook.store.Json;
import java.util.List;
import java.util.Locale;

/** What logs of ordinary use tell, as JSON. */
public final class EverydayJson {
  private record Told(
      List<String> files,
      Resistance resistanceKelvinPerWatt,
      Resistance quickKelvinPerWatt,
      boolean usable,
      String why,
      double movedWatts,
      double meanWatts,
      double minutes,
      String room,
      FindingJson finding) {}

  private record Resistance(double value, double low95, double high95) {}

  private EverydayJson() {}

  private static Resistance quick(Everyday.Quick quick) {
    double half = Interval.normalHalf(0.95) * quick.error();
    return new Resistance(quick.resistance(), quick.resistance() - half, quick.resistance() + half);
  }

  /** The published block. */
  public static ObjectNode of(List<String> files, Everyday told) {
    return Json.published(
        new Told(
            files,
            new Resistance(told.resistance(), told.interval().low(), told.interval().high()),
            told.quick().map(EverydayJson::quick).orElse(null),
            told.usable(),
            EverydayWords.why(told, Notation.METRIC),
            told.movedWatts(),
            told.meanWatts(),
            told.minutes(),
            told.room().name().toLowerCase(Locale.ROOT),
            FindingJson.of(EverydayWords.finding(told, Notation.METRIC))));
  }
}
