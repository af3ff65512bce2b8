package dev.ambershim.cli;

import static dev.ambershim.cli.Outcome.run;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The commands as a person types them: output, exit codes, messages. */
class CommandsTest {
  @TempDir Path folder;

  private String log(String name, double rise, String head, boolean comma) throws IOException {
    Random random = new Random(name.hashCode());
    StringBuilder text = new StringBuilder(head).append('\n');
    for (int i = 0; i < 900; i++) {
      double t = 22.5 + rise * (1 - Math.exp(-i / 30.0)) + 0.5 * random.nextGaussian();
      String row =
          String.format(
              Locale.ROOT,
              "%d;%.2f;%.2f;22.50;%.1f;4700",
              i,
              t - 2,
              t + 2,
              161 + random.nextGaussian());
      text.append(comma ? row.replace('.', ',') : row.replace(';', ',')).append('\n');
    }
    Path file = folder.resolve(name);
    Files.writeString(file, text.toString());
    return file.toString();
  }

  private String plain(String name, double rise) throws IOException {
    return log(name, rise, "time_s,core0_C,core1_C,room_C,power_W,clock_MHz", false);
  }

  @Test
  void compareSaysTheVerdict() throws IOException {
    Outcome o = run("compare", "--before", plain("b.csv", 60), "--after", plain("a.csv", 48));
    assertThat(o.code()).isZero();
    assertThat(o.err()).isEmpty();
    assertThat(o.out())
        .matches("(?s)Helped by 1[12]\\.\\d K \\(1[01]\\.\\d to 1[23]\\.\\d\\)\\..*");
  }

  @Test
  void compareReadsTwoHabitsAtOnce() throws IOException {
    String comma =
        log("k.csv", 48, "Zeit (s);Kern 0 [°C];Kern 1 [°C];Raum [°C];Power [W];Clock [MHz]", true);
    Outcome o = run("compare", "--before", plain("b.csv", 60), "--after", comma);
    assertThat(o.out()).startsWith("Helped by 1");
  }

  @Test
  void compareAsJsonHasThePublishedKeys() throws IOException {
    Outcome o =
        run(
            "compare",
            "--before",
            plain("b1.csv", 60),
            plain("b2.csv", 60.4),
            "--after",
            plain("a1.csv", 48),
            plain("a2.csv", 47.8),
            "--json");
    JsonNode node = Json.mapper().readTree(o.out());
    assertThat(node.path("verdict").asText()).isEqualTo("helped");
    assertThat(node.path("reasons").isArray()).isTrue();
    JsonNode change = node.path("change");
    assertThat(change.path("riseKelvin").asDouble()).isBetween(-12.8, -11.8);
    assertThat(change.path("low95Kelvin").asDouble())
        .isLessThan(change.path("high95Kelvin").asDouble());
    for (String side : new String[] {"before", "after"}) {
      for (String key :
          new String[] {
            "riseKelvin",
            "meanCoreCelsius",
            "hottestCoreCelsius",
            "spreadKelvin",
            "powerWatts",
            "resistanceKelvinPerWatt",
            "plateauSeconds",
            "throttledSeconds"
          }) {
        assertThat(node.path(side).path(key).isNumber()).as("%s %s", side, key).isTrue();
      }
      assertThat(node.path(side).path("runs").asInt()).isEqualTo(2);
      assertThat(node.path(side).path("spreadKelvin").asDouble()).isBetween(3.8, 4.2);
    }
  }

  @Test
  void compareGivesEveryFigureAndAllowsForMounts() throws IOException {
    String[] logs = {
      plain("b1.csv", 60), plain("b2.csv", 61), plain("a1.csv", 48), plain("a2.csv", 49)
    };
    JsonNode one =
        json(run("compare", "--before", logs[0], logs[1], "--after", logs[2], logs[3], "--json"));
    assertThat(one.path("figures")).hasSize(4);
    assertThat(one.at("/figures/3/name").asText()).isEqualTo("rise by power");
    assertThat(one.path("cores")).hasSize(2);
    assertThat(one.at("/cores/1/change").asDouble()).isBetween(-12.6, -11.4);
    assertThat(one.path("reasons").toString()).contains("deviation of 0.5 K is assumed");
    JsonNode mounts =
        json(
            run(
                "compare",
                "--before",
                logs[0],
                logs[1],
                "--after",
                logs[2],
                logs[3],
                "--remounted",
                "--json"));
    assertThat(mounts.path("reasons").toString()).contains("Between mounts");
    assertThat(run("compare", "--before", logs[0], "--after", logs[2], "--remount", "-1").code())
        .isEqualTo(2);
  }

  @Test
  void aFolderStandsForItsLogs(@TempDir Path folder) throws IOException {
    Files.copy(Path.of(plain("r1.csv", 60)), folder.resolve("r1.csv"));
    Files.copy(Path.of(plain("r2.csv", 61)), folder.resolve("r2.txt"));
    Files.writeString(folder.resolve("notes.md"), "not a log");
    assertThat(json(run("analyse", folder.toString(), "--json")).path("runs")).hasSize(2);
    Path empty = Files.createDirectory(folder.resolve("empty"));
    Outcome none = run("analyse", empty.toString());
    assertThat(none.code()).isEqualTo(2);
    assertThat(none.err()).contains("holds no log");
  }

  @Test
  void withoutARoomItSaysSoAndTakesATypedOne() throws IOException {
    String head = "time_s,core0_C,core1_C,shelf_x,power_W,clock_MHz";
    String before = log("b.csv", 60, head, false);
    String after = log("a.csv", 48, head, false);
    assertThat(run("compare", "--before", before, "--after", after).out())
        .contains("in core temperature")
        .contains("Room air is not known");
    JsonNode node =
        json(run("compare", "--before", before, "--after", after, "--room", "22.5", "--json"));
    assertThat(node.at("/before/riseKelvin").asDouble()).isBetween(59.5, 60.5);
    assertThat(node.at("/change/inCoreTemperatureOnly").asBoolean()).isFalse();
  }

  private static JsonNode json(Outcome o) throws IOException {
    assertThat(o.code()).as(o.err()).isZero();
    return Json.mapper().readTree(o.out());
  }

  @Test
  void rolesCanBeSaid() throws IOException {
    String odd = log("odd.csv", 60, "time_s,alpha,beta,gamma,delta,epsilon", false);
    Outcome o = run("compare", "--before", odd, "--after", odd);
    assertThat(o.code()).isEqualTo(2);
    assertThat(o.err()).contains("odd.csv").contains("\"alpha\"");
    o =
        run(
            "compare",
            "--before",
            odd,
            "--after",
            odd,
            "--role",
            "alpha=core",
            "--role",
            "beta=core",
            "--role",
            "gamma=room",
            "--care",
            "2");
    assertThat(o.code()).isZero();
    assertThat(o.out()).startsWith("Too small to matter");
    assertThat(run("compare", "--before", odd, "--after", odd, "--role", "omega=core").err())
        .contains("no column \"omega\"");
    assertThat(run("compare", "--before", odd, "--after", odd, "--role", "alpha=cheese").err())
        .contains("\"cheese\" is no role");
  }

  @Test
  void analyseTellsColumnsAndFigures() throws IOException {
    String file = plain("r.csv", 55);
    Outcome o = run("analyse", file);
    assertThat(o.out()).contains("It runs 5").contains("column \"power_W\": chip power");
    JsonNode run = json(run("analyse", file, "--json")).path("runs").get(0);
    assertThat(run.path("riseKelvin").asDouble()).isBetween(54.5, 55.5);
    assertThat(run.path("channels").get(0).path("role").asText()).isEqualTo("core temperature");
    assertThat(run.path("read").path("rows").asInt()).isEqualTo(900);
  }

  @ParameterizedTest
  @ValueSource(strings = {"missing.csv", "empty"})
  void badFilesAreOneClearMessage(String name) throws IOException {
    Files.createDirectory(folder.resolve("empty"));
    Outcome o =
        run("compare", "--before", folder.resolve(name).toString(), "--after", plain("a.csv", 48));
    assertThat(o.code()).isEqualTo(2);
    assertThat(o.out()).isEmpty();
    assertThat(o.err().lines()).hasSize(1);
    assertThat(o.err()).startsWith("amber-shim: ").doesNotContain("Exception");
  }

  @Test
  void aBinaryFileNamesItself() throws IOException {
    Path file = folder.resolve("picture.png");
    byte[] bytes = new byte[3000];
    new Random(1).nextBytes(bytes);
    Files.write(file, bytes);
    Outcome o = run("analyse", file.toString());
    assertThat(o.code()).isEqualTo(2);
    assertThat(o.err()).contains("picture.png").contains("not a text file");
    Files.write(file, "a,b\nc,d\n".getBytes(StandardCharsets.UTF_8));
    assertThat(run("analyse", file.toString()).err()).contains("line 1");
  }

  @ParameterizedTest
  @CsvSource({
    "compare --before a.csv, after",
    "compare --care soon --before a --after b, care",
    "juggle, juggle",
    "--sideways, sideways",
    "bench sleep, sleep"
  })
  void wrongWordsAreBadInput(String words, String named) {
    Outcome o = run(words.split(" ", -1));
    assertThat(o.code()).isEqualTo(2);
    assertThat(o.err()).contains(named).contains("--help");
  }

  @ParameterizedTest
  @CsvSource({"--room,900", "--care,-1", "--remount,-1"})
  void figuresOutOfRange(String option, String value) throws IOException {
    Outcome o =
        run(
            "compare",
            "--before",
            plain("b.csv", 60),
            "--after",
            plain("a.csv", 48),
            option,
            value);
    assertThat(o.code()).isEqualTo(2);
    assertThat(o.err()).contains(option);
  }

  @Test
  void help() {
    assertThat(run("--help").out()).contains("compare").contains("analyse").contains("restore");
    assertThat(run("compare", "--help").out()).contains("--before").contains("--json");
  }
}
