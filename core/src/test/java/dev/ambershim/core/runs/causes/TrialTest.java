package dev.ambershim.core.runs.causes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Tests and the signs that they show. */
class TrialTest {
  @ParameterizedTest
  @EnumSource(Trial.class)
  void oneSignShowsEachTime(Trial trial) {
    for (CauseKind kind : CauseKind.values()) {
      for (boolean outermost : new boolean[] {true, false}) {
        double all =
            trial.signs().stream().mapToDouble(s -> trial.chance(s, kind, outermost)).sum();
        assertThat(all).isCloseTo(trial.signs().isEmpty() ? 0 : 1, within(1e-12));
      }
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = Trial.class,
      names = {"PRESS", "PUMP", "DUST", "PRINT"})
  void onASoundChipAllIsFineAsARule(Trial trial) {
    double fine =
        trial.signs().stream()
            .filter(Sign::fine)
            .mapToDouble(s -> trial.chance(s, CauseKind.AS_IT_SHOULD_BE, false))
            .sum();
    assertThat(fine).isGreaterThan(0.8);
  }

  @Test
  void aSignSpeaksForItsCauseWhetherATestShowsItOrNot() {
    for (Sign sign : Sign.values()) {
      double[] speaks =
          Arrays.stream(CauseKind.values())
              .mapToDouble(k -> Trial.likelihood(sign, k, true))
              .toArray();
      assertThat(Arrays.stream(speaks).min().orElseThrow()).as("%s", sign).isPositive();
      assertThat(Arrays.stream(speaks).distinct().count()).as("%s", sign).isGreaterThan(1);
    }
    double silent = Trial.likelihood(Sign.PUMP_SILENT, CauseKind.COOLER_WEAK, false);
    double sound = Trial.likelihood(Sign.PUMP_SILENT, CauseKind.AS_IT_SHOULD_BE, false);
    assertThat(silent / sound).isBetween(5.0, 8.0);
  }

  @Test
  void aPrintTellsNothingOfAJointUnderTheLid() {
    double inner = Trial.likelihood(Sign.PRINT_BARE_CORNER, CauseKind.GAP, false);
    double sound = Trial.likelihood(Sign.PRINT_BARE_CORNER, CauseKind.AS_IT_SHOULD_BE, false);
    double outer = Trial.likelihood(Sign.PRINT_BARE_CORNER, CauseKind.GAP, true);
    assertThat(inner).isEqualTo(sound);
    assertThat(outer).isGreaterThan(5 * sound);
  }

  @Test
  void oneCoreAfterAnotherTakesLongerWithMoreCores() {
    assertThat(Trial.ONE_BY_ONE.minutes(8)).isEqualTo(2 * Trial.ONE_BY_ONE.minutes(4));
    assertThat(Trial.TURN.minutes(8)).isEqualTo(Trial.TURN.minutes(4));
  }
}
