package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.OwnPaste;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Shelf;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A series in the window: planned, mounted one by one, one of them spoiled, judged. */
class SeriesTest extends DesktopTest {
  private static final Map<String, Double> TRUTHS = Map.of("ash", 62.0, "birch", 58.0);

  /** The rig's noise goes by the clock, so that a run is the same each time. */
  private volatile Moment now = new Moment(Instant.parse("2026-09-05T12:00:00Z"), "boot-1", 5);

  private void type(String field, String text) {
    onFx(() -> ((TextField) node(field)).setText(text));
  }

  private void begin() {
    open();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
    type("series-name", "two pastes");
    type("series-candidates", "ash, birch");
    type("series-mounts", "3");
    until("the plan is told", () -> text("series-plan").startsWith("3 mounts of each tell "));
    onFx(() -> node("series-candidates").requestFocus());
    press(KeyCode.ENTER);
    worked();
  }

  private String due() {
    return text("series-due");
  }

  private String candidate() {
    return due().contains("ash") ? "ash" : "birch";
  }

  private void mount(int number) {
    double wobble = 0.3 * (number % 3 - 1);
    type("series-cores", String.format(Locale.ROOT, "%.1f", 22 + TRUTHS.get(candidate()) + wobble));
    type("series-room", "22");
    type("series-watts", "150");
    onFx(() -> node("series-watts").requestFocus());
    press(KeyCode.ENTER);
    worked();
  }

  @Test
  void fromTheFirstMountToTheLastByKeyboard() throws IOException {
    begin();
    assertThat(due()).startsWith("Mount 1 of 6: ");
    mount(1);
    // What cannot be is said, and nothing is written down.
    type("series-cores", "20");
    type("series-watts", "150");
    onFx(() -> node("series-cores").requestFocus());
    press(KeyCode.ENTER);
    settle();
    assertThat(text("series-wrong")).contains("cannot stand so far");
    assertThat(due()).startsWith("Mount 2 of 6: ");
    String spoiled = due();
    onFx(() -> node("series-spoil").requestFocus());
    press(KeyCode.SPACE);
    settle();
    assertThat(text("series-wrong")).contains("why it was spoiled");
    type("series-why", "hair under the plate");
    onFx(() -> node("series-spoil").requestFocus());
    press(KeyCode.SPACE);
    worked();
    assertThat(due()).isEqualTo(spoiled);
    for (int i = 2; i <= 6; i++) {
      mount(i);
    }
    assertThat(due()).isEqualTo("All 6 mounts are made.");
    until("it is judged", () -> text("series-answer").startsWith("Birch is best"));
    assertThat(((PictureView) node("series-picture-mounts")).drawn()).isTrue();
    assertThat(notes()).anyMatch(n -> n.endsWith("did not count at first: hair under the plate."));
    Path table = folder.resolve("mounts.csv");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(table));
    onFx(() -> ((Button) node("series-table")).fire());
    worked();
    assertThat(Files.readAllLines(table)).hasSize(8);
    Path report = folder.resolve("series.html");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(report));
    onFx(() -> ((Button) node("series-report")).fire());
    worked();
    assertThat(Files.readString(report)).contains("Birch is best", "<svg");
    onFx(() -> ((Button) node("series-undo")).fire());
    worked();
    assertThat(due()).startsWith("Mount 6 of 6: ");
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
    settle();
    assertThat(stage.getScene().lookup("#series-due")).isNull();
  }

  @Test
  void candidatesComeFromTheShelfWithTheirPrice() {
    try (Logbook book = Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      Shelf.keep(
          book,
          List.of(
              new ShelfItem("grey tube", Supply.PASTE, 4, 8, null),
              new ShelfItem("gloves", Supply.GLOVES, 50, 8, null)));
    }
    open();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
    worked();
    @SuppressWarnings("unchecked")
    ComboBox<String> shelf = (ComboBox<String>) node("series-shelf");
    until("the shelf is offered", () -> shelf.getItems().equals(List.of("grey tube")));
    type("series-candidates", "ash");
    onFx(() -> shelf.getSelectionModel().selectFirst());
    settle();
    assertThat(((TextField) node("series-candidates")).getText()).isEqualTo("ash, grey tube");
    type("series-mounts", "2");
    onFx(() -> node("series-candidates").requestFocus());
    press(KeyCode.ENTER);
    worked();
    assertThat(due()).startsWith("Mount 1 of 4");
  }

  /** From the first mount to the last on the rig; the print of one shows that it was spoiled. */
  @Test
  void aWholeSeriesIsConductedOnTheRig() {
    clock = () -> now;
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
    type("series-candidates", "ash, birch");
    type("series-mounts", "2");
    onFx(() -> node("series-candidates").requestFocus());
    press(KeyCode.ENTER);
    worked();
    // However many plateaus, it is one seating of the cooler, and one mount.
    conduct("2", "Mount 2 of 4");
    conduct("1", "Mount 3 of 4");
    String third = due();
    type("series-why", "a corner stayed dry");
    onFx(() -> node("series-spoil-last").requestFocus());
    press(KeyCode.SPACE);
    worked();
    assertThat(due()).startsWith("Mount 2 of 4");
    conduct("1", third);
    conduct("1", "Mount 4 of 4");
    conduct("1", "All 4 mounts are made.");
    // No mount is a proof of the job's work.
    assertThat(model.jobProperty().get().runs())
        .hasSize(6)
        .allMatch(r -> r.state().equals("series Series"));
    until("it is judged", () -> !text("series-answer").startsWith("Two candidates"));
    assertThat(text("series-answer")).contains("cannot be told apart");
    assertThat(notes()).anyMatch(n -> n.endsWith("did not count at first: a corner stayed dry."));
  }

  private void conduct(String plateaus, String then) {
    now = new Moment(now.wall().plusSeconds(3600), now.boot(), now.upSeconds() + 3600);
    press(KeyCode.CONTROL, KeyCode.J);
    type("conduct-plateau", "10");
    type("conduct-plateaus", plateaus);
    type("conduct-cool-down", "0");
    press(KeyCode.ENTER);
    until(
        then, 180, () -> stage.getScene().lookup("#series-due") != null && due().startsWith(then));
    worked();
  }

  private List<String> notes() {
    List<String> notes = new ArrayList<>();
    node("series-notes").lookupAll(".label").forEach(n -> notes.add(((Label) n).getText()));
    return notes;
  }

  @Test
  void whatWasDoneIsTakenBackAndDoneAgain() {
    begin();
    mount(1);
    mount(2);
    assertThat(due()).startsWith("Mount 3 of 6");
    press(KeyCode.CONTROL, KeyCode.Z);
    worked();
    press(KeyCode.CONTROL, KeyCode.Z);
    worked();
    assertThat(due()).startsWith("Mount 1 of 6");
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
    worked();
    assertThat(due()).startsWith("Mount 2 of 6");
    press(KeyCode.CONTROL, KeyCode.Z);
    press(KeyCode.CONTROL, KeyCode.Z);
    worked();
    assertThat(node("series-begin").isVisible()).isTrue();
    // Nothing is left to take back, and no job behind it is meant.
    assertThat(node("undo").isDisabled()).isTrue();
    press(KeyCode.CONTROL, KeyCode.Z);
    worked();
    assertThat(model.messageProperty().get().text())
        .isEqualTo("There is nothing to undo in your series.");
    assertThat(node("redo").isDisabled()).isFalse();
    onFx(() -> ((Button) node("redo")).fire());
    worked();
    assertThat(node("undo").isDisabled()).isFalse();
  }

  @Test
  void thePrintIsNotedOnceTheCoolerIsLifted() throws IOException {
    begin();
    assertThat(node("series-last").getParent().getParent().isVisible()).isFalse();
    mount(1);
    type("series-covered", "70");
    onFx(() -> node("series-covered").requestFocus());
    press(KeyCode.ENTER);
    worked();
    Path print = folder.resolve("print.png");
    ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", print.toFile());
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(print));
    onFx(() -> ((Button) node("series-print")).fire());
    worked();
    until(
        "the print is shown",
        () ->
            stage.getScene().lookup("#series-last") != null
                && node("series").lookupAll(".image-view").stream().anyMatch(Node::isVisible));
    type("series-covered", "170");
    onFx(() -> ((Button) node("series-lifted")).fire());
    settle();
    assertThat(text("series-wrong")).contains("So much cannot be covered.");
    type("series-covered", "70");
    mount(2);
    until("it is told", () -> notes().stream().anyMatch(n -> n.contains(" covered 70 % of the")));
  }

  @Test
  void theMountsAreSetInTime() throws IOException {
    begin();
    until(
        "the times are told",
        () -> text("series-times").startsWith("The 6 mounts that are left are done by "));
    String any = text("series-times");
    type("hours-from", "18:00");
    type("hours-to", "20:00");
    onFx(() -> node("hours-to").requestFocus());
    press(KeyCode.ENTER);
    worked();
    until("hours count", () -> !text("series-times").equals(any));
    type("start-at", "2031-06-16 18:30");
    onFx(() -> node("start-at").requestFocus());
    press(KeyCode.ENTER);
    settle();
    until("it is too far ahead", () -> text("series-times").contains("more than 60 days ahead"));
    type("start-at", "");
    onFx(() -> node("start-at").requestFocus());
    press(KeyCode.ENTER);
    until(
        "it is told again",
        () -> text("series-times").startsWith("The 6 mounts that are left are done by "));
    Path target = folder.resolve("mounts.ics");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(target));
    onFx(() -> ((Button) node("series-calendar")).fire());
    worked();
    assertThat(Files.readString(target)).contains("TRIGGER:-PT15M", "two pastes: Mount 1: ");
  }

  /** Weigh of the open job reckons with a paste that the series knows, until it is taken back. */
  @Test
  void theForecastReckonsWithAPasteOfTheSeries() {
    begin();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
    worked();
    for (int i = 1; i <= 6; i++) {
      mount(i);
    }
    until("it is judged", () -> text("series-answer").startsWith("Birch is best"));
    onFx(() -> pick("birch"));
    worked();
    OwnPaste paste = model.jobProperty().get().terms().ownPaste();
    assertThat(paste.name()).isEqualTo("birch");
    assertThat(paste.mounts()).isEqualTo(3);
    assertThat(paste.kelvin()).isBetween(-2.5, -1.5);
    onFx(() -> pick("a usual paste"));
    worked();
    assertThat(model.jobProperty().get().terms().ownPaste()).isNull();
  }

  @SuppressWarnings("unchecked")
  private void pick(String paste) {
    ((ComboBox<String>) node("series-paste")).getSelectionModel().select(paste);
  }

  @Test
  void aLogGoesToItsPlaceAndSeriesAreKept() throws IOException {
    begin();
    StringBuilder log = new StringBuilder("time,core 0,core 1,power_W,room_C\n");
    for (int t = 0; t < 1200; t++) {
      double rise = 60 * (1 - Math.exp(-t / 60.0)) + 0.2 * (t * 7 % 5 - 2);
      log.append(String.format(Locale.ROOT, "%d,%.1f,%.1f,150,22%n", t, 22 + rise, 23 + rise));
    }
    Path file = Files.writeString(folder.resolve("mount.csv"), log);
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(file));
    onFx(() -> ((Button) node("series-log")).fire());
    worked();
    assertThat(due()).startsWith("Mount 2 of 6: ");
    @SuppressWarnings("unchecked")
    ComboBox<String> pick = (ComboBox<String>) node("series-pick");
    assertThat(pick.getItems()).hasSize(2).first().isEqualTo("two pastes");
    Path card = folder.resolve("card.html");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(card));
    onFx(() -> ((Button) node("series-card")).fire());
    worked();
    assertThat(Files.readString(card)).contains("Block 3", "ash", "birch");
    onFx(() -> pick.getSelectionModel().selectLast());
    settle();
    assertThat(node("series-begin").isVisible()).isTrue();
    onFx(() -> pick.getSelectionModel().selectFirst());
    settle();
    assertThat(due()).startsWith("Mount 2 of 6: ");
  }
}
