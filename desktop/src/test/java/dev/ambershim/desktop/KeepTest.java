package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.job.KeptCheck.From;
import dev.ambershim.core.job.PhotoPair;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Keep in the window: the course of both demo jobs, checks by hand, by log and by a run. */
class KeepTest extends DesktopTest {
  private void aJob() {
    open();
    press(KeyCode.CONTROL, KeyCode.N);
    hands.clickOn(node("new-title"));
    hands.write("Sedge Q4");
    press(KeyCode.ENTER);
    weighed();
    press(KeyCode.CONTROL, KeyCode.DIGIT0);
    worked();
  }

  private String answer() {
    worked();
    return text("keep-answer");
  }

  private void type(String field, String text) {
    onFx(() -> ((TextField) node(field)).setText(text));
  }

  private void write(String day, String cores, String watts) {
    type("check-day", day);
    type("check-cores", cores);
    type("check-room", "22");
    type("check-watts", watts);
    onFx(() -> node("check-add").requestFocus());
    press(KeyCode.SPACE);
    worked();
  }

  private void take(Path file) {
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(file));
    onFx(() -> node("keep-add").requestFocus());
    press(KeyCode.SPACE);
    worked();
  }

  @Test
  void bothDemoJobsAreSteadyNow() {
    List<JobHead> heads = new ArrayList<>();
    try (Logbook book = Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(book);
      heads.addAll(book.list());
    }
    open();
    for (String title : List.of("Sorrel", "Fennel")) {
      JobHead head =
          heads.stream().filter(h -> h.title().startsWith(title)).findFirst().orElseThrow();
      onFx(() -> model.open(head.id()));
      worked();
      press(KeyCode.CONTROL, KeyCode.DIGIT0);
      assertThat(answer()).as(title).startsWith("It runs as on the first day: ");
      assertThat(((PictureView) node("keep-course")).drawn()).isTrue();
      List<String> notes = new ArrayList<>();
      node("keep-notes").lookupAll(".label").forEach(n -> notes.add(((Label) n).getText()));
      assertThat(notes).anyMatch(n -> n.startsWith("The next check is due on "));
      if (title.equals("Sorrel")) {
        assertThat(notes).anyMatch(n -> n.startsWith("In the state \"before\": it got hotter by "));
      }
    }
  }

  @Test
  void remindersACertificateAndAllChips() throws IOException {
    aJob();
    for (int month = 1; month <= 6; month++) {
      write("2026-0" + month + "-10", "7" + (month % 2), "150");
    }
    Path reminders = folder.resolve("keep.ics");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(reminders));
    onFx(() -> node("keep-remind").requestFocus());
    press(KeyCode.SPACE);
    worked();
    assertThat(Files.readString(reminders)).contains("Sedge Q4: check", "DTSTART;VALUE=DATE:2026");
    Path certificate = folder.resolve("sale.html");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(certificate));
    onFx(() -> node("keep-certify").requestFocus());
    press(KeyCode.SPACE);
    worked();
    assertThat(Files.readString(certificate)).contains("warranty is lost", "SHA-256", answer());
    press(KeyCode.CONTROL, KeyCode.L);
    until("the chip is worked out", () -> model.chips().lines().size() == 1);
    settle();
    List<String> shown = new ArrayList<>();
    node("jobs").lookupAll(".label").forEach(n -> shown.add(((Label) n).getText()));
    assertThat(shown).contains("Sedge Q4", text("keep-answer"));
    assertThat(shown)
        .anyMatch(t -> t.startsWith("check due since ") || t.startsWith("next check "));
    @SuppressWarnings("unchecked")
    ComboBox<String> order = (ComboBox<String>) node("sort-jobs");
    onFx(() -> order.getSelectionModel().selectLast());
    ListView<?> jobs = (ListView<?>) node("jobs");
    onFx(() -> ((Button) node("archive-job")).fire());
    until("it is out of sight", () -> jobs.getItems().isEmpty());
    onFx(() -> ((CheckBox) node("show-archived")).fire());
    until("it is shown again", () -> jobs.getItems().size() == 1);
    onFx(() -> jobs.getSelectionModel().selectFirst());
    settle();
    assertThat(((Button) node("archive-job")).getText()).isEqualTo("Bring back");
    press(KeyCode.ESCAPE);
  }

  /** A chip whose kind ages on another chip of the same person. */
  @Test
  void ownJointsOfOtherChipsAreReckonedWith() {
    open();
    for (String title : List.of("Sedge Q4", "Heron 9")) {
      onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, title));
      worked();
      press(KeyCode.CONTROL, KeyCode.DIGIT0);
      for (int month = 1; month <= 6; month++) {
        write("2025-" + (month < 6 ? "0" : "") + 2 * month + "-10", "7" + (month % 2), "150");
      }
    }
    press(KeyCode.CONTROL, KeyCode.L);
    until("both chips are worked out", () -> model.chips().lines().size() == 2);
    press(KeyCode.ESCAPE);
    worked();
    assertThat(((Button) node("keep-own")).getText())
        .isEqualTo("Reckon with your own joints on other chips (1)");
    onFx(() -> ((Button) node("keep-own")).fire());
    worked();
    assertThat(job().care().ownJoints()).hasSize(1);
    List<String> notes = new ArrayList<>();
    node("keep-notes").lookupAll(".label").forEach(n -> notes.add(((Label) n).getText()));
    assertThat(notes)
        .contains(
            "The date reckons with 1 joint of your own on other chips, beside what is usual.");
    onFx(() -> ((Button) node("keep-own")).fire());
    worked();
    assertThat(job().care().ownJoints()).isEmpty();
  }

  @Test
  void aPhotoOfWhatWasFoundStandsBesideOneOfTheWork() throws IOException {
    aJob();
    Path photo = folder.resolve("found.png");
    ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", photo.toFile());
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(photo));
    onFx(() -> ((Button) node("found-photo")).fire());
    worked();
    type("found-day", "2026-03-20");
    type("found-now-width", "4000");
    onFx(() -> ((Button) node("found-add")).fire());
    worked();
    assertThat(job().care().found()).isEmpty();
    type("found-now-width", "20");
    onFx(() -> ((Button) node("found-add")).fire());
    worked();
    PhotoPair pair = job().care().found().get(0).photos();
    assertThat(pair.now().name()).isEqualTo("found.png");
    assertThat(pair.nowMillimetres()).isEqualTo(20);
    until(
        "it is drawn",
        () -> ((ImageView) node("found-pair").lookup(".image-view")).getImage() != null);
  }

  @Test
  void checksByHandTellADriftAndUndoTakesThemBack() {
    aJob();
    assertThat(answer()).startsWith("There is no check yet.");
    write("2025-01-10", "70", "150");
    assertThat(answer()).startsWith("One check cannot tell");
    write("2025-05-10", "72.2", "150");
    write("2025-09-10", "74.0", "150");
    write("2026-01-10", "76.2", "150");
    write("2026-05-10", "77.9", "150");
    write("2026-09-10", "80.1", "150");
    assertThat(answer()).startsWith("It gets hotter by ");
    assertThat(job().care().checks()).hasSize(6);
    type("field-care-limitCelsius", "79");
    onFx(() -> node("field-care-limitCelsius").requestFocus());
    press(KeyCode.ENTER);
    worked();
    assertThat(job().care().limitCelsius()).isEqualTo(79);
    write("nonsense", "70", "150");
    assertThat(job().care().checks()).hasSize(6);
    press(KeyCode.CONTROL, KeyCode.Z);
    press(KeyCode.CONTROL, KeyCode.Z);
    worked();
    assertThat(job().care().checks()).hasSize(5);
    click("check-out-0");
    worked();
    assertThat(job().care().checks()).hasSize(4);
    assertThat(answer()).startsWith("Too few checks");
    @SuppressWarnings("unchecked")
    ComboBox<String> kind = (ComboBox<String>) node("event-kind");
    onFx(() -> kind.setValue("dust cleaned"));
    type("event-day", "2026-02-01");
    onFx(() -> node("event-add").requestFocus());
    press(KeyCode.SPACE);
    worked();
    assertThat(job().care().events()).hasSize(1);
    type("found-day", "2026-03-20");
    onFx(() -> node("found-DRY").requestFocus());
    press(KeyCode.SPACE);
    type("found-note", "Thin at one corner.");
    type("found-hours", "800");
    onFx(() -> node("found-add").requestFocus());
    press(KeyCode.SPACE);
    worked();
    assertThat(job().care().found()).hasSize(1);
    List<String> notes = new ArrayList<>();
    node("keep-notes").lookupAll(".label").forEach(n -> notes.add(((Label) n).getText()));
    assertThat(notes)
        .contains(
            "Opened on 20 March 2026 after 10 months, 800 h of load, liquid metal: dry. Thin at one"
                + " corner.")
        .anyMatch(n -> n.startsWith("It was due: "));
    click("found-out-0");
    worked();
    assertThat(job().care().found()).isEmpty();
  }

  @Test
  void anHourOfOrdinaryUseIsTaken() throws IOException {
    aJob();
    Random random = new Random(5);
    StringBuilder log = new StringBuilder("time,core 0,power_W,room_C\n");
    double quick = 0;
    double slow = 0;
    double watts = 50;
    for (int t = 0; t < 3000; t++) {
      if (random.nextInt(80) == 0) {
        watts = 15 + 110 * random.nextDouble();
      }
      quick += (0.2 * watts - quick) / 10;
      slow += (0.2 * watts - slow) / 150;
      log.append(
          String.format(
              Locale.ROOT,
              "2026-03-04 1%d:%02d:%02d,%d,%.1f,22%n",
              t / 3600,
              t / 60 % 60,
              t % 60,
              Math.round(22 + quick + slow),
              watts));
    }
    Path file = folder.resolve("evening.csv");
    Files.writeString(file, log);
    take(file);
    worked();
    assertThat(job().care().checks()).hasSize(1);
    assertThat(job().care().checks().get(0).from()).isEqualTo(From.EVERYDAY);
    assertThat(job().care().checks().get(0).date()).hasToString("2026-03-04");
    double ratio = job().care().checks().get(0).riseKelvin() / job().care().checks().get(0).watts();
    assertThat(ratio).isBetween(0.39, 0.41);
    Path flat = folder.resolve("flat.csv");
    Files.writeString(flat, "time_s,core 0,power_W,room_C\n0,50,60,22\n1,50,60,22\n2,50,60,22\n");
    take(flat);
    worked();
    assertThat(job().care().checks()).hasSize(1);
  }

  @Test
  void aConductedRunIsACheckAndNoProofOfTheWork() {
    // The rig's noise goes by the clock, so that the run is the same each time.
    Moment noon = new Moment(Instant.parse("2026-09-05T12:00:00Z"), "boot-1", 5);
    clock = () -> noon;
    aJob();
    press(KeyCode.CONTROL, KeyCode.J);
    type("conduct-plateau", "10");
    type("conduct-cool-down", "0");
    press(KeyCode.ENTER);
    until("the run became a check", 180, () -> job().care().checks().size() == 1);
    worked();
    assertThat(job().care().checks().get(0).from()).isEqualTo(From.RUN);
    assertThat(job().runs()).allMatch(r -> r.state().startsWith("check of "));
  }
}
