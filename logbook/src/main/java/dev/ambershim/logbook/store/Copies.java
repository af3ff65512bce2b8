package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.sqlite.SQLiteConfig;

/**
 * Dated copies of a logbook in its own folder, each a whole database in one file: one a day after
 * changes, kept for ten days, and one a week for ten weeks. A copy is written by the database
 * itself and appears whole or not at all.
 */
public final class Copies {
  /** The folder of the copies inside the logbook's. */
  static final String FOLDER = "copies";

  private static final String BEGIN = "logbook-";
  private static final String END = ".sqlite";
  private static final int DAYS = 10;
  private static final int WEEKS = 10;

  /**
   * One copy.
   *
   * @param file where it lies
   * @param day the day it is of
   * @param jobs how many jobs it holds, or −1 if it cannot be read
   */
  public record Copy(Path file, LocalDate day, int jobs) {}

  private Copies() {}

  /** All copies of a logbook, the newest first. */
  public static List<Copy> of(Path logbookFolder) {
    return files(logbookFolder).stream()
        .map(file -> new Copy(file, day(file).orElseThrow(), jobs(file)))
        .toList();
  }

  private static List<Path> files(Path logbookFolder) {
    Path folder = logbookFolder.resolve(FOLDER);
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(f -> day(f).isPresent())
          .sorted(Comparator.comparing((Path f) -> f.getFileName().toString()).reversed())
          .toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  private static Optional<LocalDate> day(Path file) {
    String name = file.getFileName().toString();
    if (!name.startsWith(BEGIN) || !name.endsWith(END) || name.length() < BEGIN.length() + 10) {
      return Optional.empty();
    }
    try {
      return Optional.of(LocalDate.parse(name.substring(BEGIN.length(), BEGIN.length() + 10)));
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  /** How many jobs a database holds; −1 if it is none. */
  static int jobs(Path file) {
    SQLiteConfig config = new SQLiteConfig();
    config.setReadOnly(true);
    try (Connection copy = config.createConnection("jdbc:sqlite:" + file);
        Statement statement = copy.createStatement();
        ResultSet count = statement.executeQuery("select count(*) from job")) {
      return count.getInt(1);
    } catch (SQLException e) {
      return -1;
    }
  }

  /** Whether a copy of today is due. */
  static boolean due(Path logbookFolder, Clock clock) {
    LocalDate today = LocalDate.now(clock.withZone(ZoneId.systemDefault()));
    return files(logbookFolder).stream().noneMatch(f -> day(f).orElseThrow().equals(today));
  }

  /** Writes the copy of today, and lets go of those that are no longer kept. */
  static void write(Connection logbook, Path logbookFolder, Clock clock)
      throws IOException, SQLException {
    Path folder = logbookFolder.resolve(FOLDER);
    OwnerOnly.make(folder);
    LocalDate today = LocalDate.now(clock.withZone(ZoneId.systemDefault()));
    Path target = folder.resolve(BEGIN + today + END);
    Path part = folder.resolve(BEGIN + today + ".part");
    Files.deleteIfExists(part);
    try (Statement statement = logbook.createStatement()) {
      statement.execute("vacuum into '" + part.toString().replace("'", "''") + "'");
      OwnerOnly.keep(part);
      Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(part);
    }
    thin(logbookFolder, today);
  }

  /** Keeps the newest of each of the last ten days and of each of the last ten weeks. */
  static void thin(Path logbookFolder, LocalDate today) throws IOException {
    Set<LocalDate> weeks = new HashSet<>();
    List<Path> gone = new ArrayList<>();
    for (Path file : files(logbookFolder)) {
      LocalDate day = day(file).orElseThrow();
      if (ChronoUnit.DAYS.between(day, today) < DAYS) {
        continue;
      }
      LocalDate monday = day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
      boolean kept = ChronoUnit.WEEKS.between(monday, today) <= WEEKS && weeks.add(monday);
      if (!kept) {
        gone.add(file);
      }
    }
    for (Path file : gone) {
      Files.deleteIfExists(file);
    }
  }

  /**
   * Puts a copy in the logbook's place. What is there now is set aside beside it, never written
   * over.
   *
   * @param from the day of the copy, or empty for the newest that holds jobs
   * @return the copy that was taken
   * @throws Problem {@code copy.none}, {@code copy.damaged} or {@code logbook.busy}
   */
  public static Copy restore(Path logbookFolder, Optional<LocalDate> from, Clock clock) {
    List<Copy> all = of(logbookFolder);
    Copy copy =
        all.stream()
            .filter(c -> from.map(d -> d.equals(c.day())).orElse(c.jobs() > 0))
            .findFirst()
            .orElseThrow(
                () ->
                    new Problem(
                        "copy.none",
                        Place.file(logbookFolder.resolve(FOLDER).toString()),
                        from.isPresent()
                            ? "There is no copy of " + from.get() + "."
                            : "There is no copy that holds a job.",
                        all.isEmpty()
                            ? "Copies are made after changes, one a day."
                            : "Ask for one of "
                                + String.join(
                                    ", ", all.stream().map(c -> c.day().toString()).toList())
                                + "."));
    if (copy.jobs() < 0) {
      throw new Problem(
          "copy.damaged",
          Place.file(copy.file().toString()),
          "This copy cannot be read.",
          "Take another day's.");
    }
    WriterLock lock = WriterLock.take(logbookFolder);
    try {
      setAside(logbookFolder, clock);
      Path part = logbookFolder.resolve(LogbookFile.FILE + ".part");
      Files.copy(copy.file(), part, StandardCopyOption.REPLACE_EXISTING);
      OwnerOnly.keep(part);
      Files.move(part, logbookFolder.resolve(LogbookFile.FILE), StandardCopyOption.ATOMIC_MOVE);
      return copy;
    } catch (IOException e) {
      throw new Problem(
          "copy.unwritten",
          Place.file(logbookFolder.toString()),
          "The copy could not be put in the logbook's place.",
          "Look whether the folder may be written and has space; nothing was lost.",
          e);
    } finally {
      lock.close();
    }
  }

  /** Moves the database with its log file into a folder of its own. */
  private static void setAside(Path logbookFolder, Clock clock) throws IOException {
    String stamp = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString().replace(":", "");
    Path aside = logbookFolder.resolve("set-aside-" + stamp);
    for (String ending : List.of("", "-wal", "-shm")) {
      Path file = logbookFolder.resolve(LogbookFile.FILE + ending);
      if (Files.exists(file)) {
        OwnerOnly.make(aside);
        Files.move(
            file, aside.resolve(LogbookFile.FILE + ending), StandardCopyOption.REPLACE_EXISTING);
      }
    }
  }
}
