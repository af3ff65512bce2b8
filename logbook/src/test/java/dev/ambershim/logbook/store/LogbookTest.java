package dev.ambershim.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.plan.Use;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesTerms;
import dev.ambershim.logbook.Fixture;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Keeping jobs: edits, undo, restart, one writer, old and broken files. */
class LogbookTest {
  @TempDir Path folder;

  private static Job heat(Job job, double watts) {
    return job.withHeatWatts(watts);
  }

  @Test
  void aJobComesBackAsItWas() {
    Job job = Fixture.job("Sedge Q4");
    String id;
    try (Logbook logbook = Fixture.open(folder)) {
      id = logbook.create(job).id();
    }
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(logbook.load(id).job()).isEqualTo(job);
      assertThat(logbook.list()).extracting(JobHead::title).containsExactly("Sedge Q4");
    }
  }

  @Test
  void aLogbookOfTheFirstVersionIsBroughtUpToDate() throws SQLException {
    String id;
    try (Logbook logbook = Fixture.open(folder)) {
      id = logbook.create(Fixture.job("old")).id();
    }
    // As the first version left it: no thumbnails, and no word of the second.
    try (Connection c =
            DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.sqlite"));
        Statement s = c.createStatement()) {
      s.execute("drop table thumbnail");
      s.execute("delete from flyway_schema_history where version = '2'");
    }
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(logbook.load(id).job().title()).isEqualTo("old");
      assertThat(logbook.files().thumbnail("x")).isEmpty();
    }
  }

  @Test
  void seriesAreKeptApartFromJobs() throws IOException {
    Series series =
        new Series(
                "two pastes",
                List.of("ash", "birch"),
                List.of(List.of("ash", "birch")),
                SeriesTerms.USUAL,
                List.of())
            .with(new Series.Made("ash", 1, 60.5, 150.0, null, "", "thin"))
            .with(new Series.Made("birch", 1, null, null, null, "hair", ""))
            .withLast(m -> m.withCoveredPercent(80.0).withPrint(new Photo("0".repeat(64), "p.png")))
            .withHours(new Hours("18:00", "22:00", List.of(6, 7)))
            .withStartAt(Instant.parse("2026-03-01T17:00:00Z"));
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(SeriesBook.of(logbook)).isEmpty();
      SeriesBook.keep(logbook, List.of(series));
    }
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(SeriesBook.of(logbook)).containsExactly(series);
      // As it was written before prints, warm-ups and hours were kept.
      ObjectNode old = (ObjectNode) new ObjectMapper().readTree(logbook.settings().get("series"));
      ObjectNode first = (ObjectNode) old.at("/series/0");
      first.remove(List.of("hours", "startAt"));
      ((ObjectNode) first.get("terms")).remove("warmUps");
      first.get("made").forEach(m -> ((ObjectNode) m).remove(List.of("coveredPercent", "print")));
      logbook.keepSetting("series", old.toString());
      assertThat(logbook.settings().get("series"))
          .doesNotContain("hours", "startAt", "warmUps", "coveredPercent", "print");
      assertThat(SeriesBook.of(logbook))
          .containsExactly(
              series
                  .withLast(m -> m.withCoveredPercent(null).withPrint(null))
                  .withHours(Hours.ANY)
                  .withStartAt(null));
      for (String bad : List.of("{", "{\"format\": \"ambershim/series-9\"}", "{\"series\": 4}")) {
        logbook.keepSetting("series", bad);
        assertThatThrownBy(() -> SeriesBook.of(logbook)).isInstanceOf(Problem.class);
      }
    }
  }

  @Test
  void aJobThatIsArchivedComesBack() {
    try (Logbook logbook = Fixture.open(folder)) {
      String id = logbook.create(Fixture.job("Sedge Q4")).id();
      assertThat(Archive.ids(logbook)).isEmpty();
      Archive.put(logbook, id, true);
      assertThat(Archive.ids(logbook)).containsExactly(id);
      assertThat(logbook.list()).hasSize(1);
      Archive.put(logbook, id, false);
      assertThat(Archive.ids(logbook)).isEmpty();
    }
  }

  @Test
  void theShelfIsKeptAndWhatJobsUsedIsCounted() {
    LocalDate until = LocalDate.of(2027, 2, 1);
    List<ShelfItem> packs =
        List.of(
            new ShelfItem("bottle", Supply.ALCOHOL, 250, 6, until),
            new ShelfItem("tool", Supply.TOOL, 1, 30, null));
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(Shelf.of(logbook)).isEmpty();
      Shelf.keep(logbook, packs);
      Job job = Fixture.job("x");
      Use use = new Use("bottle", Supply.ALCOHOL, 10);
      Instant at = Instant.parse("2026-03-01T09:00:00Z");
      logbook.create(job.withWork(job.work().done("alcohol-die", at, List.of(use))));
    }
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(Shelf.of(logbook)).isEqualTo(packs);
      List<Job> jobs = logbook.list().stream().map(h -> logbook.load(h.id()).job()).toList();
      assertThat(Kit.left(packs.get(0), Shelf.used(jobs))).isEqualTo(240);
      assertThat(Shelf.users(jobs)).isEqualTo(Map.of("bottle", List.of("x")));
      // An older shelf knows neither days nor lots; they are kept once they are told.
      LocalDate day = LocalDate.of(2026, 3, 1);
      ShelfItem told = packs.get(0).bought(day, " K 07 ").opened(day.plusDays(10));
      Shelf.keep(logbook, List.of(told));
      assertThat(Shelf.of(logbook)).containsExactly(told);
      assertThat(told.lot()).isEqualTo("K 07");
      assertThat(told.ageDays(day.plusDays(40))).hasValue(30);
      assertThat(packs.get(0).ageDays(day)).isEmpty();
      logbook.keepSetting("shelf", "{\"format\": \"ambershim/shelf-9\"}");
      assertThatThrownBy(() -> Shelf.of(logbook))
          .isInstanceOf(Problem.class)
          .hasMessageContaining("shelf-9");
      logbook.keepSetting("shelf", "{");
      assertThatThrownBy(() -> Shelf.of(logbook)).isInstanceOf(Problem.class);
    }
  }

  @Test
  void undoAndRedoSurviveARestart() {
    String id;
    try (Logbook logbook = Fixture.open(folder)) {
      StoredJob s = logbook.create(Fixture.job("x"));
      id = s.id();
      s = logbook.edit(id, "heat", heat(s.job(), 200));
      s = logbook.edit(id, "more heat", heat(s.job(), 210));
      assertThat(s.undo()).contains("more heat");
      assertThat(s.redo()).isEmpty();
      assertThat(logbook.undo(id).job().heatWatts()).isEqualTo(200);
    }
    try (Logbook logbook = Fixture.open(folder)) {
      StoredJob s = logbook.load(id);
      assertThat(s.job().heatWatts()).isEqualTo(200);
      assertThat(s.undo()).contains("heat");
      assertThat(s.redo()).contains("more heat");
      assertThat(logbook.redo(id).job().heatWatts()).isEqualTo(210);
      logbook.undo(id);
      assertThat(logbook.undo(id).job().heatWatts()).isEqualTo(150);
      StoredJob bottom = logbook.undo(id);
      assertThat(bottom.undo()).isEmpty();
      assertThat(bottom.job().heatWatts()).isEqualTo(150);
    }
  }

  @Test
  void aNewEditEndsWhatWasUndone() {
    try (Logbook logbook = Fixture.open(folder)) {
      StoredJob s = logbook.create(Fixture.job("x"));
      s = logbook.edit(s.id(), "a", heat(s.job(), 200));
      s = logbook.undo(s.id());
      s = logbook.edit(s.id(), "b", heat(s.job(), 300));
      assertThat(s.redo()).isEmpty();
      assertThat(logbook.redo(s.id()).job().heatWatts()).isEqualTo(300);
      assertThat(logbook.undo(s.id()).job().heatWatts()).isEqualTo(150);
    }
  }

  @Test
  void logsAreKeptAsTheyCameBesideWhatWasRead() {
    byte[] bytes = Fixture.log(80);
    try (Logbook logbook = Fixture.open(folder)) {
      StoredJob s = Fixture.complete(logbook, "x");
      String hash = s.job().runs().get(0).sha256();
      assertThat(logbook.files().attachment(hash).bytes()).isEqualTo(bytes);
      assertThat(Readings.sha256(bytes)).isEqualTo(hash);
      RunLog read = LogReader.read("before.csv", bytes);
      RunLog kept = logbook.files().reading(hash).orElseThrow();
      assertThat(kept.seconds()).containsExactly(read.seconds());
      assertThat(kept.notes()).isEqualTo(read.notes());
      assertThat(kept.channels())
          .extracting(Channel::name)
          .containsExactlyElementsOf(read.channels().stream().map(Channel::name).toList());
      for (int i = 0; i < read.channels().size(); i++) {
        assertThat(kept.channels().get(i).values())
            .containsExactly(read.channels().get(i).values());
        assertThat(kept.channels().get(i).role()).isEqualTo(read.channels().get(i).role());
      }
    }
  }

  @Test
  void aReadingOfAnOlderReaderIsReadAnew() throws SQLException {
    StoredJob s;
    try (Logbook logbook = Fixture.open(folder)) {
      s = Fixture.complete(logbook, "x");
    }
    sql("update reading set reader_version = 0");
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(logbook.files().reading(s.job().runs().get(0).sha256())).isEmpty();
      assertThat(logbook.files().log(s.job().runs().get(0)).size()).isEqualTo(600);
    }
  }

  @Test
  void missingFiguresSurvivePacking() {
    RunLog log =
        LogReader.read(
            "gaps", "time,core 0\n0,60.5\n1,\n2,62.5\n".getBytes(StandardCharsets.UTF_8));
    RunLog back = Readings.unpack(Readings.pack(log));
    assertThat(back.channels().get(0).values()[1]).isNaN();
    assertThat(Readings.csv(back)).isEqualTo("seconds,\"core 0\"\n0,60.5\n1,\n2,62.5\n");
  }

  @Test
  void theSecondWriterIsTurnedAwayAndMayLook() {
    try (Logbook first = Fixture.open(folder)) {
      StoredJob s = first.create(Fixture.job("x"));
      Problem busy = catchThrowableOfType(Problem.class, () -> Fixture.open(folder));
      assertThat(busy.key()).isEqualTo("logbook.busy");
      assertThat(busy.remedy()).contains("read-only");
      try (Logbook second = Logbook.open(folder, Access.READ_ONLY, Clock.systemUTC())) {
        assertThat(second.readOnly()).isTrue();
        assertThat(second.load(s.id()).job().title()).isEqualTo("x");
        first.edit(s.id(), "heat", heat(s.job(), 222));
        assertThat(second.load(s.id()).job().heatWatts()).isEqualTo(222);
        assertThatThrownBy(() -> second.edit(s.id(), "no", s.job()))
            .isInstanceOf(Problem.class)
            .hasMessageContaining("read-only");
        second.keepSetting("theme", "paper");
        assertThat(second.settings()).isEmpty();
      }
    }
    Fixture.open(folder).close();
  }

  @Test
  void lookingAtNothingIsAClearMessage() {
    assertThatThrownBy(
            () -> Logbook.open(folder.resolve("none"), Access.READ_ONLY, Clock.systemUTC()))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("no logbook in this folder");
  }

  @Test
  void aNewerLogbookIsLeftAlone() throws SQLException {
    Fixture.open(folder).close();
    sql(
        "insert into flyway_schema_history select installed_rank + 9, '99', description, type,"
            + " 'V99__later.sql', checksum, installed_by, installed_on, execution_time, 1"
            + " from flyway_schema_history where version = '1'");
    Problem p = catchThrowableOfType(Problem.class, () -> Fixture.open(folder));
    assertThat(p.key()).isEqualTo("logbook.newer");
    assertThat(p.getMessage()).contains("nothing was changed");
  }

  @Test
  void aDamagedFileIsSaidAndTheLockGivenBack() throws IOException {
    Files.writeString(
        folder.resolve("logbook.sqlite"), "this is no database, not at all".repeat(99));
    Problem p = catchThrowableOfType(Problem.class, () -> Fixture.open(folder));
    assertThat(p.key()).isEqualTo("logbook.damaged");
    assertThat(p.getMessage()).contains(folder.toString());
    Files.delete(folder.resolve("logbook.sqlite"));
    Fixture.open(folder).close();
  }

  @Test
  void aFolderThatCannotBeMadeIsSaid() throws IOException {
    Path file = Files.createFile(folder.resolve("file"));
    assertThatThrownBy(() -> Fixture.open(file.resolve("below")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("cannot be written");
  }

  @Test
  void whatIsNotThereIsSaid() {
    try (Logbook logbook = Fixture.open(folder)) {
      assertThatThrownBy(() -> logbook.load("nobody")).hasMessageContaining("no longer");
      assertThatThrownBy(() -> logbook.undo("nobody")).hasMessageContaining("no longer");
      assertThatThrownBy(() -> logbook.files().attachment("00"))
          .hasMessageContaining("not in the logbook");
      StoredJob s = logbook.create(Fixture.job("x"));
      logbook.remove(s.id());
      assertThat(logbook.list()).isEmpty();
    }
  }

  @Test
  void settingsAreKept() {
    try (Logbook logbook = Fixture.open(folder)) {
      logbook.keepSetting("theme", "paper");
      logbook.keepSetting("theme", "graphite");
    }
    try (Logbook logbook = Fixture.open(folder)) {
      assertThat(logbook.settings()).containsExactlyEntriesOf(Map.of("theme", "graphite"));
    }
  }

  @Test
  void foreignAndBrokenJobsAreRefused() {
    assertThatThrownBy(() -> Json.read("j", "{\"format\": \"ambershim/job-9\"}"))
        .hasMessageContaining("newer Amber Shim");
    assertThatThrownBy(() -> Json.read("j", "{ not json"))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("line 1");
    assertThatThrownBy(() -> Json.read("j", "{\"format\": \"ambershim/job-1\"}"))
        .isInstanceOf(Problem.class);
    assertThatThrownBy(
            () ->
                Json.read(
                    "j", Json.write(Fixture.job("x")).replace("\"heatWatts\"", "\"heatWads\"")))
        .isInstanceOf(Problem.class);
  }

  private void sql(String statement) throws SQLException {
    try (Connection c =
            DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.sqlite"));
        Statement s = c.createStatement()) {
      assertThat(s.executeUpdate(statement)).isPositive();
    }
  }

  @Test
  void rolesSaidOnceHoldForLogsOfTheSameShape(@TempDir Path place) {
    try (Logbook logbook = Logbook.open(place, Access.WRITE, Clock.systemUTC())) {
      RunLog one = shaped("time,alpha,beta\n0,60.5,21.5\n1,61.5,21.5\n2,62.5,21.5\n");
      RunLog same = shaped("time,alpha,beta\n5,70.5,20.5\n6,71.5,20.5\n7,72.5,20.5\n");
      RunLog other = shaped("time,alpha,gamma\n0,60.5,21.5\n1,61.5,21.5\n2,62.5,21.5\n");
      ShapeRoles.remember(logbook, one, "beta", Role.ROOM);
      ShapeRoles.remember(logbook, one, "alpha", Role.CORE);
      assertThat(ShapeRoles.recall(logbook, same))
          .containsOnly(Map.entry("alpha", Role.CORE), Map.entry("beta", Role.ROOM));
      assertThat(ShapeRoles.recall(logbook, other)).isEmpty();
    }
  }

  private static RunLog shaped(String text) {
    return LogReader.read("a.csv", text.getBytes(StandardCharsets.UTF_8));
  }

  /** A job under way, as JSON. */
  private static String working() {
    Instant at = Instant.parse("2026-03-01T09:00:00Z");
    Job job = Fixture.job("x");
    WorkLog log =
        job.work()
            .goingTo("seat", at)
            .with("seat", e -> e.withInitials("LM"))
            .done("seat", at.plusSeconds(90), List.of(new Use("bottle", Supply.ALCOHOL, 5)))
            .between(at, null);
    return Json.write(job.withWork(log));
  }

  @Test
  void theWorkIsWrittenInTimesThatAnyoneReads() {
    String text = working();
    assertThat(text)
        .contains("\"begunAt\" : \"2026-03-01T09:00:00Z\"")
        .contains("\"doneAt\" : \"2026-03-01T09:01:30Z\"")
        .contains("\"startAt\" : \"2026-03-01T09:00:00Z\"")
        .contains("\"doneBy\" : null");
    Job read = Json.read("j", text);
    assertThat(read.work().done()).containsExactly("seat");
    assertThat(Json.write(read)).isEqualTo(text);
  }

  @Test
  void aJobWithoutWorkIsOneThatNobodyBegan() {
    String text = Json.write(Fixture.job("old"));
    int from = text.indexOf(",\n    \"work\"");
    assertThat(from).isPositive();
    String old = text.substring(0, from) + "\n  }\n}";
    assertThat(Json.read("old", old).work()).isEqualTo(WorkLog.EMPTY);
  }

  @ParameterizedTest
  @CsvSource({
    "2026-03-01T09:00:00Z, yesterday, work.startAt",
    "ALCOHOL, SPIRIT, work.entries[0].used[0].supply",
    "'\"initials\"', '\"initialls\"', work.entries[0].initialls",
    "'\"amount\" : 5.0', '\"amount\" : null', work.entries[0].used[0].amount",
    "'\"item\" : \"bottle\"', '\"item\" : null', work.entries[0].used[0]",
    "'\"photos\" : [ ]', '\"photos\" : [ {\"sha256\": \"../x\", \"name\": \"a\"} ]', work.entries[0].photos[0]",
    "'\"id\" : \"seat\"', '\"id\" : null', work.entries[0]"
  })
  void workThatCannotBeReadIsRefusedWithItsPlace(String right, String wrong, String field) {
    String text = working();
    assertThat(text).contains(right);
    Problem p =
        catchThrowableOfType(Problem.class, () -> Json.read("j.json", text.replace(right, wrong)));
    assertThat(p.key()).isEqualTo("job.unreadable");
    assertThat(p.place().inWords()).isEqualTo("j.json, " + field);
    assertThat(p.remedy()).isNotBlank();
  }
}
