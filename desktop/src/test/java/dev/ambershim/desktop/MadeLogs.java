package dev.ambershim.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** Logs with a known truth, as files. */
final class MadeLogs {
  private MadeLogs() {}

  /** A settled run of ten minutes whose room column is called by a name that nobody can guess. */
  static Path write(Path folder, String name, double core) {
    StringBuilder text =
        new StringBuilder("time [s],core 0 [°C],core 1 [°C],probe 7 [°C],power [W]\n");
    for (int i = 0; i < 600; i++) {
      double wave = 0.4 * Math.sin(i * 1.7) + 0.3 * Math.cos(i * 0.37);
      text.append(
          String.format(
              Locale.ROOT, "%d,%.2f,%.2f,22.00,160.0\n", i, core + wave, core + 4 + wave));
    }
    try {
      return Files.writeString(folder.resolve(name), text.toString());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
