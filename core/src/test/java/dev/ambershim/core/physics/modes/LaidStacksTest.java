package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.Stacks;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Grids that several askers share. */
class LaidStacksTest {
  private static final double SHARE = 0.002;

  private static StackCase filmed(double factor) {
    StackCase stack = Stacks.lidded();
    return stack.withFilm(factor * stack.filmWattsPerSquareMetreKelvin());
  }

  @Test
  void anAnswerDoesNotHangOnWhatWasAskedBefore() {
    LaidStacks laid = new LaidStacks();
    double[] first =
        laid.forMeans(filmed(1), SHARE, SolveWatch.NONE).meansCelsius(filmed(2), SolveWatch.NONE);
    laid.forMeans(filmed(1), SHARE, SolveWatch.NONE).meansCelsius(filmed(0.5), SolveWatch.NONE);
    double[] again =
        laid.forMeans(filmed(1), SHARE, SolveWatch.NONE).meansCelsius(filmed(2), SolveWatch.NONE);
    assertThat(again).isEqualTo(first);
  }

  @Test
  void itIsWhatGridsOfItsOwnTell() {
    LaidStacks laid = new LaidStacks();
    StackCase asked = filmed(1.5);
    double own =
        new LiveStack(asked, SHARE, SolveWatch.NONE).update(asked, SolveWatch.NONE).peakCelsius();
    double shared =
        laid.of(filmed(1), SHARE, SolveWatch.NONE).update(asked, SolveWatch.NONE).peakCelsius();
    assertThat(shared).isCloseTo(own, within(SHARE * (own - asked.coolantCelsius())));
  }

  @Test
  void severalThreadsAskAtOnce() {
    LaidStacks laid = new LaidStacks();
    List<Double> peaks =
        IntStream.range(0, 8)
            .parallel()
            .mapToObj(
                i ->
                    laid.of(filmed(1), SHARE, SolveWatch.NONE)
                        .update(filmed(1.5), SolveWatch.NONE)
                        .peakCelsius())
            .toList();
    assertThat(peaks).containsOnly(peaks.get(0));
  }

  @Test
  void oldOnesAreLaidAnew() {
    LaidStacks laid = new LaidStacks();
    double[] first =
        laid.forMeans(filmed(1), SHARE, SolveWatch.NONE).meansCelsius(filmed(1), SolveWatch.NONE);
    for (int i = 2; i < 10; i++) {
      laid.forMeans(filmed(i), SHARE, SolveWatch.NONE);
    }
    assertThat(
            laid.forMeans(filmed(1), SHARE, SolveWatch.NONE)
                .meansCelsius(filmed(1), SolveWatch.NONE))
        .isEqualTo(first);
  }
}
