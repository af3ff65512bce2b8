package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Seat;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.Odds;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Terms;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What each option does to the chip, what it takes, and how schools change that. */
class OptionListTest {
  private static final Terms CAREFUL = terms(false, true, true);
  private static final Terms BOLD = terms(true, false, false);

  private static Terms terms(boolean blade, boolean guard, boolean frame) {
    return new Terms(
        8,
        12,
        8,
        300,
        8,
        14,
        12,
        30,
        40,
        25,
        110,
        9,
        blade,
        guard,
        frame,
        false,
        6,
        10,
        Odds.USUAL,
        null,
        null,
        null);
  }

  private static Option option(StartingPoint point, OptionKind kind, Terms terms) {
    Situation now =
        new Situation(point.chip("x"), CoolerClass.LARGE_LOOP.usual("c", 3.5), point.asBought());
    return option(now, kind, terms);
  }

  private static Option option(Situation now, OptionKind kind, Terms terms) {
    return OptionList.of(now, terms, Notation.METRIC).stream()
        .filter(o -> o.kind() == kind)
        .findFirst()
        .orElseThrow();
  }

  /** What is there already is not offered, nor what cannot be by the nature of the chip. */
  @ParameterizedTest
  @EnumSource(StartingPoint.class)
  void whatAppliesIsThereOnceInItsOrder(StartingPoint point) {
    for (Filling filling : Filling.values()) {
      for (boolean lid : new boolean[] {true, false}) {
        Joint joint = Joint.usual(filling);
        Build build =
            new Build(
                lid,
                20,
                lid ? joint : point.asBought().inner(),
                lid ? Joint.usual(Filling.PASTE) : joint);
        Situation now = new Situation(point.chip("x"), point.usualCooler(), build);
        List<OptionKind> kinds =
            OptionList.of(now, CAREFUL, Notation.METRIC).stream().map(Option::kind).toList();
        assertThat(kinds).isSorted().doesNotHaveDuplicates();
        assertThat(kinds)
            .contains(OptionKind.FRESH_PASTE, OptionKind.LOWER_VOLTAGE, OptionKind.LAP_PLATE);
        boolean metal = filling == Filling.LIQUID_METAL;
        assertThat(kinds.contains(OptionKind.METAL_RENEWED)).isEqualTo(metal);
        assertThat(kinds.contains(OptionKind.METAL_GLUED)).isEqualTo(lid && !metal);
        assertThat(kinds.contains(OptionKind.METAL_ON_DIE)).isEqualTo(!lid && !metal);
        assertThat(kinds.contains(OptionKind.PASTE_INSIDE))
            .isEqualTo(lid && !metal && filling != Filling.SOLDER);
        assertThat(kinds.contains(OptionKind.BARE)).isEqualTo(lid);
        boolean soldered = point.chip("x").seat().soldered();
        assertThat(kinds.contains(OptionKind.BARE_LAPPED)).isEqualTo(!soldered);
        for (Option option : OptionList.of(now, CAREFUL, Notation.METRIC)) {
          assertThat(option.opens())
              .as(option.kind().name())
              .isEqualTo(lid && option.kind().opens());
          if (!lid) {
            assertThat(option.how()).as(option.kind().name()).doesNotContain("Open it", "lid");
          }
        }
      }
    }
  }

  @Test
  void underAnExtremeColdPotNoLiquidMetalIsPossible() {
    StartingPoint point = StartingPoint.EXTREME_COLD_SOLDER;
    Situation now = new Situation(point.chip("x"), point.usualCooler(), point.asBought());
    for (Option option : OptionList.of(now, CAREFUL, Notation.METRIC)) {
      boolean metal =
          option.situation().build().inner().filling() == Filling.LIQUID_METAL
              || option.situation().build().outer().filling() == Filling.LIQUID_METAL;
      assertThat(option.possible() && metal).as(option.kind().name()).isFalse();
    }
  }

  /**
   * No tool shears solder on a board, and setting a laptop's plate back is what it was made for.
   */
  @Test
  void onABoardSolderStaysAndTheOddsAreTheMakers() {
    StartingPoint soldered = StartingPoint.DESKTOP_ONE_DIE_SOLDER;
    Situation lid =
        new Situation(
            soldered.chip("x").withSeat(Seat.BOARD),
            StartingPoint.LAPTOP_BARE_DIE.usualCooler(),
            soldered.asBought());
    for (Option option : OptionList.of(lid, CAREFUL, Notation.METRIC)) {
      assertThat(option.possible() && option.opens()).as(option.kind().name()).isFalse();
    }
    StartingPoint pasted = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation cut =
        new Situation(
            pasted.chip("x").withSeat(Seat.BOARD),
            StartingPoint.LAPTOP_BARE_DIE.usualCooler(),
            pasted.asBought());
    assertThat(option(cut, OptionKind.METAL_GLUED, CAREFUL).steps()).contains(Step.OPEN_BLADE);
    StartingPoint laptop = StartingPoint.LAPTOP_BARE_DIE;
    Situation bare = new Situation(laptop.chip("x"), laptop.usualCooler(), laptop.asBought());
    assertThat(option(bare, OptionKind.FRESH_PASTE, CAREFUL).steps())
        .containsExactly(Step.MOUNT_MADE);
  }

  @Test
  void aBuiltInCoolerIsNotChangedForAnother() {
    StartingPoint point = StartingPoint.LAPTOP_BARE_DIE;
    Situation now = new Situation(point.chip("x"), point.usualCooler(), point.asBought());
    assertThat(option(now, OptionKind.BETTER_COOLER, CAREFUL).impossible().orElseThrow())
        .contains("built into");
  }

  @Test
  void voltageAndClockTakeHeatOffByTheirLaws() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    assertThat(option(point, OptionKind.LOWER_VOLTAGE, CAREFUL).powerFactor())
        .isCloseTo(Math.pow(0.94, 2.2), within(1e-12));
    Option clock = option(point, OptionKind.LOWER_CLOCK, CAREFUL);
    assertThat(clock.powerFactor()).isCloseTo(0.81, within(1e-12));
    assertThat(clock.lostCoins()).isEqualTo(80);
    assertThat(clock.how()).contains("10.0 %");
  }

  @Test
  void schoolsChangeStepsAndPrices() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Option careful = option(point, OptionKind.BARE, CAREFUL);
    Option bold = option(point, OptionKind.BARE, BOLD);
    assertThat(careful.steps())
        .containsExactly(Step.OPEN_TOOL, Step.METAL_GUARDED, Step.MOUNT_FRAME);
    assertThat(bold.steps()).containsExactly(Step.OPEN_BLADE, Step.METAL_BARE, Step.MOUNT_BARE);
    assertThat(careful.coins() - bold.coins()).isEqualTo(30 + 25);
    assertThat(OwnRecord.NONE.chance(bold.steps(), Odds.USUAL))
        .isGreaterThan(2 * OwnRecord.NONE.chance(careful.steps(), Odds.USUAL));
  }

  @Test
  void solderAndSeveralDiesTakeMore() {
    Option one = option(StartingPoint.DESKTOP_ONE_DIE_PASTE, OptionKind.BARE, CAREFUL);
    Option many = option(StartingPoint.DESKTOP_CHIPLETS_SOLDER, OptionKind.BARE, CAREFUL);
    assertThat(many.steps())
        .containsExactly(
            Step.OPEN_SOLDER,
            Step.OPEN_SEVERAL,
            Step.CLEAN_SOLDER,
            Step.METAL_GUARDED,
            Step.MOUNT_FRAME);
    assertThat(many.handsHours()).isGreaterThan(one.handsHours());
  }

  @Test
  void theFilmFollowsFromHollowGlueAndDie() {
    // 640 µm of hollow over 620 µm of die: 20 µm unglued, so the film itself; 60 µm glued.
    StartingPoint point = StartingPoint.DESKTOP_CHIPLETS_SOLDER;
    Option unglued = option(point, OptionKind.METAL_UNGLUED, CAREFUL);
    Option glued = option(point, OptionKind.METAL_GLUED, CAREFUL);
    assertThat(unglued.situation().build().inner().bondLineMicrometres())
        .isCloseTo(PriorTable.FILM.likely(), within(1e-9));
    assertThat(glued.situation().build().inner().bondLineMicrometres()).isCloseTo(60, within(1e-9));
    // In each build gap and bond line agree.
    for (Option option : new Option[] {unglued, glued}) {
      assertThat(option.situation().build().innerGapMicrometres(option.situation().chip()))
          .isCloseTo(option.situation().build().inner().bondLineMicrometres(), within(1e-9));
      assertThat(option.situation().build().inner().filling()).isEqualTo(Filling.LIQUID_METAL);
    }
    Option lapped = option(StartingPoint.DESKTOP_ONE_DIE_SOLDER, OptionKind.METAL_LAPPED, CAREFUL);
    assertThat(lapped.situation().build().innerGapMicrometres(lapped.situation().chip()))
        .isCloseTo(PriorTable.FILM.likely(), within(1e-9));
    assertThat(lapped.situation().chip().lid().cavityMillimetres()).isLessThan(0.75);
  }

  @ParameterizedTest
  @CsvSource({
    "LOW_AIR,LARGE_AIR_TOWER",
    "AIR_TOWER,LARGE_LOOP",
    "SMALL_LOOP,LARGE_LOOP",
    "LARGE_AIR_TOWER,OWN_LOOP_THICK",
    "LARGE_LOOP,OWN_LOOP_THICK"
  })
  void theNextKindOfCooler(CoolerClass from, CoolerClass to) {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation now = new Situation(point.chip("x"), from.usual("c", 3.5), point.asBought());
    Option better = option(now, OptionKind.BETTER_COOLER, CAREFUL);
    assertThat(better.situation().cooler().kind()).isEqualTo(to);
    assertThat(better.possible()).isTrue();
  }

  @Test
  void whatAnOlderJobDoesNotSayIsTakenAsUsual() {
    Cooler plain = Cooler.plain("", 44, 40, 3, Material.COPPER, 0.1);
    assertThat(plain.kind()).isEqualTo(CoolerClass.OTHER);
    assertThat(plain.finnedWidthMillimetres()).isEqualTo(44);
    assertThat(plain.reachMillimetres()).isEqualTo(Cooler.USUAL_REACH);
    assertThat(plain.filmWattsPerSquareMetreKelvin(0.1))
        .isCloseTo(1 / (0.1 * 44e-3 * 40e-3), within(1e-6));
    assertThat(plain.baseKelvinPerWatt() + plain.beyondKelvinPerWatt())
        .isCloseTo(0.1, within(1e-15));
    // Fins cannot reach beyond the plate.
    Cooler wide =
        new Cooler("", 40, 40, 3, Material.COPPER, 0.1, CoolerClass.OTHER, 60.0, 30.0, 2.0);
    assertThat(wide.finnedWidthMillimetres()).isEqualTo(40);
    assertThat(wide.withResistanceKelvinPerWatt(0.2).resistanceKelvinPerWatt()).isEqualTo(0.2);
  }
}
