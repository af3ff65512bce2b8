package dev.ambershim.core.base;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TableTextTest {
  private static List<String> read(String text) {
    List<String> lines = new ArrayList<>();
    TableText.read(
        "t.csv",
        text,
        "made",
        "Begin anew.",
        (line, cells) -> lines.add(line + ": " + String.join("|", cells)));
    return lines;
  }

  @ParameterizedTest
  @ValueSource(strings = {"a,b\n1.5,2\n", "a;b\r\n1.5;2", "\uFEFFa\tb\n1.5\t2\n"})
  void commaSemicolonAndTabPart(String text) {
    assertThat(read(text)).hasSize(2).last().isEqualTo("2: 1.5|2");
  }

  @Test
  void blankLinesAndBlankCellsBehindTheLastNameDoNotCount() {
    assertThat(read("a,b\n\n , \n1,2,,\n3\n")).containsExactly("1: a|b", "4: 1|2||", "5: 3");
  }

  /** With a comma for a point each further figure would land in another column. */
  @Test
  void aDecimalCommaThatPartsIsRefused() {
    assertThatThrownBy(() -> read("x_mm,y_mm,z_um\n1,5,2,5,11,2\n"))
        .hasMessageContaining("t.csv, line 2")
        .hasMessageContaining("6 cells, but the header has 3")
        .hasMessageContaining("semicolons");
    assertThat(read("x;y\n1,5;2,5\n")).last().isEqualTo("2: 1,5|2,5");
  }

  @Test
  void whatIsNoTableIsNamed() {
    assertThatThrownBy(() -> read(" \n")).hasMessageContaining("The file is empty");
  }

  @Test
  void figuresHavePointOrComma() {
    assertThat(TableText.figure(" 61,5 ")).isEqualTo(61.5);
    assertThat(TableText.figure("−3.25e1")).isEqualTo(-32.5);
    for (String none : new String[] {"", "x", "1,234.5", "1.2.3", "NaN", "1e999", "0x1p3", "5 W"}) {
      assertThat(TableText.figure(none)).as(none).isNaN();
    }
  }
}
