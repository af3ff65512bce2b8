package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Which grids are taken next. */
class GridsTest {
  @Test
  void oneALittleFinerShowsThatTheLastWasGoodEnough() {
    assertThat(Grids.finer(new int[] {2, 3, 4}, 1.5)).containsExactly(5);
    assertThat(Grids.finer(new int[] {4, 7, 8}, 2)).containsExactly(9);
  }

  @Test
  void oneThatIsGoodEnoughComesFirstWhereItIsNot() {
    // (2·3)²·1.4·30 = 1512 = 38.9², which 4 times 10 exceeds; but no more than twice as fine
    assertThat(Grids.finer(new int[] {2, 3, 4}, 30)).containsExactly(8, 9);
    assertThat(Grids.finer(new int[] {2, 3, 4}, 8)).containsExactly(6, 7);
    assertThat(Grids.finer(new int[] {2, 3, 4}, 1000)).containsExactly(8, 9);
  }

  @Test
  void eachIsFinerThanAllBefore() {
    int[] parts = {2, 3, 4};
    for (double over = 1.01; over < 1e4; over *= 1.7) {
      int last = parts[2];
      for (int next : Grids.finer(parts, over)) {
        assertThat(next).isGreaterThan(last);
        last = next;
      }
    }
  }
}
