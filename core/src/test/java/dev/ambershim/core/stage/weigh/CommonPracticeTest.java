package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.OptionKind;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Forecasts without any reading against what people commonly see. Common practice: there is no
 * source, and the bounds are wide on purpose.
 */
@Tag("slow")
class CommonPracticeTest {
  private static double gain(TypicalChips chip, OptionKind kind) {
    return Solved.weigh(chip.question, WhatIf.AS_IT_IS).option(kind).gainKelvin();
  }

  @ParameterizedTest
  @EnumSource(TypicalChips.class)
  void eightTypicalChips(TypicalChips chip) {
    Weighing w = Solved.weigh(chip.question, WhatIf.AS_IT_IS);
    OptionForecast glued = w.option(OptionKind.METAL_GLUED);
    OptionForecast lapped = w.option(OptionKind.METAL_LAPPED);
    if (chip.pasted()) {
      // Paste under the lid to liquid metal: 8 to 30 K at heavy load.
      assertThat(glued.gainKelvin()).isBetween(8.0, 30.0);
      assertThat(lapped.gainKelvin()).isBetween(8.0, 30.0);
    } else {
      // Solder to liquid metal: 2 to 9 K, for those who make the film thin.
      assertThat(lapped.gainKelvin()).isBetween(2.0, 9.0);
      assertThat(w.option(OptionKind.COPPER_LID).gainKelvin()).isBetween(2.0, 9.0);
      // A glued lid as it comes leaves a thicker film than the solder's worth: little or nothing.
      assertThat(glued.gainKelvin()).isBetween(-2.0, 9.0);
    }
    // Liquid metal instead of paste on the lid: up to 2 K, in proportion more beyond 200 W.
    double hot = Math.max(1, chip.question.heatWatts() / 200);
    assertThat(w.option(OptionKind.METAL_ON_LID).gainKelvin()).isBetween(0.0, 2.3 * hot);
    // Among good pastes: under 3 K.
    assertThat(w.option(OptionKind.FRESH_PASTE).gain().high()).isLessThan(3);
    // Gains order as the physics has it.
    assertThat(w.option(OptionKind.BARE_LAPPED).gainKelvin())
        .isGreaterThan(w.option(OptionKind.BARE).gainKelvin());
    assertThat(lapped.gainKelvin()).isGreaterThan(glued.gainKelvin());
    // Opening always brings some ruin, the rest none beyond liquid metal's own.
    assertThat(glued.ruin()).isBetween(0.005, 0.1);
    assertThat(w.option(OptionKind.LOWER_VOLTAGE).ruin()).isZero();
  }

  @Test
  void aSmallHotDieBareUnderAThickPlateIsMuchCooler() {
    // 7 to 16 K below stock.
    assertThat(gain(TypicalChips.SMALL_PASTE, OptionKind.BARE)).isBetween(7.0, 16.0);
    assertThat(gain(TypicalChips.HOT_SOLDER, OptionKind.BARE)).isBetween(7.0, 16.0);
  }

  @Test
  void aLargeDieBareIsAboutWhatALiddedOneIs() {
    double bare = gain(TypicalChips.LARGE_SOLDER, OptionKind.BARE);
    double lid = gain(TypicalChips.LARGE_SOLDER, OptionKind.METAL_LAPPED);
    assertThat(Math.abs(bare - lid)).isLessThan(2);
  }

  @Test
  void driedOutPasteRenewedIsWorthUpToSixteenKelvin() {
    for (TypicalChips chip : TypicalChips.values()) {
      Question q = chip.question;
      var build = q.now().build();
      var dried =
          new Build(true, build.glueMicrometres(), build.inner(), Joint.usual(Filling.DRIED_PASTE));
      Question then =
          new Question(
              new Situation(q.now().chip(), q.now().cooler(), dried),
              q.heatWatts(),
              22,
              1,
              q.readings(),
              q.patterns(),
              q.terms(),
              q.record());
      Response was = Solved.of(then.now());
      Response is = Solved.of(q.now());
      double gain =
          q.heatWatts()
              * (was.meanKelvinPerWatt(new double[4]) - is.meanKelvinPerWatt(new double[4]));
      assertThat(gain).isBetween(1.0, 16.0);
    }
  }

  @Test
  void gainsGrowWithPowerDensityAndShrinkAtLowVoltage() {
    Question q = TypicalChips.MIDDLING_PASTE.question;
    double full = Solved.weigh(q, WhatIf.AS_IT_IS).option(OptionKind.METAL_GLUED).gainKelvin();
    double half =
        Solved.weigh(q, new WhatIf(0.5, 1, 0, 1)).option(OptionKind.METAL_GLUED).gainKelvin();
    assertThat(half / full).isBetween(0.49, 0.51);
    double slow =
        Solved.weigh(q, new WhatIf(1, 0.8, 0, 1)).option(OptionKind.METAL_GLUED).gainKelvin();
    assertThat(slow / full).isBetween(0.63, 0.65);
  }

  @Test
  void whatALidIsGoodForDependsOnThePlate() {
    // The same chip: a thick plate makes the bare die win, a thin one finned in its middle does
    // not.
    double[] over = new double[2];
    int i = 0;
    for (var kind : new CoolerClass[] {CoolerClass.OWN_LOOP_THICK, CoolerClass.OWN_LOOP_THIN}) {
      Question q = TypicalChips.SMALL_PASTE.question;
      Weighing w =
          Solved.weigh(
              new Question(
                  new Situation(q.now().chip(), kind.usual("c", 3.5), q.now().build()),
                  q.heatWatts(),
                  22,
                  1,
                  q.readings(),
                  q.patterns(),
                  q.terms(),
                  q.record()),
              WhatIf.AS_IT_IS);
      over[i++] =
          w.option(OptionKind.BARE).gainKelvin() - w.option(OptionKind.METAL_GLUED).gainKelvin();
    }
    assertThat(over[0]).isPositive();
    assertThat(over[1]).isNegative();
  }
}
