package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.desktop.widget.PictureView;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;

/** The clock ladder at the real window: rungs by keyboard, the gain, undo, tables in and out. */
class ClimbTest extends DesktopTest {
  private String words() {
    return ((VBox) node("prove-ladder-words"))
        .getChildren().stream().map(n -> ((Label) n).getText()).collect(Collectors.joining("\n"));
  }

  private void told() {
    until("the ladder is told", () -> !model.reckoning().busyProperty().get());
    settle();
  }

  private void write(String side, String clock, String ended, String hottest) {
    onFx(
        () -> {
          @SuppressWarnings("unchecked")
          ComboBox<String> sides = (ComboBox<String>) node("rung-side");
          @SuppressWarnings("unchecked")
          ComboBox<String> ways = (ComboBox<String>) node("rung-ended");
          sides.setValue(side);
          ways.setValue(ended);
          ((TextInputControl) node("rung-hottest")).setText(hottest);
          ((TextInputControl) node("rung-clock")).setText(clock);
          ((Button) node("add-rung")).fire();
        });
    told();
  }

  @Test
  void aClimbIsWrittenDownJudgedUndoneAndCarriedAway() throws IOException {
    open();
    press(KeyCode.CONTROL, KeyCode.N);
    hands.clickOn(node("new-title"));
    hands.write("Sedge Q4");
    press(KeyCode.ENTER);

    // By the key from any stage; the first rung, typed and kept by Enter.
    press(KeyCode.CONTROL, KeyCode.G);
    assertThat(stage.getScene().getFocusOwner().getId()).isEqualTo("rung-clock");
    assertThat(text("prove-ladder-answer")).startsWith("No rung yet");
    onFx(() -> ((TextInputControl) node("rung-room")).setText("22"));
    write("before", "4700", "passed", "84");
    assertThat(text("prove-ladder-answer"))
        .isEqualTo("It holds 4700 MHz or more under 90.0 °C in a room of 22.0 °C.");
    write("before", "4800", "too hot", "93");
    write("after", "4700", "passed", "70");
    write("after", "5000", "passed", "84");
    // The last one by keyboard: Enter in the box for the clock keeps it.
    onFx(
        () -> {
          @SuppressWarnings("unchecked")
          ComboBox<String> ways = (ComboBox<String>) node("rung-ended");
          ways.setValue("failed: froze");
        });
    fill("rung-clock", "5100");
    told();
    assertThat(text("prove-ladder-answer"))
        .containsPattern(
            "in a room of 22\\.0 °C: 2[5-9][05] MHz more \\(1\\d[05] to 3\\d[05]\\)\\.$");
    assertThat(words())
        .contains("the hottest core is 14.0 K cooler")
        .contains("After, 5100 MHz failed: froze.")
        .contains("try 5050 MHz");
    assertThat(((PictureView) node("prove-ladder")).picture().description())
        .contains("before: 4700 to 4800 MHz")
        .contains("after: 5000 to 5100 MHz");

    // A clock that cannot be is refused in words, and nothing is kept.
    fill("rung-clock", "47");
    assertThat(model.jobProperty().get().rungs()).hasSize(5);

    // Undo, out as a table, away, and in again.
    press(KeyCode.CONTROL, KeyCode.Z);
    told();
    assertThat(text("prove-ladder-answer")).contains("5000 MHz or more after");
    Path table = folder.resolve("rungs.csv");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(table));
    click("write-rungs");
    assertThat(Files.readString(table)).contains("after,5000,,passed,,84,22,,");
    click("remove-rung-3");
    assertThat(model.jobProperty().get().rungs()).hasSize(3);
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(table));
    click("take-rungs");
    settle();
    assertThat(model.jobProperty().get().rungs()).hasSize(4);

    // The limit is a figure of the job like any other.
    fill("field-ladder-limitCelsius", "80");
    told();
    assertThat(text("prove-ladder-answer")).contains("less than 4700 MHz before");

    fill("ladder-load", "all cores");
    told();
    assertThat(words()).contains("Load: all cores.");

    // Restart: all is there again, in Baseline with its own side only.
    close();
    open();
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    told();
    assertThat(text("baseline-ladder-answer")).contains("It holds less than 4700 MHz");
  }
}
