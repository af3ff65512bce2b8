package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.io.UncheckedIOException;
import java.util.Optional;

/**
 * The files of a logbook as they came, by their hash: logs with what was read from them, photos
 * with small pictures. Safe for use from several threads.
 */
public final class KeptFiles {
  private final Logbook book;

  KeptFiles(Logbook book) {
    this.book = book;
  }

  /** Keeps a file as it came, and what was read from it if it is a log. */
  public void attach(Attachment file, Optional<RunLog> read) {
    book.requireWrite();
    book.write(
        h -> {
          h.execute(
              "insert or ignore into attachment values (?, ?, ?, ?, ?)",
              file.sha256(),
              file.name(),
              file.bytes().length,
              book.now().toString(),
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
  public Attachment attachment(String sha256) {
    return book.read(
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
  public void attachThumbnail(String sha256, byte[] png) {
    book.requireWrite();
    book.write(h -> h.execute("insert or replace into thumbnail values (?, ?)", sha256, png));
  }

  /** The small picture of a photo, if it was kept. */
  public Optional<byte[]> thumbnail(String sha256) {
    return book.read(
        h ->
            h.createQuery("select png from thumbnail where sha256 = ?")
                .bind(0, sha256)
                .mapTo(byte[].class)
                .findOne());
  }

  /** Whether a file was ever taken in. */
  public boolean holds(String sha256) {
    return book.read(
        h ->
            h.createQuery("select count(*) from attachment where sha256 = ?")
                    .bind(0, sha256)
                    .mapTo(int.class)
                    .one()
                > 0);
  }

  /** What was read from a log, if it was kept by a reader of today's version. */
  public Optional<RunLog> reading(String sha256) {
    return book.read(
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
    if (!book.readOnly()) {
      keepReading(run.sha256(), log);
    }
    return log;
  }

  private void keepReading(String sha256, RunLog log) {
    book.write(
        h ->
            h.execute(
                "insert or replace into reading values (?, ?, ?)",
                sha256,
                LogReader.VERSION,
                Readings.pack(log)));
  }
}
