package dev.ambershim.desktop.widget;

import static org.assertj.core.api.Assertions.assertThat;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BaseSheetTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        ".root",
        "Text",
        ".button:hover",
        ".button > .text",
        ".combo-box-popup > .list-view > .virtual-flow > .clipped-container > .sheet > .list-cell",
        ".scroll-bar:vertical > .increment-button > .increment-arrow"
      })
  void whatCanMatchStays(String selector) {
    assertThat(BaseSheet.cut(selector + " { -fx-opacity: 1; }"))
        .isEqualTo(selector + " { -fx-opacity: 1; }\n");
  }

  @ParameterizedTest
  @ValueSource(strings = {".table-view", ".button.flat", ".tab-pane > .label", ".chart .text"})
  void whatCannotMatchGoes(String selector) {
    assertThat(BaseSheet.cut(selector + " { -fx-opacity: 1; }")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'.button, .table-view { a: 1; }' | '.button { a: 1; }'",
        "'.a { a: 1; } .label { b: 2; }' | '.label { b: 2; }'",
        "'/* .label { c: 3; } */ .label { b: 2; }' | '.label { b: 2; }'",
        "'.label,\n.text { b: 2; c: 3; }' | '.label, .text { b: 2; c: 3; }'",
        "'' | ''"
      })
  void selectorsGoOneByOne(String css, String kept) {
    assertThat(BaseSheet.cut(css).strip()).isEqualTo(kept);
  }

  @Test
  void ofTheBaseThemeAFifthIsLeft() throws IOException {
    for (String sheet :
        new String[] {
          new PrimerDark().getUserAgentStylesheet(), new PrimerLight().getUserAgentStylesheet()
        }) {
      String whole = read(sheet);
      String cut = BaseSheet.cut(whole);
      assertThat(cut.length()).isLessThan(whole.length() / 4);
      // The colours that all else is made of, and the controls of the window.
      assertThat(cut)
          .contains("-color-bg-default:", "-color-accent-emphasis:")
          .contains(".button", ".text-input", ".combo-box-base", ".slider", ".tooltip");
      assertThat(cut).doesNotContain(".table-view", ".tab-pane", ".date-picker", ".chart");
      assertThat(BaseSheet.cut(cut)).isEqualTo(cut);
    }
  }

  private static String read(String sheet) throws IOException {
    try (InputStream in = BaseSheetTest.class.getResourceAsStream(sheet)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }
}
