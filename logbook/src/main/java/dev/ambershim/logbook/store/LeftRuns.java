package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Problem;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Logs of conducted runs that no job took in, as after a crash. They stay where they are. */
public final class LeftRuns {
  private static final String WARM_UP = "-warm-up.csv";

  private LeftRuns() {}

  /** Where the logs of conducted runs are kept. */
  public static Path folder(Logbook logbook) {
    return logbook.folder().resolve("runs");
  }

  /** The logs there that the logbook does not hold, by name; warm-ups are never taken in. */
  public static List<Path> of(Logbook logbook) {
    Path folder = folder(logbook);
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try {
      return LogFiles.inside(folder).stream()
          .filter(f -> !f.getFileName().toString().endsWith(WARM_UP) && !holds(logbook, f))
          .toList();
    } catch (Problem none) {
      return List.of();
    }
  }

  private static boolean holds(Logbook logbook, Path file) {
    return logbook.files().holds(Readings.sha256(LogFiles.read(file)));
  }
}
