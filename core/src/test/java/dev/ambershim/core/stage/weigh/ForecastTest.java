package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.stage.Assessment;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The thin forecast. The ranges in kelvin are common practice, without a source, and serve as wide
 * checks only.
 */
@Tag("slow")
class ForecastTest {
  private static final Responses SOLVED = new Responses();

  private static final Cooler COOLER = Cooler.plain("", 46, 42, 3.2, Material.COPPER, 0.12);

  private static Job job(StartingPoint point, Build after, double watts) {
    return Job.from(point, "x").withCooler(COOLER).withAfter(after).withHeatWatts(watts);
  }

  private static Finding change(StartingPoint point, Build after, double watts) {
    return of(job(point, after, watts)).change();
  }

  private static Forecast of(Job job) {
    return Forecast.of(Assessment.of(job, Map.of(), Notation.METRIC), SOLVED, SolveWatch.NONE);
  }

  /** Weigh and Prove tell one figure for one option. */
  @ParameterizedTest
  @EnumSource(
      value = OptionKind.class,
      names = {"FRESH_PASTE", "METAL_GLUED", "METAL_ON_LID", "BARE", "LOWER_VOLTAGE"})
  void theForecastOfAnOptionIsThatOfTheWeighing(OptionKind kind) {
    Job start = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "x").withHeatWatts(160);
    Assessment first = Assessment.of(start, Map.of(), Notation.METRIC);
    Question question = WeighQuestion.of(first, OwnRecord.NONE);
    Weighing weighing =
        Weighing.of(
            question,
            WhatIf.AS_IT_IS,
            SOLVED.of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
            Notation.METRIC);
    OptionForecast option = weighing.option(kind);
    Job planned =
        start.withAfter(option.option().situation().build()).withWork(start.work().planning(kind));
    Forecast forecast = of(planned);
    assertThat(forecast.change().value()).isCloseTo(-option.gainKelvin(), within(1e-9));
    assertThat(forecast.change().interval().orElseThrow().low())
        .isCloseTo(-option.gain().high(), within(1e-9));
    double ladder =
        forecast.after().orElseThrow().ladder().totalKelvinPerWatt()
                * forecast.after().get().watts()
            - forecast.before().orElseThrow().ladder().totalKelvinPerWatt()
                * forecast.before().get().watts();
    // The ladder is at the most likely figures, the forecast is the median over all doubts.
    assertThat(ladder).isCloseTo(forecast.change().value(), within(0.1 * Math.abs(ladder) + 0.3));
  }

  @Test
  void aStackThatCannotBeSolvedHasNoForecastButSaysWhy() {
    Job start =
        job(
            StartingPoint.DESKTOP_ONE_DIE_PASTE,
            StartingPoint.DESKTOP_ONE_DIE_PASTE.afterwards(),
            160);
    Job far =
        start.withChip(start.chip().withDie(0, start.chip().dies().get(0).withXMillimetres(55)));
    Forecast forecast = of(far);
    assertThat(forecast.change().value()).isNaN();
    assertThat(forecast.change().sentence()).startsWith("There is no forecast: ");
    assertThat(forecast.before()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"120", "160", "200"})
  void pasteUnderTheLidToLiquidMetalGainsEightToThirtyKelvin(double watts) {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Finding f = change(point, point.afterwards(), watts);
    assertThat(f.value()).isBetween(-30.0, -8.0);
    assertThat(f.interval().orElseThrow().contains(f.value())).isTrue();
  }

  @Test
  void solderToLiquidMetalGainsTwoToNineKelvinAtMost() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_SOLDER;
    Finding f = change(point, point.afterwards(), 200);
    assertThat(f.value()).isBetween(-9.0, 0.0);
    // The range of common practice and the forecast's own must at least meet.
    Interval i = f.interval().orElseThrow();
    assertThat(i.low()).isLessThan(-2);
    assertThat(i.high()).isGreaterThan(-9);
  }

  @Test
  void aSmallHotDieGainsWhenTheLidComesOff() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Build bare = new Build(false, 0, point.asBought().inner(), Joint.usual(Filling.LIQUID_METAL));
    assertThat(change(point, bare, 160).value()).isBetween(-32.0, -7.0);
  }

  @Test
  void liquidMetalInsteadOfPasteOnTheLidGainsNothingToTwoKelvin() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Build was = point.asBought();
    // The film that Weigh forecasts with: a lid as it comes is not as flat as a die.
    Joint film =
        new Joint(Filling.LIQUID_METAL, PriorTable.FILM_ON_LID.likely(), PriorTable.METAL.likely());
    Build after = new Build(true, was.glueMicrometres(), was.inner(), film);
    assertThat(change(point, after, 160).value()).isBetween(-2.0, 0.0);
  }

  @Test
  void gainsGrowWithHeatAndVanishWithIt() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    double at80 = change(point, point.afterwards(), 80).value();
    double at160 = change(point, point.afterwards(), 160).value();
    // Silicon conducts worse when it is hot, so it is somewhat more than twice as much.
    assertThat(at160 / at80).isBetween(2.0, 2.06);
  }

  @Test
  void nothingChangedMeansNoneExpectedYetTheMountingStaysInDoubt() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Finding f = change(point, point.asBought(), 160);
    assertThat(f.value()).isCloseTo(0, within(0.3));
    Interval i = f.interval().orElseThrow();
    assertThat(i.contains(0)).isTrue();
    assertThat(i.width()).isBetween(0.2, 6.0);
    assertThat(f.sentence()).startsWith("Expect little");
  }

  @Test
  void theSentenceCarriesTheFigureAndTheInterval() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Finding f = change(point, point.afterwards(), 160);
    assertThat(f.sentence())
        .matches(
            "Expect it to run \\d+\\.\\d K cooler \\(\\d+\\.\\d to \\d+\\.\\d in eight cases of ten\\) at 160 W\\.");
    assertThat(f.working().inputs()).anyMatch(i -> i.name().equals("inner joint now"));
    assertThat(f.working().limits()).isNotEmpty();
  }

  @ParameterizedTest
  @EnumSource(StartingPoint.class)
  void everyStartingPointAddsUpAndClosesItsLid(StartingPoint point) {
    Chip chip = point.chip("x");
    Ladder ladder = Ladder.of(chip, COOLER, point.asBought());
    assertThat(ladder.steps()).hasSize(point.lidded() ? 6 : 4);
    assertThat(ladder.steps()).allSatisfy(s -> assertThat(s.kelvinPerWatt()).isPositive());
    assertThat(ladder.totalKelvinPerWatt())
        .isCloseTo(
            ladder.steps().stream().mapToDouble(Ladder.Step::kelvinPerWatt).sum(), within(1e-15));
    if (point.lidded()) {
      assertThat(point.asBought().innerGapMicrometres(chip))
          .isCloseTo(point.asBought().inner().bondLineMicrometres(), within(1e-9));
    }
    assertThat(chip.dies().stream().mapToDouble(d -> d.powerShare()).sum())
        .isCloseTo(1, within(1e-9));
  }

  @Test
  void withoutTheLidItsStepsAreGone() {
    StartingPoint point = StartingPoint.DESKTOP_CHIPLETS_SOLDER;
    Build bare = new Build(false, 0, point.asBought().inner(), Joint.usual(Filling.LIQUID_METAL));
    assertThat(Ladder.of(point.chip("x"), COOLER, bare).steps())
        .extracting(Ladder.Step::name)
        .containsExactly("die", "bare joint", "cold plate", "cooler to room");
  }

  @Test
  void aJointIsItsBondLineByItsConductivity() {
    // 40 µm at 20 W/m·K over 174.8 mm²: 2 mm²·K/W ÷ 174.8 mm² = 0.01144 K/W, by hand.
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Ladder ladder = Ladder.of(point.chip("x"), COOLER, point.afterwards());
    double inner =
        ladder.steps().stream()
            .filter(s -> s.name().equals("inner joint"))
            .findFirst()
            .orElseThrow()
            .kelvinPerWatt();
    assertThat(inner).isCloseTo(2.0 / 174.8, within(1e-9));
  }
}
