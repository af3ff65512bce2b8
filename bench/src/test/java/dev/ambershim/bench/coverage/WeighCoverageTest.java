package dev.ambershim.bench.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.OptionKind;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Weigh's eight cases in ten against chips that differ from what Weigh takes them for. */
@Tag("slow")
class WeighCoverageTest {
  @ParameterizedTest
  @CsvSource({"DESKTOP_ONE_DIE_PASTE,12", "DESKTOP_CHIPLETS_SOLDER,1"})
  void theToldGainHoldsTheTrueOne(StartingPoint point, int readings) {
    Coverage c = WeighCoverage.set("weigh.test", point, readings, 25);
    // Three standard errors of 25 cases below eight in ten.
    assertThat(c.heldShare()).isGreaterThan(0.8 - 3 * 0.08);
  }

  @ParameterizedTest
  @EnumSource(
      value = OptionKind.class,
      names = {"LOWER_VOLTAGE", "LOWER_CLOCK"})
  void howHeatGoesWithVoltageAndClockIsNotTakenAsKnown(OptionKind kind) {
    Coverage c = WeighCoverage.exponents(kind, 400);
    assertThat(c.heldShare()).isBetween(0.7, 0.92);
  }
}
