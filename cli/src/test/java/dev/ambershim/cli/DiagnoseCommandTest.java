package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * {@code diagnose} as a person types it. Both cases were simulated by a script that shares no code
 * with this project; what is wrong is in their names.
 */
@Tag("slow")
class DiagnoseCommandTest {
  @TempDir Path folder;

  private static String given(String name) throws IOException {
    try (InputStream in = DiagnoseCommandTest.class.getResourceAsStream(name + ".diagnose.json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private Outcome run(String text, String... more) throws IOException {
    Path file = folder.resolve("a.diagnose.json");
    Files.writeString(file, text);
    String[] all = new String[more.length + 2];
    all[0] = "diagnose";
    all[1] = file.toString();
    System.arraycopy(more, 0, all, 2, more.length);
    return Outcome.run(all);
  }

  private JsonNode answer(String name) throws IOException {
    Outcome done = run(given(name), "--json");
    assertThat(done.code()).isZero();
    return Json.mapper().readTree(done.out());
  }

  @Test
  void findsAWeakCooler() throws IOException {
    JsonNode node = answer("cooler-weak");
    JsonNode first = node.get("causes").get(0);
    assertThat(first.get("cause").asText()).isEqualTo("cooler weak");
    assertThat(first.has("joint")).isFalse();
    assertThat(first.get("probability").asDouble()).isGreaterThan(0.9);
    double sum = 0;
    for (JsonNode cause : node.get("causes")) {
      sum += cause.get("probability").asDouble();
    }
    assertThat(sum).isCloseTo(1, within(1e-9));
  }

  @Test
  void findsATiltedOuterJointAndDrawsIt() throws IOException {
    JsonNode node = answer("outer-joint-tilted");
    JsonNode first = node.get("causes").get(0);
    assertThat(first.get("cause").asText()).isEqualTo("joint tilted");
    assertThat(first.get("joint").asText()).isEqualTo("outer joint");
    JsonNode map = node.get("jointMaps").get(1);
    assertThat(map.get("joint").asText()).isEqualTo("outer joint");
    int rows = map.get("yMillimetres").size();
    assertThat(map.get("micrometres")).hasSize(rows);
    assertThat(map.get("seen").get(0)).hasSize(map.get("xMillimetres").size());
    // The cores at the back are the hotter ones before the cooler is turned, and not after.
    assertThat(map.get("micrometres").get(rows - 1).get(4).asDouble())
        .isGreaterThan(1.5 * map.get("micrometres").get(0).get(4).asDouble());
    assertThat(node.get("finding").get("working").get("inputs")).isNotEmpty();
  }

  @Test
  void oneReadingAsksForAnother() throws IOException {
    ObjectNode node = (ObjectNode) Json.mapper().readTree(given("outer-joint-tilted"));
    JsonNode first = node.get("readings").get(0);
    node.putArray("readings").add(first);
    Outcome done = run(Json.pretty(node));
    assertThat(done.out())
        .startsWith("Cannot tell yet: ")
        .contains("loading one core after another tells most")
        .contains("Tests, the most telling for their minutes first:");
  }

  @Test
  void saysWhatIsWrongWithAFile() throws IOException {
    assertThat(run("{").err()).contains("a.diagnose.json", "not valid JSON");
    assertThat(run("{}").err()).contains("does not say its format");
    Outcome core = run(given("cooler-weak").replace("\"core 0\": 92.66", "\"core 7\": 92.66"));
    assertThat(core.code()).isEqualTo(2);
    assertThat(core.err()).contains("all cores", "core 7", "stack.heat");
    assertThat(run(given("cooler-weak").replace("92.66", "\"hot\"")).err())
        .contains("coreCelsius, core 0 is not there or not a number");
    assertThat(run(given("cooler-weak").replace("92.66", "9266")).err())
        .contains("cannot be", "Give °C");
    String sign = given("cooler-weak").stripTrailing();
    assertThat(run(sign.substring(0, sign.length() - 1) + ", \"signs\": [\"odd\"]}").err())
        .contains("There is no sign \"odd\"", "pump-silent");
  }
}
