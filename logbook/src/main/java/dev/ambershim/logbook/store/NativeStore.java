package dev.ambershim.logbook.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.sqlite.util.OSInfo;

/** SQLite's native library, taken out of its archive once instead of at every start. */
public final class NativeStore {
  private NativeStore() {}

  /**
   * Puts the library for this system into a folder, under its usual name.
   *
   * @throws IOException if the library cannot be written, or there is none for this system
   */
  public static void extract(Path folder) throws IOException {
    String name = System.mapLibraryName("sqlitejdbc");
    String resource =
        "/org/sqlite/native/" + OSInfo.getNativeLibFolderPathForCurrentOS() + "/" + name;
    try (InputStream in = NativeStore.class.getResourceAsStream(resource)) {
      if (in == null) {
        throw new IOException("no native library " + resource);
      }
      Files.copy(in, folder.resolve(name));
    }
  }
}
