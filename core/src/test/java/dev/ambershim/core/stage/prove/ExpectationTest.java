package dev.ambershim.core.stage.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The thin forecast. The ranges in kelvin are common practice, without a source, and serve as wide
 * checks only.
 */
class ExpectationTest {
  private static final Cooler COOLER = Cooler.plain("", 46, 42, 3.2, Material.COPPER, 0.12);

  private static Finding change(StartingPoint point, Build after, double watts) {
    return Expectation.change(
        point.chip("x"), COOLER, point.asBought(), after, watts, Notation.METRIC);
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
    Build after =
        new Build(true, was.glueMicrometres(), was.inner(), Joint.usual(Filling.LIQUID_METAL));
    assertThat(change(point, after, 160).value()).isBetween(-2.0, 0.0);
  }

  @Test
  void gainsGrowWithHeatAndVanishWithIt() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    double at80 = change(point, point.afterwards(), 80).value();
    double at160 = change(point, point.afterwards(), 160).value();
    assertThat(at160).isCloseTo(2 * at80, within(1e-9));
  }

  @Test
  void nothingChangedMeansNoneExpectedYetTheMountingStaysInDoubt() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Finding f = change(point, point.asBought(), 160);
    assertThat(f.value()).isCloseTo(0, within(1e-12));
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
        .matches("Expect it to run \\d+\\.\\d K cooler \\(\\d+\\.\\d to \\d+\\.\\d\\) at 160 W\\.");
    assertThat(f.working().inputs()).anyMatch(i -> i.name().equals("before, inner joint"));
    assertThat(f.working().limits()).isNotEmpty();
  }

  @Test
  void noHeatIsNoQuestion() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    assertThatThrownBy(() -> change(point, point.afterwards(), 0))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @EnumSource(StartingPoint.class)
  void everyStartingPointAddsUpAndClosesItsLid(StartingPoint point) {
    Chip chip = point.chip("x");
    Ladder ladder = Ladder.of(chip, COOLER, point.asBought());
    assertThat(ladder.steps()).hasSize(6);
    assertThat(ladder.steps()).allSatisfy(s -> assertThat(s.kelvinPerWatt()).isPositive());
    assertThat(ladder.totalKelvinPerWatt())
        .isCloseTo(
            ladder.steps().stream().mapToDouble(Ladder.Step::kelvinPerWatt).sum(), within(1e-15));
    assertThat(point.asBought().innerGapMicrometres(chip))
        .isCloseTo(point.asBought().inner().bondLineMicrometres(), within(1e-9));
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
