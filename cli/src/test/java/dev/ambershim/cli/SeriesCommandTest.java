package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

@Tag("slow")
class SeriesCommandTest {
  private static final String SERIES =
      """
      candidate,block,rise_K,power_W,order,price
      grey,1,60.1,150,1,0.2
      silver,1,59.8,150,2,0.9
      white,1,63.2,150,3,0.1
      silver,2,60.6,150,4,0.9
      white,2,64.1,150,5,0.1
      grey,2,60.4,150,6,0.2
      white,3,63.0,150,7,0.1
      grey,3,59.6,150,8,0.2
      silver,3,59.9,150,9,0.9
      """;

  @TempDir Path folder;

  private String file() throws IOException {
    return Files.writeString(folder.resolve("s.csv"), SERIES).toString();
  }

  private static JsonNode json(Outcome outcome) throws IOException {
    assertThat(outcome.code()).as(outcome.err()).isZero();
    return new ObjectMapper().readTree(outcome.out());
  }

  @Test
  void aSeriesIsJudged() throws IOException {
    JsonNode node = json(Outcome.run("series", "judge", file(), "--json"));
    assertThat(node.get("ranking")).hasSize(3);
    assertThat(node.at("/ranking/2/candidate").asText()).isEqualTo("white");
    assertThat(node.at("/ranking/0/group").asText()).isEqualTo("a");
    assertThat(node.at("/ranking/1/group").asText()).isEqualTo("a");
    assertThat(node.at("/ranking/2/group").asText()).isEqualTo("b");
    assertThat(node.at("/ranking/0/chanceBest").asDouble()).isBetween(0.4, 0.95);
    assertThat(node.get("pairs")).hasSize(3);
    // By hand: grey is 60.033 K and white 63.433 K in the mean of three blocks.
    JsonNode pair = pair(node, "grey", "white");
    assertThat(Math.abs(pair.get("differenceKelvin").asDouble())).isCloseTo(3.4, within(1e-6));
    assertThat(pair.get("told").asBoolean()).isTrue();
    assertThat(pair(node, "grey", "silver").get("told").asBoolean()).isFalse();
    assertThat(
            node.get("mountsToPartTheBest").isNull() || node.get("mountsToPartTheBest").asInt() > 0)
        .isTrue();
    assertThat(node.at("/finding/sentence").asText()).contains("cannot be told apart", "white");
  }

  private static JsonNode pair(JsonNode node, String one, String other) {
    for (JsonNode p : node.get("pairs")) {
      List<String> names = List.of(p.get("first").asText(), p.get("second").asText());
      if (names.contains(one) && names.contains(other)) {
        return p;
      }
    }
    throw new AssertionError(one + " and " + other + " are no pair");
  }

  @Test
  void wordsAreTheSameAsInJson() throws IOException {
    Outcome plain = Outcome.run("series", "judge", file(), "--reference", "white", "--care", "0.5");
    JsonNode node =
        json(
            Outcome.run(
                "series", "judge", file(), "--reference", "white", "--care", "0.5", "--json"));
    assertThat(plain.out()).startsWith(node.at("/finding/sentence").asText());
    node.get("reasons").forEach(r -> assertThat(plain.out()).contains(r.asText()));
    node.get("notes").forEach(n -> assertThat(plain.out()).contains(n.asText()));
    assertThat(node.get("against")).hasSize(2);
  }

  @Test
  void aReportIsWritten() throws IOException {
    Path html = folder.resolve("series.html");
    Path pdf = folder.resolve("series.pdf");
    for (Path target : List.of(html, pdf)) {
      assertThat(Outcome.run("series", "judge", file(), "--report", target.toString()).code())
          .isZero();
    }
    assertThat(Files.readString(html))
        .contains("<svg", "Every pair", "not told", "How it was worked out", "Tukey 1953");
    assertThat(Files.size(pdf)).isGreaterThan(5000);
  }

  @Test
  void anOrderIsPlanned() throws IOException {
    String[] words = {
      "series",
      "plan",
      "--candidate",
      "A",
      "--candidate",
      "B",
      "--mounts",
      "4",
      "--seed",
      "9",
      "--json"
    };
    JsonNode node = json(Outcome.run(words));
    assertThat(node.get("blocks")).hasSize(4);
    for (JsonNode block : node.get("blocks")) {
      List<String> names = new ArrayList<>();
      block.forEach(n -> names.add(n.asText()));
      assertThat(names).containsExactlyInAnyOrder("A", "B");
    }
    assertThat(json(Outcome.run(words))).isEqualTo(node);
    assertThat(node.get("hours").asDouble()).isEqualTo(6);
    words[6] = "--hours";
    words[7] = "4.5";
    assertThat(json(Outcome.run(words)).get("blocks")).hasSize(3);
    words[6] = "--mounts";
    words[7] = "1";
    assertThat(json(Outcome.run(words)).get("tellsKelvin").isNull()).isTrue();
    Path card = folder.resolve("card.html");
    words[10] = "--card=" + card;
    assertThat(Outcome.run(words).code()).isZero();
    assertThat(Files.readString(card)).contains("Block 1", "cores ____", "none is dropped");
    assertThat(Outcome.run("series", "plan", "--candidate", "A", "--candidate", "B").out())
        .contains("Block 1", "mounts of each tell");
  }

  @Test
  void mountsAreSetInTime() throws IOException {
    Path ics = folder.resolve("mounts.ics");
    List<String> words =
        new ArrayList<>(List.of("series", "plan", "--candidate", "A", "--candidate", "B"));
    words.addAll(List.of("--mounts", "2", "--between", "18:00-22:00", "--warm-ups", "1"));
    words.addAll(List.of("--ics", ics.toString()));
    Outcome told = Outcome.run(words.toArray(new String[0]));
    assertThat(told.code()).as(told.err()).isZero();
    assertThat(told.out())
        .contains(
            "The 4 mounts that are left are done by ",
            "heated through and cooled once before the run");
    String calendar = Files.readString(ics);
    assertThat(calendar).startsWith("BEGIN:VCALENDAR").contains("TRIGGER:-PT15M", "Mount 1: ");
    Outcome bad =
        Outcome.run(
            "series", "plan", "--candidate", "A", "--candidate", "B", "--between", "22:00-18:00");
    assertThat(bad.code()).isEqualTo(2);
    assertThat(bad.err()).contains("--between");
    Outcome when =
        Outcome.run("series", "plan", "--candidate", "A", "--candidate", "B", "--start", "soon");
    assertThat(when.code()).isEqualTo(2);
    assertThat(when.err()).contains("--start");
  }

  @Test
  void whatCannotBeEndsWithOneLine() throws IOException {
    for (String[] words :
        new String[][] {
          {"series"},
          {"series", "plan"},
          {"series", "plan", "--candidate", "A"},
          {"series", "judge", "none.csv"},
          {"series", "judge", file(), "--care", "0"},
          {"series", "judge", file(), "--reference", "X"}
        }) {
      Outcome outcome = Outcome.run(words);
      assertThat(outcome.code()).as(String.join(" ", words)).isEqualTo(2);
      assertThat(outcome.err().lines()).hasSize(1);
    }
  }
}
