package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Cases.Arrival;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.plan.Flaw.Kind;
import dev.ambershim.core.plan.StepTimer.State;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.core.stage.clean.CleanAnswer.Fitness;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is kept while the work goes on: entries, timers, the shelf, flaws. */
class WorkLogTest {
  private static final Instant NOON = Instant.parse("2026-06-15T12:00:00Z");
  private static final LocalDate TODAY = LocalDate.of(2026, 6, 15);
  private static final Plan PLAN = Plan.of(Cases.of(Arrival.PASTED, OptionKind.METAL_GLUED));

  @Test
  void entriesKeepTheFirstBeginAndCanBeOpenedAgain() {
    WorkLog log = WorkLog.EMPTY.goingTo("kit", NOON).goingTo("kit", NOON.plusSeconds(60));
    assertThat(log.entry("kit").begunAt()).isEqualTo(NOON);
    assertThat(log.at()).isEqualTo("kit");
    List<Use> used = List.of(new Use("tube", Supply.PASTE, 0.5));
    WorkLog done = log.done("kit", NOON.plusSeconds(300), used);
    assertThat(done.done()).containsExactly("kit");
    // Done twice stays as it was.
    assertThat(done.done("kit", NOON.plusSeconds(900), List.of())).isEqualTo(done);
    WorkLog again = done.reopened("kit");
    assertThat(again.done()).isEmpty();
    assertThat(again.entry("kit").used()).isEmpty();
    assertThat(again.entry("kit").begunAt()).isEqualTo(NOON);
  }

  @Test
  void aHoldPointAsksForItsEvidence() {
    StepEntry entry = StepEntry.of("seat");
    Hold tick = new Hold("Clamped?", Evidence.TICK, "");
    Hold reading = new Hold("Settled?", Evidence.READING, "rise, K");
    Hold photo = new Hold("Closed?", Evidence.PHOTO, "");
    assertThat(entry.passes(tick)).isFalse();
    assertThat(entry.withInitials("  ").passes(tick)).isFalse();
    assertThat(entry.withInitials("LM").passes(tick)).isTrue();
    assertThat(entry.withInitials("LM").passes(reading)).isFalse();
    assertThat(entry.withReading("54.1").passes(reading)).isTrue();
    assertThat(entry.withPhotos(List.of(new Photo("ab".repeat(32), "a.png"))).passes(photo))
        .isTrue();
    assertThat(entry.withOverride("no camera at hand").passes(photo)).isTrue();
    assertThat(entry.withOverride("no camera").withOverride("").passes(photo)).isFalse();
  }

  @Test
  void timersGoByUptimeWhateverTheClockSays() {
    Moment begun = new Moment(NOON, "boot-1", 1000);
    // The clock was set back by an hour, twenty minutes passed.
    Moment now = new Moment(NOON.minusSeconds(2400), "boot-1", 2200);
    Moment.Elapsed elapsed = now.since(begun);
    assertThat(elapsed.seconds()).isEqualTo(1200);
    assertThat(elapsed.sure()).isTrue();
    assertThat(elapsed.shiftSeconds()).isEqualTo(-3600);
    // After a restart of the machine only the wall clock is left.
    Moment restarted = new Moment(NOON.plusSeconds(5000), "boot-2", 30);
    assertThat(restarted.since(begun).seconds()).isEqualTo(5000);
    assertThat(restarted.since(begun).sure()).isFalse();
    assertThat(Moment.wall(NOON.minusSeconds(9)).since(begun).seconds()).isZero();

    StepTimer timer = new StepTimer("press", "cures", begun, new Span(30, 720, 1440), null);
    assertThat(timer.state(29 * 60)).isEqualTo(State.RUNNING);
    assertThat(timer.secondsToNext(29 * 60)).isEqualTo(60);
    assertThat(timer.state(30 * 60)).isEqualTo(State.LEAST);
    assertThat(timer.secondsToNext(30 * 60)).isEqualTo(690 * 60);
    assertThat(timer.state(720 * 60)).isEqualTo(State.DUE);
    assertThat(timer.state(1440 * 60)).isEqualTo(State.SAFE);
    WorkLog log = WorkLog.EMPTY.withTimer(timer);
    assertThat(log.running("press")).contains(timer);
    assertThat(log.ending(timer, NOON).running("press")).isEmpty();
    assertThat(log.ending(timer, NOON).timer("press").orElseThrow().endedAt()).isEqualTo(NOON);
  }

  @Test
  void theKitIsWhatIsNeededLessWhatIsThere() {
    Kit bare = Kit.of(PLAN, WorkLog.EMPTY, List.of(), List.of(), Terms.USUAL, TODAY);
    Kit.Line alcohol = line(bare, Supply.ALCOHOL);
    double needed =
        PLAN.steps().stream()
            .flatMap(s -> s.needs().stream())
            .filter(n -> n.supply() == Supply.ALCOHOL)
            .mapToDouble(Need::amount)
            .sum();
    assertThat(alcohol.needed()).isEqualTo(needed);
    assertThat(alcohol.packs()).isEqualTo(1);
    // The tool is asked for by two steps and needed once.
    assertThat(line(bare, Supply.TOOL).needed()).isEqualTo(1);
    assertThat(bare.sentence(Notation.METRIC)).contains("have to be bought");
    // What the weighing reckons with costs the same here.
    assertThat(line(bare, Supply.METAL).coins()).isEqualTo(Terms.USUAL.metalCoins());
    assertThat(line(bare, Supply.TOOL).coins()).isEqualTo(Terms.USUAL.toolCoins());

    List<ShelfItem> shelf = new ArrayList<>();
    for (Supply supply : PLAN.needs().keySet()) {
      shelf.add(ShelfItem.usual(supply, TODAY));
    }
    assertThat(Kit.of(PLAN, WorkLog.EMPTY, shelf, List.of(), Terms.USUAL, TODAY).shopping())
        .isEmpty();
    // A syringe past its date is not counted, and said.
    shelf.removeIf(i -> i.supply() == Supply.METAL);
    shelf.add(new ShelfItem("old syringe", Supply.METAL, 1, 11, TODAY.minusDays(1)));
    Kit old = Kit.of(PLAN, WorkLog.EMPTY, shelf, List.of(), Terms.USUAL, TODAY);
    assertThat(old.shopping()).hasSize(1);
    assertThat(line(old, Supply.METAL).gone()).isEqualTo(1);
    assertThat(old.coins()).isEqualTo(11);
  }

  private static Kit.Line line(Kit kit, Supply supply) {
    return kit.lines().stream().filter(l -> l.supply() == supply).findFirst().orElseThrow();
  }

  @Test
  void useIsBookedFromWhatGoesOffFirst() {
    PlanStep step = PLAN.step("alcohol-die").orElseThrow();
    List<ShelfItem> shelf =
        List.of(
            new ShelfItem("big bottle", Supply.ALCOHOL, 250, 6, TODAY.plusYears(2)),
            new ShelfItem("rest", Supply.ALCOHOL, 4, 6, TODAY.plusDays(3)),
            new ShelfItem("stale", Supply.ALCOHOL, 90, 6, TODAY.minusDays(3)));
    List<Use> booked = Kit.book(step, shelf, List.of(), TODAY);
    assertThat(booked)
        .containsExactly(
            new Use("rest", Supply.ALCOHOL, 4), new Use("big bottle", Supply.ALCOHOL, 6));
    assertThat(Kit.left(shelf.get(0), booked)).isEqualTo(244);
    assertThat(Kit.left(shelf.get(1), booked)).isZero();
    // A tool is not used up; a shelf without it books nothing.
    assertThat(Kit.book(PLAN.step("seat").orElseThrow(), shelf, List.of(), TODAY)).isEmpty();
  }

  @Test
  void packsAreCheckedAsTheyAreTyped() {
    assertThat(ShelfItem.checked(" tube ", Supply.PASTE, 4, 8, null).name()).isEqualTo("tube");
    assertThatThrownBy(() -> ShelfItem.checked(" ", Supply.PASTE, 4, 8, null))
        .isInstanceOf(Problem.class);
    assertThatThrownBy(() -> ShelfItem.checked("a", Supply.PASTE, 0, 8, null))
        .isInstanceOf(Problem.class);
    assertThatThrownBy(() -> ShelfItem.checked("a", Supply.PASTE, Double.NaN, 8, null))
        .isInstanceOf(Problem.class);
    assertThatThrownBy(() -> ShelfItem.checked("a", Supply.PASTE, 1, -1, null))
        .isInstanceOf(Problem.class);
  }

  @Test
  void amountsGoByArea() {
    // Half of the dose on each face; 6.4387 g/cm³ at 22 °C; half as much again lost.
    double dose = PLAN.doses().films().get(0).wantedCubicMillimetres();
    double grams = dose / 2 * 6.4387e-3 * 1.5;
    // The die carries the lid on a film of 25 µm, 50 at most, and that is what is filled.
    assertThat(dose).isBetween(9.2 * 19 * 0.025, 9.2 * 19 * 0.06);
    Need film =
        PLAN.step("film-die").orElseThrow().needs().stream()
            .filter(n -> n.supply() == Supply.METAL)
            .findFirst()
            .orElseThrow();
    assertThat(film.amount()).isCloseTo(grams, within(1e-6));
    Need paste = PLAN.step("paste").orElseThrow().needs().stream().findFirst().orElseThrow();
    assertThat(paste.amount())
        .isCloseTo(
            30.5
                * 30.5
                * 0.131
                * Math.pow(110 / (4 * 12 * 3.4 / 30.5 / 30.5 * 1e6), 0.166)
                * 2.6e-3
                * 1.4,
            within(1e-9));
  }

  @Test
  void flawsAreJudgedByFaceAndDepth() {
    assertThat(CleanAnswer.of(List.of(), false, false).sentence()).startsWith("Not looked at");
    assertThat(CleanAnswer.of(List.of(), true, false).worst()).isEqualTo(Fitness.YES);
    assertThat(use(Face.DIE, Kind.CRACK, false)).isEqualTo(Fitness.NO);
    assertThat(use(Face.DIE_EDGE, Kind.CHIP, false)).isEqualTo(Fitness.WATCH);
    assertThat(use(Face.DIE_EDGE, Kind.CHIP, true)).isEqualTo(Fitness.CANNOT_TELL);
    assertThat(use(Face.DIE, Kind.SCRATCH, false)).isEqualTo(Fitness.YES);
    assertThat(use(Face.SUBSTRATE, Kind.GOUGE, true)).isEqualTo(Fitness.CANNOT_TELL);
    assertThat(use(Face.LID_INSIDE, Kind.LIFTED, false)).isEqualTo(Fitness.NO);
    assertThat(use(Face.PLATE, Kind.STAIN, true)).isEqualTo(Fitness.YES);
    assertThat(use(Face.LID_INSIDE, Kind.CRUST, false)).isEqualTo(Fitness.MEND);
    Flaw pit = new Flaw(Face.PLATE, Kind.PIT, true, "");
    assertThat(CleanAnswer.of(List.of(pit), true, true).worst()).isEqualTo(Fitness.NO);
    assertThat(CleanAnswer.of(List.of(pit), true, false).worst()).isEqualTo(Fitness.MEND);
    CleanAnswer two =
        CleanAnswer.of(
            List.of(pit, new Flaw(Face.DIE, Kind.CRACK, true, "corner by the mark")), true, true);
    assertThat(two.sentence()).startsWith("Not fit to be used again").contains("2 flaws");
    for (Face face : Face.values()) {
      for (Kind kind : Kind.values()) {
        CleanAnswer.Judgement one =
            CleanAnswer.of(List.of(new Flaw(face, kind, true, "")), true, true).judgements().get(0);
        assertThat(one.meaning()).endsWith(".");
        assertThat(one.doing()).endsWith(".");
      }
    }
  }

  private static Fitness use(Face face, Kind kind, boolean deep) {
    return CleanAnswer.of(List.of(new Flaw(face, kind, deep, "")), true, false).worst();
  }
}
