package dev.ambershim.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Copies a day and a week, and one put back without ever losing what is there. */
class CopiesTest {
  private static final ZoneId ZONE = ZoneId.systemDefault();
  private static final LocalDate FIRST = LocalDate.parse("2026-01-05");

  @TempDir Path folder;

  private static Clock noon(LocalDate day) {
    return Clock.fixed(day.atTime(12, 0).atZone(ZONE).toInstant(), ZONE);
  }

  private void change(LocalDate day, String title) {
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, noon(day))) {
      logbook.create(Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, title));
      logbook.copyIfDue();
    }
  }

  @Test
  void atMostOneADayAndOnlyAfterChanges() throws IOException {
    change(FIRST, "Sedge Q4");
    change(FIRST, "Reed T2");
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, noon(FIRST.plusDays(1)))) {
      assertThat(logbook.copyDue()).isFalse();
      logbook.copyIfDue();
    }
    List<Copies.Copy> copies = Copies.of(folder);
    assertThat(copies).hasSize(1);
    assertThat(copies.get(0).day()).isEqualTo(FIRST);
    assertThat(copies.get(0).jobs()).isEqualTo(1);
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(copies.get(0).file())))
        .isEqualTo("rw-------");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)))
        .isEqualTo("rwx------");
    assertThat(
            PosixFilePermissions.toString(
                Files.getPosixFilePermissions(folder.resolve("logbook.sqlite"))))
        .isEqualTo("rw-------");
  }

  @Test
  void tenDaysAndTenWeeksAreKept() throws IOException {
    Path copies = Files.createDirectories(folder.resolve("copies"));
    LocalDate today = FIRST.plusDays(200);
    for (LocalDate day = FIRST; !day.isAfter(today); day = day.plusDays(1)) {
      Files.writeString(copies.resolve("logbook-" + day + ".sqlite"), "");
    }
    Copies.thin(folder, today);
    List<LocalDate> left = Copies.of(folder).stream().map(Copies.Copy::day).toList();
    assertThat(left.subList(0, 10))
        .containsExactlyElementsOf(IntStream.range(0, 10).mapToObj(today::minusDays).toList());
    // Beyond the ten days one a week, for ten weeks.
    assertThat(left.size()).isBetween(19, 21);
    for (int i = 11; i + 1 < left.size(); i++) {
      assertThat(ChronoUnit.DAYS.between(left.get(i + 1), left.get(i))).isEqualTo(7);
    }
    assertThat(left.get(left.size() - 1)).isAfter(today.minusWeeks(12));
  }

  @Test
  void aCopyIsPutBackAndWhatWasThereIsSetAside() throws IOException {
    change(FIRST, "Sedge Q4");
    change(FIRST.plusDays(1), "Reed T2");
    change(FIRST.plusDays(2), "Rush P7");
    Clock later = Clock.fixed(Instant.parse("2026-02-01T10:00:00Z"), ZONE);
    Copies.Copy taken = Copies.restore(folder, Optional.of(FIRST.plusDays(1)), later);
    assertThat(taken.jobs()).isEqualTo(2);
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, later)) {
      assertThat(logbook.list())
          .extracting("title")
          .containsExactlyInAnyOrder("Sedge Q4", "Reed T2");
      assertThat(logbook.lookOver()).isEmpty();
      assertThatThrownBy(() -> Copies.restore(folder, Optional.empty(), later))
          .isInstanceOfSatisfying(
              Problem.class, p -> assertThat(p.key()).isEqualTo("logbook.busy"));
    }
    Path aside = folder.resolve("set-aside-2026-02-01T100000Z").resolve("logbook.sqlite");
    assertThat(Copies.jobs(aside)).isEqualTo(3);
    assertThatThrownBy(() -> Copies.restore(folder, Optional.of(LocalDate.MIN), later))
        .isInstanceOfSatisfying(Problem.class, p -> assertThat(p.key()).isEqualTo("copy.none"))
        .hasMessageContaining("2026-01-06");
  }

  @Test
  void aLogbookThatLostItsJobsIsNoticed() throws IOException {
    change(FIRST, "Sedge Q4");
    // The file was copied without its log file, or replaced by an empty one.
    Files.delete(folder.resolve("logbook.sqlite"));
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, noon(FIRST.plusDays(3)))) {
      assertThat(logbook.lostItsJobs()).isTrue();
    }
    Copies.restore(folder, Optional.empty(), noon(FIRST.plusDays(3)));
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, noon(FIRST.plusDays(3)))) {
      assertThat(logbook.lostItsJobs()).isFalse();
      assertThat(logbook.list()).hasSize(1);
      logbook.remove(logbook.list().get(0).id());
      assertThat(logbook.lostItsJobs()).isFalse();
    }
  }

  @Test
  void aJobThatCannotBeReadDoesNotHideTheOthers() throws Exception {
    change(FIRST, "Sedge Q4");
    change(FIRST, "Reed T2");
    try (var c =
            java.sql.DriverManager.getConnection(
                "jdbc:sqlite:" + folder.resolve("logbook.sqlite"));
        var s = c.createStatement()) {
      s.executeUpdate("update revision set document = '{' where title = 'Reed T2'");
      s.executeUpdate("update job set touched_at = 'yesterday'");
    }
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, noon(FIRST))) {
      assertThat(logbook.list()).hasSize(2);
      assertThat(logbook.jobs().values()).extracting(Job::title).containsExactly("Sedge Q4");
      // Read once for as long as nothing changes.
      assertThat(logbook.jobs().values().iterator().next())
          .isSameAs(logbook.jobs().values().iterator().next());
    }
  }

  @Test
  void aFullDiskIsToldAsSuch() {
    Optional<Problem> full =
        DiskFull.of(
            new IllegalStateException(
                new java.sql.SQLException(
                    "[SQLITE_FULL] Insertion failed (database or disk is full)")));
    assertThat(full.orElseThrow().key()).isEqualTo("disk.full");
    assertThat(DiskFull.of(new IllegalStateException("else"))).isEmpty();
  }
}
