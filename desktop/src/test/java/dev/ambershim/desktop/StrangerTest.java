package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.widget.Labels;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * A person who has never seen the program goes from the empty window to a verdict on two own logs.
 * What the machine takes is measured; what the person takes is counted at a slow pace: all words of
 * the window are read at 200 a minute, a key or a click takes a second, a file is found in ten.
 */
@Tag("slow")
class StrangerTest extends DesktopTest {
  private static final double WORDS_A_SECOND = 200.0 / 60;
  private static final double ACT_SECONDS = 1;
  private static final double DECIDE_SECONDS = 3;
  private static final double FILE_SECONDS = 10;

  /** A package is installed in this, by hand; the root where packages are tried takes less. */
  private static final double INSTALL_SECONDS = 60;

  private double seconds = INSTALL_SECONDS;
  private String read = "";

  private void decides() {
    seconds += DECIDE_SECONDS;
  }

  private void acts(KeyCode... keys) {
    seconds += ACT_SECONDS * keys.length;
    press(keys);
  }

  /** Reads what is new on the screen. */
  private void reads(String id) {
    StringBuilder all = new StringBuilder();
    Node place = node(id);
    onFx(
        () -> {
          if (place instanceof Label label) {
            all.append(Labels.plain(label.getText()));
          }
          for (Node node : place.lookupAll(".label")) {
            all.append(' ').append(Labels.plain(((Label) node).getText()));
          }
        });
    if (!read.equals(all.toString())) {
      read = all.toString();
      seconds += read.strip().split("\\s+", -1).length / WORDS_A_SECOND;
    }
  }

  private Path log(String name, double core) throws IOException {
    Random random = new Random(name.hashCode());
    StringBuilder text =
        new StringBuilder("Time [s],Core 0 [°C],Core 1 [°C],Package Power [W],Ambient [°C]\n");
    for (int i = 0; i < 900; i++) {
      double noise = 0.5 * random.nextGaussian();
      text.append(
          String.format(
              Locale.ROOT,
              "%d,%.0f,%.0f,%.1f,22.0%n",
              i,
              core + noise,
              core + 3 + noise,
              150 + random.nextGaussian()));
    }
    return Files.writeString(folder.resolve(name), text.toString());
  }

  private void gives(Path file) {
    seconds += FILE_SECONDS;
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(file));
  }

  @Test
  void fromThePackageToAVerdictOnTwoOwnLogsInFiveMinutes() throws IOException {
    long began = System.nanoTime();
    open();
    until("the forecast is told", 60, () -> text("begin-answer").contains("in eight cases"));
    reads("begin");
    // Three questions are looked at, and a name is typed.
    for (int question = 0; question < 3; question++) {
      decides();
    }
    onFx(() -> ((TextField) node("new-title")).setText("My chip"));
    onFx(() -> node("new-title").requestFocus());
    seconds += "My chip".length() * ACT_SECONDS;
    acts(KeyCode.ENTER);
    worked();
    reads("weigh-answer");
    // Where do the logs go? The line over the shelf says so on the second stage.
    decides();
    seconds += ACT_SECONDS;
    onFx(() -> model.stageProperty().set(Stage.BASELINE));
    until("the hint is told", 30, () -> text("stage-hint").contains("log from before the work"));
    reads("stage-hint");
    decides();
    gives(log("mine-before.csv", 88));
    acts(KeyCode.CONTROL, KeyCode.O);
    worked();
    reads("baseline-answer");
    decides();
    gives(log("mine-after.csv", 70));
    acts(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.O);
    worked();
    acts(KeyCode.CONTROL, KeyCode.DIGIT9);
    until("the verdict is told", 60, () -> text("verdict").startsWith("Helped by 18"));
    reads("verdict");
    seconds += (System.nanoTime() - began) / 1e9;
    assertThat(seconds).isLessThan(300);
  }
}
