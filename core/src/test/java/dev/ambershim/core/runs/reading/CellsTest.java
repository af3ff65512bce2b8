package dev.ambershim.core.runs.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Single cells. The quick path is held to the library's own reading of decimals. */
class CellsTest {
  @Property
  void theQuickPathReadsAsTheLibraryDoes(
      @ForAll @DoubleRange(min = -1e6, max = 1e6) double value,
      @ForAll @IntRange(min = 0, max = 8) int decimals) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    assertThat(Cells.number(text, false)).isEqualTo(Double.parseDouble(text));
    assertThat(Cells.number(text.replace('.', ','), true)).isEqualTo(Double.parseDouble(text));
  }

  @ParameterizedTest
  @CsvSource({
    "61.5,61.5",
    "-3,-3",
    "+3.5,3.5",
    "1e3,1000",
    "61 °C,61",
    "61.5W,61.5",
    "1 234.5,1234.5",
    "1'234.5,1234.5",
    "'1,234.5',1234.5",
    ".5,0.5"
  })
  void numbersWithAPoint(String text, double value) {
    assertThat(Cells.number(text, false)).isEqualTo(value);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"61,5|61.5", "1.234,5|1234.5", "61,5 °C|61.5", "-0,25|-0.25"})
  void numbersWithAComma(String text, double value) {
    assertThat(Cells.number(text, true)).isEqualTo(value);
  }

  @ParameterizedTest
  @CsvSource({"abc", "'61,5'", "'1,23,456'", "12:30:00", "2026-03-01", "60 miles", "core 0", "--5"})
  void whatIsNoNumber(String text) {
    assertThat(Cells.number(text, false)).isNaN();
  }

  @ParameterizedTest
  @CsvSource({"01.03.2026", "1.2.3", "61.5"})
  void pointsThatPartNoThousands(String text) {
    assertThat(Cells.number(text, true)).isNaN();
  }

  @Test
  void blanksAndFlags() {
    assertThat(Cells.blank(" n/a ")).isTrue();
    assertThat(Cells.blank("0")).isFalse();
    assertThat(Cells.blank("-1.5")).isFalse();
    assertThat(Cells.flag(" YES ")).isEqualTo(1);
    assertThat(Cells.flag("nein")).isZero();
    assertThat(Cells.flag("maybe")).isNaN();
  }

  @Test
  void unitsInTheirOwnSpelling() {
    assertThat(Cells.unit("DEGC")).isEqualTo("°C");
    assertThat(Cells.unit("Watts")).isEqualTo("W");
    assertThat(Cells.unit("furlong")).isNull();
    assertThat(Header.unitIn("Core 0 (°C)")).isEqualTo("°C");
    assertThat(Header.unitIn("core0_C")).isEqualTo("°C");
    assertThat(Header.unitIn("power_w")).isEqualTo("W");
    assertThat(Header.unitIn("clock, MHz")).isEqualTo("MHz");
    assertThat(Header.unitIn("Core 0")).isEmpty();
  }
}
