package dev.ambershim.logbook.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Keeps a folder to the person alone: 0700 for folders, 0600 for files. Where the file system knows
 * no such rights, nothing is done.
 */
final class OwnerOnly {
  private static final Set<PosixFilePermission> FOLDER =
      PosixFilePermissions.fromString("rwx------");
  private static final Set<PosixFilePermission> FILE = PosixFilePermissions.fromString("rw-------");

  private OwnerOnly() {}

  /** Makes a folder with its parents; what is new is the person's alone. */
  static void make(Path folder) throws IOException {
    if (Files.isDirectory(folder)) {
      return;
    }
    Path parent = folder.toAbsolutePath().getParent();
    if (parent != null) {
      Files.createDirectories(parent);
    }
    Files.createDirectories(folder);
    keep(folder);
  }

  /** Takes the rights of others away from a folder and the files right in it. */
  static void tighten(Path folder) throws IOException {
    keep(folder);
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.toList()) {
        keep(file);
      }
    }
  }

  /** Takes the rights of others away; what is not the person's own stays as it is. */
  static void keep(Path path) {
    try {
      PosixFileAttributeView view = Files.getFileAttributeView(path, PosixFileAttributeView.class);
      Set<PosixFilePermission> wanted = Files.isDirectory(path) ? FOLDER : FILE;
      if (view != null && !view.readAttributes().permissions().equals(wanted)) {
        view.setPermissions(wanted);
      }
    } catch (IOException ignored) {
      // A medium without such rights, or a file that just went: nothing to keep.
    }
  }
}
