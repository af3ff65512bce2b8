package dev.ambershim.core.stage;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.WorkLog;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChecklistTest {
  private static final Job NEW = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "x");
  private static final Plan PLAN = Plan.of(NEW.workCase());

  private static List<Checklist.Item> of(Job job) {
    return Checklist.of(job, PLAN);
  }

  private static RunEntry run(Side side) {
    return RunEntry.of(side, "run.csv", "0".repeat(64));
  }

  @Test
  void aNewJobHasNothingAndSaysWhatEachStageAsksFor() {
    List<Checklist.Item> items = of(NEW);
    assertThat(items).extracting(Checklist.Item::stage).containsExactly(Stage.values());
    assertThat(items).noneMatch(Checklist.Item::has);
    assertThat(items.get(1).words()).contains("Ctrl+J");
  }

  @Test
  void runsCountOnTheirSide() {
    List<Checklist.Item> before = of(NEW.withRuns(List.of(run(Side.BEFORE), run(Side.BEFORE))));
    assertThat(before.get(1).words()).isEqualTo("2 runs from before the work.");
    assertThat(before.get(0).has()).isTrue();
    assertThat(before.get(8).has()).isFalse();
    List<Checklist.Item> after = of(NEW.withRuns(List.of(run(Side.AFTER))));
    assertThat(after.get(8).words())
        .isEqualTo("Add a run from before the work; there is none to compare with.");
    List<Checklist.Item> both = of(NEW.withRuns(List.of(run(Side.BEFORE), run(Side.AFTER))));
    assertThat(both.get(8).has()).isTrue();
    // Nobody is told to mount a cooler that ran already.
    for (int stage : new int[] {2, 3, 7}) {
      assertThat(before.get(stage).has()).isFalse();
      assertThat(both.get(stage).words())
          .isEqualTo("A run from after the work shows that it was done.");
    }
    // A mount of a series is neither.
    assertThat(of(NEW.withRuns(List.of(run(Side.BEFORE).inState("series x")))).get(1).has())
        .isFalse();
  }

  @Test
  void stepsCountOnceTheyAreDone() {
    WorkLog log = NEW.work();
    for (PlanStep step : PLAN.steps()) {
      log = log.done(step.id(), Instant.parse("2026-03-01T09:00:00Z"), List.of());
    }
    List<Checklist.Item> items = of(NEW.withWork(log));
    int all = PLAN.steps().size();
    assertThat(items.get(2).words()).isEqualTo(all + " of " + all + " steps are done.");
    assertThat(items.get(3).has()).isTrue();
    assertThat(items.get(7).has()).isTrue();
  }
}
