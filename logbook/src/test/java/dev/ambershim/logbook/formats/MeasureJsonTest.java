package dev.ambershim.logbook.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.fit.RestingContact;
import dev.ambershim.core.physics.fit.TouchChances;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.ProbedPoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The published blocks of {@code rest} and {@code flatness}, and what is no such file. */
class MeasureJsonTest {
  private static final String GOOD =
      """
      {"loadMillimetres": [0, 1], "remark": "passed over",
       "features": [
        {"name": "a", "xMillimetres": -10, "yMillimetres": -10, "heightMillimetres": 1.0},
        {"name": "b", "xMillimetres": 10, "yMillimetres": -10, "heightMillimetres": 1.0,
         "toleranceMillimetres": 0.02},
        {"xMillimetres": 0, "yMillimetres": 12, "heightMillimetres": 1.0},
        {"name": "low", "xMillimetres": 0, "yMillimetres": 0, "heightMillimetres": 0.25}]}
      """;

  /** What is wrong, and what the message must say of it. */
  record Wrong(String json, String key, String says) {}

  static List<Wrong> wrongs() {
    return List.of(
        new Wrong("{", "rest.unreadable", "not valid JSON"),
        new Wrong("", "rest.field", "loadMillimetres"),
        new Wrong("[]", "rest.field", "loadMillimetres"),
        new Wrong(GOOD.replace("[0, 1]", "[0]"), "rest.field", "not two numbers"),
        new Wrong(GOOD.replace("[0, 1]", "[0, \"x\"]"), "rest.field", "not two numbers"),
        new Wrong("{\"loadMillimetres\": [0, 1], \"features\": 3}", "rest.field", "not a list"),
        new Wrong(GOOD.replace("\"yMillimetres\": 12,", ""), "rest.field", "top 2"),
        new Wrong(
            GOOD.replace("\"heightMillimetres\": 0.25", "\"heightMillimetres\": \"0.25\""),
            "rest.field",
            "heightMillimetres is not there or not a number"),
        new Wrong(GOOD.replace("0.02", "-0.02"), "rest.field", "below nought"),
        new Wrong(GOOD.replace("0.25", "250"), "rest.unit", "looks like micrometres"),
        new Wrong(
            GOOD.replace("\"xMillimetres\": 10,", "\"xMillimetres\": 10000,"),
            "rest.unit",
            "place looks like micrometres"));
  }

  @ParameterizedTest
  @MethodSource("wrongs")
  void whatIsNoSuchFileIsSaid(Wrong wrong) {
    assertThatThrownBy(() -> RestJson.read("tops.rest.json", wrong.json()))
        .isInstanceOfSatisfying(
            Problem.class,
            p -> {
              assertThat(p.key()).isEqualTo(wrong.key());
              assertThat(p.getMessage()).contains("tops.rest.json").contains(wrong.says());
              assertThat(p.remedy()).isNotBlank();
            });
  }

  @Test
  void topsAreReadAndTheRestIsWritten() {
    RestJson.Case read = RestJson.read("tops.rest.json", GOOD);
    assertThat(read.tolerances()).isTrue();
    assertThat(read.features()).hasSize(4);
    assertThat(read.features().get(2).name()).isEqualTo("top 2");
    assertThat(read.yLoad()).isEqualTo(1);
    RestingContact rest = RestingContact.of(read.features(), read.xLoad(), read.yLoad());
    TouchChances chances =
        TouchChances.of(read.features(), read.xLoad(), read.yLoad(), 10_000, Runnable::run);
    ObjectNode node = RestJson.of(read.features(), rest, Optional.of(chances));
    assertThat(node.get("touching")).hasSize(3);
    assertThat(node.get("clearances")).hasSize(4);
    assertThat(node.get("clearances").get(3).get("name").asText()).isEqualTo("low");
    assertThat(node.get("clearances").get(3).get("millimetres").asDouble())
        .isCloseTo(0.75, within(1e-9));
    assertThat(node.get("stable").asBoolean()).isTrue();
    assertThat(node.get("plane").get("heightMillimetres").asDouble()).isCloseTo(1, within(1e-9));
    // Half of the time b's error is up, and then it is the first.
    assertThat(node.get("chances").get(1).get("touchesFirst").asDouble())
        .isCloseTo(0.5, within(0.02));
    assertThat(node.get("chances").get(3).get("carries").asDouble()).isZero();
    assertThat(node.get("draws").asInt()).isEqualTo(10_000);
    ObjectNode bare = RestJson.of(read.features(), rest, Optional.empty());
    assertThat(bare.has("chances")).isFalse();
  }

  @Test
  void aPlateThatTipsIsABlockOfItsOwn() {
    RestJson.Case read = RestJson.read("tops.rest.json", GOOD.replace("[0, 1]", "[0, 40]"));
    try {
      RestingContact.of(read.features(), read.xLoad(), read.yLoad());
      throw new AssertionError("it did not tip");
    } catch (Problem problem) {
      ObjectNode node = RestJson.unstable(problem);
      assertThat(node.get("stable").asBoolean()).isFalse();
      assertThat(node.get("touching")).isEmpty();
      assertThat(node.get("tiltDegrees").isNull()).isTrue();
      assertThat(node.get("reason").asText()).contains("28.00 mm outside").contains("top 2");
    }
  }

  @Test
  void aFaceIsWrittenUnderItsPublishedKeys() {
    List<ProbedPoint> points = new ArrayList<>();
    for (int x = -10; x <= 10; x += 5) {
      for (int y = -10; y <= 10; y += 5) {
        for (int repeat = 0; repeat < 2; repeat++) {
          points.add(
              new ProbedPoint(
                  x,
                  y,
                  0.1 * (x * x + y * y)
                      + (repeat == 0 ? 0.2 : -0.2) * ((x + y) % 2 == 0 ? 1 : -1)));
        }
      }
    }
    ObjectNode node = FlatnessJson.of(FaceReport.of(points, Optional.empty()), "Lid");
    assertThat(node.get("points").asInt()).isEqualTo(25);
    assertThat(node.get("probings").asInt()).isEqualTo(50);
    assertThat(node.get("leastSquares").fieldNames())
        .toIterable()
        .contains("fltt", "fltp", "fltv", "fltq", "plane");
    assertThat(node.get("leastSquares").get("fltt").asDouble())
        .isCloseTo(
            node.get("leastSquares").get("fltp").asDouble()
                + node.get("leastSquares").get("fltv").asDouble(),
            within(1e-9));
    assertThat(node.get("minimumZone").get("fltt").asDouble()).isCloseTo(20, within(1e-9));
    assertThat(node.get("minimumZone").get("low95").asDouble()).isLessThan(20);
    assertThat(node.get("bowMicrometres").asDouble()).isCloseTo(-20, within(1e-9));
    assertThat(node.get("shape").asText()).isEqualTo("concave");
    // The four corners stand up; the middle does not.
    assertThat(node.get("highSpots")).hasSize(4);
    assertThat(node.get("outliers")).isEmpty();
    assertThat(node.get("scatterMicrometres").asDouble())
        .isCloseTo(0.2 * Math.sqrt(2), within(1e-9));
    assertThat(node.get("finding").get("sentence").asText()).startsWith("Lid: flat to 20 µm");
    assertThat(node.get("finding").get("working").get("source").asText()).contains("ISO 12781-1");
  }
}
