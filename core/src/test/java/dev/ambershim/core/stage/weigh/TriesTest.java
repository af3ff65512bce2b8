package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.job.Choice;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.Odds;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.Lesson;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The person's own tries, and what they make of the odds. */
class TriesTest {
  private final Job glued = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "a");
  private final Job soldered = Job.from(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "b");

  private static Job done(Job job) {
    return job.withRun(RunEntry.of(Side.AFTER, "x.csv", "aa"));
  }

  private static Job bare(Job job) {
    Build to = new Build(false, 0, job.before().inner(), Joint.usual(Filling.LIQUID_METAL));
    return job.with(job.title(), "", job.cooler(), job.before(), to);
  }

  private static Job lost(Job job, Step at) {
    return Choice.of(Figures.JOB, Side.BEFORE).get(0).write(job, at.words());
  }

  @Test
  void stepsFollowFromTheBuilds() {
    assertThat(Tries.steps(glued)).containsExactly(Step.OPEN_TOOL, Step.METAL_GUARDED);
    assertThat(Tries.steps(bare(soldered)))
        .containsExactly(
            Step.OPEN_SOLDER,
            Step.OPEN_SEVERAL,
            Step.CLEAN_SOLDER,
            Step.METAL_GUARDED,
            Step.MOUNT_FRAME);
    Job nothing = glued.with("n", "", glued.cooler(), glued.before(), glued.before());
    assertThat(Tries.steps(nothing)).isEmpty();
  }

  @Test
  void onlyFinishedOrLostChipsCount() {
    OwnRecord record =
        Tries.of(
            List.of(
                glued,
                done(glued),
                done(bare(glued)),
                lost(bare(soldered), Step.CLEAN_SOLDER),
                lost(glued, Step.LAP_DIE)));
    assertThat(record.tries())
        .containsExactlyInAnyOrderEntriesOf(
            Map.of(
                Step.OPEN_TOOL, 2,
                Step.METAL_GUARDED, 2,
                Step.MOUNT_FRAME, 1,
                Step.OPEN_SOLDER, 1,
                Step.OPEN_SEVERAL, 1,
                Step.CLEAN_SOLDER, 1,
                Step.LAP_DIE, 1));
    assertThat(record.ruins())
        .containsExactlyInAnyOrderEntriesOf(Map.of(Step.CLEAN_SOLDER, 1, Step.LAP_DIE, 1));
  }

  @Test
  void whatWasDoneAtTheBenchCountsBeforeAnyRun() {
    Instant now = Instant.parse("2026-03-01T09:00:00Z");
    WorkLog log = glued.work();
    for (String id : List.of("seat", "shear", "lift")) {
      log = log.done(id, now, List.of());
    }
    // Opening is not through while its other steps are open.
    assertThat(Tries.of(List.of(glued.withWork(log))).tries()).isEmpty();
    for (PlanStep step : Plan.of(glued.workCase()).steps()) {
      if (step.risk().filter(r -> r == Step.OPEN_TOOL).isPresent()) {
        log = log.done(step.id(), now, List.of());
      }
    }
    Job open = glued.withWork(log);
    assertThat(Tries.of(List.of(open)).tries()).containsExactly(Map.entry(Step.OPEN_TOOL, 1));
    assertThat(Tries.of(List.of(open)).ruins()).isEmpty();
    // A run after counts it once, not twice.
    assertThat(Tries.of(List.of(done(open))).tries()).containsEntry(Step.OPEN_TOOL, 1);
    // A chip that was lost at the film.
    Mishap lost = new Mishap("shorted", Harm.LOST, "cover all", Step.METAL_GUARDED);
    Job ruined = open.withWork(log.with("film-die", e -> e.withMishap(lost)));
    assertThat(Tries.of(List.of(ruined)).ruins()).containsExactly(Map.entry(Step.METAL_GUARDED, 1));
    assertThat(Tries.of(List.of(ruined)).tries())
        .containsOnly(Map.entry(Step.OPEN_TOOL, 1), Map.entry(Step.METAL_GUARDED, 1));
    assertThat(Lesson.of(List.of(open, ruined)))
        .extracting(Lesson::words)
        .containsExactly("shorted (the chip is lost, a). Next time: cover all");
    assertThat(Lesson.of(List.of(ruined)).get(0).title()).isEqualTo("Film the die");
  }

  @Test
  void waysAndTermsNeverDiffer() {
    Job bladed = WorkWays.take(glued, Way.BLADE);
    assertThat(bladed.terms().blade()).isTrue();
    assertThat(Plan.of(bladed.workCase()).step("cut")).isPresent();
    Job uncovered = WorkWays.take(bladed, Way.NO_COVER);
    assertThat(uncovered.terms().guard()).isFalse();
    assertThat(Plan.of(uncovered.workCase()).step("cover")).isEmpty();
    Job taped = WorkWays.take(uncovered, Way.VINYL_TAPE);
    assertThat(taped.terms().guard()).isTrue();
    assertThat(taped.workCase().cover()).isEqualTo(Way.VINYL_TAPE);
    // The terms were changed in Weigh: the ways follow.
    Job guarded = uncovered.withTerms(glued.terms());
    assertThat(guarded.workCase().cover()).isEqualTo(Way.VARNISH);
    assertThat(guarded.workCase().opener()).isEqualTo(Way.VICE_TOOL);
    Job neither = WorkWays.take(bare(glued), Way.REST_NEITHER);
    assertThat(neither.terms().frame()).isFalse();
    assertThat(WorkWays.take(neither, Way.REST_SHIM).workCase().ways().takes(Way.REST_SHIM))
        .isTrue();
  }

  @Test
  void oddsAreUpdatedLikeAShare() {
    // Beta(a, b) with a = 0.01·40, b = 39.6; after 10 tries and 2 ruins the mean is (a + 2)/(40 +
    // 10).
    OwnRecord record = new OwnRecord(Map.of(Step.OPEN_TOOL, 10), Map.of(Step.OPEN_TOOL, 2));
    assertThat(record.chance(Step.OPEN_TOOL, Odds.USUAL)).isCloseTo(2.4 / 50, within(1e-12));
    assertThat(record.chance(Step.LAP_DIE, Odds.USUAL)).isCloseTo(0.04, within(1e-12));
    assertThat(OwnRecord.NONE.chance(List.of(Step.OPEN_TOOL, Step.LAP_DIE), Odds.USUAL))
        .isCloseTo(1 - 0.99 * 0.96, within(1e-12));
    assertThat(OwnRecord.NONE.chance(List.of(), Odds.USUAL)).isZero();
  }
}
