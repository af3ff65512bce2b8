package dev.ambershim.bench.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Intervals of comparisons against runs that are stepped in time by two lumps and know nothing of
 * how they are judged. A band of three standard errors lies around 95 % of a hundred cases.
 */
@Tag("slow")
class CompareCoverageTest {
  private static final int REPEATS = 100;
  private static final double LEAST = 0.95 - 3 * 0.022;

  private static void holds(Coverage coverage) {
    assertThat(coverage.heldShare()).as(coverage.name()).isGreaterThan(LEAST);
    assertThat(coverage.claimedShare()).as(coverage.name()).isLessThan(1 - LEAST);
  }

  @ParameterizedTest
  @CsvSource({"0,1", "0.028,1", "0.09,1", "0.02,3", "0.05,3"})
  void lessPowerIsNoHelp(double less, int mounts) {
    Coverage c = CompareCoverage.powers(less, mounts, REPEATS);
    assertThat(c.toldShare()).isGreaterThan(0.95);
    holds(c);
  }

  /** What a person gets who has told nothing. */
  @ParameterizedTest
  @CsvSource({"0.02", "0.09"})
  void oneMountThatScattersAsIsUsual(double less) {
    Coverage c = CompareCoverage.usualPowers(less, REPEATS);
    holds(c);
    assertThat(c.halfWidth()).isLessThan(2);
  }

  /** The open part of the correction is in the interval, and as wide as it has to be. */
  @Test
  void aRiseThatGoesNotQuiteWithThePower() {
    holds(CompareCoverage.bentPowers(0.09, 1, REPEATS));
  }

  @Test
  void typedRoomsAndRoomsThatMove() {
    holds(CompareCoverage.typed(REPEATS));
    holds(CompareCoverage.typedAndMoving(REPEATS));
    holds(CompareCoverage.lagging(REPEATS));
    holds(CompareCoverage.swinging(REPEATS));
  }

  @Test
  void withoutARoomOtherPowerIsNotComparable() {
    assertThat(CompareCoverage.noRoom(0.05, 20).toldShare()).isZero();
  }

  @Test
  void oneSensorOfWholeDegrees() {
    holds(CompareCoverage.wholeDegrees(REPEATS));
  }

  /** Four and five minutes of a loop of ten tell nothing; longer ones are brought to their end. */
  @Test
  void runsThatAreShortForTheirLoop() {
    assertThat(CompareCoverage.shortRuns(240, 600, 30).toldShare()).isZero();
    assertThat(CompareCoverage.shortRuns(300, 600, 30).toldShare()).isZero();
    Coverage longer = CompareCoverage.shortRuns(2100, 600, REPEATS);
    assertThat(longer.toldShare()).isGreaterThan(0.9);
    holds(longer);
    holds(CompareCoverage.shortRuns(900, 200, REPEATS));
  }

  @Test
  void runsThatWereHeldAtALimit() {
    holds(CompareCoverage.throttled(0.115, REPEATS));
    holds(CompareCoverage.throttled(0.13, REPEATS));
  }
}
