package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The table of priors is the handbook's, and says what it means. */
class PriorTableTest {
  @Test
  void theHandbookShowsTheSameTable() throws IOException {
    String page = Files.readString(Path.of("../docs/handbook/weigh.md"));
    String table =
        page.substring(
            page.indexOf("<!-- priors -->") + "<!-- priors -->".length(),
            page.indexOf("<!-- end of priors -->"));
    assertThat(table.strip()).isEqualTo(written());
  }

  private static String written() {
    return "| figure | likely | nine of ten | unit | source |\n|---|---|---|---|---|\n"
        + PriorTable.rows().stream()
            .map(
                p ->
                    String.format(
                        Locale.ROOT,
                        "| %s | %s | %s to %s | %s | %s |",
                        p.what(),
                        figure(p.likely()),
                        figure(p.low()),
                        figure(p.high()),
                        p.unit(),
                        p.source()))
            .collect(Collectors.joining("\n"));
  }

  private static String figure(double value) {
    return new java.math.BigDecimal(value)
        .round(new java.math.MathContext(3))
        .stripTrailingZeros()
        .toPlainString();
  }

  @Test
  void everyRowHasAKeyOfItsOwnAndASource() {
    assertThat(PriorTable.rows()).extracting(Prior::key).doesNotHaveDuplicates();
    assertThat(PriorTable.rows()).allSatisfy(p -> assertThat(p.source()).isNotBlank());
    assertThatThrownBy(() -> new Prior("x", "x", 5, 6, 7, "", ""))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void nineInTenIsWhatTheDeviationSays() {
    // Standard normal: 0.95 quantile 1.6449 (Abramowitz & Stegun, Table 26.5).
    Prior factor = new Prior("x", "x", 1, 0.5, 2, "×", "");
    assertThat(Math.exp(1.6449 * factor.sigmaOfLogarithm())).isCloseTo(2, within(1e-4));
    assertThat(new Prior("x", "x", 0, -3.2898, 3.2898, "K", "").sigma()).isCloseTo(2, within(1e-4));
  }
}
