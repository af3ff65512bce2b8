package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.plan.Cases.Arrival;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What holds a step up, over every step of a whole plan. */
class BarrierTest {
  private static final Moment BEGUN = new Moment(Instant.parse("2026-06-15T12:00:00Z"), "boot", 50);
  private static final Plan PLAN = Plan.of(Cases.of(Arrival.PASTED, OptionKind.METAL_GLUED));

  private static Moment later(double minutes) {
    long seconds = Math.round(minutes * 60);
    return new Moment(BEGUN.wall().plusSeconds(seconds), "boot", 50 + seconds);
  }

  private static Barrier at(WorkLog log, PlanStep step, double minutes) {
    return new Barrier(PLAN, log, step, later(minutes));
  }

  /** Everything before a step is done, as if an hour ago, and given what it asks for. */
  private static WorkLog before(PlanStep step) {
    WorkLog log = WorkLog.EMPTY;
    for (String id : step.after()) {
      log = log.done(id, BEGUN.wall(), List.of());
    }
    return log;
  }

  private static StepEntry given(StepEntry entry) {
    return entry
        .withInitials("LM")
        .withReading("54.1")
        .withPhotos(List.of(new Photo("ab".repeat(32), "a.png")));
  }

  @Test
  void whatComesBeforeComesFirstAndAsksForNothingYet() {
    for (PlanStep step : PLAN.steps()) {
      Barrier barrier = at(WorkLog.EMPTY, step, 0);
      if (!step.after().isEmpty()) {
        String first =
            PLAN.steps().stream()
                .filter(s -> step.after().contains(s.id()))
                .findFirst()
                .orElseThrow()
                .title();
        assertThat(barrier.why()).contains("First comes \"" + first + "\".");
        assertThat(barrier.asksFor()).isEmpty();
        assertThat(barrier.waiting()).isEmpty();
      }
    }
  }

  @Test
  void aWaitHoldsUntilItsLeastTimeIsOver() {
    int waits = 0;
    for (PlanStep step : PLAN.steps()) {
      double least =
          step.after().stream()
              .flatMap(id -> PLAN.step(id).orElseThrow().passes().stream())
              .mapToDouble(w -> w.span().low())
              .max()
              .orElse(0);
      if (least > 0) {
        waits++;
        WorkLog log = before(step).with(step.id(), BarrierTest::given);
        assertThat(at(log, step, 0).why())
            .hasValueSatisfying(w -> assertThat(w).startsWith("Not yet"));
        assertThat(at(log, step, 0).waiting()).isEqualTo(at(log, step, 0).why());
        assertThat(at(log, step, 0).asksFor()).isEmpty();
        assertThat(at(log, step, least - 0.6).why()).isPresent();
        assertThat(at(log, step, least + 0.1).why()).isEmpty();
      }
    }
    assertThat(waits).isPositive();
  }

  /**
   * A timer that was put away has had its time, and one counts by uptime, not by a changed clock.
   */
  @Test
  void aTimerIsBelievedBeforeTheClock() {
    PlanStep waits =
        PLAN.steps().stream().filter(s -> s.passes().isPresent()).findFirst().orElseThrow();
    PlanStep next =
        PLAN.steps().stream().filter(s -> s.after().contains(waits.id())).findFirst().orElseThrow();
    Wait wait = waits.passes().orElseThrow();
    StepTimer timer = new StepTimer(waits.id(), wait.what(), BEGUN, wait.span(), null);
    WorkLog log = before(next).withTimer(timer);
    Moment setForward = new Moment(BEGUN.wall().plusSeconds(86_400), "boot", 60);
    assertThat(new Barrier(PLAN, log, next, setForward).waiting()).isPresent();
    WorkLog away = log.ending(timer, BEGUN.wall());
    assertThat(new Barrier(PLAN, away, next, later(0.2)).waiting()).isEmpty();
  }

  @Test
  void aHoldPointAsksForItsEvidenceUnlessItIsPassedByWithAReason() {
    int holds = 0;
    for (PlanStep step : PLAN.steps()) {
      if (step.hold().isEmpty()) {
        continue;
      }
      holds++;
      Hold hold = step.hold().get();
      WorkLog log = before(step);
      Barrier barrier = at(log, step, 10_000);
      assertThat(barrier.why())
          .contains("Hold point: it asks for " + hold.evidence().words() + ".");
      assertThat(barrier.asksFor()).contains(hold.evidence());
      WorkLog passed = log.with(step.id(), e -> e.withOverride("no camera at hand"));
      assertThat(at(passed, step, 10_000).why()).isEmpty();
      WorkLog shown = log.with(step.id(), BarrierTest::given);
      assertThat(at(shown, step, 10_000).why()).isEmpty();
      assertThat(at(shown, step, 10_000).asksFor()).isEmpty();
      WorkLog done = log.done(step.id(), BEGUN.wall(), List.of());
      assertThat(at(done, step, 10_000).why()).isEmpty();
    }
    assertThat(holds).isGreaterThan(3);
  }
}
