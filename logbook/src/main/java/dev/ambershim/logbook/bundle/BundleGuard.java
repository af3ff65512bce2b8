package dev.ambershim.logbook.bundle;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/**
 * Unpacks a bundle into memory with limits. It writes nothing to disk, so no name inside it can
 * reach a file; names that try are refused all the same.
 */
final class BundleGuard {
  static final int MOST_ENTRIES = 2000;
  static final long MOST_BYTES = 512L << 20;
  static final long MOST_RATIO = 400;

  private BundleGuard() {}

  /** All entries by name. */
  static Map<String, byte[]> entries(Path source) throws IOException {
    String name = source.getFileName().toString();
    Map<String, byte[]> files = new TreeMap<>();
    try (ZipFile zip = new ZipFile(source.toFile(), StandardCharsets.UTF_8)) {
      if (zip.size() > MOST_ENTRIES) {
        throw JobBundle.refused("bundle.bomb", name, "It holds too many files.", null);
      }
      Set<String> seen = new HashSet<>();
      long left = MOST_BYTES;
      Enumeration<? extends ZipEntry> all = zip.entries();
      while (all.hasMoreElements()) {
        ZipEntry entry = all.nextElement();
        if (!allowed(entry.getName()) || !seen.add(entry.getName())) {
          throw JobBundle.refused(
              "bundle.path", name, "It holds a file that has no place in a bundle.", null);
        }
        byte[] bytes = bounded(zip, entry, left, name);
        left -= bytes.length;
        files.put(entry.getName(), bytes);
      }
    } catch (IllegalArgumentException e) {
      // A name that is not valid text.
      throw JobBundle.refused("bundle.path", name, "It holds an unreadable file name.", e);
    }
    return files;
  }

  private static boolean allowed(String name) {
    return name.equals("bundle.json")
        || name.equals("job.json")
        || name.matches("logs/[0-9a-f]{64}\\.log")
        || name.matches("readings/[0-9a-f]{64}\\.csv")
        || name.matches("photos/[0-9a-f]{64}\\.(png|jpg)");
  }

  private static byte[] bounded(ZipFile zip, ZipEntry entry, long left, String name)
      throws IOException {
    // The sizes that an entry states may lie, so what comes out is counted.
    long packed = Math.max(1, entry.getCompressedSize());
    long most = Math.min(left, Math.max(1 << 20, packed * MOST_RATIO));
    try (InputStream in = zip.getInputStream(entry)) {
      byte[] bytes = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, most + 1));
      if (bytes.length > most) {
        throw JobBundle.refused("bundle.bomb", name, "It unpacks to far more than it holds.", null);
      }
      return bytes;
    }
  }
}
