package dev.ambershim.logbook.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Use;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The person's shelf: packs that all jobs draw on. It is kept as one setting of the logbook; what
 * was used stands in the jobs.
 */
public final class Shelf {
  /** The format that is written. */
  public static final String FORMAT = "ambershim/shelf-1";

  private static final String SETTING = "shelf";

  private Shelf() {}

  /**
   * All packs.
   *
   * @throws Problem {@code shelf.unreadable} or {@code shelf.version}
   */
  public static List<ShelfItem> of(Logbook logbook) {
    String text = logbook.settings().get(SETTING);
    return text == null ? List.of() : read(text);
  }

  /** Packs from their JSON. */
  static List<ShelfItem> read(String text) {
    try {
      ObjectNode node = Json.mapper().readValue(text, ObjectNode.class);
      String format = node.path("format").asText("");
      if (!format.equals(FORMAT)) {
        throw new Problem(
            "shelf.version",
            Place.field("shelf"),
            "The shelf is in the format \"" + format + "\"; this version reads " + FORMAT + ".",
            "Open it with a newer Amber Shim.");
      }
      return List.of(Json.mapper().treeToValue(node.path("packs"), ShelfItem[].class));
    } catch (JsonProcessingException e) {
      throw new Problem(
          "shelf.unreadable",
          Place.field("shelf"),
          "What is on the shelf cannot be read.",
          "Put the packs there again; the jobs are not touched.",
          e);
    }
  }

  /** Keeps the packs. */
  public static void keep(Logbook logbook, List<ShelfItem> packs) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("format", FORMAT);
    node.set("packs", Json.mapper().valueToTree(packs));
    logbook.keepSetting(SETTING, Json.pretty(node));
  }

  /** What the jobs of a logbook have used. */
  public static List<Use> used(Iterable<Job> jobs) {
    List<Use> all = new ArrayList<>();
    jobs.forEach(job -> job.work().entries().forEach(e -> all.addAll(e.used())));
    return all;
  }

  /** The titles of the jobs that used a pack, by the pack's name. */
  public static Map<String, List<String>> users(Iterable<Job> jobs) {
    Map<String, List<String>> users = new TreeMap<>();
    for (Job job : jobs) {
      job.work().entries().stream()
          .flatMap(e -> e.used().stream())
          .map(Use::item)
          .distinct()
          .forEach(i -> users.computeIfAbsent(i, k -> new ArrayList<>()).add(job.title()));
    }
    return users;
  }
}
