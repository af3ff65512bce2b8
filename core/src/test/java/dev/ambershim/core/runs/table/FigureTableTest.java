package dev.ambershim.core.runs.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.table.FigureTable.In;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class FigureTableTest {
  private static FigureTable read(String text) {
    return FigureTable.read("t.csv", text, "table", "day,size_mm", 5);
  }

  @Test
  void columnsAreFoundByNameWhateverTheirOrder() {
    FigureTable table = read("Size [mm];note;Day\n1,5;a;2026-01-02\n");
    assertThat(table.has("size_mm")).isTrue();
    assertThat(table.has("DAY")).isTrue();
    assertThat(table.has("colour")).isFalse();
    FigureTable.Row row = table.rows().get(0);
    assertThat(row.figure("size_mm")).isEqualTo(OptionalDouble.of(1.5));
    assertThat(row.text("note")).isEqualTo("a");
    assertThat(row.text("colour")).isEmpty();
    assertThat(row.day("day")).isEqualTo(LocalDate.of(2026, 1, 2));
    assertThat(row.line()).isEqualTo(2);
  }

  @Test
  void unitsAreBroughtToTheUsualOne() {
    List<In> lengths = List.of(In.of("_mm", 1), In.of("_in", 25.4), new In("_odd", 2, 1));
    assertThat(read("size_in\n2\n").rows().get(0).figure("size", lengths))
        .isEqualTo(OptionalDouble.of(50.8));
    assertThat(read("size_odd\n2\n").rows().get(0).figure("size", lengths))
        .isEqualTo(OptionalDouble.of(5));
    assertThat(read("other\n2\n").rows().get(0).figure("size", lengths)).isEmpty();
  }

  @Test
  void quotedCellsAndSignsAreRead() {
    FigureTable table = read("day,size_mm\n\"2026-01-02\",\"−1,25\"\n2026-01-03,+2e1\n");
    assertThat(table.rows().get(0).figure("size_mm")).isEqualTo(OptionalDouble.of(-1.25));
    assertThat(table.rows().get(1).figure("size_mm")).isEqualTo(OptionalDouble.of(20));
  }

  @Test
  void aMissingColumnIsAskedFor() {
    FigureTable table = read("day\n2026-01-02\n");
    assertThatThrownBy(() -> table.need(List.of("day", "size_mm")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("t.csv, line 1: No column size_mm is in the header.")
        .hasMessageContaining("Begin the file with the line day,size_mm.");
  }

  @Test
  void aBadCellNamesItsPlace() {
    FigureTable table = read("day,size_mm\n2026-01-02,0x10\n9999-01-01,1\n");
    assertThatThrownBy(() -> table.rows().get(0).figure("size_mm"))
        .hasMessageContaining("t.csv, line 2, column 2: \"0x10\" is not a number.");
    assertThatThrownBy(() -> table.rows().get(1).day("day"))
        .hasMessageContaining("line 3, column 1")
        .hasMessageContaining("is no day");
  }

  @Test
  void hostileTablesEndWithAMessage() {
    assertThatThrownBy(() -> read(" \n \n")).hasMessageContaining("The file is empty");
    assertThatThrownBy(() -> read("day,size_mm\n\n \n")).hasMessageContaining("no line of figures");
    assertThatThrownBy(() -> read("a\n" + "1\n".repeat(6))).hasMessageContaining("More than 5");
    String wide = "day,size_mm\n2026-01-02," + "9".repeat(400) + "\n";
    assertThatThrownBy(() -> read(wide).rows().get(0).figure("size_mm"))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("…");
  }
}
