package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code weigh} as a person types it. */
@Tag("slow")
class WeighCommandTest {
  @TempDir Path folder;

  private Outcome weigh(String... arguments) {
    String[] all = new String[arguments.length + 1];
    all[0] = "weigh";
    System.arraycopy(arguments, 0, all, 1, arguments.length);
    return Outcome.run(all);
  }

  private String job(Job job) throws IOException {
    return Files.writeString(folder.resolve("job.json"), Json.write(job)).toString();
  }

  private static Job start() {
    return Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
  }

  @Test
  void theWishAndTheTargetChangeTheAdvice() throws IOException {
    Job job = start().withReadings(List.of(Reading.plain("a", 160, 80, 22)));
    JsonNode safe = Json.mapper().readTree(weigh(job(job), "--wish", "least-risk", "--json").out());
    assertThat(safe.get("wish").asText()).isEqualTo("least-risk");
    for (JsonNode option : safe.get("options")) {
      if (option.get("kind").asText().equals(safe.get("recommended").asText())) {
        assertThat(option.get("oddsOfRuin").asDouble()).isZero();
      }
    }
    JsonNode clock =
        Json.mapper().readTree(weigh(job(job), "--wish", "more-clock", "--json").out());
    assertThat(clock.get("reasons").get(0).asText()).startsWith("You want more clock: about ");
    assertThat(clock.get("bundles")).isNotEmpty();
    for (JsonNode bundle : clock.get("bundles")) {
      assertThat(bundle.get("parts").size()).isGreaterThan(1);
      assertThat(bundle.get("parts").toString()).doesNotContain("lower-voltage");
    }
    assertThat(weigh(job(job), "--target", "50").out()).startsWith("None of these reaches 50.0 K");
    Outcome far = weigh(job(job), "--target", "-5");
    assertThat(far.code()).isEqualTo(2);
    assertThat(far.err()).contains("--target");
    assertThat(weigh(job(job), "--wish", "riches").code()).isEqualTo(2);
  }

  @Test
  void saysTheAdviceAndEveryOption() throws IOException {
    Job job = start().withReadings(List.of(Reading.plain("a", 160, 80, 22)));
    Outcome done = weigh(job(job));
    assertThat(done.code()).isZero();
    assertThat(done.out())
        .startsWith("Go: liquid metal inside")
        .contains("bare die, lapped")
        .contains("risk")
        .contains("K/€");
    JsonNode node = Json.mapper().readTree(weigh(job(job), "--json").out());
    assertThat(node.get("recommended").asText()).startsWith("metal-");
    assertThat(node.get("heatWatts").asDouble()).isEqualTo(160);
    assertThat(node.get("options")).hasSize(14);
    JsonNode first = node.get("options").get(0);
    assertThat(first.get("gain").get("level").asDouble()).isEqualTo(0.8);
    assertThat(first.get("gainKelvin").asDouble())
        .isBetween(
            first.get("gain").get("low").asDouble(), first.get("gain").get("high").asDouble());
    for (String key :
        List.of("costCoins", "handsHours", "waitHours", "oddsOfRuin", "kelvinPerCoin", "spread")) {
      assertThat(first.has(key)).as(key).isTrue();
    }
    assertThat(first.get("finding").get("working").get("inputs")).isNotEmpty();
    assertThat(node.get("furtherReadings")).isNotEmpty();
    assertThat(node.get("readings")).hasSize(1);
  }

  @Test
  void readsTheLogsBesideTheJobAndSaysWhichAreGone() throws IOException {
    StringBuilder text =
        new StringBuilder("time [s],core 0 [°C],core 1 [°C],room [°C],power [W]\n");
    for (int i = 0; i < 600; i++) {
      double wave = 0.4 * Math.sin(i * 1.7) + 0.3 * Math.cos(i * 0.37);
      text.append(String.format(Locale.ROOT, "%d,%.2f,%.2f,22.00,140\n", i, 68 + wave, 72 + wave));
    }
    byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
    Files.write(folder.resolve("run.csv"), bytes);
    Job job =
        start()
            .withRun(RunEntry.of(Side.BEFORE, "run.csv", Readings.sha256(bytes)))
            .withRun(RunEntry.of(Side.BEFORE, "other.csv", "0".repeat(64)));
    JsonNode node = Json.mapper().readTree(weigh(job(job), "--json").out());
    assertThat(node.get("readings").get(0).get("watts").asDouble()).isEqualTo(140);
    assertThat(node.get("readings").get(0).get("coreCelsius").asDouble()).isBetween(69.5, 70.5);
    assertThat(node.get("logsNotFound").get(0).asText()).isEqualTo("other.csv");
    assertThat(weigh(job(job)).out()).contains("The log other.csv was not found");
  }

  @Test
  void weighsForAnotherLoad() throws IOException {
    String file = job(start());
    JsonNode half =
        Json.mapper()
            .readTree(weigh(file, "--heat", "75", "--room", "30", "--fan", "150", "--json").out());
    assertThat(half.get("heatWatts").asDouble()).isEqualTo(75);
    assertThat(half.get("roomCelsius").asDouble()).isEqualTo(30);
    JsonNode full = Json.mapper().readTree(weigh(file, "--json").out());
    assertThat(half.get("riseNowKelvin").asDouble())
        .isLessThan(0.5 * full.get("riseNowKelvin").asDouble());
  }

  @Test
  void countsTheTriesOfALogbook() throws IOException {
    Path place = folder.resolve("logbook");
    try (Logbook logbook = Logbook.open(place, Access.WRITE, Clock.systemUTC())) {
      for (int i = 0; i < 12; i++) {
        logbook.create(start().withRun(RunEntry.of(Side.AFTER, "x" + i, "a".repeat(64))));
      }
    }
    String file = job(start());
    double believed = odds(weigh(file, "--json"));
    double practised = odds(weigh(file, "--logbook", place.toString(), "--json"));
    // Twelve good tries on the weight of forty.
    assertThat(practised / believed).isBetween(0.75, 0.79);
  }

  private static double odds(Outcome done) throws IOException {
    for (JsonNode option : Json.mapper().readTree(done.out()).get("options")) {
      if (option.get("kind").asText().equals("metal-glued")) {
        return option.get("oddsOfRuin").asDouble();
      }
    }
    throw new AssertionError("no such option");
  }

  @Test
  void badInputIsOneMessage() throws IOException {
    String file = job(start());
    assertThat(weigh(file, "--fan", "0").code()).isEqualTo(2);
    assertThat(weigh(file, "--fan", "0").err()).contains("--fan").contains("from 10.0 to 400.0");
    Outcome gone = weigh(folder.resolve("none.json").toString());
    assertThat(gone.code()).isEqualTo(2);
    assertThat(gone.err()).contains("none.json");
    Path broken = Files.writeString(folder.resolve("broken.json"), "{\"format\": 3");
    assertThat(weigh(broken.toString()).code()).isEqualTo(2);
    Path newer = Files.writeString(folder.resolve("new.json"), "{\"format\": \"ambershim/job-9\"}");
    assertThat(weigh(newer.toString()).err()).contains("ambershim/job-9");
  }

  @Test
  void aJobOfAnOlderVersionIsWeighedToo() throws IOException {
    String old = Json.write(start());
    JsonNode tree = Json.mapper().readTree(old);
    var job = (com.fasterxml.jackson.databind.node.ObjectNode) tree.get("job");
    job.remove(List.of("terms", "readings", "ruinedAt"));
    ((com.fasterxml.jackson.databind.node.ObjectNode) job.get("cooler"))
        .remove(List.of("kind", "finWidthMillimetres", "finDepthMillimetres", "reachMillimetres"));
    Path file = Files.writeString(folder.resolve("old.json"), Json.pretty(tree));
    Job read = Json.read("old.json", Json.pretty(tree));
    assertThat(read).isEqualTo(start());
    assertThat(weigh(file.toString()).code()).isZero();
  }

  /** The start with one figure of its JSON replaced. */
  private String with(String was, String is) throws IOException {
    String text = Json.write(start());
    assertThat(text).contains(was);
    return Files.writeString(folder.resolve("odd.json"), text.replace(was, is)).toString();
  }

  @Test
  void aJobThatCannotBeNamesFileAndFigure() throws IOException {
    Outcome cold =
        weigh(with("\"resistanceKelvinPerWatt\" : 0.11", "\"resistanceKelvinPerWatt\" : 0"));
    assertThat(cold.code()).isEqualTo(2);
    assertThat(cold.err()).contains("odd.json").contains("plate to room air");
    Outcome thin = weigh(with("\"widthMillimetres\" : 9.2", "\"widthMillimetres\" : -9.2"));
    assertThat(thin.err()).contains("odd.json").contains("die, width");
    Outcome idle = weigh(with("\"powerShare\" : 1.0", "\"powerShare\" : 0.0"));
    assertThat(idle.err()).contains("odd.json").contains("No die takes any heat");
    Outcome bare = weigh(with("\"before\" :", "\"after\" : null, \"before\" : null, \"x\" :"));
    assertThat(bare.code()).isEqualTo(2);
    Path empty = Files.writeString(folder.resolve("empty.json"), "");
    assertThat(weigh(empty.toString()).err()).contains("empty.json").contains("This is no job");
    Job wrong = start().withReadings(List.of(Reading.plain("a", 150, -5, 22)));
    assertThat(weigh(job(wrong)).err()).contains("job.json").contains("does not fit a room");
  }

  @Test
  void figuresAreWrittenWithEitherMark() throws IOException {
    JsonNode node = Json.mapper().readTree(weigh(job(start()), "--heat", "120,5", "--json").out());
    assertThat(node.get("heatWatts").asDouble()).isEqualTo(120.5);
    Outcome words = weigh(job(start()), "--heat", "much");
    assertThat(words.code()).isEqualTo(2);
    assertThat(words.err()).contains("\"much\" is no figure");
  }
}
