package dev.ambershim.logbook.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.logbook.Fixture;
import dev.ambershim.logbook.store.Logbook;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RungCsvTest {
  private static final List<RungEntry> RUNGS =
      List.of(
          new RungEntry(Side.BEFORE, Rung.typed(4700, 1.25, Outcome.TOO_HOT, "", 96.5, 22.0)),
          new RungEntry(
              Side.AFTER,
              new Rung(
                  4900, null, Outcome.FAILED, "froze, twice", null, null, 170.5, 12.0, "", null)));

  @Test
  void whatIsWrittenIsReadAgain() {
    assertThat(RungCsv.read("r.csv", RungCsv.write(RUNGS))).isEqualTo(RUNGS);
  }

  @Test
  void columnsStandInAnyOrderWithSemicolonsAndCommas() {
    String text =
        """
        \uFEFFoutcome;clock_mhz;hottest_C;side
        passed;4700;81,5;After
        too hot;4800;;
        """;
    List<RungEntry> rungs = RungCsv.read("r.csv", text);
    assertThat(rungs.get(0).rung().hottestCelsius()).isEqualTo(81.5);
    assertThat(rungs.get(0).side()).isEqualTo(Side.AFTER);
    assertThat(rungs.get(1).side()).isEqualTo(Side.BEFORE);
    assertThat(rungs.get(1).rung().hottestCelsius()).isNull();
  }

  @Test
  void otherUnitsAreTurned() {
    Rung rung =
        RungCsv.read(
                "r.csv",
                """
                clock_GHz,outcome,voltage_mV,hottest_F,room_F,hours
                4.7,passed,1250,185,71.6,0.5
                """)
            .get(0)
            .rung();
    assertThat(rung.clockMegahertz()).isCloseTo(4700, within(1e-9));
    assertThat(rung.voltageVolts()).isCloseTo(1.25, within(1e-9));
    assertThat(rung.hottestCelsius()).isCloseTo(85, within(1e-9));
    assertThat(rung.roomCelsius()).isCloseTo(22, within(1e-9));
    assertThat(rung.minutes()).isEqualTo(30);
  }

  @ParameterizedTest
  @CsvSource({
    "'clock_MHz,outcome\n4700,melted', 2, melted",
    "'clock_MHz,outcome\n4700,passed\nfast,passed', 3, fast",
    "'clock_MHz,outcome\n47,passed', 2, clock",
    "'outcome\npassed', 2, clock_MHz",
    "'side,clock_MHz,outcome\nleft,4700,passed', 2, left",
    "'clock_MHz,outcome', 1, no rung",
    "'', 1, The file is empty"
  })
  void whatIsWrongIsNamedWithItsLine(String text, int line, String word) {
    assertThatThrownBy(() -> RungCsv.read("my-rungs.csv", text))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("my-rungs.csv")
        .hasMessageContaining("line " + line)
        .hasMessageContaining(word);
  }

  @Test
  void aJobKeepsItsRungsInTheLogbook(@TempDir Path folder) {
    try (Logbook logbook = Fixture.open(folder)) {
      Job job = Fixture.job("Sedge Q4").withRungs(RUNGS);
      String id = logbook.create(job).id();
      assertThat(logbook.load(id).job()).isEqualTo(job);
    }
  }
}
