package dev.ambershim.logbook.store;

import java.util.Set;
import java.util.stream.Collectors;

/** Jobs that are put away: kept as they are, and listed only when asked for. */
public final class Archive {
  private static final String KEY = "archived ";
  private static final String YES = "yes";

  private Archive() {}

  /** The jobs that are put away. */
  public static Set<String> ids(Logbook logbook) {
    return logbook.settings().entrySet().stream()
        .filter(s -> s.getKey().startsWith(KEY) && s.getValue().equals(YES))
        .map(s -> s.getKey().substring(KEY.length()))
        .collect(Collectors.toUnmodifiableSet());
  }

  /** Puts a job away, or brings it back. */
  public static void put(Logbook logbook, String id, boolean away) {
    logbook.keepSetting(KEY + id, away ? YES : "");
  }
}
