package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.Alloy;
import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.dosing.Verdict;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.stage.close.LidAnswer;
import dev.ambershim.core.stage.close.MountAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What doses, closing and mounting say in words, and how they flow into steps and kit. */
class MaterialWordsTest {
  private static final Job JOB = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");

  private static Finding finding(Job job) {
    return CoatAnswer.of(job, Notation.METRIC).finding().orElseThrow();
  }

  @Test
  void everyAnswerHasItsWorkingAndItsLimits() {
    List<Finding> all =
        List.of(
            finding(JOB),
            LidAnswer.of(JOB, Notation.METRIC).orElseThrow().finding(),
            MountAnswer.of(JOB, Notation.METRIC).finding());
    for (Finding f : all) {
      assertThat(f.sentence()).as(f.key()).endsWith(".").doesNotContain("NaN").doesNotContain("–");
      assertThat(f.working().formula()).as(f.key()).isNotBlank();
      assertThat(f.working().inputs()).as(f.key()).hasSizeGreaterThan(3);
      assertThat(f.working().source()).as(f.key()).contains("common practice");
      assertThat(f.working().limits()).as(f.key()).isNotEmpty();
    }
    assertThat(finding(JOB).interval().orElseThrow().contains(finding(JOB).value())).isTrue();
  }

  @Test
  void aFlatBoardWithNothingNearReachesNothing() {
    Job free = WorkWays.take(JOB, Way.NO_PARTS);
    Job flat = free.withCoat(free.coat().withUpright(false));
    assertThat(finding(flat).sentence()).contains("too much reaches nothing that it could harm");
    assertThat(finding(flat).interval()).isEmpty();
    Job upright = free.withCoat(free.coat().withUpright(true));
    assertThat(finding(upright).sentence()).contains("it runs down a standing board");
  }

  @Test
  void aPartRightBesideTheDieLeavesNoAmount() {
    Job tight = JOB.withCoat(JOB.coat().withPartMillimetres(0.02));
    assertThat(finding(tight).sentence())
        .startsWith("No amount over the die is enough and harmless")
        .contains("cover the parts, mask around the die, or weigh the dose");
    CoatAnswer answer = CoatAnswer.of(tight, Notation.METRIC);
    assertThat(answer.odds().get(0).reaches() + answer.odds().get(0).dry()).isGreaterThan(0.5);
  }

  @Test
  void galliumIsWarmedFirst() {
    Job cold = JOB.withCoat(JOB.coat().withAlloy(Alloy.GALLIUM));
    assertThat(CoatAnswer.of(cold, Notation.METRIC).notes())
        .anyMatch(n -> n.contains("It is solid at 29.8 °C"));
    Job warm = cold.withCoat(cold.coat().withCelsius(40.0));
    assertThat(CoatAnswer.of(warm, Notation.METRIC).notes()).noneMatch(n -> n.contains("solid"));
  }

  @Test
  void theFirstLookIsTheSoonestOfTheFacesInTheJoint() {
    assertThat(CoatAnswer.of(JOB, Notation.METRIC).notes())
        .contains("First look at the film after 12 months.");
    Job copper = JOB.withCoat(JOB.coat().saying(MetalPlace.LID_INSIDE, MetalFace.COPPER));
    assertThat(CoatAnswer.of(copper, Notation.METRIC).notes())
        .contains("First look at the film after 3 months.");
  }

  @Test
  void whatMustNotBeComesFirst() {
    Job job =
        JOB.withCoat(
            JOB.coat()
                .saying(MetalPlace.TABLE, MetalFace.ALUMINIUM)
                .saying(MetalPlace.LID_INSIDE, MetalFace.COPPER));
    List<Verdict> verdicts =
        CoatAnswer.of(job, Notation.METRIC).meetings().stream().map(Meeting::verdict).toList();
    assertThat(verdicts.get(0)).isEqualTo(Verdict.NEVER);
    assertThat(verdicts).isSortedAccordingTo((a, b) -> b.compareTo(a));
    assertThat(finding(job).sentence()).startsWith("Stop. Table: ");
  }

  @Test
  void noMetalNoAnswerOfIt() {
    Build pasted = new Build(true, 40, JOB.before().inner(), Joint.usual(Filling.PASTE));
    Job paste = JOB.with(JOB.title(), "", JOB.cooler(), JOB.before(), pasted);
    CoatAnswer answer = CoatAnswer.of(paste, Notation.METRIC);
    assertThat(answer.finding()).isEmpty();
    assertThat(answer.meetings()).isEmpty();
    assertThat(LidAnswer.of(paste, Notation.METRIC)).isEmpty();
  }

  /** Metal on the lid's top lies between lid and plate and must not reach the lid's edge. */
  @Test
  void aFilmOnTheLidStaysOffItsEdge() {
    Build metal = new Build(true, 40, JOB.before().inner(), Joint.usual(Filling.LIQUID_METAL));
    Job job = JOB.with(JOB.title(), "", JOB.cooler(), JOB.before(), metal);
    Doses doses = job.workCase().doses();
    assertThat(doses.films()).hasSize(1);
    assertThat(doses.films().get(0).place().part()).isEqualTo("the lid's edge");
    // 30.5 mm less three at each side at most.
    assertThat(doses.films().get(0).place().depthMillimetres()).isCloseTo(24.5, within(1e-9));
    assertThat(doses.seat()).isEmpty();
  }

  @Test
  void amountsFlowIntoStepsAndKit() {
    Plan plan = Plan.of(JOB.workCase());
    String drop = plan.doses().drops(Notation.METRIC);
    assertThat(plan.step("film-die").orElseThrow().action()).contains(drop);
    assertThat(plan.needs().get(Supply.METAL)).isGreaterThan(0.02);
    assertThat(plan.needs().get(Supply.PASTE))
        .isCloseTo(Doses.pasteGrams(JOB.workCase()), within(1e-12));
    assertThat(plan.needs().get(Supply.SILICONE))
        .isCloseTo(plan.doses().glue().grams(), within(1e-12));
    Job more = JOB.withPaste(JOB.paste().withGrams(0.4));
    assertThat(Plan.of(more.workCase()).needs().get(Supply.PASTE)).isEqualTo(0.4);
    assertThat(Plan.of(more.workCase()).step("paste").orElseThrow().action()).contains("0.40 g");
    Job quarter = JOB.withMounting(JOB.mounting().withIncrement(0.25));
    assertThat(Plan.of(quarter.workCase()).step("mount").orElseThrow().action())
        .contains("a quarter turn each");
    Job thick = JOB.withClosing(JOB.closing().withBeadMillimetres(3.0));
    assertThat(Plan.of(thick.workCase()).step("glue").orElseThrow().action()).contains("3.0 mm");
  }

  @Test
  void theNearestPartIsFoundByItsEdge() {
    List<Top> tops =
        List.of(
            new Top("far", TopKind.PART, 0, 16, 2, 1, false, Reading.NONE),
            new Top("near", TopKind.PART, 8, 0, 2, 4, false, Reading.NONE),
            new Top("corner", TopKind.PART, 8.6, 13.5, 2, 2, false, Reading.NONE),
            new Top("shim", TopKind.SHIM, 5, 0, 1, 1, false, Reading.NONE));
    Job job = JOB.withHeights(JOB.heights().withTops(tops));
    var place = job.workCase().doses().films().get(0).place();
    // Die 9.2 × 19: its right edge at 4.6, the part's left one at 7.
    assertThat(place.part()).isEqualTo("the part \"near\"");
    assertThat(place.partMillimetres()).isCloseTo(2.4, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "coat.boreMillimetres, -1",
    "coat.celsius, 400",
    "coat.partMillimetres, -2",
    "paste.grams, 900",
    "paste.celsius, -80",
    "closing.beadMillimetres, 0",
    "closing.humidityPercent, 140",
    "closing.newtons, 1e6",
    "closing.oldMicrometres, -3",
    "mounting.pitchMillimetres, 0",
    "mounting.torqueNewtonMetres, -0.1",
    "mounting.squeezeMillimetres, NaN",
    "mounting.increment, 0",
    "mounting.edgeMegapascals, -6"
  })
  void figuresThatCannotBeAreRefusedByName(String name, double value) {
    Job job = Figures.named(JOB, name, Side.AFTER).access().write().apply(JOB, value);
    assertThatThrownBy(() -> JobRules.check(job))
        .isInstanceOfSatisfying(
            Problem.class,
            p -> assertThat(p.getMessage()).contains(name).containsAnyOf("range", "cannot be"));
  }
}
