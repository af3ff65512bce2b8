package dev.ambershim.core.runs.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HistoryTest {
  @Test
  void readsWhatItDocuments() {
    List<Check> checks =
        History.read(
            "h.csv",
            """
            date,rise_K,power_W,state,standard_error_K,mount
            2025-06-08,63.67,144.7,after,0.3,1
            2025-03-01,63.24,149.7,after,,1
            """);
    assertThat(checks).hasSize(2);
    assertThat(checks.get(0).date()).isEqualTo(LocalDate.of(2025, 3, 1));
    assertThat(checks.get(0).errorKelvin()).isEmpty();
    assertThat(checks.get(1).errorKelvin()).isEqualTo(OptionalDouble.of(0.3));
    assertThat(checks.get(1).riseAt(2 * 144.7)).isEqualTo(2 * 63.67);
  }

  @Test
  void takesOtherHabits() {
    List<Check> checks =
        History.read(
            "h.csv",
            "\uFEFFPower (W);note;Rise [K];Date\n144,7;x;63,67;1.3.2025\n\n150;y;64;2025-03-05T08:15\n");
    assertThat(checks.get(0).riseKelvin()).isEqualTo(63.67);
    assertThat(checks.get(0).watts()).isEqualTo(144.7);
    assertThat(checks.get(0).state()).isEmpty();
    assertThat(checks.get(1).date()).isEqualTo(LocalDate.of(2025, 3, 5));
    assertThat(History.read("h", "date,rise_F,power_mW\n2025-03-01,90,100000\n").get(0))
        .isEqualTo(new Check(LocalDate.of(2025, 3, 1), 50, 100, "", "", OptionalDouble.empty()));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "''|drift.empty|The file is empty",
        "date,rise_K,power_W|drift.empty|There is no line",
        "rise_K,power_W~60,100|drift.header|No column date",
        "date,power_W~2025-01-01,100|drift.header|No column rise_K",
        "date,rise_K~2025-01-01,60|drift.header|No column power_W",
        "date,rise_K,power_W~2025-13-01,60,100|drift.cell|\"2025-13-01\" is no day",
        "date,rise_K,power_W~,60,100|drift.cell|The line has no day",
        "date,rise_K,power_W~03/01/2025,60,100|drift.cell|is no day",
        "date,rise_K,power_W~2025-01-01,sixty,100|drift.cell|\"sixty\" is not a number",
        "date,rise_K,power_W~2025-01-01,NaN,100|drift.cell|is not a number",
        "date,rise_K,power_W~2025-01-01,1e999,100|drift.cell|is not a number",
        "date,rise_K,power_W~2025-01-01,,100|drift.cell|no rise",
        "date,rise_K,power_W~2025-01-01,60|drift.cell|no power",
        "date,rise_K,power_W~2025-01-01,-3,100|drift.cell|cannot be",
        "date,rise_K,power_W~2025-01-01,330,100|drift.cell|cannot be",
        "date,rise_K,power_W~2025-01-01,60,0|drift.cell|cannot be",
        "date,rise_K,power_W,standard_error_K~2025-01-01,60,90,-1|drift.cell|standard error"
      })
  void saysWhatIsWrong(String text, String key, String words) {
    assertThatThrownBy(() -> History.read("h.csv", text.replace('~', '\n')))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("h.csv")
        .hasMessageContaining(words)
        .extracting(p -> ((Problem) p).key())
        .isEqualTo(key);
  }

  @Test
  void refusesTooManyLines() {
    String line = "2025-01-01,60,100\n";
    assertThatThrownBy(() -> History.read("h.csv", "date,rise_K,power_W\n" + line.repeat(2001)))
        .hasMessageContaining("line 2002")
        .hasMessageContaining("More than 2000");
  }
}
