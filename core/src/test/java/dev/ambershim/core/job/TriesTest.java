package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.assembly.Joint;
import dev.ambershim.core.assembly.StartingPoint;
import dev.ambershim.core.forecast.Odds;
import dev.ambershim.core.forecast.OwnRecord;
import dev.ambershim.core.forecast.Step;
import dev.ambershim.core.material.Filling;
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
    return JobFields.choices(JobFields.JOB, Side.BEFORE).get(0).write(job, at.words());
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
