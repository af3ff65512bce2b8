package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.logbook.store.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code rest} and {@code flatness} as a person types them. */
class MeasureCommandsTest {
  @TempDir Path folder;

  private Outcome run(String command, String name, String text, String... more) throws IOException {
    Path file = folder.resolve(name);
    Files.writeString(file, text);
    String[] all = new String[more.length + 2];
    all[0] = command;
    all[1] = file.toString();
    System.arraycopy(more, 0, all, 2, more.length);
    return Outcome.run(all);
  }

  private static final String TOPS =
      """
      {"loadMillimetres": [0.5, 0.5], "features": [
       {"name": "die", "xMillimetres": 0, "yMillimetres": 0, "heightMillimetres": 0.8,
        "toleranceMillimetres": 0.01},
       {"name": "west", "xMillimetres": -15, "yMillimetres": -12, "heightMillimetres": 0.75},
       {"name": "east", "xMillimetres": 15, "yMillimetres": -12, "heightMillimetres": 0.75},
       {"name": "north", "xMillimetres": 0, "yMillimetres": 15, "heightMillimetres": 0.76,
        "toleranceMillimetres": 0.01}]}
      """;

  @Test
  void tellsHowAPlateRests() throws IOException {
    Outcome done = run("rest", "a.rest.json", TOPS, "--json");
    assertThat(done.code()).isZero();
    JsonNode node = Json.mapper().readTree(done.out());
    assertThat(node.get("stable").asBoolean()).isTrue();
    assertThat(node.get("touching")).hasSize(3);
    assertThat(node.get("touching").get(0).asText()).isEqualTo("die");
    // Through die, east and north: slopes −0.05/15 in x (less the −12 of y), −0.04/15 in y.
    double ySlope = -0.04 / 15;
    double xSlope = (0.75 - 0.8 + 12 * ySlope) / 15;
    assertThat(node.get("tiltDegrees").asDouble())
        .isCloseTo(Math.toDegrees(Math.atan(Math.hypot(xSlope, ySlope))), within(1e-9));
    assertThat(node.get("clearances").get(1).get("millimetres").asDouble())
        .isCloseTo(0.8 - 15 * xSlope - 12 * ySlope - 0.75, within(1e-9));
    assertThat(node.get("chances").get(0).get("touchesFirst").asDouble()).isEqualTo(1);
    assertThat(run("rest", "a.rest.json", TOPS).out())
        .contains("die: touches first with a chance of 100.0 %");
  }

  @Test
  void saysWhenAPlateTips() throws IOException {
    Outcome done = run("rest", "a.rest.json", TOPS.replace("[0.5, 0.5]", "[30, 0]"), "--json");
    JsonNode node = Json.mapper().readTree(done.out());
    assertThat(done.code()).isZero();
    assertThat(node.get("stable").asBoolean()).isFalse();
    assertThat(done.err()).contains("a.rest.json").contains("unstable");
  }

  @Test
  void refusesTopsThatCannotBe() throws IOException {
    Outcome micrometres =
        run(
            "rest",
            "b.rest.json",
            TOPS.replace("\"heightMillimetres\": 0.8", "\"heightMillimetres\": 800"));
    assertThat(micrometres.code()).isEqualTo(2);
    assertThat(micrometres.err())
        .contains("b.rest.json")
        .contains("die")
        .contains("looks like micrometres");
    assertThat(run("rest", "c.rest.json", "{\"loadMillimetres\": [0,0]").code()).isEqualTo(2);
    assertThat(run("rest", "d.rest.json", "{\"loadMillimetres\": [0,0], \"features\": []}").err())
        .contains("too few");
    assertThat(run("rest", "e.rest.json", TOPS.replace("0.75", "\"x\"")).err())
        .contains("west")
        .contains("heightMillimetres");
  }

  @Test
  void tellsHowFlatAFaceIs() throws IOException {
    StringBuilder csv = new StringBuilder("x_mm,y_mm,z_um\n");
    for (int x = -15; x <= 15; x += 5) {
      for (int y = -15; y <= 15; y += 5) {
        csv.append(x).append(',').append(y).append(',');
        csv.append(100 - 0.02 * (x * x + y * y)).append('\n');
      }
    }
    Outcome done = run("flatness", "lid.csv", csv.toString(), "--json");
    assertThat(done.code()).isZero();
    JsonNode node = Json.mapper().readTree(done.out());
    assertThat(node.get("bowMicrometres").asDouble()).isCloseTo(9, within(1e-9));
    assertThat(node.get("shape").asText()).isEqualTo("convex");
    assertThat(node.get("minimumZone").get("fltt").asDouble()).isCloseTo(9, within(1e-9));
    assertThat(node.get("leastSquares").get("fltt").asDouble()).isCloseTo(9, within(1e-9));
    assertThat(node.get("highSpots").get(0).get("xMillimetres").asDouble()).isZero();
    assertThat(run("flatness", "lid.csv", csv.toString()).out())
        .startsWith("lid.csv: flat to 9 µm")
        .contains("convex");
    Outcome few = run("flatness", "few.csv", "x_mm,y_mm,z_um\n0,0,1\n1,0,2\n");
    assertThat(few.code()).isEqualTo(2);
    assertThat(few.err()).contains("few.csv").contains("too few");
  }
}
