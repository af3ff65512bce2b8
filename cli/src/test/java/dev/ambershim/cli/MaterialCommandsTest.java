package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code dose}, {@code spread} and {@code mount} as a person types them. */
@Tag("slow")
class MaterialCommandsTest {
  @TempDir Path folder;

  private static Job start() {
    return Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
  }

  private Outcome run(String command, Job job, String... more) throws IOException {
    String file = Files.writeString(folder.resolve("job.json"), Json.write(job)).toString();
    String[] all = new String[more.length + 2];
    all[0] = command;
    all[1] = file;
    System.arraycopy(more, 0, all, 2, more.length);
    return Outcome.run(all);
  }

  @Test
  void dosesAreTold() throws IOException {
    Outcome words = run("dose", start());
    assertThat(words.code()).isZero();
    assertThat(words.out()).startsWith("A drop ").contains("it goes dry").contains("nickel");
    JsonNode node = Json.mapper().readTree(run("dose", start(), "--json").out());
    assertThat(node.get("mayGoOn").asBoolean()).isTrue();
    JsonNode film = node.get("films").get(0);
    double d = film.get("dropMillimetres").asDouble();
    assertThat(film.get("dropCubicMillimetres").asDouble())
        .isBetween(Math.PI / 6 * d * d * d * 0.999, Math.PI / 6 * d * d * d * 1.001);
    assertThat(node.get("lid").get("cureMinutesSafe").asDouble())
        .isGreaterThan(node.get("lid").get("cureMinutesAtLeast").asDouble());
    assertThat(node.get("cover").get("material").asText()).isEqualTo("insulating varnish");
  }

  @Test
  void aForbiddenPairIsToldWithItsRemedy() throws IOException {
    Job job = start().withCoat(start().coat().saying(MetalPlace.LID_INSIDE, MetalFace.ALUMINIUM));
    Outcome words = run("dose", job);
    assertThat(words.out()).startsWith("Stop. Lid, inside: Liquid metal must never meet aluminium");
    JsonNode node = Json.mapper().readTree(run("dose", job, "--json").out());
    assertThat(node.get("mayGoOn").asBoolean()).isFalse();
    assertThat(node.get("bars").get(0).get("key").asText()).isEqualTo("dose.forbidden");
    assertThat(node.get("meetings").get(0).get("verdict").asText()).isEqualTo("never");
  }

  @Test
  void pasteIsSpread() throws IOException {
    JsonNode dot = Json.mapper().readTree(run("spread", start(), "--cells", "40", "--json").out());
    assertThat(dot.get("pattern").asText()).isEqualTo("dot");
    assertThat(dot.get("coverOverDies").asDouble()).isEqualTo(1);
    assertThat(dot.get("costMeanKelvin").asDouble()).isLessThan(1);
    JsonNode cross =
        Json.mapper()
            .readTree(
                run(
                        "spread",
                        start(),
                        "--cells",
                        "40",
                        "--pattern",
                        "CROSS",
                        "--grams",
                        "0.3",
                        "--json")
                    .out());
    assertThat(cross.get("cover").asDouble()).isGreaterThan(dot.get("cover").asDouble());
    assertThat(cross.get("overflowShare").asDouble())
        .isGreaterThan(dot.get("overflowShare").asDouble());
    String all = run("spread", start(), "--cells", "40", "--all").out();
    assertThat(all).startsWith("dot").contains("thin spread").doesNotContain("-0.00");
    assertThat(all.lines().toList().get(6)).startsWith("The die is covered from ");
    assertThat(run("spread", start(), "--cells", "4").code()).isEqualTo(2);
    assertThat(run("spread", start(), "--grams", "-1").err()).contains("--grams");
    assertThat(run("spread", start(), "--pattern", "OWN").err()).contains("no strokes");
    assertThat(run("spread", start(), "--pattern", "SPIRAL").code()).isEqualTo(2);
    Job metal =
        start()
            .withAfter(
                start()
                    .after()
                    .withOuter(start().after().outer().withFilling(Filling.LIQUID_METAL)));
    assertThat(run("spread", metal).err()).contains("meets no paste").contains("--grams");
    String broken =
        Json.write(start())
            .replaceFirst(
                "\"strokes\" ?: ?\\[ ?\\]",
                "\"strokes\":[{\"xMillimetres\":[1],\"yMillimetres\":[]}]");
    Path file = Files.writeString(folder.resolve("strokes.json"), broken);
    assertThat(broken).contains("xMillimetres\":[1]");
    assertThat(Outcome.run("spread", file.toString()).code()).isEqualTo(2);
  }

  @Test
  void screwsAreTurned() throws IOException {
    Outcome words = run("mount", start());
    assertThat(words.code()).isZero();
    assertThat(words.out())
        .startsWith("Four springs press with ")
        .contains("of 250 N")
        .contains("left low")
        .contains("power off at once");
    JsonNode node = Json.mapper().readTree(run("mount", start(), "--json").out());
    assertThat(node.get("limitsKept").asBoolean()).isTrue();
    assertThat(node.get("turns")).hasSizeGreaterThan(20);
    assertThat(node.get("oneAfterTheOther").get("tiltDegrees").asDouble())
        .isGreaterThan(node.get("turns").get(0).get("tiltDegrees").asDouble());
    assertThat(node.get("firstStart").get("goodCelsius")).hasSize(8);
  }

  @Test
  void aJobThatIsCutOffIsRefused() throws IOException {
    Path file = Files.writeString(folder.resolve("odd.json"), "{\"title\":");
    Outcome cut = Outcome.run("dose", file.toString());
    assertThat(cut.code()).isEqualTo(2);
    assertThat(cut.err()).contains("odd.json");
  }
}
