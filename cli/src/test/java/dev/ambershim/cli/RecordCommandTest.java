package dev.ambershim.cli;

import static dev.ambershim.cli.Outcome.run;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code record} from the command line, on the rig and on a made tree of sensor files. */
@Tag("slow")
class RecordCommandTest {
  @TempDir Path folder;

  @Test
  void theRigIsConductedAndJudged() throws IOException {
    String stem = folder.resolve("runs/before").toString();
    Outcome o = run("record", "--rig", "--watts", "120", stem, "--json");
    assertThat(o.err()).isEmpty();
    JsonNode node = Json.mapper().readTree(o.out());
    assertThat(node.path("done").asBoolean()).isTrue();
    JsonNode run = node.path("runs").get(0);
    assertThat(run.path("fit").asBoolean()).isTrue();
    assertThat(run.path("coreCelsius")).hasSize(8);
    assertThat(run.at("/step/quick/kelvin").asDouble()).isBetween(20.0, 45.0);
    assertThat(run.path("pumpTurnsPerMinute").asDouble()).isBetween(2500.0, 2700.0);
    assertThat(folder.resolve("runs/before.csv")).exists();
    // The log that came of it reads like any other.
    assertThat(run("analyse", stem + ".csv").out()).contains("above room air");
    assertThat(run("record", "--rig", stem).err()).contains("cannot be written");
  }

  @Test
  void oneCoreAfterAnotherGoesStraightToTheDiagnosis() throws IOException {
    String stem = folder.resolve("cores/rig").toString();
    Outcome o =
        run(
            "record",
            "--rig",
            "--one-by-one",
            "--fault",
            "weak-pump=1",
            "--each",
            "20",
            stem,
            "--json");
    assertThat(o.err()).isEmpty();
    JsonNode node = Json.mapper().readTree(o.out());
    assertThat(node.path("done").asBoolean()).isTrue();
    assertThat(node.path("readings")).hasSize(9);
    assertThat(node.at("/readings/0/name").asText()).isEqualTo("idle");
    assertThat(node.at("/readings/3/name").asText()).isEqualTo("core 2 alone");
    JsonNode watts = node.at("/readings/3/wattsByCore");
    assertThat(watts.path("core 2").asDouble()).isGreaterThan(4 * watts.path("core 1").asDouble());
    JsonNode cores = node.at("/readings/3/coreCelsius");
    assertThat(cores.path("core 2").asDouble()).isGreaterThan(cores.path("core 7").asDouble() + 8);
    assertThat(folder.resolve("cores/rig.csv")).content().contains("loaded core");
    JsonNode told =
        Json.mapper().readTree(run("diagnose", stem + ".diagnose.json", "--json").out());
    assertThat(told.at("/causes/0/cause").asText()).isEqualTo("cooler weak");
    assertThat(run("record", "--rig", "--one-by-one", stem).err()).contains("is there already");
    assertThat(run("record", "--rig", "--one-by-one", "--each", "3", stem + "2").err())
        .contains("3 s cannot be");
  }

  @Test
  void itStopsAtTheLimitAndSaysWhy() throws IOException {
    Path chip = folder.resolve("root/sys/class/hwmon/hwmon0");
    Files.createDirectories(chip);
    Files.writeString(chip.resolve("name"), "k10temp\n");
    Files.writeString(chip.resolve("temp1_input"), "97250\n");
    Files.writeString(chip.resolve("temp1_label"), "Tctl\n");
    Outcome o =
        run(
            "record",
            "--sensors",
            "--root",
            folder.resolve("root").toString(),
            "--threads",
            "0",
            folder.resolve("own").toString());
    assertThat(o.code()).isZero();
    assertThat(o.out()).contains("It reached 97.2 °C; your limit is 95.0 °C");
    assertThat(folder.resolve("own.csv")).content().contains("97.25");
  }

  @Test
  void wrongWordsNameTheirOption() {
    String stem = folder.resolve("x").toString();
    assertThat(run("record", "--rig", "--fault", "rust=1", stem).err())
        .contains("--fault")
        .contains("weak-pump");
    assertThat(run("record", "--rig", "--fault", "film-void=3", stem).code()).isEqualTo(2);
    assertThat(run("record", "--rig", "--protocol", "fortnight", stem).err())
        .contains("three-plateaus");
    assertThat(run("record", "--rig", "--stop", "300", stem).err()).contains("stop");
    assertThat(run("record", "--rig", "--room", "95", stem).err()).contains("--room");
    assertThat(run("record", "--rig", "--volts", "12", stem).err()).contains("voltage");
    assertThat(run("record", stem).code()).isEqualTo(2);
    assertThat(run("record", "--sensors", "--root", folder.toString(), stem).err())
        .contains("no processor temperature");
    assertThat(run("record", "--follow", folder.resolve("none.csv").toString(), stem).code())
        .isEqualTo(2);
  }
}
