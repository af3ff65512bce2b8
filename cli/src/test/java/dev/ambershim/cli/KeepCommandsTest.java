package dev.ambershim.cli;

import static dev.ambershim.cli.Outcome.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * {@code drift} and {@code everyday} as a person types them. Both histories were simulated by a
 * script that shares no code with this project; what happens in them is in their names.
 */
@Tag("slow")
class KeepCommandsTest {
  @TempDir Path folder;

  private String history(String name) throws IOException {
    Path file = folder.resolve(name + ".csv");
    try (InputStream in = KeepCommandsTest.class.getResourceAsStream(name + ".drift.csv")) {
      Files.write(file, in.readAllBytes());
    }
    return file.toString();
  }

  private static JsonNode json(Outcome done) throws IOException {
    assertThat(done.err()).isEmpty();
    assertThat(done.code()).isZero();
    return Json.mapper().readTree(done.out());
  }

  @Test
  void aCreepingChipHasADate() throws IOException {
    JsonNode node =
        json(
            run(
                "drift",
                history("creeping"),
                "--limit",
                "110",
                "--room",
                "21",
                "--watts",
                "150",
                "--json"));
    assertThat(node.get("trend").asText()).isEqualTo("creeping");
    assertThat(node.get("watts").asDouble()).isEqualTo(150);
    JsonNode rate = node.get("kelvinPerYear");
    double value = rate.get("value").asDouble();
    assertThat(rate.get("low95").asDouble()).isGreaterThan(5).isLessThan(value);
    assertThat(rate.get("high95").asDouble()).isGreaterThan(value);
    assertThat(node.get("jumps")).isEmpty();
    LocalDate date = LocalDate.parse(node.at("/reopen/date").asText());
    // By hand: 82.4 K at 158 W on 2027-01-29 is 78.2 K at 150 W; 89 K come 10.8 K later.
    long days = date.toEpochDay() - LocalDate.of(2027, 2, 16).toEpochDay();
    assertThat(days / 365.25).isCloseTo((89 - 78.6) / value, within(0.15));
    assertThat(node.at("/reopen/low95").asText()).isLessThan(date.toString());
    assertThat(node.at("/reopen/high95").asText()).isGreaterThan(date.toString());
    assertThat(node.at("/finding/sentence").asText()).startsWith("It gets hotter by ");
  }

  @Test
  void aJumpHasItsDay() throws IOException {
    JsonNode node = json(run("drift", history("jumped"), "--json"));
    assertThat(node.get("trend").asText()).isEqualTo("jumped");
    assertThat(node.get("jumps")).hasSize(1);
    assertThat(node.at("/jumps/0/date").asText()).isEqualTo("2025-11-18");
    assertThat(node.at("/jumps/0/kelvin").asDouble()).isCloseTo(4.2, within(0.8));
    assertThat(node.get("reopen").isNull()).isTrue();
    Outcome plain = run("drift", history("jumped"), "--limit", "95");
    assertThat(plain.out())
        .startsWith("It got ")
        .contains("95.0 °C is not likely to come within 10 years.");
  }

  @Test
  void whatCannotBeIsRefused() throws IOException {
    String file = history("jumped");
    for (String[] wrong :
        new String[][] {
          {"--limit", "20", "--room", "25"},
          {"--limit", "900"},
          {"--watts", "0"},
          {"--room", "900"}
        }) {
      String[] all = new String[wrong.length + 2];
      all[0] = "drift";
      all[1] = file;
      System.arraycopy(wrong, 0, all, 2, wrong.length);
      Outcome done = run(all);
      assertThat(done.code()).as(String.join(" ", wrong)).isEqualTo(2);
      assertThat(done.err().lines()).hasSize(1);
      assertThat(done.out()).isEmpty();
    }
    Path one = folder.resolve("one.csv");
    Files.writeString(one, "date,rise_K,power_W,state\n2025-03-01,60,150,after\n");
    JsonNode node = json(run("drift", one.toString(), "--limit", "90", "--json"));
    assertThat(node.get("trend").asText()).isEqualTo("cannot tell");
    assertThat(node.get("kelvinPerYear").isNull()).isTrue();
    assertThat(node.get("reopen").isNull()).isTrue();
  }

  /** A first-order chip of 0.4 K/W under tasks that come and go, read in whole degrees. */
  private String ordinary(String name, double moves) throws IOException {
    Random random = new Random(8);
    StringBuilder log = new StringBuilder("time_s,core 0,power_W\n");
    double[] rise = {60 * 0.15, 60 * 0.25};
    double watts = 60;
    for (int t = 0; t < 3600; t++) {
      if (random.nextInt(90) == 0) {
        watts = 60 + moves * (random.nextDouble() - 0.5);
      }
      rise[0] += (0.15 * watts - rise[0]) / 8;
      rise[1] += (0.25 * watts - rise[1]) / 250;
      log.append(
          String.format(Locale.ROOT, "%d,%d,%.1f%n", t, Math.round(21 + rise[0] + rise[1]), watts));
    }
    Path file = folder.resolve(name);
    Files.writeString(file, log);
    return file.toString();
  }

  @Test
  void ordinaryUseTellsTheResistance() throws IOException {
    JsonNode node = json(run("everyday", ordinary("day.csv", 100), "--room", "21", "--json"));
    assertThat(node.get("usable").asBoolean()).isTrue();
    JsonNode told = node.get("resistanceKelvinPerWatt");
    assertThat(told.get("value").asDouble()).isCloseTo(0.4, within(0.008));
    assertThat(told.get("low95").asDouble()).isLessThan(0.4);
    assertThat(told.get("high95").asDouble()).isGreaterThan(0.4);
    assertThat(node.get("movedWatts").asDouble()).isBetween(50.0, 100.0);
    assertThat(node.get("room").asText()).isEqualTo("typed");
    Outcome plain = run("everyday", ordinary("again.csv", 100), "--room", "21");
    assertThat(plain.out())
        .startsWith("The resistance from the cores to the room is 0.")
        .contains("The power moved by");
  }

  @Test
  void aLogThatMovedTooLittleSaysSo() throws IOException {
    JsonNode node = json(run("everyday", ordinary("flat.csv", 1), "--room", "21", "--json"));
    assertThat(node.get("usable").asBoolean()).isFalse();
    assertThat(node.get("why").asText()).contains("moved by only");
    assertThat(run("everyday", ordinary("room.csv", 100)).out()).contains("room is not known");
    assertThat(run("everyday", folder.resolve("none.csv").toString()).code()).isEqualTo(2);
  }
}
