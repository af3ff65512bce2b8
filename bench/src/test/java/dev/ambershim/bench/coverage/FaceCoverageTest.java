package dev.ambershim.bench.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Flatness of flat, domed and mixed faces, whose true minimum zone is searched for. */
@Tag("slow")
class FaceCoverageTest {
  @ParameterizedTest
  @EnumSource(FaceCoverage.Kind.class)
  void theToldFlatnessHoldsTheTrueOne(FaceCoverage.Kind kind) {
    for (int side : new int[] {3, 5, 9}) {
      for (int twice : new int[] {3, 6}) {
        Coverage c = FaceCoverage.set(kind, side, twice, 60);
        // Three standard errors of sixty cases below 95 %.
        assertThat(c.heldShare()).as(c.name()).isGreaterThan(0.95 - 3 * 0.028);
        assertThat(c.toldShare()).as("the value lies in its interval").isEqualTo(1);
      }
    }
  }
}
