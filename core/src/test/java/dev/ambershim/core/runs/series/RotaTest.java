package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class RotaTest {
  private static final List<String> FIVE = List.of("A", "B", "C", "D", "E");

  @Test
  void everyCandidateComesOnceABlock() {
    Rota rota = Rota.of(FIVE, 4, 3);
    assertThat(rota.blocks()).hasSize(4);
    rota.blocks().forEach(b -> assertThat(b).containsExactlyInAnyOrderElementsOf(FIVE));
    assertThat(rota.mounts()).hasSize(20);
  }

  @Test
  void theSeedTellsTheOrder() {
    assertThat(Rota.of(FIVE, 3, 11)).isEqualTo(Rota.of(FIVE, 3, 11));
    assertThat(Rota.of(FIVE, 3, 11)).isNotEqualTo(Rota.of(FIVE, 3, 12));
  }

  /** Nobody stands early or late throughout, and nobody is mounted twice running. */
  @Test
  void theOrderIsEven() {
    for (long seed = 0; seed < 30; seed++) {
      Rota rota = Rota.of(FIVE, 4, seed);
      for (String c : FIVE) {
        double mean = rota.blocks().stream().mapToInt(b -> b.indexOf(c)).average().orElseThrow();
        assertThat(mean).as("%s of %s", c, rota).isBetween(0.9, 3.1);
      }
      for (int i = 1; i < 20; i++) {
        assertThat(rota.mounts().get(i)).isNotEqualTo(rota.mounts().get(i - 1));
      }
    }
  }

  /**
   * Two candidates and a known scatter need 2·(1.96 + 0.84)²·(scatter ÷ difference)² mounts each,
   * as every textbook has it; with a scatter to be estimated a few more.
   */
  @Test
  void mountsThatADifferenceTakes() {
    SeriesNeed need = new SeriesNeed(2, 0.5);
    double known = 2 * (1.96 + 0.8416) * (1.96 + 0.8416) * 0.25;
    assertThat(need.mountsFor(1).orElseThrow()).isBetween((int) Math.ceil(known), 8);
    assertThat(need.tells(60)).isCloseTo(2.8016 * 0.5 * Math.sqrt(2 / 60.0), within(0.01));
    assertThat(new SeriesNeed(6, 0.5).mountsFor(1).orElseThrow())
        .isGreaterThan(need.mountsFor(1).orElseThrow());
    assertThat(need.mountsFor(0.01)).isEqualTo(OptionalInt.empty());
    assertThat(need.tells(1)).isInfinite();
  }
}
