package dev.ambershim.bench.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Series against benches that share no code with their judgement. */
@Tag("slow")
class SeriesCoverageTest {
  @Test
  void pairsHoldTogetherWhereMountsAreMissing() {
    Coverage missing = SeriesCoverage.family("test", new double[] {60, 60.4, 61, 63, 60.2}, 2, 80);
    // Three standard errors of eighty series.
    assertThat(missing.heldShare()).isGreaterThan(0.95 - 3 * 0.024);
    assertThat(missing.claimedShare()).isGreaterThan(0.95);
    assertThat(missing.halfWidth()).isBetween(0.5, 2.0);
  }
}
