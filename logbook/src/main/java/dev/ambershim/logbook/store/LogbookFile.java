package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.sqlite.SQLiteConfig;

/**
 * The file of a logbook: its rights, its lock, its connection, and its tables as today's version
 * has them.
 *
 * @param folder where it lives
 * @param access what may be done with it
 * @param lock keeps other writers out; null if it is only looked at
 * @param connection to the database
 */
record LogbookFile(Path folder, Access access, WriterLock lock, Connection connection)
    implements AutoCloseable {
  static final String FILE = "logbook.sqlite";
  private static final int SCHEMA = 2;

  /** The database in a logbook's folder. */
  static Path database(Path folder) {
    return folder.resolve(FILE);
  }

  /**
   * Opens or makes the file.
   *
   * @param folder where it lives; made if missing
   * @throws Problem {@code logbook.busy}, {@code logbook.missing}, {@code logbook.newer}, {@code
   *     logbook.denied}, {@code logbook.folder}, {@code disk.full} or {@code logbook.damaged}
   */
  static LogbookFile open(Path folder, Access access) {
    WriterLock lock = null;
    Connection connection = null;
    try {
      if (access == Access.WRITE) {
        OwnerOnly.make(folder);
        requireRights(folder);
        lock = WriterLock.take(folder);
        OwnerOnly.tighten(folder);
      } else if (!Files.exists(database(folder))) {
        throw new Problem(
            "logbook.missing",
            Place.file(folder.toString()),
            "There is no logbook in this folder.",
            "Open it for writing once, or choose another folder.");
      }
      connection = connect(database(folder), access);
      LogbookFile file = new LogbookFile(folder, access, lock, connection);
      file.bringUpToDate();
      if (access == Access.WRITE) {
        OwnerOnly.tighten(folder);
      }
      return file;
    } catch (IOException | UncheckedIOException e) {
      release(connection, lock);
      throw new Problem(
          "logbook.folder",
          Place.file(folder.toString()),
          "The folder cannot be written.",
          "Choose another folder with --logbook, or make this one writable.",
          e);
    } catch (SQLException e) {
      release(connection, lock);
      throw failed(folder, e);
    } catch (RuntimeException e) {
      release(connection, lock);
      throw e instanceof Problem ? e : failed(folder, e);
    }
  }

  /** Says which right is missing, rather than that the file is damaged. */
  private static void requireRights(Path folder) {
    Path file = folder.resolve(FILE);
    if (!Files.isWritable(folder)) {
      throw denied(folder, "The folder may not be written by you", "write and enter");
    }
    for (Path each : List.of(file, folder.resolve(FILE + "-wal"), folder.resolve("writer.lock"))) {
      if (Files.exists(each) && !(Files.isReadable(each) && Files.isWritable(each))) {
        throw denied(
            each,
            Files.isReadable(each)
                ? "The file may not be written by you"
                : "The file may not be read by you",
            "read and write");
      }
    }
  }

  private static Problem denied(Path place, String what, String right) {
    return new Problem(
        "logbook.denied",
        Place.file(place.toString()),
        what + ".",
        "Give yourself the right to " + right + " it, or look at it with --read-only.");
  }

  private static Problem failed(Path folder, Exception cause) {
    return DiskFull.of(cause).orElseGet(() -> damaged(folder, cause));
  }

  private static Problem damaged(Path folder, Exception cause) {
    return new Problem(
        "logbook.damaged",
        Place.file(folder.resolve(FILE).toString()),
        "The logbook cannot be opened; the file may be damaged.",
        "Copy the folder somewhere safe, then put the last copy back: amber-shim restore.",
        cause);
  }

  private static void release(Connection connection, WriterLock lock) {
    try {
      if (connection != null) {
        connection.close();
      }
    } catch (SQLException ignored) {
      // The first failure is the one that the person hears of.
    }
    if (lock != null) {
      lock.close();
    }
  }

  /** Another connection to the same file, to look at it while somebody writes. */
  Connection reader() throws SQLException {
    return connect(database(folder), Access.READ_ONLY);
  }

  private static Connection connect(Path file, Access access) throws SQLException {
    SQLiteConfig config = new SQLiteConfig();
    config.enforceForeignKeys(true);
    config.setBusyTimeout(5000);
    if (access == Access.READ_ONLY) {
      config.setReadOnly(true);
      if (unwritable(file)) {
        // A medium that cannot be written has no writer either, and no place for a lock.
        return config.createConnection("jdbc:sqlite:file:" + uri(file) + "?mode=ro&immutable=1");
      }
    } else {
      config.setJournalMode(SQLiteConfig.JournalMode.WAL);
      // Full: a change that was confirmed is still there after a power cut.
      config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    }
    // Not by way of the driver manager, which looks for drivers in every library first.
    return config.createConnection("jdbc:sqlite:" + file);
  }

  private static String uri(Path file) {
    return file.toAbsolutePath()
        .toString()
        .replace("%", "%25")
        .replace("?", "%3f")
        .replace("#", "%23");
  }

  /** Whether no log file stands beside a database and none could be made. */
  private static boolean unwritable(Path file) {
    Path folder = file.toAbsolutePath().getParent();
    return !Files.isWritable(folder) && !Files.exists(folder.resolve(FILE + "-shm"));
  }

  private void bringUpToDate() throws SQLException {
    int version = schemaVersion();
    if (version > SCHEMA) {
      throw new Problem(
          "logbook.newer",
          Place.file(folder.toString()),
          "This logbook was written by a newer Amber Shim.",
          "Use the newer version; nothing was changed.");
    }
    // Flyway takes longer to load than all else here, so it is asked only when there is work.
    if (version < SCHEMA && access == Access.WRITE) {
      Flyway.configure(LogbookFile.class.getClassLoader())
          .dataSource("jdbc:sqlite:" + folder.resolve(FILE), null, null)
          .locations("classpath:dev/ambershim/logbook/store")
          .load()
          .migrate();
    }
  }

  /** The version of the tables, 0 for a new file; asked directly, being the first question. */
  private int schemaVersion() throws SQLException {
    try (Statement statement = connection.createStatement()) {
      try (ResultSet kept =
          statement.executeQuery(
              "select 1 from sqlite_master where name = 'flyway_schema_history'")) {
        if (!kept.next()) {
          return 0;
        }
      }
      try (ResultSet version =
          statement.executeQuery(
              "select max(cast(version as integer)) from flyway_schema_history"
                  + " where success = 1")) {
        return version.getInt(1);
      }
    }
  }

  @Override
  public void close() {
    try {
      connection.close();
    } catch (SQLException e) {
      throw new UncheckedIOException(new IOException(e));
    } finally {
      if (lock != null) {
        lock.close();
      }
    }
  }
}
