package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Series with truths of their own: how often what is told is so. */
@Tag("slow")
class SeriesHonestyTest {
  /** Seeds that follow each other would begin alike. */
  private static Rounds rounds(long seed) {
    return new Rounds(new SplittableRandom(seed).nextLong());
  }

  private static final int SERIES = 160;

  private static Judged judge(List<Mount> mounts) {
    return SeriesFit.of(mounts, 0.5, Optional.empty());
  }

  /** At most 5 % of them tell any difference; of 160, thirteen are two standard errors over it. */
  @Test
  void equalCandidatesAreSeldomToldApart() {
    int alarms = 0;
    for (int s = 0; s < SERIES; s++) {
      Judged judged = judge(rounds(s).draw(new double[] {60, 60, 60, 60, 60}, 3 + s % 3));
      alarms += judged.pairs().stream().anyMatch(Judged.Pair::told) ? 1 : 0;
    }
    assertThat(alarms).isLessThanOrEqualTo(13);
  }

  @Test
  void allPairsHoldTogetherAndThreeKelvinAreTold() {
    double[] truths = {60, 60.4, 61, 63, 60.2};
    int held = 0;
    int told = 0;
    for (int s = 0; s < SERIES; s++) {
      Judged judged = judge(rounds(9000 + s).draw(truths, 3 + s % 3));
      held +=
          judged.pairs().stream()
                  .allMatch(
                      p ->
                          p.interval()
                              .contains(truth(truths, p.first()) - truth(truths, p.second())))
              ? 1
              : 0;
      told += judged.pair("A", "D").told() ? 1 : 0;
    }
    assertThat(held).isGreaterThanOrEqualTo(SERIES - 13);
    assertThat(told).isGreaterThanOrEqualTo((int) (0.95 * SERIES));
  }

  private static double truth(double[] truths, String candidate) {
    return truths[candidate.charAt(0) - 'A'];
  }

  /** Truths drawn from where mounts are asked for: parted by them in four cases of five or more. */
  @Test
  void theMountsThatAreAskedForPartTheBest() {
    int asked = 0;
    int parted = 0;
    for (int s = 0; s < SERIES; s++) {
      Rounds rounds = rounds(7000 + s);
      double[] truths = {60, 60.6 + 0.01 * (s % 90), 63};
      List<Mount> mounts = new ArrayList<>(rounds.draw(truths, 3));
      Judged first = judge(mounts);
      int more = first.mountsToPart().orElse(0);
      if (more == 0) {
        continue;
      }
      asked++;
      String best = first.ranking().get(0).candidate();
      String next = first.ranking().get(1).candidate();
      for (int b = 0; b < more / 2; b++) {
        rounds.draw(truths, 1).stream()
            .filter(m -> m.candidate().equals(best) || m.candidate().equals(next))
            .forEach(mounts::add);
      }
      parted += judge(mounts).pair(best, next).told() ? 1 : 0;
    }
    assertThat(asked).isGreaterThan(40);
    assertThat((double) parted / asked).isBetween(0.75, 1.0);
  }
}
