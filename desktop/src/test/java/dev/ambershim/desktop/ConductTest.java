package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A run on the simulated rig, set up and followed in the window. */
class ConductTest extends DesktopTest {
  @BeforeEach
  void aJob() {
    open();
    press(KeyCode.CONTROL, KeyCode.N);
    robot.clickOn(node("new-title"));
    robot.write("Sedge Q4", 0);
    press(KeyCode.ENTER);
    weighed();
  }

  private void type(String id, String text) {
    robot.clickOn(node(id));
    robot.push(KeyCode.CONTROL, KeyCode.A);
    robot.write(text, 0);
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
    until("it has settled", () -> text("live-settled").startsWith("Settled"));
    Node conditions = node("live-conditions");
    assertThat(conditions.lookupAll(".live-words"))
        .anyMatch(n -> n instanceof Labeled l && l.getText().startsWith("holds: room air"));
    until("it ends", () -> text("live-phase").equals("Ended"));
    assertThat(text("live-settled")).isEqualTo("It went through to its end.");
    click("live-stop");
    settle();
    assertThat(shown("live-phase")).isFalse();
    assertThat(text("baseline-answer")).contains("above room air");
    assertThat(logs()).hasSize(1);
    assertThat(shown("baseline-cores")).isTrue();
    assertThat(node("baseline-cores-words").lookupAll(".label"))
        .anyMatch(n -> n instanceof Labeled l && l.getText().contains("came quickly"));
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
    robot.clickOn(node("live-stop"));
    until("it has stopped", () -> text("live-phase").equals("Ended"));
    assertThat(text("live-settled")).isEqualTo("You stopped it.");
    assertThat(logs()).hasSize(1);
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
