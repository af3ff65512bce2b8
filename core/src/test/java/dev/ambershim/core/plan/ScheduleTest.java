package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Cases.Arrival;
import dev.ambershim.core.plan.Schedule.Slot;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Whole plans in time. */
@Tag("slow")
class ScheduleTest {
  private static final Instant NOON = Instant.parse("2026-06-15T12:00:00Z");
  private static final Plan GLUED = Plan.of(Cases.of(Arrival.PASTED, OptionKind.METAL_GLUED));
  private static final Plan SOLDER = Plan.of(Cases.of(Arrival.CHIPLETS, OptionKind.BARE_LAPPED));

  private static Schedule of(Plan plan, WorkLog log) {
    return Schedule.of(plan, log, NOON, ZoneOffset.UTC).orElseThrow();
  }

  private static double minutes(Instant from, Instant to) {
    return Duration.between(from, to).toMillis() / 60_000.0;
  }

  /** Nothing overlaps, nothing comes before what it needs. */
  private static void sound(Plan plan, Schedule schedule, Set<String> done) {
    Map<String, Slot> by = new HashMap<>();
    Instant free = Instant.MIN;
    for (Slot slot : schedule.slots()) {
      assertThat(slot.begin()).as(slot.step().id()).isAfterOrEqualTo(free);
      free = slot.handsEnd();
      by.put(slot.step().id(), slot);
      assertThat(slot.slackMinutes()).isNotNegative();
    }
    assertThat(by).hasSize(plan.steps().size() - done.size());
    for (Slot slot : schedule.slots()) {
      for (String earlier : slot.step().after()) {
        if (by.containsKey(earlier)) {
          assertThat(slot.begin())
              .as("%s after %s", slot.step().id(), earlier)
              .isAfterOrEqualTo(by.get(earlier).passedEnd().minusMillis(2));
        }
      }
      if (slot.step().atOnce()) {
        assertThat(schedule.slots().get(schedule.slots().indexOf(slot) - 1).handsEnd())
            .isEqualTo(slot.begin());
      }
    }
  }

  @Test
  void everyOptionsPlanIsScheduled() {
    for (Arrival arrival : Arrival.values()) {
      for (OptionKind kind : OptionKind.values()) {
        if (Cases.possible(arrival, kind)) {
          Plan plan = Plan.of(Cases.of(arrival, kind));
          Schedule schedule = of(plan, WorkLog.EMPTY);
          sound(plan, schedule, Set.of());
          assertThat(schedule.begin()).isEqualTo(NOON);
          assertThat(schedule.cautiousEnd()).isAfter(schedule.medianEnd());
        }
      }
    }
  }

  @Test
  void lidAndPlateAreCleanedWhileVarnishDries() {
    Schedule schedule = of(GLUED, WorkLog.EMPTY);
    double inARow =
        GLUED.steps().stream()
            .mapToDouble(
                s -> s.hands().likely() + s.passes().map(w -> w.span().likely()).orElse(0.0))
            .sum();
    double spent = minutes(schedule.begin(), schedule.likelyEnd());
    // Work beside the waits saves at least half an hour against one thing after the other.
    assertThat(spent).isLessThan(inARow - 30);
    // The curing and its chain cannot be beaten.
    double cures = GLUED.work().doses().cure().handlingMinutes();
    assertThat(cures).isGreaterThan(300);
    assertThat(spent).isGreaterThan(cures + 35 + 35);
    assertThat(schedule.slots().stream().filter(s -> s.slackMinutes() < 0.01).count())
        .isGreaterThan(5);
  }

  @Test
  void hoursAreKept() {
    Hours evenings = new Hours("18:00", "22:00", List.of(1, 2, 3, 4, 5));
    Schedule schedule = of(SOLDER, WorkLog.EMPTY.withHours(evenings));
    sound(SOLDER, schedule, Set.of());
    for (Slot slot : schedule.slots()) {
      LocalTime begin = LocalTime.ofInstant(slot.begin(), ZoneOffset.UTC);
      LocalTime end = LocalTime.ofInstant(slot.handsEnd(), ZoneOffset.UTC);
      assertThat(begin).as(slot.step().id()).isBetween(LocalTime.of(18, 0), LocalTime.of(22, 0));
      assertThat(end).isBetween(LocalTime.of(18, 0), LocalTime.of(22, 0));
      assertThat(slot.begin().atZone(ZoneOffset.UTC).getDayOfWeek().getValue())
          .isLessThanOrEqualTo(5);
    }
    assertThatThrownBy(
            () ->
                of(SOLDER, WorkLog.EMPTY.withHours(new Hours("18:00", "18:30", List.of(1, 2, 3)))))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("Widen the hours");
  }

  @Test
  void summerTimeEndsInANightOfTwentyFiveHours() {
    ZoneId zone = ZoneId.of("Europe/Vienna");
    Instant saturday =
        Instant.parse("2026-10-24T12:00:00Z"); // 14:00 there; clocks go back at night
    Hours days = new Hours("08:00", "16:00", List.of(1, 2, 3, 4, 5, 6, 7));
    Windows windows = days.around(saturday, zone);
    assertThat(windows.earliest(0, 121)).isEqualTo(19 * 60);
    assertThat(windows.earliest(0, 120)).isEqualTo(0);
  }

  @Test
  void doneByBeginsAsLateAsItMay() {
    Instant end = NOON.plus(Duration.ofDays(3));
    Schedule schedule = of(GLUED, WorkLog.EMPTY.between(null, end));
    sound(GLUED, schedule, Set.of());
    assertThat(schedule.late()).isFalse();
    assertThat(minutes(schedule.likelyEnd(), end)).isCloseTo(0, within(0.02));
    // It takes as long as when it is begun at once: without hours both ways are the same problem.
    Schedule now = of(GLUED, WorkLog.EMPTY);
    assertThat(minutes(schedule.begin(), end))
        .isCloseTo(minutes(NOON, now.likelyEnd()), within(0.02));
    assertThat(schedule.cautiousBegin().orElseThrow()).isBefore(schedule.begin());

    Schedule hurried = of(GLUED, WorkLog.EMPTY.between(null, NOON.plus(Duration.ofHours(5))));
    assertThat(hurried.late()).isTrue();
    assertThat(hurried.begin()).isEqualTo(NOON);
    assertThatThrownBy(() -> of(GLUED, WorkLog.EMPTY.between(NOON.plus(Duration.ofDays(90)), null)))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("start at: That lies more than 60 days ahead");
    // Almost so far, on one short day a week: there is room still.
    Schedule far =
        of(
            GLUED,
            WorkLog.EMPTY
                .between(NOON.plus(Duration.ofDays(59)), null)
                .withHours(new Hours("18:00", "19:30", List.of(6))));
    sound(GLUED, far, Set.of());

    Schedule evenings =
        of(
            GLUED,
            WorkLog.EMPTY
                .between(null, end)
                .withHours(new Hours("17:00", "21:00", List.of(1, 2, 3, 4, 5, 6, 7))));
    sound(GLUED, evenings, Set.of());
    assertThat(evenings.likelyEnd()).isBeforeOrEqualTo(end);
    assertThat(evenings.begin()).isAfterOrEqualTo(NOON);
  }

  @Test
  void whatIsDoneIsDoneAndLateStepsPushTheRest() {
    WorkLog log = WorkLog.EMPTY;
    Set<String> done = new HashSet<>();
    Instant at = NOON.minus(Duration.ofHours(3));
    for (PlanStep step : GLUED.steps().subList(0, 6)) {
      at = at.plus(Duration.ofMinutes(10));
      log = log.goingTo(step.id(), at.minus(Duration.ofMinutes(8))).done(step.id(), at, List.of());
      done.add(step.id());
    }
    Schedule schedule = of(GLUED, log);
    sound(GLUED, schedule, done);
    // A step that was begun an hour ago holds the hands a while longer.
    String next = GLUED.steps().get(6).id();
    WorkLog busy = log.goingTo(next, NOON.minus(Duration.ofHours(1)));
    Schedule later = of(GLUED, busy);
    assertThat(later.slots().stream().map(s -> s.step().id())).doesNotContain(next);
    assertThat(later.begin()).isAfter(NOON);

    WorkLog all = log;
    for (PlanStep step : GLUED.steps()) {
      all = all.done(step.id(), NOON, List.of());
    }
    assertThat(Schedule.of(GLUED, all, NOON, ZoneOffset.UTC)).isEmpty();
  }

  @Test
  void aWaitThatWasPutAwayHoldsNothingUp() {
    WorkLog log = WorkLog.EMPTY;
    for (PlanStep step : GLUED.steps()) {
      log = log.done(step.id(), NOON, List.of());
      if (step.id().equals("cover")) {
        break;
      }
    }
    Schedule waiting = of(GLUED, log);
    StepTimer timer =
        new StepTimer("cover", "first coat dries", Moment.wall(NOON), new Span(10, 15, 30), null);
    Schedule dry = of(GLUED, log.withTimer(timer).ending(timer, NOON));
    assertThat(begin(dry, "cover-again")).isEqualTo(NOON);
    assertThat(begin(waiting, "cover-again")).isEqualTo(NOON.plus(Duration.ofMinutes(15)));
  }

  /** Whoever asks a part of a second later gets the same plan. */
  @Test
  void hoursBeginAtTheSameMomentWheneverItIsAsked() {
    WorkLog log =
        WorkLog.EMPTY
            .between(NOON.plus(Duration.ofDays(2)), null)
            .withHours(new Hours("16:00", "20:00", List.of(1, 2, 3, 4, 5, 6, 7)));
    Schedule now = of(GLUED, log);
    Schedule later =
        Schedule.of(GLUED, log, NOON.plusNanos(7_654_321_987L), ZoneOffset.UTC).orElseThrow();
    Instant closed = begin(now, "lid-on");
    assertThat(closed).isEqualTo(closed.truncatedTo(ChronoUnit.MINUTES));
    for (Slot slot : now.slots()) {
      assertThat(begin(later, slot.step().id())).isEqualTo(slot.begin());
    }
    assertThat(later.likelyEnd()).isEqualTo(now.likelyEnd());
    assertThat(later.cautiousEnd()).isCloseTo(now.cautiousEnd(), within(2, ChronoUnit.MILLIS));
  }

  private static Instant begin(Schedule schedule, String id) {
    return schedule.slots().stream()
        .filter(s -> s.step().id().equals(id))
        .findFirst()
        .orElseThrow()
        .begin();
  }

  /** PERT's mean and deviation against draws from its beta distribution. */
  @Test
  void drawsHaveThePertMean() {
    Span span = new Span(30, 720, 1440);
    RandomDataGenerator random = new RandomDataGenerator(3);
    double sum = 0;
    double squares = 0;
    int n = 40_000;
    PertTime time = new PertTime(span);
    // The shapes of Malcolm and others for 30, 720 and 1440: 1 + 4·690/1410 and 1 + 4·720/1410.
    double cautious =
        30
            + 1410
                * new BetaDistribution(2.957446809, 3.042553191).inverseCumulativeProbability(0.9);
    int below = 0;
    for (int i = 0; i < n; i++) {
      double draw = time.draw(random);
      assertThat(draw).isBetween(30.0, 1440.0);
      sum += draw;
      squares += draw * draw;
      below += draw < cautious ? 1 : 0;
    }
    double mean = sum / n;
    assertThat(mean).isCloseTo(span.mean(), within(5.0));
    assertThat((double) below / n).isCloseTo(0.9, within(0.006));
    // The beta's own deviation is sqrt((mean − low)(high − mean) / 7); PERT's rule is close to it.
    double own = Math.sqrt((span.mean() - 30) * (1440 - span.mean()) / 7);
    assertThat(Math.sqrt(squares / n - mean * mean)).isCloseTo(own, within(5.0));
    assertThat(span.deviation()).isCloseTo(own, within(40.0));
  }

  /** A film lies open no longer than the hands need to close it, whatever the hours. */
  @Test
  void aFilmIsClosedInOneGo() {
    Hours saturdays = new Hours("18:00", "19:30", List.of(6));
    for (OptionKind kind :
        List.of(
            OptionKind.METAL_GLUED,
            OptionKind.METAL_UNGLUED,
            OptionKind.BARE,
            OptionKind.METAL_ON_LID)) {
      Plan plan = Plan.of(Cases.of(Arrival.PASTED, kind));
      Schedule schedule = of(plan, WorkLog.EMPTY.withHours(saturdays));
      sound(plan, schedule, Set.of());
      String film = kind == OptionKind.METAL_ON_LID ? "film-top" : "film-die";
      String closed = plan.work().closes() ? "lid-on" : "mount";
      assertThat(minutes(begin(schedule, film), begin(schedule, closed)))
          .as(kind.name())
          .isLessThan(60);
    }
  }
}
