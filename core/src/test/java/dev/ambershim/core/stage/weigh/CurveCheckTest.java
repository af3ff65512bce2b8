package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Terms;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.mockito.Mockito;

@Tag("slow")
class CurveCheckTest {
  private static Question question(StartingPoint point) {
    Situation now =
        new Situation(point.chip("x"), CoolerClass.LARGE_LOOP.usual("y", 3.5), point.asBought());
    return new Question(now, 150, 22, 1, List.of(), List.of(), Terms.USUAL, OwnRecord.NONE);
  }

  /** The curves' own error is small beside the interval, for every option of unlike chips. */
  @ParameterizedTest
  @EnumSource(
      value = StartingPoint.class,
      names = {"DESKTOP_ONE_DIE_PASTE", "DESKTOP_CHIPLETS_SOLDER", "LAPTOP_BARE_DIE"})
  void curvesLieCloseToFullSolutions(StartingPoint point) {
    Question question = question(point);
    Map<Situation, Response> solved = Solved.of(Weighing.situations(question, Notation.METRIC));
    Weighing weighing = Weighing.of(question, WhatIf.AS_IT_IS, solved, Notation.METRIC);
    CurveCheck check =
        new CurveCheck(weighing, solved, Notation.METRIC, SolveWatch.NONE, Runnable::run);
    for (OptionForecast o : weighing.options()) {
      if (o.option().possible()) {
        assertThat(check.worstKelvin(o.option()))
            .as("%s", o.option().kind())
            .isLessThan(Math.max(0.3, 0.1 * o.gain().width()));
      }
    }
  }

  /** Curves that are a tenth too high are off by kelvins, and the working says so. */
  @Test
  void aWrongCurveIsSeenAndTold() {
    Question question = question(StartingPoint.DESKTOP_ONE_DIE_PASTE);
    Map<Situation, Response> solved =
        new HashMap<>(Solved.of(Weighing.situations(question, Notation.METRIC)));
    Weighing weighing = Weighing.of(question, WhatIf.AS_IT_IS, solved, Notation.METRIC);
    OptionForecast metal = weighing.option(OptionKind.METAL_UNGLUED);
    Response wrong = Mockito.spy(solved.get(metal.option().situation()));
    Mockito.doAnswer(call -> 1.1 * (double) call.callRealMethod())
        .when(wrong)
        .meanKelvinPerWatt(Mockito.any());
    solved.put(metal.option().situation(), wrong);
    CurveCheck check =
        new CurveCheck(weighing, solved, Notation.METRIC, SolveWatch.NONE, Runnable::run);
    double rise = weighing.riseNowKelvin() - metal.gainKelvin();
    assertThat(check.worstKelvin(metal.option())).isBetween(0.05 * rise, 0.2 * rise);
    assertThat(check.of(metal).finding().working().limits())
        .anyMatch(l -> l.matches("The cases are taken from curves; three .* at most [1-9].* K\\."));
  }

  @Test
  void theAdviceTellsTheCheckOfItsOption() {
    Question question =
        question(StartingPoint.DESKTOP_ONE_DIE_PASTE).withTerms(Terms.USUAL.withCoinsPerKelvin(60));
    Map<Situation, Response> solved = Solved.of(Weighing.situations(question, Notation.METRIC));
    Weighing weighing = Weighing.of(question, WhatIf.AS_IT_IS, solved, Notation.METRIC);
    Weighing checked =
        new CurveCheck(weighing, solved, Notation.METRIC, SolveWatch.NONE, Runnable::run).advised();
    assertThat(checked.sentence()).isEqualTo(weighing.sentence());
    assertThat(checked.advice().working().limits()).anyMatch(l -> l.contains("solved in full"));
    assertThat(checked.option(checked.recommended().orElseThrow()).finding().working())
        .isEqualTo(checked.advice().working());
  }
}
