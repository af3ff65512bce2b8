package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.picture.Span;
import dev.ambershim.core.runs.judging.RunMark;
import dev.ambershim.desktop.widget.ChartPanel;
import dev.ambershim.desktop.widget.PictureView;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A chart at the real window: zoomed, moved, read, marked, copied and written. */
class ChartsTest extends DesktopTest {
  private Span span() {
    Node up = node("baseline-chart");
    while (!(up instanceof ChartPanel)) {
      up = up.getParent();
    }
    return ((ChartPanel) up).model().spanProperty().get();
  }

  private String description() {
    return ((PictureView) node("baseline-chart")).picture().description();
  }

  private void key(KeyCode... keys) {
    hands.push(keys);
    FxThread.live();
  }

  @Test
  void aChartIsZoomedReadMarkedCopiedAndWritten() throws IOException {
    Path before = MadeLogs.write(folder, "before.csv", 80);
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(before));
    open();
    press(KeyCode.CONTROL, KeyCode.N);
    hands.clickOn(node("new-title"));
    hands.write("Sedge Q4");
    press(KeyCode.ENTER);
    press(KeyCode.CONTROL, KeyCode.O);
    Span all = span();

    // By mouse: a drag moves what is in sight, once there is room to move.
    click("baseline-chart-stack");
    key(KeyCode.EQUALS);
    key(KeyCode.EQUALS);
    Span near = span();
    assertThat(near.minutes()).isCloseTo(0.36 * all.minutes(), within(1e-9));
    Point2D grip = Hands.middleOf(node("baseline-chart-stack"));
    hands.moveTo(grip);
    hands.hold();
    for (int i = 1; i <= 12; i++) {
      hands.moveTo(grip.add(-10 * i, 0));
    }
    hands.letGo();
    settle();
    assertThat(span().fromMinutes()).isGreaterThan(near.fromMinutes());
    assertThat(span().minutes()).isCloseTo(near.minutes(), within(1e-9));

    // By keys: earlier, whole, and the reading line.
    double from = span().fromMinutes();
    key(KeyCode.CONTROL, KeyCode.LEFT);
    assertThat(span().fromMinutes()).isLessThan(from);
    key(KeyCode.DIGIT0);
    assertThat(span()).isEqualTo(all);
    key(KeyCode.RIGHT);
    settle();
    assertThat(((PictureView) node("baseline-chart-reading")).picture().description())
        .contains("min: before");

    // A mark is an edit like any other: kept, told, undone.
    press(KeyCode.M);
    assertThat(model.jobProperty().get().marks()).hasSize(1);
    HBox row = (HBox) ((VBox) node("baseline-chart-marks")).getChildren().get(0);
    assertThat(((Label) row.getChildren().get(0)).getText()).startsWith("A at ");
    assertThat(description()).contains("Mark A at");
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(model.jobProperty().get().marks()).isEmpty();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);

    // Copied as a picture twice as large, and as words.
    key(KeyCode.CONTROL, KeyCode.C);
    settle();
    onFx(
        () -> {
          Clipboard board = Clipboard.getSystemClipboard();
          assertThat(board.getString()).contains("Mark A at");
          assertThat(board.getImage().getWidth())
              .isEqualTo(2 * ((PictureView) node("baseline-chart")).picture().width());
        });

    // Written in three ways.
    for (String ending : List.of("png", "svg", "csv")) {
      Path target = folder.resolve("chart." + ending);
      when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(target));
      click("baseline-chart-save");
      until("it is told", () -> text("message").equals("Written, chart: " + target + "."));
    }
    assertThat(ImageIO.read(folder.resolve("chart.png").toFile()).getWidth()).isGreaterThan(1000);
    assertThat(Files.readString(folder.resolve("chart.svg"))).startsWith("<svg").contains(">A<");
    assertThat(Files.readAllLines(folder.resolve("chart.csv"))).hasSizeGreaterThan(100);

    // Taken out again by its button.
    click("remove-mark-0");
    assertThat(model.jobProperty().get().marks()).isEqualTo(List.<RunMark>of());
  }
}
