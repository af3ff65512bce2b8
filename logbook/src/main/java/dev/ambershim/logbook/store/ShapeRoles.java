package dev.ambershim.logbook.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Roles that a person gave once, for all logs of the same shape: the same columns with the same
 * units in the same order.
 */
public final class ShapeRoles {
  private ShapeRoles() {}

  /** What was said for logs of this shape, by channel name. */
  public static Map<String, Role> recall(Logbook logbook, RunLog log) {
    String kept = logbook.settings().get(key(log));
    if (kept == null) {
      return Map.of();
    }
    try {
      return Json.mapper().readValue(kept, new TypeReference<TreeMap<String, Role>>() {});
    } catch (JsonProcessingException e) {
      // A later version may know roles that this one does not; then nothing is said.
      return Map.of();
    }
  }

  /** Remembers a role for logs of this shape. */
  public static void remember(Logbook logbook, RunLog log, String channel, Role role) {
    Map<String, Role> said = new TreeMap<>(recall(logbook, log));
    said.put(channel, role);
    try {
      logbook.keepSetting(key(log), Json.mapper().writeValueAsString(said));
    } catch (JsonProcessingException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String key(RunLog log) {
    String shape =
        log.channels().stream()
            .map((Channel c) -> c.name() + '\t' + c.unit())
            .collect(Collectors.joining("\n"));
    return "roles " + Readings.sha256(shape.getBytes(StandardCharsets.UTF_8)).substring(0, 24);
  }
}
