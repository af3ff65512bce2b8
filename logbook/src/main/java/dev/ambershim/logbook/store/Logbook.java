package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import java.io.IOException;
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
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.HandleCallback;
import org.jdbi.v3.core.HandleConsumer;
import org.jdbi.v3.core.Jdbi;

/**
 * All jobs of a person, in one SQLite file with a write-ahead log. A method that changes something
 * returns once the change is safely on disk. Safe for use from several threads.
 */
public final class Logbook implements AutoCloseable {
  /** The file that remembers how many jobs there were. */
  private static final String HELD = "jobs-held";

  private final LogbookFile file;
  private final Jdbi jdbi;
  private final Clock clock;
  private final KeptFiles files = new KeptFiles(this);
  private Map<String, Known> known = new HashMap<>();
  private boolean changed;

  private Logbook(LogbookFile file, Clock clock) {
    this.file = file;
    this.jdbi = Jdbi.create(file.connection());
    this.clock = clock;
  }

  /**
   * Opens or makes a logbook.
   *
   * @param folder where it lives; made if missing
   * @param clock tells when a change was made
   * @throws Problem {@code logbook.busy}, {@code logbook.missing}, {@code logbook.newer}, {@code
   *     logbook.denied}, {@code logbook.folder}, {@code disk.full} or {@code logbook.damaged}
   */
  public static Logbook open(Path folder, Access access, Clock clock) {
    return new Logbook(LogbookFile.open(folder, access), clock);
  }

  /** The files that jobs name. */
  public KeptFiles files() {
    return files;
  }

  /** Reads from the database, one thread at a time. */
  synchronized <T> T read(HandleCallback<T, RuntimeException> question) {
    return jdbi.withHandle(question);
  }

  /** Writes to the database, all of it or nothing, one thread at a time. */
  synchronized void write(HandleConsumer<RuntimeException> change) {
    jdbi.useTransaction(change);
  }

  /** The moment, as it is kept. */
  String now() {
    return clock.instant().toString();
  }

  /** The folder it lives in. */
  public Path folder() {
    return file.folder();
  }

  /** Whether it may only be looked at. */
  public boolean readOnly() {
    return file.access() == Access.READ_ONLY;
  }

  void requireWrite() {
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
    try (Connection reader = file.reader();
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
    try (Connection reader = file.reader()) {
      Copies.write(reader, folder(), clock);
    } catch (IOException | SQLException e) {
      throw DiskFull.of(e)
          .orElseGet(
              () ->
                  new Problem(
                      "copy.unwritten",
                      Place.file(folder().resolve(Copies.FOLDER).toString()),
                      "Today's copy of the logbook could not be made.",
                      "Look whether the folder may be written and has space.",
                      e));
    }
  }

  /** Whether there was a change since it was opened, and today has no copy. */
  public synchronized boolean copyDue() {
    return !readOnly() && changed && Copies.due(folder(), clock);
  }

  /** Whether it held jobs the last time it was open, and now holds none. */
  public synchronized boolean lostItsJobs() {
    return list().isEmpty() && Integer.parseInt(held()) > 0;
  }

  /** How many jobs the last window left, as a file beside the database says. */
  private String held() {
    try {
      String text = Files.readString(folder().resolve(HELD)).strip();
      return text.matches("\\d{1,6}") ? text : "0";
    } catch (IOException none) {
      return "0";
    }
  }

  private void keepHeld() {
    try {
      Path held = folder().resolve(HELD);
      Files.writeString(held, list().size() + "\n");
      OwnerOnly.keep(held);
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
    String now = now();
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
    String now = now();
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
    String now = now();
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
    file.close();
  }
}
