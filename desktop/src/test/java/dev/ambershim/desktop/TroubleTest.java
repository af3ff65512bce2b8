package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.desktop.model.Message;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Attachment;
import dev.ambershim.logbook.store.Copies;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipFile;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** One bad job, open last: the window opens, the others are in reach, and it can be helped. */
class TroubleTest extends DesktopTest {
  private String bad;

  private Path logbookFolder() {
    return folder.resolve("logbook");
  }

  private void twoJobs() throws IOException {
    Path log = MadeLogs.write(folder, "before.csv", 80);
    byte[] bytes = Files.readAllBytes(log);
    String hash = Readings.sha256(bytes);
    try (Logbook logbook = Logbook.open(logbookFolder(), Access.WRITE, Clock.systemUTC())) {
      logbook.create(Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
      logbook.files().attach(new Attachment(hash, "before.csv", bytes), Optional.empty());
      bad =
          logbook
              .create(
                  Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Reed T2")
                      .withRun(RunEntry.of(Side.BEFORE, "before.csv", hash)))
              .id();
      logbook.keepSetting("lastJob", bad);
    }
  }

  private void sql(String statement, Object... values) throws SQLException {
    try (Connection c =
            DriverManager.getConnection(
                "jdbc:sqlite:" + logbookFolder().resolve("logbook.sqlite"));
        PreparedStatement prepared = c.prepareStatement(statement)) {
      for (int i = 0; i < values.length; i++) {
        prepared.setObject(i + 1, values[i]);
      }
      prepared.executeUpdate();
    }
  }

  private List<String> words(String id) {
    return node(id).lookupAll(".label").stream().map(n -> ((Labeled) n).getText()).toList();
  }

  private void fire(String id) {
    onFx(() -> ((Button) node(id)).fire());
    settle();
  }

  @Test
  void aJobWithoutItsBuildSaysSoAndTheOthersOpen() throws Exception {
    twoJobs();
    sql(
        "update revision set document = replace(document, ?, ?) where job_id = ?",
        "\"before\" : {",
        "\"before\" : null, \"unknown\" : {",
        bad);
    sql(
        "update revision set document = replace(document, ?, ?) where job_id = ?",
        ", \"unknown\" : {",
        ", \"after\" : {",
        bad);
    open();
    assertThat(text("trouble-write")).isEqualTo("Write it out as it is");
    assertThat(model.jobProperty().get()).isNull();

    // Written out as it is: its document and its log.
    Path out = folder.resolve("reed.zip");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(out));
    fire("trouble-write");
    until("it is written", () -> Files.exists(out));
    try (ZipFile zip = new ZipFile(out.toFile())) {
      assertThat(zip.stream().map(e -> e.getName()).toList())
          .contains("job.json")
          .anyMatch(n -> n.startsWith("logs/"));
    }

    assertThat(words("trouble")).anyMatch(w -> w.startsWith("before: This is missing"));

    // The other job is in reach by keyboard.
    press(KeyCode.CONTROL, KeyCode.L);
    hands.clickOn(node("search-jobs"));
    hands.write("sedge");
    press(KeyCode.ENTER);
    assertThat(text("job-title")).isEqualTo("Sedge Q4");

    // Opened again from there, it says the same on a sheet; then it is removed for good.
    onFx(() -> model.open(bad));
    settle();
    assertThat(node("trouble")).isNotNull();
    fire("trouble-remove");
    assertThat(text("trouble-remove")).isEqualTo("Remove it for good");
    fire("trouble-remove");
    assertThat(model.jobs()).hasSize(1);
    assertThat(text("job-title")).isEqualTo("Sedge Q4");
  }

  @Test
  void theChangeThatSpoiltAJobIsTakenBack() throws Exception {
    twoJobs();
    try (Logbook logbook = Logbook.open(logbookFolder(), Access.WRITE, Clock.systemUTC())) {
      logbook.edit(bad, "care", logbook.load(bad).job().withRungs(List.of()));
    }
    sql("update revision set document = '{' where job_id = ? and number = 2", bad);
    open();
    fire("trouble-earlier");
    assertThat(text("job-title")).isEqualTo("Reed T2");
  }

  @Test
  void aDamagedReadingIsReadAgainFromItsLog() throws Exception {
    twoJobs();
    try (Logbook logbook = Logbook.open(logbookFolder(), Access.WRITE, Clock.systemUTC())) {
      logbook.files().log(logbook.load(bad).job().runs().get(0));
    }
    sql("update reading set packed = x'1f8b0800deadbeef'");
    open();
    assertThat(text("job-title")).isEqualTo("Reed T2");
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    assertThat(text("baseline-answer")).contains("Room air is not known");
  }

  @Test
  void aLogOfInfinitiesIsReadWithGapsAndAFaultIsNotKept() throws IOException {
    twoJobs();
    StringBuilder log = new StringBuilder("time,core_0 [°C],core_1 [°C],room [°C],power [W]\n");
    for (int t = 0; t < 900; t++) {
      log.append(t).append(t % 3 == 0 ? ",1e309," : ",71.5,").append("70,21,160\n");
    }
    Path file = folder.resolve("odd.csv");
    Files.write(file, log.toString().getBytes(StandardCharsets.UTF_8));
    open();
    onFx(() -> model.runs().add(List.of(file), Side.AFTER));
    settle();
    press(KeyCode.CONTROL, KeyCode.DIGIT9);
    assertThat(model.history()).noneMatch(Message::problem);
    assertThat(model.assessmentProperty().get().runs(Side.AFTER)).hasSize(1);
    close();
    open();
    assertThat(text("job-title")).isEqualTo("Reed T2");
    assertThat(stage.getScene().lookup("#trouble")).isNull();
  }

  @Test
  void aNewJobIsNamedAtOnceAndTheExampleIsOnePressAway() {
    open();
    fire("empty-example");
    until("the example is open", () -> text("job-title").startsWith("Sorrel"));
    assertThat(model.jobs()).hasSize(4);
    press(KeyCode.CONTROL, KeyCode.N);
    hands.write("Vetch P1");
    press(KeyCode.ENTER);
    assertThat(text("job-title")).isEqualTo("Vetch P1");
    assertThat(model.jobs()).hasSize(5);
  }

  @Test
  void aCopyIsMadeAtTheEndAndPutBackFromTheSheet() throws Exception {
    twoJobs();
    open();
    fill("title", "Reed T2, second board");
    close();
    List<Copies.Copy> copies = Copies.of(logbookFolder());
    assertThat(copies).extracting(Copies.Copy::jobs).containsExactly(2);

    // The jobs are lost, as when the file was copied without its log file.
    sql("delete from revision");
    sql("delete from job");
    open();
    assertThat(node("lost-jobs")).isNotNull();
    until("the copies are found", () -> stage.getScene().lookup("#restore-last") != null);
    fire("restore-last");
    until("the copy is open", () -> model.jobs().size() == 2);
    settle();
    assertThat(text("job-title")).isEqualTo("Reed T2, second board");
    try (var aside = Files.list(logbookFolder())) {
      assertThat(aside.map(p -> p.getFileName().toString()))
          .anyMatch(n -> n.startsWith("set-aside-"));
    }

    // By hand, from the logbook's sheet.
    press(KeyCode.CONTROL, KeyCode.L);
    assertThat(((ListView<?>) node("jobs")).getItems()).hasSize(2);
    until("the copies are found", () -> stage.getScene().lookup("#restore-copy") != null);
    fire("restore-copy");
    assertThat(text("restore-copy")).startsWith("Put it back");
    fire("restore-copy");
    until("it is open again", () -> model.openedProperty().get() && model.jobs().size() == 2);
    settle();
    assertThat(text("job-title")).isEqualTo("Reed T2, second board");
  }
}
