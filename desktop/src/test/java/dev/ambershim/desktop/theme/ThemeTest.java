package dev.ambershim.desktop.theme;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.picture.Tone;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Style sheets and pictures share their tones; figures stand in columns. */
class ThemeTest {
  @TempDir Path folder;

  private static String sheet(Theme theme) throws IOException {
    try (InputStream in = Theme.class.getResourceAsStream(theme.words() + ".css")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @ParameterizedTest
  @EnumSource(Theme.class)
  void sheetsAndPicturesUseTheSameTones(Theme theme) throws IOException {
    String css = sheet(theme);
    for (Tone tone :
        new Tone[] {
          Tone.GROUND,
          Tone.PANEL,
          Tone.INK,
          Tone.QUIET,
          Tone.GRID,
          Tone.AMBER,
          Tone.BEFORE,
          Tone.AFTER,
          Tone.ALARM
        }) {
      assertThat(css)
          .contains(
              "-shim-"
                  + tone.name().toLowerCase(Locale.ROOT)
                  + ": "
                  + tone.hex(theme.dark())
                  + ";");
    }
  }

  @Test
  void sheetsCanBeMadeBinary() throws IOException {
    Theme.makeBinary(folder);
    for (String name : new String[] {"shell", "paper", "graphite"}) {
      assertThat(Files.size(folder.resolve(name + ".bss"))).isGreaterThan(200);
    }
  }

  @Test
  void figuresAllHaveTheSameWidth() throws InterruptedException {
    Theme.loadFonts().join();
    Text text = new Text();
    text.setFont(Font.font("Lato", 40));
    assertThat(text.getFont().getFamily()).isEqualTo("Lato");
    double[] widths = new double[10];
    for (int digit = 0; digit < 10; digit++) {
      text.setText(Integer.toString(digit).repeat(10));
      widths[digit] = text.getLayoutBounds().getWidth();
    }
    assertThat(widths).containsOnly(widths[0]);
  }
}
