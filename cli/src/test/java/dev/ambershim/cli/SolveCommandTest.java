package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** {@code solve} as a person types it. */
class SolveCommandTest {
  /** The published example, with a lid to spread the heat. */
  private static final String CASE =
      """
      {"format": "ambershim/stack-1",
       "layers": [
        {"name": "die", "conductivityWattsPerMetreKelvin": 120.0, "centreMillimetres": [0, 0],
         "sizeMillimetres": [20, 10], "thicknessMicrometres": 600,
         "volumetricHeatCapacityJoulesPerCubicMetreKelvin": 1.66e6},
        {"name": "inner joint", "conductivityWattsPerMetreKelvin": 30.0, "centreMillimetres": [0, 0],
         "sizeMillimetres": [20, 10], "thicknessMicrometres": 40, "interface": true,
         "contactResistanceSquareMillimetreKelvinPerWatt": 1.0,
         "thicknessMap": {"kind": "plane", "slopeMicrometresPerMillimetre": [1.0, -0.5]}},
        {"name": "lid", "conductivityWattsPerMetreKelvin": 401.0,
         "patches": [{"centreMillimetres": [0, 0], "sizeMillimetres": [30, 30]}],
         "thicknessMicrometres": 2000,
         "volumetricHeatCapacityJoulesPerCubicMetreKelvin": 3.44e6}],
       "heat": [
        {"name": "core 0", "centreMillimetres": [-5, 2], "sizeMillimetres": [3, 3], "watts": 20.0},
        {"name": "core 1", "centreMillimetres": [5, 2], "sizeMillimetres": [3, 3], "watts": 10.0}],
       "cooling": {"filmCoefficientWattsPerSquareMetreKelvin": 20000.0, "temperatureCelsius": 30.0}}
      """;

  @TempDir Path folder;

  private Outcome solve(String json, String... words) throws IOException {
    Path file = folder.resolve("case.stack.json");
    Files.writeString(file, json);
    String[] all = new String[words.length + 2];
    all[0] = "solve";
    all[1] = file.toString();
    System.arraycopy(words, 0, all, 2, words.length);
    return Outcome.run(all);
  }

  @Test
  void printsTheCaseAsJson() throws IOException {
    Outcome done = solve(CASE, "--json");
    assertThat(done.err()).isEmpty();
    assertThat(done.code()).isZero();
    JsonNode node = Json.mapper().readTree(done.out());
    double rise = node.get("peakCelsius").asDouble() - 30;
    assertThat(node.get("sources")).hasSize(2);
    JsonNode first = node.get("sources").get(0);
    assertThat(first.get("name").asText()).isEqualTo("core 0");
    assertThat(first.get("meanCelsius").asDouble())
        .isBetween(31.0, first.get("peakCelsius").asDouble());
    assertThat(first.get("peakCelsius").asDouble()).isEqualTo(node.get("peakCelsius").asDouble());
    assertThat(node.get("layers").get(1).get("bottomMeanCelsius").asDouble())
        .isGreaterThan(node.get("layers").get(1).get("topMeanCelsius").asDouble());
    // All heat leaves through the lid's top: its mean rise over the coolant follows.
    assertThat(node.get("layers").get(2).get("topMeanCelsius").asDouble())
        .isCloseTo(30 + 30 / (20000 * 9e-4), within(1e-4));
    assertThat(node.get("heatWatts").asDouble()).isEqualTo(30);
    assertThat(Math.abs(node.get("energyImbalanceRelative").asDouble())).isLessThan(1e-6);
    assertThat(node.get("discretisationErrorKelvin").asDouble()).isBetween(0.0, 0.005 * rise);
    assertThat(node.get("cells").asLong()).isPositive();
    assertThat(node.get("iterations").asInt()).isPositive();
    assertThat(node.get("seconds").asDouble()).isPositive();
  }

  @Test
  void saysItInWordsAndKeepsToTheWantedCells() throws IOException {
    Outcome done = solve(CASE, "--cells", "20000");
    assertThat(done.out()).contains("Peak").contains("layer \"lid\"").contains("core 1");
    JsonNode node = Json.mapper().readTree(solve(CASE, "--cells", "20000", "--json").out());
    assertThat(node.get("cells").asDouble()).isCloseTo(20000, within(2000.0));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"thicknessMicrometres\": 600 | \"thicknessMicrometres\": -600 | layer \"die\" | thickness",
        "[1.0, -0.5] | [9.0, -0.5] | layer \"inner joint\" | thickness map",
        "\"centreMillimetres\": [-5, 2] | \"centreMillimetres\": [-9, 2] | heat \"core 0\" | outside",
        "20000.0, | 0.0, | cooling | does not cool",
        "\"sizeMillimetres\": [30, 30] | \"sizeMillimetres\": [30] | layer \"lid\" | two figures",
        "stack-1 | stack-9 | format | stack-9",
        "\"kind\": \"plane\" | \"kind\": \"cone\" | layer \"inner joint\" | cone",
        "\"watts\": 10.0 | \"watts\": \"ten\" | heat \"core 1\" | watts",
        "\"watts\": 10.0 | \"watts\": \"10,5\" | heat \"core 1\" | with a point",
        "\"layers\": [ | \"layers\": { | line 3 | not valid JSON",
        "{\"centreMillimetres\": [0, 0], \"sizeMillimetres\": [30, 30]} |"
            + " {\"centreMillimetres\": [90, 0], \"sizeMillimetres\": [30, 30]} | layer \"lid\" | floats",
      })
  void refusesABadCaseWithItsPlace(String good, String bad, String place, String word)
      throws IOException {
    assertThat(CASE).contains(good);
    Outcome done = solve(CASE.replace(good, bad));
    assertThat(done.code()).isEqualTo(2);
    assertThat(done.out()).isEmpty();
    assertThat(done.err()).contains("case.stack.json").contains(place).contains(word);
    assertThat(done.err().strip().lines()).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource({"--cells,0", "--cells,99999999999", "--error,2", "--threads,0"})
  void refusesABadOption(String option, String value) throws IOException {
    Outcome done = solve(CASE, option, value);
    assertThat(done.code()).isEqualTo(2);
    assertThat(done.err()).contains(option);
  }

  @Test
  void anEmptyFileIsSaidToBeEmpty() throws IOException {
    Outcome done = solve("");
    assertThat(done.code()).isEqualTo(2);
    assertThat(done.err()).contains("empty").contains("ambershim/stack-1");
  }

  @Test
  void followsAPowerTable() throws IOException {
    String level =
        CASE.replace(
            ", \"thicknessMap\": {\"kind\": \"plane\", \"slopeMicrometresPerMillimetre\": [1.0, -0.5]}",
            "");
    Path power = folder.resolve("power.csv");
    Files.writeString(power, "time_s,core 1,core 0\n0,0,20\n2,10,0\n60,10,0\n");
    Path target = folder.resolve("out.csv");
    Outcome done =
        solve(level, "--power", power.toString(), "--out", target.toString(), "--cells", "3000");
    assertThat(done.err()).isEmpty();
    String[] lines = Files.readString(target).strip().split("\\R");
    assertThat(lines).hasSize(4);
    assertThat(lines[0])
        .isEqualTo("time_s,core 0 mean_C,core 0 peak_C,core 1 mean_C,core 1 peak_C,peak_C");
    assertThat(lines[1]).isEqualTo("0,30,30,30,30,30");
    double[] atTwo = figures(lines[2]);
    double[] atEnd = figures(lines[3]);
    assertThat(atTwo[1]).isGreaterThan(atTwo[3]);
    assertThat(atEnd[3]).isGreaterThan(atEnd[1]);
    assertThat(solve(level, "--power", power.toString(), "--cells", "3000").out())
        .isEqualTo(Files.readString(target));
    // As a spreadsheet of another country writes it.
    Files.writeString(power, "\uFEFFtime_s;core 1;core 0\r\n0;0;20,0\r\n2,0;10;0\r\n60;10;0\r\n");
    assertThat(solve(level, "--power", power.toString(), "--cells", "3000").out())
        .isEqualTo(Files.readString(target));
  }

  private static double[] figures(String line) {
    return Arrays.stream(line.split(",")).mapToDouble(Double::parseDouble).toArray();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "time_s,core 0 : 0,1 : 1,1 | line 1 | core 1",
        "time_s,core 0,core 1 : 0,1,1 | power.csv | at least two",
        "time_s,core 0,core 1 : 0,1,1 : 0,1,1 | line 3, column 1 | rise",
        "time_s,core 0,core 1 : 0,1,1 : 1,1,x | line 3, column 3 | number",
        "time_s,core 0,core 1 : 0,1,1 : 1,-1,4 | line 3, column 2 | -1.0 W",
        "time_s,core 0,core 1 : 0,1,1 : 1,2,5,4 | line 3 | semicolons",
        "time_s,core 0,core 1,spare : 0,1,1,1 : 1,1,4,1 | line 1 | do not fit",
      })
  void refusesABadPowerTable(String table, String place, String word) throws IOException {
    Path power = folder.resolve("power.csv");
    Files.writeString(power, table.replace(" : ", "\n") + "\n");
    Outcome done = solve(CASE, "--power", power.toString());
    assertThat(done.code()).isEqualTo(2);
    assertThat(done.err()).contains("power.csv").contains(place).contains(word);
  }
}
