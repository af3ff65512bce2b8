package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.sqlite.SQLiteConfig;

/**
 * All jobs of a person, in one SQLite file with a write-ahead log. A method that changes something
 * returns once the change is safely on disk. Safe for use from several threads.
 */
public final class Logbook implements AutoCloseable {
  static final String FILE = "logbook.sqlite";
  private static final int SCHEMA = 2;

  /** The file that remembers how many jobs there were. */
  private static final String HELD = "jobs-held";

  private final Path folder;
  private final Access access;
  private final WriterLock lock;
  private final Connection connection;
  private final Jdbi jdbi;
  private final Clock clock;
  private Map<String, Known> known = new HashMap<>();
  private boolean changed;

  private Logbook(Path folder, Access access, WriterLock lock, Connection connection, Clock clock) {
    this.folder = folder;
    this.access = access;
    this.lock = lock;
    this.connection = connection;
    this.jdbi = Jdbi.create(connection);
    this.clock = clock;
  }

  /**
   * Opens or makes a logbook.
   *
   * @param folder where it lives; made if missing
   * @param clock tells when a change was made
   * @throws Problem {@code logbook.busy}, {@code logbook.missing}, {@code logbook.newer} or {@code
   *     logbook.damaged}
   */
  public static Logbook open(Path folder, Access access, Clock clock) {
    WriterLock lock = null;
    Connection connection = null;
    try {
      if (access == Access.WRITE) {
        OwnerOnly.make(folder);
        requireRights(folder);
        lock = WriterLock.take(folder);
        OwnerOnly.tighten(folder);
      } else if (!Files.exists(folder.resolve(FILE))) {
        throw new Problem(
            "logbook.missing",
            Place.file(folder.toString()),
            "There is no logbook in this folder.",
            "Open it for writing once, or choose another folder.");
      }
      connection = connect(folder.resolve(FILE), access);
      Logbook logbook = new Logbook(folder, access, lock, connection, clock);
      logbook.bringUpToDate();
      if (access == Access.WRITE) {
        OwnerOnly.tighten(folder);
      }
      return logbook;
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
    Optional<Problem> full = diskFull(cause);
    return full.orElseGet(() -> damaged(folder, cause));
  }

  /** The problem of a disk that is full, if that is what a failure comes from. */
  public static Optional<Problem> diskFull(Throwable failure) {
    for (Throwable e = failure; e != null; e = e.getCause()) {
      String said = String.valueOf(e.getMessage());
      if (said.contains("SQLITE_FULL")
          || said.contains("database or disk is full")
          || said.contains("No space left on device")) {
        return Optional.of(
            new Problem(
                "disk.full",
                Place.NOWHERE,
                "The disk is full, so nothing more can be kept.",
                "Make room, then make the change again; all that was kept before is safe.",
                e));
      }
    }
    return Optional.empty();
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

  private static Problem damaged(Path folder, Exception cause) {
    return new Problem(
        "logbook.damaged",
        Place.file(folder.resolve(FILE).toString()),
        "The logbook cannot be opened; the file may be damaged.",
        "Copy the folder somewhere safe, then put the last copy back: amber-shim restore.",
        cause);
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
      Flyway.configure(Logbook.class.getClassLoader())
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

  /** The folder it lives in. */
  public Path folder() {
    return folder;
  }

  /** Whether it may only be looked at. */
  public boolean readOnly() {
    return access == Access.READ_ONLY;
  }

  private void requireWrite() {
    if (readOnly()) {
      throw new Problem(
          "logbook.readOnly",
          Place.NOWHERE,
          "This logbook is open read-only, so nothing was changed.",
          "Close the other window and open the logbook again to edit.");
    }
  }

  /** All jobs, the last touched first. */
  public synchronized List<JobHead> list() {
    return jdbi.withHandle(
        h ->
            h.createQuery(
                    "select j.id, r.title, j.touched_at from job j join revision r"
                        + " on r.job_id = j.id and r.number = j.revision"
                        + " order by j.touched_at desc, j.id")
                .map((rs, c) -> new JobHead(rs.getString(1), rs.getString(2), rs.getString(3)))
                .list());
  }

  /**
   * All jobs that can be read, by key, the last touched first; one that cannot stays away. Each is
   * read once for as long as it does not change.
   */
  public synchronized Map<String, Job> jobs() {
    Map<String, Job> all = new LinkedHashMap<>();
    record Pointer(String id, int revision) {}
    List<Pointer> now =
        jdbi.withHandle(
            h ->
                h.createQuery("select id, revision from job order by touched_at desc, id")
                    .map((rs, c) -> new Pointer(rs.getString(1), rs.getInt(2)))
                    .list());
    Map<String, Known> still = new HashMap<>();
    for (Pointer pointer : now) {
      Known last = known.get(pointer.id());
      Known job =
          last != null && last.revision() == pointer.revision()
              ? last
              : new Known(pointer.revision(), readable(pointer.id()));
      still.put(pointer.id(), job);
      job.job().ifPresent(j -> all.put(pointer.id(), j));
    }
    known = still;
    return all;
  }

  private Optional<Job> readable(String id) {
    try {
      return Optional.of(load(id).job());
    } catch (RuntimeException unreadable) {
      return Optional.empty();
    }
  }

  /** A job as it was read at a revision; empty if it cannot be read. */
  private record Known(int revision, Optional<Job> job) {}

  /**
   * The jobs that count time: those whose document holds a timer that was not put away. Others need
   * not be read for that.
   */
  public synchronized List<String> withTimers() {
    return jdbi.withHandle(
        h ->
            h.createQuery(
                    "select j.id from job j join revision r"
                        + " on r.job_id = j.id and r.number = j.revision"
                        + " where r.document like '%\"spanMinutes\"%'"
                        + " order by j.touched_at desc, j.id")
                .mapTo(String.class)
                .list());
  }

  /** A job's document as it is kept, whether it can be read or not. */
  public synchronized String document(String id) {
    return jdbi.withHandle(
            h ->
                h.createQuery(
                        "select r.document from job j join revision r"
                            + " on r.job_id = j.id and r.number = j.revision where j.id = ?")
                    .bind(0, id)
                    .mapTo(String.class)
                    .findOne())
        .orElseThrow(Logbook::missing);
  }

  /**
   * Looks the database over.
   *
   * @return what is wrong, in the database's words; empty if nothing is
   */
  public Optional<String> lookOver() {
    // On a connection of its own, so that nobody waits for it.
    try (Connection reader = connect(folder.resolve(FILE), Access.READ_ONLY);
        Statement statement = reader.createStatement();
        ResultSet found = statement.executeQuery("pragma quick_check(3)")) {
      String first = found.next() ? found.getString(1) : "no answer";
      return "ok".equals(first) ? Optional.empty() : Optional.of(first);
    } catch (SQLException e) {
      return Optional.of(String.valueOf(e.getMessage()));
    }
  }

  /**
   * Makes today's copy if there was a change and none was made yet.
   *
   * @throws Problem {@code copy.unwritten} or {@code disk.full}
   */
  public void copyIfDue() {
    if (!copyDue()) {
      return;
    }
    try (Connection reader = connect(folder.resolve(FILE), Access.READ_ONLY)) {
      Copies.write(reader, folder, clock);
    } catch (IOException | SQLException e) {
      throw diskFull(e)
          .orElseGet(
              () ->
                  new Problem(
                      "copy.unwritten",
                      Place.file(folder.resolve(Copies.FOLDER).toString()),
                      "Today's copy of the logbook could not be made.",
                      "Look whether the folder may be written and has space.",
                      e));
    }
  }

  /** Whether there was a change since it was opened, and today has no copy. */
  public synchronized boolean copyDue() {
    return !readOnly() && changed && Copies.due(folder, clock);
  }

  /** Whether it held jobs the last time it was open, and now holds none. */
  public synchronized boolean lostItsJobs() {
    return list().isEmpty() && Integer.parseInt(held()) > 0;
  }

  /** How many jobs the last window left, as a file beside the database says. */
  private String held() {
    try {
      String text = Files.readString(folder.resolve(HELD)).strip();
      return text.matches("\\d{1,6}") ? text : "0";
    } catch (IOException none) {
      return "0";
    }
  }

  private void keepHeld() {
    try {
      Path file = folder.resolve(HELD);
      Files.writeString(file, list().size() + "\n");
      OwnerOnly.keep(file);
    } catch (IOException | RuntimeException ignored) {
      // It only helps to notice a loss.
    }
  }

  private static Problem missing() {
    return new Problem(
        "job.missing", Place.NOWHERE, "This job is no longer in the logbook.", "Pick another job.");
  }

  /** Takes in a new job. */
  public StoredJob create(Job job) {
    return create(UUID.randomUUID().toString(), job);
  }

  /** Whether a job is kept under an id. */
  public synchronized boolean has(String id) {
    return jdbi.withHandle(
        h ->
            h.createQuery("select count(*) from job where id = ?")
                    .bind(0, id)
                    .mapTo(Integer.class)
                    .one()
                > 0);
  }

  /** Takes in a job that has an id already, as it came from another logbook. */
  public synchronized StoredJob create(String id, Job job) {
    requireWrite();
    String now = clock.instant().toString();
    jdbi.useTransaction(
        h -> {
          h.execute("insert into job values (?, ?, ?, 1)", id, now, now);
          insertRevision(h, id, 1, now, "new job", job);
        });
    changed = true;
    keepHeld();
    return load(id);
  }

  /**
   * Gives a job.
   *
   * @throws Problem {@code job.missing} if it is not there
   */
  public synchronized StoredJob load(String id) {
    return jdbi.withHandle(h -> load(h, id));
  }

  private StoredJob load(Handle h, String id) {
    record Row(int number, String what, String document) {}
    Optional<Row> row =
        h.createQuery(
                "select r.number, r.what, r.document from job j join revision r"
                    + " on r.job_id = j.id and r.number = j.revision where j.id = ?")
            .bind(0, id)
            .map((rs, c) -> new Row(rs.getInt(1), rs.getString(2), rs.getString(3)))
            .findOne();
    Row now = row.orElseThrow(Logbook::missing);
    Optional<String> redo =
        h.createQuery("select what from revision where job_id = ? and number = ?")
            .bind(0, id)
            .bind(1, now.number() + 1)
            .mapTo(String.class)
            .findOne();
    boolean hasEarlier =
        h.createQuery("select count(*) from revision where job_id = ? and number = ?")
                .bind(0, id)
                .bind(1, now.number() - 1)
                .mapTo(Integer.class)
                .one()
            > 0;
    return new StoredJob(
        id,
        Json.read("job " + id, now.document()),
        hasEarlier ? Optional.of(now.what()) : Optional.empty(),
        redo);
  }

  /**
   * Keeps an edit; what had been undone before it is gone for good.
   *
   * @param what the edit in words, for undo
   */
  public synchronized StoredJob edit(String id, String what, Job job) {
    requireWrite();
    changed = true;
    String now = clock.instant().toString();
    return jdbi.inTransaction(
        h -> {
          int number = revision(h, id);
          h.execute("delete from revision where job_id = ? and number > ?", id, number);
          insertRevision(h, id, number + 1, now, what, job);
          point(h, id, number + 1, now);
          return load(h, id);
        });
  }

  /** Takes the last edit back; does nothing if there is none. */
  public synchronized StoredJob undo(String id) {
    return step(id, -1);
  }

  /** Brings the edit again that was taken back; does nothing if there is none. */
  public synchronized StoredJob redo(String id) {
    return step(id, 1);
  }

  private StoredJob step(String id, int by) {
    requireWrite();
    String now = clock.instant().toString();
    return jdbi.inTransaction(
        h -> {
          int target = revision(h, id) + by;
          boolean there =
              h.createQuery("select count(*) from revision where job_id = ? and number = ?")
                      .bind(0, id)
                      .bind(1, target)
                      .mapTo(Integer.class)
                      .one()
                  > 0;
          if (there) {
            point(h, id, target, now);
          }
          return load(h, id);
        });
  }

  private static int revision(Handle h, String id) {
    return h.createQuery("select revision from job where id = ?")
        .bind(0, id)
        .mapTo(Integer.class)
        .findOne()
        .orElseThrow(Logbook::missing);
  }

  private static void point(Handle h, String id, int number, String now) {
    h.execute("update job set revision = ?, touched_at = ? where id = ?", number, now, id);
  }

  private static void insertRevision(
      Handle h, String id, int number, String now, String what, Job job) {
    h.execute(
        "insert into revision values (?, ?, ?, ?, ?, ?)",
        id,
        number,
        now,
        what,
        job.title(),
        Json.write(job));
  }

  /** Takes a job out, with its whole history. Files stay, since other jobs may use them. */
  public synchronized void remove(String id) {
    requireWrite();
    changed = true;
    jdbi.useTransaction(h -> h.execute("delete from job where id = ?", id));
    keepHeld();
  }

  /** Keeps a file as it came, and what was read from it if it is a log. */
  public synchronized void attach(Attachment file, Optional<RunLog> read) {
    requireWrite();
    jdbi.useTransaction(
        h -> {
          h.execute(
              "insert or ignore into attachment values (?, ?, ?, ?, ?)",
              file.sha256(),
              file.name(),
              file.bytes().length,
              clock.instant().toString(),
              file.bytes());
          if (read.isPresent()) {
            h.execute(
                "insert or replace into reading values (?, ?, ?)",
                file.sha256(),
                LogReader.VERSION,
                Readings.pack(read.get()));
          }
        });
  }

  /**
   * Gives a file as it came.
   *
   * @throws Problem {@code attachment.missing} if it is not there
   */
  public synchronized Attachment attachment(String sha256) {
    return jdbi.withHandle(
            h ->
                h.createQuery("select sha256, name, bytes from attachment where sha256 = ?")
                    .bind(0, sha256)
                    .map(
                        (rs, c) -> new Attachment(rs.getString(1), rs.getString(2), rs.getBytes(3)))
                    .findOne())
        .orElseThrow(
            () ->
                new Problem(
                    "attachment.missing",
                    Place.NOWHERE,
                    "A file that this job names is not in the logbook.",
                    "Drop it on the window again."));
  }

  /** Keeps a small picture of a photo beside it. */
  public synchronized void attachThumbnail(String sha256, byte[] png) {
    requireWrite();
    jdbi.useTransaction(
        h -> h.execute("insert or replace into thumbnail values (?, ?)", sha256, png));
  }

  /** The small picture of a photo, if it was kept. */
  public synchronized Optional<byte[]> thumbnail(String sha256) {
    return jdbi.withHandle(
        h ->
            h.createQuery("select png from thumbnail where sha256 = ?")
                .bind(0, sha256)
                .mapTo(byte[].class)
                .findOne());
  }

  /** Whether a file was ever taken in. */
  public synchronized boolean holds(String sha256) {
    return jdbi.withHandle(
        h ->
            h.createQuery("select count(*) from attachment where sha256 = ?")
                    .bind(0, sha256)
                    .mapTo(int.class)
                    .one()
                > 0);
  }

  /** What was read from a log, if it was kept by a reader of today's version. */
  public synchronized Optional<RunLog> reading(String sha256) {
    return jdbi.withHandle(
            h ->
                h.createQuery("select packed from reading where sha256 = ? and reader_version = ?")
                    .bind(0, sha256)
                    .bind(1, LogReader.VERSION)
                    .mapTo(byte[].class)
                    .findOne())
        .flatMap(
            packed -> {
              try {
                return Optional.of(Readings.unpack(packed));
              } catch (UncheckedIOException damaged) {
                return Optional.empty(); // it is made again from the file as it came
              }
            });
  }

  /**
   * A log of a job: as it was read before, or, if that is missing, old or damaged, read anew from
   * the file as it came and kept.
   */
  public RunLog log(RunEntry run) {
    return reading(run.sha256()).orElseGet(() -> readAnew(run));
  }

  /** Reads a job's log again from the file as it came, and keeps what was read. */
  public RunLog readAnew(RunEntry run) {
    Attachment file = attachment(run.sha256());
    RunLog log = LogReader.read(run.fileName(), file.bytes());
    if (!readOnly()) {
      keepReading(run.sha256(), log);
    }
    return log;
  }

  private synchronized void keepReading(String sha256, RunLog log) {
    jdbi.useTransaction(
        h ->
            h.execute(
                "insert or replace into reading values (?, ?, ?)",
                sha256,
                LogReader.VERSION,
                Readings.pack(log)));
  }

  /** All settings that were ever made, by name. */
  public synchronized Map<String, String> settings() {
    return jdbi.withHandle(
        h -> {
          Map<String, String> all = new HashMap<>();
          h.createQuery("select name, value from setting")
              .map((rs, c) -> all.put(rs.getString(1), rs.getString(2)))
              .list();
          return all;
        });
  }

  /** Keeps a setting; a read-only logbook forgets it. */
  public synchronized void keepSetting(String name, String value) {
    if (!readOnly()) {
      jdbi.useTransaction(
          h -> h.execute("insert or replace into setting values (?, ?)", name, value));
    }
  }

  @Override
  public synchronized void close() {
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
