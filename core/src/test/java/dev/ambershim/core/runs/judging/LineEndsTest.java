package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.runs.reading.TabbedReader;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where lines and cells end, on both ways of reading. */
class LineEndsTest {
  private static RunLog read(String text) {
    return LogReader.read("run.csv", text.getBytes(StandardCharsets.UTF_8));
  }

  @ParameterizedTest
  @ValueSource(strings = {"\n", "\r\n", "\r"})
  void everyLineEnd(String end) {
    for (String name : new String[] {"core 0", "\"core 0\""}) {
      String text =
          String.join(end, "time," + name + ",room", "0,60.5,21", "1,61.5,21", "2,62.5,21");
      for (String tail : new String[] {"", end, end + end}) {
        RunLog log = read(text + tail);
        assertThat(log.size()).isEqualTo(3);
        assertThat(log.with(Role.CORE).get(0).values()).containsExactly(60.5, 61.5, 62.5);
        assertThat(log.notes().rowsDropped()).isZero();
      }
    }
  }

  @Test
  void aLastCellThatIsEmptyIsAGap() {
    RunLog log = read("time,core 0,room\n0,60.5,21.5\n1,61.5,\n2,62.5,21.5\n3,63.5,21.5");
    assertThat(log.with(Role.ROOM).get(0).values()[1]).isNaN();
    assertThat(log.notes().cellsDropped()).isZero();
  }

  @Test
  void figuresAtTheEdgeOfExactness() {
    RunLog log =
        read(
            "time;core 0;clock\n0;123456789012345,5;-0,5\n1;0,1;,25\n2;61.;+7\n3;61,5;1e2\n"
                .replace("61.;", "61,;"));
    double[] core = log.channels().get(0).values();
    assertThat(core[0]).isEqualTo(123456789012345.5);
    assertThat(core[1]).isEqualTo(0.1);
    assertThat(core[2]).isEqualTo(61);
    assertThat(log.channels().get(1).values()).containsExactly(-0.5, 0.25, 7, 100);
  }

  @Test
  void lettersBeyondAsciiInTheCells() {
    RunLog log = read("time;Kern 0 [°C];Raum [°C]\n0;61 °C;21,5\n1;62 °C;21,5\n2;63 °C;21,5\n");
    assertThat(log.with(Role.CORE).get(0).values()).containsExactly(61, 62, 63);
    assertThat(log.with(Role.ROOM)).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "null",
      value = {
        "'  a  b c  '|2|'a>b c'",
        "'  a  b c  '|1|'a>b>c'",
        "'a > b'|2|'a > b'",
        "'one two   three'|2|'one two>three'"
      })
  void blanksBecomeTabs(String line, int least, String expected) throws IOException {
    StringBuilder out = new StringBuilder();
    try (TabbedReader reader = new TabbedReader(new StringReader(line + "\nz"), least)) {
      for (int c = reader.read(); c >= 0; c = reader.read()) {
        out.append((char) c);
      }
    }
    assertThat(out.toString().replace('\t', '>')).isEqualTo(expected + "\nz");
  }
}
