package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.plan.Moment;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A run on the simulated rig, set up and followed in the window. */
class ConductTest extends DesktopTest {
  /**
   * The rig's noise goes by the clock: some runs of eight minutes cannot be judged, as real ones.
   */
  private static final Moment NOON = new Moment(Instant.parse("2026-09-05T12:00:00Z"), "boot-1", 5);

  @BeforeEach
  void aJob() {
    clock = () -> NOON;
    open();
    press(KeyCode.CONTROL, KeyCode.N);
    hands.clickOn(node("new-title"));
    hands.write("Sedge Q4");
    press(KeyCode.ENTER);
    weighed();
  }

  private void type(String id, String text) {
    hands.clickOn(node(id));
    hands.push(KeyCode.CONTROL, KeyCode.A);
    hands.write(text);
  }

  private boolean shown(String id) {
    return stage.getScene().lookup("#" + id) != null;
  }

  private List<Path> logs() throws IOException {
    Path runs = folder.resolve("logbook/runs");
    if (!Files.isDirectory(runs)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(runs)) {
      return all.toList();
    }
  }

  @Test
  void aRunIsConductedToItsEndAndTakenIntoTheJob() throws IOException {
    press(KeyCode.CONTROL, KeyCode.J);
    type("conduct-plateau", "8");
    type("conduct-cool-down", "0");
    press(KeyCode.ENTER);
    until("the load is on", () -> text("live-phase").startsWith("Plateau 1"));
    until("it is hot", () -> text("live-hottest").matches("[5-9]\\d\\.\\d °C"));
    until("it has settled", 180, () -> text("live-settled").startsWith("Settled"));
    Node conditions = node("live-conditions");
    assertThat(conditions.lookupAll(".live-words"))
        .anyMatch(n -> n instanceof Labeled l && l.getText().startsWith("Holds: room air"));
    until("it ends", 180, () -> text("live-phase").equals("Ended"));
    assertThat(text("live-settled")).isEqualTo("It went through to its end.");
    until("it tells its answer", () -> text("live-answer").contains(" above room air"));
    click("live-stop");
    settle();
    assertThat(shown("live-phase")).isFalse();
    assertThat(text("baseline-answer")).contains("above room air");
    assertThat(logs()).hasSize(1);
    assertThat(shown("baseline-cores")).isTrue();
    until(
        "the rise is parted",
        () ->
            node("baseline-cores-words").lookupAll(".label").stream()
                .anyMatch(n -> n instanceof Labeled l && l.getText().contains("came quickly")));
    // A second mount is said by a press.
    click("mount-0");
    assertThat(text("mount-0")).isEqualTo("Mount 2");
    assertThat(model.jobProperty().get().runs().get(0).mount()).isEqualTo(2);
  }

  @Test
  void aRunCanBeStoppedAndWhatItHasIsKept() throws IOException {
    press(KeyCode.CONTROL, KeyCode.J);
    press(KeyCode.ENTER);
    until("it runs", () -> text("live-left").matches("\\d+:\\d\\d"));
    // By one press of the largest key.
    hands.push(KeyCode.SPACE);
    until("it has stopped", () -> text("live-phase").equals("Ended"));
    assertThat(text("live-settled")).isEqualTo("You stopped it.");
    assertThat(logs()).hasSize(1);
  }

  @Test
  void aGrowingLogIsFollowed() throws IOException {
    Path log = folder.resolve("growing.csv");
    Files.writeString(log, "time,core 0\n0,40.5\n1,41.5\n2,42.5\n");
    when(picker.open(any(), any(), any(), any(), any())).thenReturn(List.of(log));
    press(KeyCode.CONTROL, KeyCode.J);
    ComboBox<?> from = (ComboBox<?>) node("conduct-from");
    onFx(
        () -> {
          from.getSelectionModel().selectLast();
          ((TextField) node("conduct-clock")).setText("4700");
          ((TextField) node("conduct-room")).setText("21.5");
        });
    press(KeyCode.ENTER);
    until("it waits", () -> shown("live-phase"));
    for (int i = 3; i < 8; i++) {
      Files.writeString(log, i + ",50.5\n", StandardOpenOption.APPEND);
    }
    until("its lines are shown", () -> text("live-hottest").equals("50.5 °C"));
    hands.clickOn(node("live-stop"));
    until("it has stopped", () -> text("live-phase").equals("Ended"));
    assertThat(logs()).hasSize(1);
    assertThat(logs().get(0)).content().contains("50.5").contains("clock as set");
    // The room once more: the run rises from the mean, and the wander is told.
    fill("live-room", "22.1");
    assertThat(text("live-room-said"))
        .startsWith("Kept: the run rises from 21.8 °C. The room wandered by 0.6 K");
    assertThat(model.jobProperty().get().runs().get(0).roomCelsius()).isCloseTo(21.8, within(1e-9));
  }

  @Test
  void aRunThatWasCutOffIsOfferedAgain() throws IOException {
    Path runs = Files.createDirectories(folder.resolve("logbook/runs"));
    Files.copy(MadeLogs.write(folder, "before-1.csv", 80), runs.resolve("before-1.csv"));
    Files.writeString(runs.resolve("before-1-warm-up.csv"), "elapsed [s],core 0 [°C]\n0,40\n");
    close();
    open();
    assertThat(text("message")).startsWith("A conducted run was cut off");
    press(KeyCode.CONTROL, KeyCode.J);
    click("take-left-runs");
    settle();
    assertThat(model.jobProperty().get().runs()).hasSize(1);
    press(KeyCode.CONTROL, KeyCode.J);
    settle();
    assertThat(shown("take-left-runs")).isFalse();
  }

  @Test
  void figuresOutOfRangeAreToldBesideTheButton() throws IOException {
    press(KeyCode.CONTROL, KeyCode.J);
    type("conduct-stop", "300");
    press(KeyCode.ENTER);
    assertThat(node("conduct-begin").getParent().lookupAll(".wrong"))
        .anyMatch(n -> n instanceof Labeled l && l.getText().contains("stop"));
    assertThat(logs()).isEmpty();
  }
}
