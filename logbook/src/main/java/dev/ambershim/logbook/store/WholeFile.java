package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Writes a file that appears whole or not at all. */
public final class WholeFile {
  private WholeFile() {}

  /**
   * Writes beside the target first, then moves over it.
   *
   * @throws Problem {@code file.unwritten}
   */
  public static void write(Path target, byte[] bytes) {
    try {
      Path part = target.resolveSibling(target.getFileName() + ".part");
      Files.write(part, bytes);
      Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      throw new Problem(
          "file.unwritten",
          Place.file(target.toString()),
          "The file could not be written.",
          "Check the folder and the space left, and try again.",
          e);
    }
  }
}
