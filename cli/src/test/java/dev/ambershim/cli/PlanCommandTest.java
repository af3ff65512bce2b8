package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Shelf;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code plan} as a person types it. */
class PlanCommandTest {
  @TempDir Path folder;

  private final Job job = Job.from(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "Sedge Q4");

  private String file(Job what) throws IOException {
    return Files.writeString(folder.resolve("job.json"), Json.write(what)).toString();
  }

  private static Outcome plan(String... words) {
    String[] all = new String[words.length + 1];
    all[0] = "plan";
    System.arraycopy(words, 0, all, 1, words.length);
    return Outcome.run(all);
  }

  @Test
  void saysWhenWhatAndWithWhat() throws IOException {
    Path ics = folder.resolve("w.ics");
    Path card = folder.resolve("w.html");
    Outcome said = plan(file(job), "--ics", ics.toString(), "--card", card.toString());
    assertThat(said.err()).isEmpty();
    assertThat(said.code()).isZero();
    assertThat(said.out())
        .startsWith("Begin now and finish on")
        .contains("Planned: liquid metal inside, lid glued.")
        .contains("Shear the solder in passes")
        .contains("hold: Is the lid free after its passes")
        .contains("buy 1 × liquid metal");
    assertThat(Files.readString(ics)).startsWith("BEGIN:VCALENDAR");
    assertThat(Files.readString(card)).contains("Shear the solder in passes");
  }

  @Test
  void theJsonHasEveryStepInTime() throws IOException {
    JsonNode node =
        Json.mapper()
            .readTree(plan(file(job), "--hours", "17:00-22:00", "--days", "6,7", "--json").out());
    Plan plan = Plan.of(job.workCase());
    assertThat(node.get("format").asText()).isEqualTo("ambershim/plan-1");
    assertThat(node.get("steps")).hasSize(plan.steps().size());
    for (JsonNode step : node.get("steps")) {
      assertThat(Instant.parse(step.get("begin").asText()))
          .isBeforeOrEqualTo(Instant.parse(step.get("handsEnd").asText()));
      assertThat(step.get("handsMinutes").get("low").asDouble())
          .isLessThanOrEqualTo(step.get("handsMinutes").get("high").asDouble());
    }
    assertThat(Instant.parse(node.get("likelyEnd").asText()))
        .isBeforeOrEqualTo(Instant.parse(node.get("cautiousEnd").asText()));
  }

  @Test
  void theShelfOfALogbookCounts() throws IOException {
    try (Logbook logbook =
        Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      Shelf.keep(
          logbook,
          Plan.of(job.workCase()).needs().keySet().stream()
              .filter(s -> s != Supply.METAL)
              .map(s -> ShelfItem.usual(s, LocalDate.of(2126, 1, 1)))
              .toList());
    }
    assertThat(plan(file(job), "--logbook", folder.resolve("logbook").toString()).out())
        .contains("Kit: 1 of")
        .contains("buy 1 × liquid metal")
        .doesNotContain("buy 1 × nitrile");
  }

  @Test
  void whatCannotBeIsSaidWithExitCodeTwo() throws IOException {
    Outcome hours = plan(file(job), "--hours", "22:00-18:00");
    assertThat(hours.code()).isEqualTo(2);
    assertThat(hours.err()).contains("leave no time");
    assertThat(plan(file(job), "--done-by", "soon").err()).contains("--done-by");
    assertThat(plan(file(job), "--days", "8").code()).isEqualTo(2);
    assertThat(plan(file(job), "--hours", "18:00-18:20").err()).contains("Widen the hours");
    assertThat(plan(folder.resolve("none.json").toString()).code()).isEqualTo(2);

    WorkLog log = job.work();
    for (PlanStep step : Plan.of(job.workCase()).steps()) {
      log = log.done(step.id(), Instant.parse("2026-06-01T10:00:00Z"), List.of());
    }
    String done = file(job.withWork(log));
    assertThat(plan(done).out()).contains("steps are done");
    Outcome nothing = plan(done, "--ics", folder.resolve("x.ics").toString());
    assertThat(nothing.code()).isEqualTo(2);
    assertThat(nothing.err()).contains("All steps of this job are done");
  }
}
