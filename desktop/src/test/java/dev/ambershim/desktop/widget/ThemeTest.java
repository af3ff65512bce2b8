package dev.ambershim.desktop.widget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.picture.Tone;
import dev.ambershim.desktop.model.Theme;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
    try (InputStream in = Dress.class.getResourceAsStream(theme.words() + ".css")) {
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

  private static String token(String css, String name) {
    Matcher found = Pattern.compile("-shim-" + name + ": (#[0-9a-fA-F]{6});").matcher(css);
    assertThat(found.find()).as(name).isTrue();
    return found.group(1);
  }

  /** WCAG 2.1, relative luminance and contrast ratio. */
  private static double contrast(String one, String other) {
    double a = luminance(one);
    double b = luminance(other);
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  private static double luminance(String hex) {
    double[] weights = {0.2126, 0.7152, 0.0722};
    double sum = 0;
    for (int i = 0; i < 3; i++) {
      double c = Integer.parseInt(hex.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
      sum += weights[i] * (c <= 0.03928 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4));
    }
    return sum;
  }

  @Test
  void blackOnWhiteIsTwentyOneToOne() {
    assertThat(contrast("#000000", "#ffffff")).isCloseTo(21, within(1e-9));
    assertThat(contrast("#777777", "#ffffff")).isCloseTo(4.48, within(0.005));
  }

  /** Every pair of text and ground that the sheets use, at the bench as well. */
  @ParameterizedTest
  @EnumSource(Theme.class)
  void textStandsOutFromItsGround(Theme theme) throws IOException {
    String css = sheet(theme);
    String[][] pairs = {
      {"ink", "ground"}, {"ink", "panel"}, {"ink", "hover"}, {"quiet", "ground"},
      {"quiet", "panel"}, {"amber", "ground"}, {"amber", "panel"}, {"amber", "hover"},
      {"alarm", "panel"}, {"alarm", "ground"}, {"before", "panel"}, {"after", "panel"},
      {"on-amber", "amber-fill"}
    };
    for (String[] pair : pairs) {
      assertThat(contrast(token(css, pair[0]), token(css, pair[1])))
          .as("%s on %s, %s", pair[0], pair[1], theme.words())
          .isGreaterThanOrEqualTo(4.5);
    }
    // Pictures at the bench: the numbers of the screws, words on a wait's band.
    boolean dark = theme.dark();
    assertThat(contrast(Tone.PANEL.hex(dark), Tone.AMBER.hex(dark))).isGreaterThanOrEqualTo(4.5);
    assertThat(contrast(Tone.INK.hex(dark), Tone.AFTER_BAND.hex(dark))).isGreaterThanOrEqualTo(4.5);
    assertThat(contrast(Tone.INK.hex(dark), Tone.GAP.hex(dark))).isGreaterThanOrEqualTo(4.5);
  }

  @Test
  void sheetsCanBeMadeBinary() throws IOException {
    Dress.makeBinary(folder);
    for (String name : new String[] {"shell", "paper", "graphite"}) {
      assertThat(Files.size(folder.resolve(name + ".bss"))).isGreaterThan(200);
    }
  }

  @Test
  void figuresAllHaveTheSameWidth() throws InterruptedException {
    Dress.loadFonts().join();
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
