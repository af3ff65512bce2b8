package dev.ambershim.logbook.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.stage.series.Series;
import java.util.List;

/** The person's series, the newest first: one setting of the logbook, as they belong to no job. */
public final class SeriesBook {
  /** The format that is written. */
  public static final String FORMAT = "ambershim/series-1";

  private static final String SETTING = "series";

  private SeriesBook() {}

  /**
   * All series.
   *
   * @throws Problem {@code series.unreadable} or {@code series.version}
   */
  public static List<Series> of(Logbook logbook) {
    String text = logbook.settings().get(SETTING);
    return text == null || text.isEmpty() ? List.of() : read(text);
  }

  private static List<Series> read(String text) {
    try {
      ObjectNode node = Json.mapper().readValue(text, ObjectNode.class);
      String format = node.path("format").asText("");
      if (!format.equals(FORMAT)) {
        throw new Problem(
            "series.version",
            Place.field("series"),
            "The series are in the format \"" + format + "\"; this version reads " + FORMAT + ".",
            "Open them with a newer Amber Shim.");
      }
      return List.of(Json.mapper().treeToValue(node.path("series"), Series[].class));
    } catch (JsonProcessingException e) {
      throw new Problem(
          "series.unreadable",
          Place.field("series"),
          "The series that were kept cannot be read.",
          "Put a copy of the logbook back; the jobs are not touched.",
          e);
    }
  }

  /** Keeps the series. */
  public static void keep(Logbook logbook, List<Series> series) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("format", FORMAT);
    node.set("series", Json.mapper().valueToTree(series));
    logbook.keepSetting(SETTING, Json.pretty(node));
  }
}
