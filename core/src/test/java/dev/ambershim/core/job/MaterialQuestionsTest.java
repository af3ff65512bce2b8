package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.mounting.Drive;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.mounting.ScrewForce;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.physics.spread.PasteStroke;
import dev.ambershim.core.physics.spread.PasteTerms;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.close.MountAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.core.stage.measure.FitQuestion;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Doses, paste, screws and the first start, as questions to a job. */
@Tag("slow")
class MaterialQuestionsTest {
  private static final Job LIDDED = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");

  private static Job bare() {
    Build after = new Build(false, 0, LIDDED.after().inner(), Joint.usual(Filling.LIQUID_METAL));
    return LIDDED.with(LIDDED.title(), "", LIDDED.cooler(), LIDDED.before(), after);
  }

  private static Job withPart(double xMillimetres) {
    List<Top> tops = new ArrayList<>(LIDDED.heights().tops());
    tops.add(
        new Top(
            "capacitor C4",
            TopKind.PART,
            xMillimetres,
            0,
            1,
            2,
            false,
            Reading.of(Instrument.INDICATOR, 0.4)));
    return LIDDED.withHeights(LIDDED.heights().withTops(tops));
  }

  @Test
  void theAnswerNamesTheDropAndTheNearestPart() {
    // The die's edge lies at 4.6 mm, the part's at 8.1: 3.5 mm apart.
    Job job = withPart(8.6);
    CoatAnswer answer = CoatAnswer.of(job, Notation.METRIC);
    assertThat(answer.finding().orElseThrow().sentence())
        .startsWith("A drop ")
        .contains(" mm across on each face. Under ")
        .contains("it goes dry in one case of ten; at ")
        .endsWith("the part \"capacitor C4\".");
    assertThat(answer.doses().films().get(0).place().partMillimetres())
        .isCloseTo(3.5, within(1e-9));
    double near =
        CoatAnswer.of(withPart(6.6), Notation.METRIC)
            .doses()
            .films()
            .get(0)
            .mostCubicMillimetres()
            .orElseThrow();
    assertThat(near).isLessThan(answer.doses().films().get(0).mostCubicMillimetres().orElseThrow());
    assertThat(CoatAnswer.of(LIDDED, Notation.METRIC).notes())
        .anyMatch(n -> n.contains("No part near the die is measured"));
  }

  /** Gap by the measured heights wins over the section: cavity + glue − die. */
  @Test
  void measuredHeightsSetTheGap() {
    List<Top> tops =
        List.of(
            new Top(
                "die", TopKind.DIE, 0, 0, 9.2, 19, false, Reading.of(Instrument.INDICATOR, 0.7)));
    var h = LIDDED.heights();
    Job job =
        LIDDED.withHeights(
            new Heights(
                tops,
                null,
                null,
                null,
                Reading.of(Instrument.INDICATOR, 0.75),
                Reading.of(Instrument.INDICATOR, 0.03),
                null,
                h.xLoad(),
                h.yLoad(),
                h.mount()));
    var place = job.workCase().doses().films().get(0).place();
    assertThat(place.gapMicrometres()).isCloseTo(80, within(1e-6));
    assertThat(place.lowGapMicrometres()).isLessThan(80);
    assertThat(place.highGapMicrometres()).isGreaterThan(80);
  }

  @Test
  void severalDiesOfDifferentHeightGetTheirOwnDrops() {
    Job job = Job.from(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "Fennel F16");
    job =
        job.withChip(job.chip().withDie(2, job.chip().dies().get(2).withHeightMicrometres(540.0)));
    var films = job.workCase().doses().films();
    assertThat(films).hasSize(3);
    assertThat(films.get(2).place().gapMicrometres())
        .isCloseTo(films.get(0).place().gapMicrometres() + 80, within(1e-9));
    assertThat(CoatAnswer.of(job, Notation.METRIC).finding().orElseThrow().sentence())
        .contains("Drops on each face: chiplet 1 ");
  }

  /**
   * Common practice: paste pattern under 1 K in the mean when the die is covered. Nothing in the
   * flow or the conduction knows of it.
   */
  @Test
  void patternsBarelyMatterOnceTheShadowIsCovered() {
    List<PasteQuestion.Compared> all =
        PasteQuestion.compare(LIDDED, SolveWatch.NONE, Runnable::run);
    assertThat(all).hasSize(6);
    assertThat(all.get(0).pattern()).isEqualTo(PastePattern.DOT);
    for (PasteQuestion.Compared c : all) {
      if (c.end().shadowCover() > 0.999) {
        assertThat(c.cost().meanKelvin()).as(c.pattern().words()).isBetween(-0.01, 1.0);
      }
    }
    assertThat(all.stream().filter(c -> c.end().shadowCover() > 0.999).count())
        .isGreaterThanOrEqualTo(4);
    // A pinch of it does matter.
    PasteTerms little = new PasteTerms(null, null, null, null, 0.012, false);
    List<PasteQuestion.Compared> scarce =
        PasteQuestion.compare(LIDDED.withPaste(little), SolveWatch.NONE, Runnable::run);
    assertThat(scarce.get(0).cost().meanKelvin()).isGreaterThan(3);
  }

  @Test
  void ownStrokesAndTiltedScrewsAreSpreadToo() {
    Job own =
        LIDDED.withPaste(
            new PasteTerms(
                null,
                40.0,
                PastePattern.OWN,
                List.of(PasteStroke.of(-6, -6, 6, 6), PasteStroke.of(3, -3)),
                0.2,
                true));
    JobRules.check(own);
    var setup = PasteQuestion.of(own, 32);
    assertThat(setup.pressing().tilts()).isTrue();
    assertThat(setup.pattern()).isEqualTo(PastePattern.OWN);
    var end = PasteAmount.rest(setup, SolveWatch.NONE);
    assertThat(end.shadowCover()).isGreaterThan(0.95);
    assertThat(setup.cubicMillimetres()).isCloseTo(0.2 * 1000 / 2.6, within(1e-9));
  }

  @Test
  void screwsAreHeldAgainstTheirLimits() {
    MountAnswer lid = MountAnswer.of(LIDDED, Notation.METRIC);
    assertThat(lid.kept()).isTrue();
    assertThat(lid.finding().value()).isBetween(120.0, 170.0);
    assertThat(lid.checks().get(0)).startsWith("Socket and substrate").contains("of 250 N");
    MountTerms hard =
        new MountTerms(
            Drive.TORQUE,
            4,
            null,
            null,
            null,
            3.0,
            0.4,
            0.2,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null);
    MountAnswer crushed = MountAnswer.of(LIDDED.withMounting(hard), Notation.METRIC);
    assertThat(crushed.kept()).isFalse();
    // 0.4 N·m on M3 with K = 0.2 is 667 N a screw.
    assertThat(ScrewForce.ofAll(hard)).isCloseTo(2666.7, within(0.1));
    assertThat(crushed.finding().sentence()).contains("more than it should bear");
    assertThat(MountAnswer.of(bare(), Notation.METRIC).checks())
        .anyMatch(c -> c.startsWith("Bare silicon, on an edge"));
    // Liquid metal carries nothing, so no wedge of it is reckoned.
    assertThat(MountAnswer.of(bare(), Notation.METRIC).wedge()).isEmpty();
  }

  @Test
  void unevenScrewsAreSeenInTheCores() {
    Job uneven = LIDDED.withMounting(MountTerms.USUAL.withExtra(0, 1.5).withExtra(3, 1.5));
    MountAnswer even = MountAnswer.of(LIDDED, Notation.METRIC);
    MountAnswer tilted = MountAnswer.of(uneven, Notation.METRIC);
    double level = even.wedge().orElseThrow().thickMicrometres();
    assertThat(tilted.wedge().orElseThrow().thickMicrometres()).isGreaterThan(level + 1);
    FitQuestion.Tilted none = even.cost(LIDDED, SolveWatch.NONE).orElseThrow();
    FitQuestion.Tilted cost = tilted.cost(uneven, SolveWatch.NONE).orElseThrow();
    assertThat(Math.abs(none.spreadKelvin())).isLessThan(0.01);
    assertThat(Math.abs(cost.spreadKelvin()) + Math.abs(cost.meanKelvin())).isGreaterThan(0.02);
    // A pattern: both left screws are further in, so the paste is thicker at the right, and the
    // cores there are the warmer ones, by hundredths of a kelvin under a stiff bed of fillers.
    assertThat(none.coresKelvin()).isEmpty();
    assertThat(cost.coresKelvin()).hasSize(8);
    var cores = CoreLayout.of(uneven.chip()).cores();
    double right = 0;
    for (int i = 0; i < 8; i++) {
      right += Math.signum(cores.get(i).xMillimetres()) * cost.coresKelvin().get(i);
    }
    assertThat(right / 4).isGreaterThan(0.005);
  }

  /**
   * The first second by hand: a die of 9.2 × 19 × 0.78 mm holds 1.66·10⁶ J/m³K, so 30 W would heat
   * it alone by 132 K a second; with a joint it stays far below, with air under the plate the lid
   * and the die warm as one.
   */
  @Test
  void theFirstMinuteTellsAJointFromAir() {
    FirstStart start = FirstStart.of(LIDDED, SolveWatch.NONE);
    assertThat(start.seconds()).startsWith(0.0, 1.0);
    assertThat(start.goodCelsius().get(0)).isCloseTo(22, within(1e-9));
    double good = start.goodCelsius().get(start.goodCelsius().size() - 1);
    double bad = start.badCelsius().get(start.badCelsius().size() - 1);
    // The closed chain in rest: 30 W through the whole resistance, which it nears from below.
    assertThat(good).isBetween(26.0, 22 + 30 * 0.5);
    assertThat(bad).isGreaterThan(good + 25);
    // Lid of 30.5 × 30.5 × 2.3 mm: 7.4 J/K with the die; 30 W raise it by 4 K a second.
    double lid = 30.5e-3 * 30.5e-3 * 2.3e-3 * 3.44e6;
    double die = 9.2e-3 * 19e-3 * 0.78e-3 * 1.66e6;
    double slope = (start.badCelsius().get(3) - start.badCelsius().get(2)) / 3;
    assertThat(slope).isBetween(0.4 * 30 / (lid + die), 1.05 * 30 / (lid + die));
    assertThat(start.words(Notation.METRIC).get(1)).contains("power off at once");
  }

  @Test
  void figuresThatCannotBeAreRefused() {
    assertThatThrownBy(
            () ->
                JobRules.check(
                    LIDDED.withPaste(new PasteTerms(null, null, null, null, -1.0, false))))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("paste");
    Job screws = LIDDED.withMounting(LIDDED.mounting().withNutFactor(9.0));
    assertThatThrownBy(() -> JobRules.check(screws)).hasMessageContaining("mounting");
  }

  /** The usual amount of a dot on a bare die reaches its corners, by the flow, and is no puddle. */
  @ParameterizedTest
  @CsvSource({"10, 10", "9.2, 19", "20, 10", "19, 17", "25, 21", "30, 30", "10, 25", "14, 12"})
  void theUsualPasteCoversABareDie(double width, double depth) {
    Job start = Job.from(StartingPoint.CARD_BARE_DIE, "x");
    Die die = start.chip().dies().get(0).withWidthMillimetres(width).withDepthMillimetres(depth);
    Job job = start.withChip(start.chip().withDie(0, die));
    double grams = Doses.pasteGrams(job.workCase());
    PasteAmount least =
        PasteQuestion.amount(job, PastePattern.DOT, grams, SolveWatch.NONE, Runnable::run);
    double needed =
        least.faceCubicMillimetres().orElseThrow()
            * job.paste().kind().gramsPerCubicCentimetre()
            / 1000;
    assertThat(grams).isBetween(needed, 2.6 * needed);
    // The dies' shadow is the whole face here, so both take the same.
    assertThat(least.shadowCubicMillimetres()).isEqualTo(least.faceCubicMillimetres());
  }

  @Test
  void aSeatWithoutAKnownLimitSaysSo() {
    MountAnswer laptop =
        MountAnswer.of(Job.from(StartingPoint.LAPTOP_BARE_DIE, "x"), Notation.METRIC);
    assertThat(laptop.checks().get(0)).startsWith("No limit is known").contains("soldered");
    MountAnswer desktop = MountAnswer.of(LIDDED, Notation.METRIC);
    assertThat(desktop.checks().get(0)).startsWith("Socket and substrate").contains("of 250 N");
  }

  /** Which pad the neighbours of a soldered chip want, and what it keeps from the die. */
  @Test
  void theNeighboursPadsAreToldOnABoard() {
    Job laptop = Job.from(StartingPoint.LAPTOP_BARE_DIE, "x");
    assertThat(MountAnswer.of(laptop, Notation.METRIC).checks())
        .noneMatch(c -> c.contains("neighbours"));
    Job gap = laptop.withMounting(laptop.mounting().withPadGapMillimetres(0.8));
    assertThat(MountAnswer.of(gap, Notation.METRIC).checks())
        .contains("Pads of 1.0 mm fit the neighbours' gap of 0.8 mm; they lose 20 %.");
    Job wide = gap.withMounting(gap.mounting().withPadAreaSquareMillimetres(5000.0));
    assertThat(MountAnswer.of(wide, Notation.METRIC).checks())
        .anyMatch(c -> c.contains("take about 1200 N") && c.contains("take putty"));
    Job thin = laptop.withMounting(laptop.mounting().withPadGapMillimetres(0.2));
    assertThat(MountAnswer.of(thin, Notation.METRIC).checks())
        .anyMatch(c -> c.startsWith("No pad on sale fits a gap of 0.2 mm"));
    // A chip in a socket has none of them.
    assertThat(
            MountAnswer.of(
                    LIDDED.withMounting(LIDDED.mounting().withPadGapMillimetres(0.8)),
                    Notation.METRIC)
                .checks())
        .noneMatch(c -> c.contains("neighbours"));
  }
}
