package dev.ambershim.bench.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Drift and ordinary use against histories and chips that share no code with them. */
@Tag("slow")
class KeepCoverageTest {
  @Test
  void driftHolds() {
    Coverage steady = KeepCoverage.history("test", 0, 2, 100);
    // Three standard errors of a hundred cases on either side.
    assertThat(steady.claimedShare()).isLessThan(0.07 + 3 * 0.022);
    assertThat(steady.heldShare()).isGreaterThan(0.95 - 3 * 0.022);
    Coverage creeping = KeepCoverage.history("test", 4, 1, 100);
    assertThat(creeping.claimedShare()).isGreaterThan(0.95);
    assertThat(creeping.heldShare()).isGreaterThan(0.95 - 3 * 0.022);
  }

  @Test
  void ordinaryUseHolds() {
    Coverage use = KeepCoverage.use("test", 45, true, 40);
    assertThat(use.toldShare()).isGreaterThan(0.9);
    assertThat(use.heldShare()).isGreaterThan(0.95 - 3 * 0.034);
    assertThat(use.halfWidth()).isLessThan(3);
  }
}
