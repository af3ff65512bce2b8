package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.ProbeTable;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.widget.PictureView;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Measure: heights typed and from the gauge, a probed face, the lid's gap and a sheet to cut. */
class MeasureTest extends DesktopTest {
  @BeforeEach
  void begin() {
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8"));
    settle();
    hands.push(KeyCode.CONTROL, KeyCode.DIGIT5);
    until("Measure is there", () -> stage.getScene().lookup("#measure-answer") != null);
    worked();
  }

  private void fire(String id) {
    onFx(() -> ((Button) node(id)).fire());
    worked();
  }

  @Test
  void heightsAreTypedAndTellWhatTouchesFirst() {
    assertThat(text("measure-answer")).contains("no die is read");
    fire("usual-tops");
    assertThat(job().heights().tops()).hasSize(6);
    enter("top-0", "0.780 0.781 0.779");
    enter("top-1", "0,725  0,726");
    assertThat(text("measure-answer"))
        .startsWith("The die touches first (over 99.9 % by the readings)")
        .contains("proud of the shim");
    assertThat(text("top-0-height")).startsWith("0.780 ± 0.00");
    assertThat(((PictureView) node("fit-picture")).picture().description())
        .startsWith("The plate rests on die");
    // A reading in the wrong unit is caught, and what was kept stays.
    enter("top-1", "726");
    assertThat(model.messageProperty().get().text())
        .contains("looks like micrometres; this field is mm");
    assertThat(job().heights().tops().get(1).height().millimetres()).containsExactly(0.725, 0.726);
    enter("top-1", "0.81 0.812");
    assertThat(text("measure-answer")).startsWith("The shim touches before the die");
    hands.push(KeyCode.CONTROL, KeyCode.Z);
    worked();
    assertThat(text("measure-answer")).startsWith("The die touches first");
    hands.push(KeyCode.CONTROL, KeyCode.W);
    settle();
    assertThat(node("show-working").getParent().getParent().lookup(".working").isVisible())
        .isTrue();
  }

  @Test
  void theGaugeFillsTheTopsOneAfterAnother() {
    fire("usual-tops");
    fire("gauge-connect");
    until(
        "the stand-in answers",
        () -> ((Button) node("gauge-connect")).getText().equals("Disconnect the gauge"));
    fire("read-tops");
    assertThat(text("gauge-next")).isEqualTo("1 of 6: die, over the substrate");
    for (int i = 0; i < 6; i++) {
      int before = i;
      hands.push(KeyCode.ALT, KeyCode.ENTER);
      until("a reading comes", () -> job().heights().tops().get(before).height().taken());
    }
    worked();
    assertThat(job().heights().tops().get(0).height().mean()).isCloseTo(0.78, within(0.03));
    assertThat(job().heights().tops().get(0).height().instrument()).isEqualTo(Instrument.INDICATOR);
    assertThat(node("gauge-typed").getParent().getParent().isVisible()).isFalse();
    fire("gauge-connect");
  }

  @Test
  void aFaceIsProbedByHandReadAndWritten() throws IOException {
    onFx(() -> ((ComboBox<?>) node("probe-grid")).getSelectionModel().select(0));
    fire("probe-begin");
    assertThat(text("gauge-next")).startsWith("1 of 9: top of the lid at right");
    enter("gauge-typed", "0.012");
    assertThat(model.messageProperty().get().text()).contains("looks like millimetres");
    assertThat(text("gauge-next")).startsWith("1 of 9");
    for (int i = 0; i < 9; i++) {
      enter("gauge-typed", Integer.toString(10 + (i == 4 ? 25 : i)));
    }
    assertThat(job().surfaces().latest(Face.LID_TOP).orElseThrow().points()).hasSize(9);
    assertThat(text("face-answer")).startsWith("Top of the lid: flat to").contains("over 9 places");
    assertThat(node("face-relief").isVisible()).isTrue();
    // Another face from a table, with a crumb that is pointed at and taken out.
    List<ProbedPoint> points = new ArrayList<>();
    for (int x = -20; x <= 20; x += 10) {
      for (int y = -20; y <= 20; y += 10) {
        points.add(new ProbedPoint(x, y, -0.01 * (x * x + y * y) + (x == 10 && y == 0 ? 30 : 0)));
      }
    }
    Path file = folder.resolve("plate.csv");
    Files.writeString(file, ProbeTable.write(points));
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(file));
    onFx(() -> ((ToggleButton) node("face-PLATE")).fire());
    worked();
    assertThat(text("face-answer")).contains("not probed yet");
    fire("probe-read");
    assertThat(text("face-answer")).startsWith("Cold plate: flat to");
    fire("outlier-0");
    assertThat(job().surfaces().latest(Face.PLATE).orElseThrow().points()).hasSize(24);
    assertThat(text("face-answer")).contains("convex");
    Path out = folder.resolve("out.csv");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(out));
    fire("probe-write");
    assertThat(ProbeTable.read("out.csv", Files.readString(out))).hasSize(24);
  }

  @Test
  void theLidsGapAndTheSheetAreThere() throws IOException {
    fire("usual-tops");
    enter("top-0", "0.780 0.781");
    enter("height-cavity", "0.83 0.831");
    enter("height-glue", "0");
    assertThat(text("lid-answer-0")).startsWith("The lid leaves 50 µm over die");
    enter("height-lidTop", "3.3");
    enter("heights-mount-travelMillimetres", "1");
    assertThat(text("lid-answer-1")).contains("stops 1.52 mm too high");
    assertThat(text("shim-answer")).isEqualTo("The shim around the die can be cut as drawn.");
    enter("shim-cornerMillimetres", "3");
    assertThat(text("shim-answer")).contains("cannot be cut like this: 1 flaw");
    Path out = folder.resolve("shim.dxf");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(out));
    fire("write-shim");
    until("it is written", () -> Files.exists(out));
    assertThat(Files.readString(out)).contains("POLYLINE");
    onFx(() -> ((ToggleButton) node("sheet-STENCIL")).fire());
    worked();
    assertThat(text("shim-answer")).contains("stencil");
    Node middle = node("middle");
    assertThat(
            middle.lookupAll(".scroll-bar").stream()
                .filter(n -> ((ScrollBar) n).getOrientation() == Orientation.HORIZONTAL)
                .noneMatch(Node::isVisible))
        .as("nothing is wider than the middle")
        .isTrue();
    assertThat(model.stageProperty().get()).isEqualTo(Stage.MEASURE);
  }

  /** In inches with a comma; boxes take what is typed in the person's own units. */
  @Test
  void boxesSpeakThePersonsUnits() {
    fire("usual-tops");
    onFx(() -> model.setNotation(new Notation(true, false, true, false)));
    worked();
    enter("top-0", "0,0307 0,0308");
    assertThat(job().heights().tops().get(0).height().mean())
        .isCloseTo(25.4 * 0.03075, within(1e-9));
    enter("heights-mount-travelMillimetres", "0,1");
    assertThat(job().heights().mount().travelMillimetres()).isCloseTo(2.54, within(1e-9));
    enter("heights-mount-travelMillimetres", "");
    assertThat(job().heights().mount().travelMillimetres()).isNull();
    enter("heights-xLoad", "");
    assertThat(model.messageProperty().get().text()).contains("Type a figure");
    enter("heights-xLoad", "oops");
    assertThat(model.messageProperty().get().text()).contains("is not a number");
    assertThat(node("heights-xLoad").getStyleClass()).contains("wrong");
    enter("heights-xLoad", "0,02");
    assertThat(job().heights().xLoad()).isCloseTo(0.508, within(1e-9));
    assertThat(node("heights-xLoad").getStyleClass()).doesNotContain("wrong");
    enter("heights-mount-screws", "4");
    assertThat(job().heights().mount().screws()).isEqualTo(4);
    assertThat(text("measure-answer")).startsWith("Only dies are read");
  }

  /** Tops come and go, are read over the mainboard, and every step can be taken back. */
  @Test
  void topsAreAddedChangedAndRemoved() {
    onFx(() -> ((TextField) node("new-top")).setText("row left"));
    fire("add-top");
    assertThat(job().heights().tops()).extracting(Top::name).containsExactly("row left");
    enter("heights-tops-0-xMillimetres", "-9");
    enter("heights-tops-0-widthMillimetres", "1");
    enter("heights-tops-0-depthMillimetres", "6");
    enter("top-0", "6.9");
    fire("top-0-over");
    assertThat(job().heights().tops().get(0).overBoard()).isTrue();
    assertThat(text("top-0-height")).isEmpty();
    enter("height-substrateOverBoard", "6.5 6.5");
    assertThat(text("top-0-height")).startsWith("0.400 ±");
    fire("remove-top-0");
    assertThat(job().heights().tops()).isEmpty();
    hands.push(KeyCode.CONTROL, KeyCode.Z);
    worked();
    assertThat(job().heights().tops().get(0).widthMillimetres()).isEqualTo(1);
    enter("heights-tops-0-xMillimetres", "900");
    assertThat(model.messageProperty().get().text()).contains("out of range");
    assertThat(job().heights().tops().get(0).xMillimetres()).isEqualTo(-9);
  }
}
