package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.Seat;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.LappingPlan;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.Surfaces;
import dev.ambershim.core.plan.Cases.Arrival;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Whole plans walked from first to last: every seat, arrival and option that exists there. */
@Tag("slow")
class PlanWalkTest {
  static Stream<Arguments> combinations() {
    List<Arguments> all = new ArrayList<>();
    for (Arrival arrival : Arrival.values()) {
      for (OptionKind kind : OptionKind.values()) {
        if (Cases.possible(arrival, kind)) {
          all.add(Arguments.of(arrival, kind));
        }
      }
    }
    return all.stream();
  }

  private static Plan plan(Arrival arrival, OptionKind kind, Way... ways) {
    return Plan.of(Cases.of(arrival, kind, ways));
  }

  private static List<String> ids(Plan plan) {
    return plan.steps().stream().map(PlanStep::id).toList();
  }

  private static PlanStep step(Plan plan, String id) {
    return plan.step(id).orElseThrow(() -> new AssertionError("no step " + id + ": " + ids(plan)));
  }

  private static void holds(Plan plan, String... ids) {
    for (String id : ids) {
      assertThat(step(plan, id).hold()).as(id).isPresent();
    }
  }

  @Test
  void thereAreCombinationsForEverySeat() {
    Set<Seat> seats = new HashSet<>();
    combinations()
        .forEach(
            c -> seats.add(Cases.of((Arrival) c.get()[0], (OptionKind) c.get()[1]).chip().seat()));
    assertThat(seats).containsExactlyInAnyOrder(Seat.values());
    assertThat(combinations().count()).isGreaterThan(90);
  }

  @ParameterizedTest
  @MethodSource("combinations")
  void aChipIsLiftedOnlyWhereItCanBe(Arrival arrival, OptionKind kind) {
    Plan plan = plan(arrival, kind);
    List<String> ids = ids(plan);
    boolean soldered = plan.work().chip().seat().soldered();
    if (soldered) {
      assertThat(ids).doesNotContain("chip-out", "chip-in", "socket-cover", "frame", "held");
      for (PlanStep step : plan.steps()) {
        assertThat(step.title() + step.action() + step.look())
            .as(step.id())
            .doesNotContain("ocket");
      }
    }
    // Out of an open socket, covered in the same breath.
    int out = ids.indexOf("chip-out");
    assertThat(ids.contains("chip-in")).isEqualTo(out >= 0);
    if (out >= 0) {
      assertThat(ids.get(out + 1)).isEqualTo("socket-cover");
      assertThat(step(plan, "socket-cover").atOnce()).isTrue();
      holds(plan, "socket-cover", "chip-in");
    }
  }

  @ParameterizedTest
  @MethodSource("combinations")
  void whatIsTouchedIsCleanedAndDry(Arrival arrival, OptionKind kind) {
    Plan plan = plan(arrival, kind);
    List<String> ids = ids(plan);
    WorkCase work = plan.work();
    if (work.settingsOnly()) {
      return;
    }
    if (work.bare() || work.takesLidOff()) {
      assertThat(ids).contains("alcohol-die", "look-chip");
      holds(plan, "alcohol-die", "look-chip");
    }
    assertThat(ids)
        .containsSubsequence(
            "power-off", "cooler-off", "plate-clean", "mount", "first-start", "proof-after");
    holds(plan, "power-off", "plate-look", "mount", "first-start", "proof-after", "kit");
    if (work.bare() && work.pasted()) {
      assertThat(ids).containsSubsequence("alcohol-die", "paste", "mount");
    }
  }

  @ParameterizedTest
  @MethodSource("combinations")
  void aWetFilmIsNeverClampedOrCarried(Arrival arrival, OptionKind kind) {
    Plan plan = plan(arrival, kind);
    List<String> ids = ids(plan);
    if (!ids.contains("film-die")) {
      return;
    }
    WorkCase work = plan.work();
    assertThat(ids).containsSubsequence("film-die", "film-look", "waste");
    int waste = ids.indexOf("waste");
    assertThat(step(plan, "waste").needs()).extracting(Need::supply).contains(Supply.GLOVES);
    if (work.bare()) {
      assertThat(waste).isLessThan(ids.indexOf("mount"));
      if (!work.fixed()) {
        assertThat(ids).containsSubsequence("chip-in", "collar", "film-die");
        assertThat(step(plan, "chip-in").action()).doesNotContain("Close the clamp");
        boolean clamp = work.chip().seat() == Seat.CLAMP;
        assertThat(step(plan, "chip-in").action().contains("cannot hold")).isEqualTo(clamp);
      }
    } else {
      assertThat(waste).isLessThan(ids.indexOf("lid-on"));
    }
  }

  @ParameterizedTest
  @MethodSource("combinations")
  void theKitListsEveryTool(Arrival arrival, OptionKind kind) {
    Plan plan = plan(arrival, kind);
    if (plan.work().settingsOnly()) {
      return;
    }
    for (PlanStep step : plan.steps()) {
      assertThat(plan.tools()).as(step.id()).containsAll(step.tools());
      step.caution().ifPresent(c -> assertThat(plan.tools()).containsAll(c.gear()));
    }
    assertThat(step(plan, "kit").tools()).isEqualTo(plan.tools());
    assertThat(ids(plan)).containsSubsequence("settings-saved", "kit", "power-off");
  }

  @Test
  void freshPasteOnABareDieCleansTheDieFirst() {
    for (Arrival arrival :
        List.of(Arrival.BARE_PASTED, Arrival.LAPTOP, Arrival.CARD, Arrival.PINS_BARE)) {
      Plan plan = plan(arrival, OptionKind.FRESH_PASTE);
      assertThat(ids(plan)).containsSubsequence("cooler-off", "paste-die", "alcohol-die", "paste");
      assertThat(ids(plan)).doesNotContain("chip-out");
      assertThat(plan.work().words()).isEqualTo("fresh paste on the die");
    }
    assertThat(ids(plan(Arrival.LAPTOP_METAL, OptionKind.FRESH_PASTE)))
        .containsSubsequence("metal-die", "waste-old", "paste");
  }

  @Test
  void closedAgainWithPasteTheJointIsPasted() {
    Plan plan = plan(Arrival.PASTED, OptionKind.PASTE_INSIDE);
    assertThat(plan.work().words()).doesNotContain("metal");
    assertThat(ids(plan))
        .containsSubsequence(
            "look-chip", "inner-paste", "glue", "lid-on", "press", "chip-in", "paste");
    assertThat(ids(plan)).doesNotContain("film-die", "waste", "cover");
    for (PlanStep step : plan.steps()) {
      assertThat(step.title() + step.action() + step.reason())
          .as(step.id())
          .doesNotContainIgnoringCase("film", "liquid metal");
    }
    holds(plan, "inner-paste", "lid-on", "press");
  }

  @Test
  void shearedSolderIsFollowedByADryStart() {
    for (Arrival arrival :
        List.of(Arrival.SOLDERED, Arrival.CHIPLETS, Arrival.PINS_SOLDERED, Arrival.WORKSTATION)) {
      for (OptionKind kind : List.of(OptionKind.METAL_GLUED, OptionKind.BARE)) {
        Plan plan = plan(arrival, kind);
        assertThat(ids(plan))
            .containsSubsequence("shear-passes", "look-chip", "dry-start", "film-die");
        holds(plan, "dry-start");
      }
    }
    assertThat(ids(plan(Arrival.PASTED, OptionKind.BARE))).doesNotContain("dry-start");
  }

  @Test
  void whereNoLidReturnsNothingSaysSoAndTheMountComesDown() {
    Plan plan = plan(Arrival.SOLDERED, OptionKind.BARE);
    assertThat(ids(plan)).doesNotContain("lid-mark", "lid-inside", "sealant-lid");
    for (PlanStep step : plan.steps()) {
      assertThat(step.action() + step.reason())
          .as(step.id())
          .doesNotContain("lid must go back", "inside your outline");
    }
    assertThat(ids(plan)).containsSubsequence("heights", "standoffs", "chip-in", "film-die");
    holds(plan, "standoffs");
    // Lid 2.3 mm and hollow 0.75 mm, less the die's 0.55 mm, and a glue line of 50 µm under it.
    assertThat(step(plan, "standoffs").action()).containsPattern("by 2\\.5\\d? mm");
    assertThat(ids(plan(Arrival.BARE_PASTED, OptionKind.METAL_ON_DIE))).doesNotContain("standoffs");
  }

  @Test
  void aLaptopIsOpenedBatteryFirstAndClosedBatteryLast() {
    for (Arrival arrival : List.of(Arrival.LAPTOP, Arrival.LAPTOP_METAL, Arrival.CONSOLE_METAL)) {
      Plan plan = plan(arrival, OptionKind.FRESH_PASTE);
      assertThat(ids(plan))
          .containsSubsequence(
              "warranty",
              "power-off",
              "case-open",
              "battery-off",
              "cables-off",
              "cooler-off",
              "pads-note",
              "board-cover",
              "pads-on",
              "pads-print",
              "paste",
              "mount",
              "case-close",
              "first-start");
      holds(plan, "warranty", "case-open", "battery-off", "pads-note", "pads-print", "case-close");
      assertThat(step(plan, "battery-off").caution()).contains(Caution.BATTERY);
      assertThat(plan.needs()).containsKey(Supply.PADS);
    }
    Plan card = plan(Arrival.CARD, OptionKind.METAL_ON_DIE);
    assertThat(ids(card))
        .containsSubsequence(
            "power-off",
            "card-out",
            "shroud-off",
            "cooler-off",
            "pads-note",
            "board-cover",
            "paste-die",
            "cover",
            "film-die",
            "waste",
            "mount",
            "card-in",
            "first-start");
    assertThat(ids(card)).doesNotContain("battery-off", "case-open");
  }

  @Test
  void lappingALidOrAPlateIsAPlanOfItsOwn() {
    Plan top = plan(Arrival.PASTED, OptionKind.LAP_TOP);
    assertThat(ids(top))
        .containsSubsequence(
            "chip-out", "socket-cover", "contacts-tape", "lap-top", "wash-top", "chip-in", "paste");
    assertThat(ids(top)).doesNotContain("lift", "film-die");
    holds(top, "contacts-tape", "lap-top", "wash-top");
    Plan plate = plan(Arrival.CARD, OptionKind.LAP_PLATE);
    assertThat(ids(plate)).containsSubsequence("plate-look", "lap-plate", "wash-plate", "mount");
    assertThat(step(plate, "lap-plate").caution()).contains(Caution.DUST);
  }

  @Test
  void extremeColdIsSealedAndDriedOut() {
    Plan plan = plan(Arrival.COLD, OptionKind.FRESH_PASTE);
    assertThat(ids(plan))
        .containsSubsequence("insulate", "mount", "first-start", "proof-after", "dry-out");
    assertThat(step(plan, "insulate").caution()).contains(Caution.COLD);
    assertThat(step(plan, "dry-out").passes().orElseThrow().span().likely()).isGreaterThan(700);
    assertThat(plan.tools()).contains("face shield", "cryogenic gloves");
  }

  @Test
  void aLoopIsDrainedOrBentAsideAndTestedBeforePower() {
    Plan plan = plan(Arrival.WORKSTATION, OptionKind.FRESH_PASTE);
    assertThat(ids(plan))
        .containsSubsequence("loop-aside", "cooler-off", "mount", "loop-fill", "first-start");
    holds(plan, "loop-aside", "loop-fill");
  }

  @Test
  void pinsAndStuckCoolersHaveTheirOwnWords() {
    Plan plan = plan(Arrival.PINS_SOLDERED, OptionKind.FRESH_PASTE);
    assertThat(step(plan, "cooler-off").action()).startsWith("Run it warm");
    assertThat(step(plan, "cooler-off").wrong())
        .extracting(Trouble::sign)
        .contains("The chip came out with the cooler");
    assertThat(step(plan(Arrival.PINS_BARE, OptionKind.METAL_ON_DIE), "chip-out").wrong())
        .extracting(Trouble::sign)
        .contains("A pin is bent");
  }

  @Test
  void aLappedDieIsRinsedWithoutSaltsAndDriesBeforePower() {
    PlanStep rinse = step(plan(Arrival.PASTED, OptionKind.BARE_LAPPED), "wash-die");
    assertThat(rinse.action()).contains("deionised");
    assertThat(rinse.passes().orElseThrow().span().likely()).isGreaterThanOrEqualTo(60);
    assertThat(rinse.hold()).isPresent();
  }

  /** Skin, handling strength, full: the hold point waits for the second. */
  @Test
  void theChipIsHandledWhenItsGlueIsThrough() {
    Plan plan = plan(Arrival.PASTED, OptionKind.METAL_GLUED);
    PlanStep press = step(plan, "press");
    Span wait = press.passes().orElseThrow().span();
    assertThat(wait.likely()).isEqualTo(plan.doses().cure().handlingMinutes());
    assertThat(wait.low()).isGreaterThan(plan.doses().cure().skinMinutes());
    assertThat(wait.high()).isEqualTo(plan.doses().cure().fullMinutes());
    assertThat(press.hold().orElseThrow().check()).contains("set");
  }

  /** What was probed tells papers and strokes at the step; before that the step asks for it. */
  @Test
  void papersAndStrokesStandAtTheStep() {
    WorkCase work = Cases.of(Arrival.PASTED, OptionKind.LAP_TOP);
    assertThat(step(Plan.of(work), "lap-top").action()).startsWith("Probe it first");
    List<ProbedPoint> points = new ArrayList<>();
    for (int i = -2; i <= 2; i++) {
      for (int j = -2; j <= 2; j++) {
        points.add(new ProbedPoint(6 * i, 6 * j, -3.0 * (i * i + j * j)));
      }
    }
    Surfaces surfaces = Surfaces.NONE.with(new Relief(Face.LID_TOP, "", points, 0));
    WorkTerms terms = new WorkTerms(null, null, null, null, null, surfaces);
    WorkCase probed =
        new WorkCase(work.chip(), work.cooler(), work.before(), work.after(), work.ways(), terms);
    LappingPlan order =
        LapOrder.of(work.chip(), work.cooler(), surfaces, Face.LID_TOP).orElseThrow();
    String action = step(Plan.of(probed), "lap-top").action();
    for (LappingPlan.Step paper : order.steps()) {
      assertThat(action).contains("P" + paper.grit().number() + " " + Math.round(paper.strokes()));
    }
    assertThat(action).hasSizeLessThanOrEqualTo(240);
  }

  /** Liquid metal inside and on the lid: both films, each with its collar, look and waste. */
  @Test
  void metalInsideAndOnTheLidAreBothFilmed() {
    for (Way seal : List.of(Way.SEAL_NONE, Way.SEAL_CORNERS)) {
      WorkCase one = Cases.of(Arrival.PASTED, OptionKind.METAL_UNGLUED, seal);
      WorkCase both =
          new WorkCase(
              one.chip(),
              one.cooler(),
              one.before(),
              one.after().withOuter(one.after().inner()),
              Ways.USUAL.with(seal));
      List<String> ids = ids(Plan.of(both));
      assertThat(ids).doesNotHaveDuplicates();
      assertThat(ids)
          .containsSubsequence("film-die", "waste", "lid-on", "film-top", "waste-top", "mount");
    }
  }

  /** No tool holds a chip on its board: its lid is cut, and the glue cures under a weight. */
  @Test
  void aLidOnABoardIsCutAndNeverCarried() {
    Plan plan = plan(Arrival.LID_ON_BOARD, OptionKind.METAL_GLUED, Way.VICE_TOOL);
    assertThat(ids(plan))
        .containsSubsequence(
            "battery-off",
            "board-cover",
            "cut",
            "lift",
            "film-die",
            "waste",
            "lid-on",
            "press",
            "mount",
            "case-close");
    assertThat(ids(plan)).doesNotContain("seat", "shear", "tool");
    assertThat(step(plan, "press").action()).contains("weight");
    for (PlanStep step : plan.steps()) {
      assertThat(step.action() + step.wrong()).as(step.id()).doesNotContain("the tool");
    }
    Plan loose = plan(Arrival.LID_ON_BOARD, OptionKind.METAL_UNGLUED);
    assertThat(step(loose, "lid-on").action()).doesNotContain("clamp");
  }

  @Test
  void settingsUnderAColdPotDoNotDryOutTheBoard() {
    assertThat(ids(plan(Arrival.COLD, OptionKind.LOWER_VOLTAGE)))
        .doesNotContain("dry-out", "insulate");
  }
}
