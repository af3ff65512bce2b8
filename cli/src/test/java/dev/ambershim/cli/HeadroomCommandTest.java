package dev.ambershim.cli;

import static dev.ambershim.cli.Outcome.run;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class HeadroomCommandTest {
  @TempDir Path folder;

  private String rungs() throws IOException {
    Path file = folder.resolve("rungs.csv");
    Files.writeString(
        file,
        """
        side,clock_MHz,voltage_V,outcome,how,hottest_C,room_C
        before,4500,1.15,passed,,78,22
        before,4600,1.18,passed,,82,22
        before,4700,1.21,too hot,,93,22
        after,4600,1.18,passed,,65,22
        after,4900,1.28,passed,,76,22
        after,5000,1.31,failed,wrong result,80,22
        """);
    return file.toString();
  }

  /** A log at a clock that lowers itself now and then, if it is to throttle. */
  private String log(double rise, double clock, boolean throttles) throws IOException {
    StringBuilder text = new StringBuilder("time_s,core0_C,core1_C,room_C,power_W,clock_MHz\n");
    for (int i = 0; i < 900; i++) {
      double t = 22 + rise * (1 - Math.exp(-i / 30.0)) + 0.4 * Math.sin(i * 1.7);
      double now = throttles && i > 100 && i % 3 > 0 ? clock - 400 : clock;
      text.append(
          String.format(Locale.ROOT, "%d,%.2f,%.2f,22.0,160.0,%.0f%n", i, t - 2, t + 2, now));
    }
    Path file = folder.resolve("run-" + clock + "-" + throttles + ".csv");
    Files.writeString(file, text.toString());
    return file.toString();
  }

  @Test
  void saysTheGainTheTemperaturesAndWhatToTryNext() throws IOException {
    Outcome o = run("headroom", rungs());
    assertThat(o.err()).isEmpty();
    assertThat(o.code()).isZero();
    assertThat(o.out())
        .startsWith(
            "It holds 4900 to 5000 MHz after and 4600 to 4700 MHz before the work under 90.0 °C in"
                + " a room of 22.0 °C: 2")
        .containsPattern("2[4-8][05] MHz more \\(1\\d[05] to 3\\d[05]\\)\\.")
        .contains("After, 5000 MHz failed: wrong result.")
        .contains("At 4600 MHz, rung against rung, the hottest core is 17.0 K cooler")
        .contains("but heat is not what stopped it")
        .contains("Halve the gap: try 4950 MHz.");
  }

  @Test
  void theJsonHasItsKeys() throws IOException {
    JsonNode json =
        Json.mapper().readTree(run("headroom", rungs(), "--json", "--limit", "85").out());
    assertThat(json.at("/headroom/value").asDouble()).isBetween(260.0, 340.0);
    assertThat(json.at("/headroom/interval/low").asDouble()).isBetween(150.0, 250.0);
    assertThat(json.at("/gainByHeat/value").asDouble()).isPositive();
    assertThat(json.at("/limitCelsius").asDouble()).isEqualTo(85);
    assertThat(json.at("/before/lowestNotPassedMegahertz").asDouble()).isEqualTo(4700);
    assertThat(json.at("/after/heatLimit/value").asDouble()).isBetween(5000.0, 5400.0);
    assertThat(json.at("/after/next/clockMegahertz").asDouble()).isEqualTo(4950);
    assertThat(json.at("/after/rungs/2/how").asText()).isEqualTo("wrong result");
    assertThat(json.at("/atEqualClock/value").asDouble()).isEqualTo(-17);
  }

  @Test
  void runsAreRungsToo() throws IOException {
    JsonNode json =
        Json.mapper()
            .readTree(
                run(
                        "headroom",
                        "--before",
                        log(58, 4600, false),
                        log(66, 4800, true),
                        "--after",
                        log(48, 4800, false),
                        "--json")
                    .out());
    assertThat(json.at("/before/highestPassedMegahertz").asDouble()).isEqualTo(4600);
    assertThat(json.at("/before/lowestNotPassedMegahertz").asDouble()).isEqualTo(4800);
    assertThat(json.at("/before/rungs/1/outcome").asText()).isEqualTo("throttled");
    assertThat(json.at("/after/highestPassedMegahertz").asDouble()).isEqualTo(4800);
    assertThat(json.at("/headroom/sentence").asText()).contains("4800 MHz or more after");
  }

  @Test
  void whatIsWrongIsOneMessage() throws IOException {
    assertThat(run("headroom").code()).isEqualTo(2);
    assertThat(run("headroom").err()).contains("There is no rung");
    assertThat(run("headroom", rungs(), "--limit", "900").err()).contains("--limit");
    Path bad = folder.resolve("bad.csv");
    Files.writeString(bad, "clock_MHz,outcome\n4700,melted\n");
    Outcome o = run("headroom", bad.toString());
    assertThat(o.code()).isEqualTo(2);
    assertThat(o.err()).contains("bad.csv").contains("line 2").contains("melted");
    Path still = folder.resolve("still.csv");
    Files.writeString(still, Files.readString(Path.of(log(48, 4800, false))).replace(",4800", ""));
    assertThat(run("headroom", "--after", still.toString()).err()).contains("no clock");
  }
}
