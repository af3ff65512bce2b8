package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.Surfaces;
import dev.ambershim.desktop.widget.PictureView;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;

/** Lap: what it would gain, strokes, a pass that teaches the rate, another aim and another face. */
class LapTest extends DesktopTest {
  private String notes() {
    StringBuilder all = new StringBuilder();
    ((VBox) node("lap-notes"))
        .getChildren()
        .forEach(n -> all.append(((Label) n).getText()).append(' '));
    return all.toString();
  }

  @Test
  void aHollowLidIsPlannedLappedAndJudgedAgain() {
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8"));
    settle();
    hands.push(KeyCode.CONTROL, KeyCode.DIGIT6);
    until("Lap is there", () -> stage.getScene().lookup("#lap-answer") != null);
    worked();
    assertThat(text("lap-answer")).contains("not probed yet").contains("Measure");

    List<ProbedPoint> points = new ArrayList<>();
    for (int x = -15; x <= 15; x += 5) {
      for (int y = -15; y <= 15; y += 5) {
        points.add(new ProbedPoint(x, y, 60.0 * (x * x + y * y) / 450));
      }
    }
    onFx(
        () ->
            model.edit(
                "probing",
                job ->
                    job.withSurfaces(
                        Surfaces.NONE.with(new Relief(Face.LID_TOP, "as it came", points, 0)))));
    worked();
    assertThat(text("lap-answer")).startsWith("Lapping the top of the lid would gain");
    assertThat(((PictureView) node("lap-strokes")).picture().description())
        .startsWith("Strokes: P");
    assertThat(notes())
        .contains("The plating goes first at a corner")
        .contains("known within a factor of three")
        .contains("2.2");

    // A first pass, measured, replaces the rate of common practice.
    onFx(() -> ((TextField) node("pass-strokes")).setText("300"));
    enter("pass-removed", "9");
    assertThat(job().surfaces().passes()).hasSize(1);
    assertThat(notes()).contains("The rate is your own, from 1 measured pass");

    enter("pass-removed", "2000");
    assertThat(model.messageProperty().get().text()).contains("strokes");
    onFx(() -> ((TextField) node("pass-strokes")).setText("40"));
    enter("pass-removed", "2000");
    assertThat(model.messageProperty().get().text()).contains("cannot have come off");

    // Extreme cold asks for another flatness and another finish.
    onFx(() -> ((CheckBox) node("lap-cold")).fire());
    worked();
    assertThat(notes()).contains("flat to 5 µm all over").contains("P1200");
    assertThat(
            ((VBox) node("lap-cautions"))
                .getChildren().stream().map(n -> ((Label) n).getText()).toList())
        .anyMatch(c -> c.contains("refrigerants"))
        .anyMatch(c -> c.startsWith("Sand wet"));

    // A floor that cannot be kept is said.
    enter("surfaces-terms-floorMillimetres", "2.29");
    assertThat(notes()).contains("do not lap that far");
    enter("surfaces-terms-targetMicrometres", "0.003");
    assertThat(model.messageProperty().get().text()).contains("flatness to reach");
    onFx(() -> ((ToggleButton) node("lap-face-DIE")).fire());
    worked();
    assertThat(text("lap-answer")).startsWith("The die is not probed yet");
    onFx(() -> ((Button) node("remove-pass")).fire());
    worked();
    assertThat(job().surfaces().passes()).isEmpty();
  }
}
