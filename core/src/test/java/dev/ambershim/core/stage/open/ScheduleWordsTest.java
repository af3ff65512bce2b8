package dev.ambershim.core.stage.open;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.Cases;
import dev.ambershim.core.plan.Cases.Arrival;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.WorkLog;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is said of a schedule. */
class ScheduleWordsTest {
  private static final Instant NOON = Instant.parse("2026-06-15T12:00:00Z");
  private static final Plan PLAN = Plan.of(Cases.of(Arrival.PASTED, OptionKind.METAL_GLUED));
  private static final Plan QUICK = Plan.of(Cases.of(Arrival.PASTED, OptionKind.FRESH_PASTE));

  private final ScheduleWords words = new ScheduleWords(Notation.METRIC, ZoneOffset.UTC);

  private static Schedule schedule(Plan plan, WorkLog log) {
    return Schedule.of(plan, log, NOON, ZoneOffset.UTC).orElseThrow();
  }

  private String said(Plan plan, WorkLog log) {
    return words.sentence(plan, log, schedule(plan, log));
  }

  @Test
  void nowIsSaidOnlyWhereItIsNow() {
    assertThat(said(QUICK, WorkLog.EMPTY)).startsWith("Begin now and finish on Mon 15 June");
    WorkLog evenings = WorkLog.EMPTY.withHours(new Hours("18:00", "22:00", List.of(1, 2, 3, 4, 5)));
    assertThat(said(QUICK, evenings)).startsWith("Begin on Mon 15 June, 18:00 and finish");
    WorkLog later = WorkLog.EMPTY.between(NOON.plus(Duration.ofDays(2)), null);
    assertThat(said(QUICK, later)).startsWith("Begin on Wed 17 June, 12:00");
    // An end that was asked for and is kept is not spoken of when a start is given too.
    WorkLog both =
        WorkLog.EMPTY.between(NOON.plus(Duration.ofDays(1)), NOON.plus(Duration.ofDays(9)));
    assertThat(said(PLAN, both)).startsWith("Begin on Tue 16 June, 12:00");
  }

  @Test
  void stepsAndTimeAtTheBenchAreCounted() {
    double hands = QUICK.hands().likely();
    assertThat(said(QUICK, WorkLog.EMPTY))
        .endsWith(
            "in nine cases of ten. That is "
                + QUICK.steps().size()
                + " steps, "
                + Notation.minutes(hands)
                + " at the bench.");
    WorkLog log = WorkLog.EMPTY;
    for (PlanStep step : QUICK.steps().subList(0, 3)) {
      log = log.goingTo(step.id(), NOON).done(step.id(), NOON, List.of());
    }
    assertThat(said(QUICK, log))
        .startsWith("3 of " + QUICK.steps().size() + " steps are done; you finish on Mon");
  }

  @Test
  void anEndThatCannotBeKeptIsSaidFirst() {
    WorkLog hurried = WorkLog.EMPTY.between(null, NOON.plus(Duration.ofHours(2)));
    assertThat(said(PLAN, hurried))
        .startsWith("It cannot be done by Mon 15 June, 14:00: begun now, it ends on ");
    WorkLog kept = WorkLog.EMPTY.between(null, NOON.plus(Duration.ofDays(4)));
    assertThat(said(PLAN, kept))
        .startsWith("Begin by ")
        .contains("to be done by Fri 19 June, 12:00; to be careful, by ");
    WorkLog startedLate = WorkLog.EMPTY.between(NOON, NOON.plus(Duration.ofHours(2)));
    assertThat(said(PLAN, startedLate)).startsWith("It cannot be done by");
  }

  @Test
  void theReasonsNameTheLongestWaitAndHowSureItIs() {
    List<String> reasons = words.reasons(schedule(PLAN, WorkLog.EMPTY));
    String cures = Notation.minutes(PLAN.doses().cure().handlingMinutes());
    assertThat(reasons.get(0))
        .isEqualTo(
            "The longest wait: the glue cures until the chip can be handled, usually "
                + cures
                + ".");
    assertThat(reasons.get(1)).matches("You work on during the waits\\. .* later\\.");
    assertThat(reasons.get(2)).startsWith("How long that wait takes depends on: ");
    assertThat(reasons.get(3)).contains("nine of ten").contains("2000 draws");
  }

  @Test
  void timesAreWrittenAsThePersonWritesThem() {
    ScheduleWords twelve =
        new ScheduleWords(new Notation(false, false, false, true), ZoneOffset.UTC);
    assertThat(twelve.time(NOON.plusSeconds(3660))).isEqualTo("1:01 pm");
    assertThat(twelve.moment(NOON)).isEqualTo("Mon 15 June, 12:00 pm");
    assertThat(twelve.moment(Instant.MAX)).isEqualTo("beyond your hours");
  }
}
