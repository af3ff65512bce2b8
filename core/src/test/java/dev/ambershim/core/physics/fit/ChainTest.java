package dev.ambershim.core.physics.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Budgets against the worked examples of JCGM 100 and 101. */
class ChainTest {
  private static Chain sum(double... halfWidths) {
    Chain all = new Chain(0, List.of());
    for (int i = 0; i < halfWidths.length; i++) {
      all = all.plus(Chain.of(0, Source.within("X" + i, halfWidths[i])));
    }
    return all;
  }

  /**
   * JCGM 101:2008, 9.2.3, table 3: the sum of four rectangular quantities of standard deviation 1
   * has standard uncertainty 2.00 and the 95 % interval −3.88 to 3.88 by draws, where the normal
   * approximation says −3.92 to 3.92.
   */
  @Test
  void fourRectanglesOfTheSupplement() {
    Chain y = sum(Math.sqrt(3), Math.sqrt(3), Math.sqrt(3), Math.sqrt(3));
    assertThat(y.standardMillimetres()).isCloseTo(2, within(1e-12));
    assertThat(y.drawn().interval().low()).isCloseTo(-3.88, within(0.08));
    assertThat(y.drawn().interval().high()).isCloseTo(3.88, within(0.08));
    assertThat(y.worst().high()).isCloseTo(4 * Math.sqrt(3), within(1e-12));
  }

  /**
   * JCGM 101:2008, 9.2.4, table 4: with one of standard deviation 10 it is 10.1 and −17.0 to 17.0,
   * where the normal approximation says −19.9 to 19.9.
   */
  @Test
  void oneWideRectangleOfTheSupplement() {
    Chain y = sum(Math.sqrt(3), Math.sqrt(3), Math.sqrt(3), 10 * Math.sqrt(3));
    assertThat(y.standardMillimetres()).isCloseTo(10.1, within(0.06));
    assertThat(y.drawn().interval().low()).isCloseTo(-17.0, within(0.25));
    assertThat(y.drawn().interval().high()).isCloseTo(17.0, within(0.25));
    assertThat(y.mostDoubted().source().name()).isEqualTo("X3");
    assertThat(y.mostDoubted().share()).isCloseTo(100.0 / 103, within(1e-9));
  }

  /**
   * JCGM 100:2008, H.1.4 and table H.1: the end gauge's parts of 25, 9.7, 2.9 and 16.6 nm combine
   * to 32 nm.
   */
  @Test
  void theEndGaugeOfTheGuide() {
    Chain all = new Chain(838, List.of());
    for (double part : new double[] {25, 9.7, 2.9, 16.6}) {
      all = all.plus(Chain.of(0, new Source("part", 0, part, 0)));
    }
    assertThat(all.standardMillimetres()).isCloseTo(32, within(0.5));
  }

  /** JCGM 101:2008, 6.4.9.4: a scaled t of ν degrees has variance ν/(ν − 2) times the scale's. */
  @Test
  void fewRepeatsDrawFromStudent() {
    Chain y = Chain.of(0, new Source("mean of repeats", 0, 1, 5));
    double[] draws = y.draws(200_000, 3);
    double square = 0;
    for (double d : draws) {
      square += d * d;
    }
    assertThat(square / draws.length).isCloseTo(5.0 / 3, within(0.05));
    // Student's t for 5 degrees: 2.571 at 97.5 % (any table).
    assertThat(draws[(int) (0.975 * draws.length)]).isCloseTo(2.571, within(0.05));
  }

  @Test
  void whatIsSharedFallsOut() {
    Source level = Source.within("board to substrate", 0.05);
    Chain one = Chain.of(1.2, level).plus(Chain.of(0, Source.within("one", 0.01)));
    Chain other = Chain.of(1.0, level).plus(Chain.of(0, Source.within("other", 0.01)));
    Chain apart = one.minus(other);
    assertThat(apart.nominal()).isCloseTo(0.2, within(1e-12));
    assertThat(apart.links()).hasSize(2);
    assertThat(apart.worst().high()).isCloseTo(0.22, within(1e-12));
    assertThat(apart.drawn().above(0)).isEqualTo(1);
    assertThat(apart.drawn().above(0.2)).isCloseTo(0.5, within(0.02));
  }
}
