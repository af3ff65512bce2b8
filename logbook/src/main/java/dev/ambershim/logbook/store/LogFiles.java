package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/** Fetches a log's bytes from disk, whatever the file does meanwhile. */
public final class LogFiles {
  /** Larger logs do not fit into memory beside everything else. */
  private static final long MOST_BYTES = 1L << 30;

  private static final Set<String> ENDINGS =
      Set.of("csv", "txt", "tsv", "log", "dat", "jsonl", "ndjson");

  private static final int HEAD = 4096;

  private LogFiles() {}

  /**
   * A file itself, or the logs that lie in a folder, by name; folders inside it are not opened.
   *
   * @throws Problem {@code file.folder} if a folder holds no log, {@code file.unread}
   */
  public static List<Path> inside(Path path) {
    if (!Files.isDirectory(path)) {
      return List.of(path);
    }
    try (Stream<Path> all = Files.list(path)) {
      List<Path> logs =
          all.filter(f -> Files.isRegularFile(f) && ENDINGS.contains(ending(f))).sorted().toList();
      if (logs.isEmpty()) {
        throw new Problem(
            "file.folder",
            Place.file(path.toString()),
            "The folder holds no log.",
            "Logs end in .csv, .txt, .tsv, .log, .dat, .jsonl or .ndjson; name another one by itself.");
      }
      return logs;
    } catch (IOException e) {
      throw new Problem(
          "file.unread",
          Place.file(path.toString()),
          "The folder cannot be read.",
          "Check that its disk is still there and that you may open it.",
          e);
    }
  }

  private static String ending(Path file) {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    return name.substring(name.lastIndexOf('.') + 1);
  }

  /**
   * All whole lines that the file has now. A file that grows while it is read is cut after its last
   * whole line.
   *
   * @throws Problem {@code file.folder}, {@code file.missing}, {@code file.denied}, {@code
   *     file.tooLarge} or {@code file.unread}
   */
  public static byte[] read(Path file) {
    String name = file.toString();
    try {
      if (Files.isDirectory(file)) {
        throw new Problem(
            "file.folder",
            Place.file(name),
            "This is a folder, not a log.",
            "Choose the log files inside it.");
      }
      long size = Files.size(file);
      if (size > MOST_BYTES) {
        throw new Problem(
            "file.tooLarge",
            Place.file(name),
            "The file has " + (size >> 20) + " MB; at most " + (MOST_BYTES >> 20) + " are read.",
            "Export a shorter stretch, or fewer channels.");
      }
      byte[] bytes = Files.readAllBytes(file);
      return Files.size(file) == bytes.length ? bytes : wholeLines(bytes);
    } catch (NoSuchFileException e) {
      throw new Problem(
          "file.missing",
          Place.file(name),
          "The file is not there.",
          "Check the name; it may have been moved or deleted.",
          e);
    } catch (AccessDeniedException e) {
      throw new Problem(
          "file.denied",
          Place.file(name),
          "You may not read this file.",
          "Change its permissions, or copy it to a folder of yours.",
          e);
    } catch (IOException e) {
      throw new Problem(
          "file.unread",
          Place.file(name),
          "The file could not be read to its end.",
          "Check that its disk is still there, and choose it again.",
          e);
    }
  }

  /** The bytes up to and with the last line feed. */
  static byte[] wholeLines(byte[] bytes) {
    int end = bytes.length;
    while (end > 0 && bytes[end - 1] != '\n') {
      end--;
    }
    return end == 0 ? bytes : Arrays.copyOf(bytes, end);
  }

  /** The first bytes of a file, as many as a header takes; none when it cannot be read. */
  public static byte[] head(Path file) {
    try (InputStream in = Files.newInputStream(file)) {
      return in.readNBytes(HEAD);
    } catch (IOException unreadable) {
      return new byte[0]; // whoever reads it whole says why
    }
  }
}
