package dev.ambershim.bench.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The gain of clock against chips with soft edges, mounts that differ, and whole degrees. */
@Tag("slow")
class HeadroomCoverageTest {
  @ParameterizedTest
  @CsvSource({
    "true,false,50,1,true",
    "true,true,50,1,true",
    "true,true,50,1,false",
    "false,false,50,1,true",
    "false,true,25,3,true",
    "true,false,100,1,true"
  })
  void theToldGainHoldsTheTrueOne(
      boolean heat, boolean gains, double step, int tries, boolean temperatures) {
    Coverage c = HeadroomCoverage.set("test", heat, gains, step, tries, temperatures, 60);
    assertThat(c.toldShare()).isGreaterThan(0.9);
    // Three standard errors of sixty cases below 95 %.
    assertThat(c.heldShare()).isGreaterThan(0.95 - 3 * 0.028);
    assertThat(c.claimedShare()).isLessThan(0.05 + 3 * 0.028);
    assertThat(c.halfWidth()).isLessThan(1.5 * step + 60);
  }
}
