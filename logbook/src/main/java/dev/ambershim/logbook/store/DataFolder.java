package dev.ambershim.logbook.store;

import java.nio.file.Path;
import java.util.Map;

/** Where the person's logbook lives, after the XDG Base Directory Specification. */
public final class DataFolder {
  private DataFolder() {}

  /**
   * The logbook folder for an environment.
   *
   * @param environment the process's variables
   * @param home the person's home
   */
  public static Path of(Map<String, String> environment, Path home) {
    String data = environment.getOrDefault("XDG_DATA_HOME", "");
    // The specification says to pass over a path that is not absolute.
    Path base = data.startsWith("/") ? Path.of(data) : home.resolve(".local").resolve("share");
    return base.resolve("amber-shim");
  }
}
