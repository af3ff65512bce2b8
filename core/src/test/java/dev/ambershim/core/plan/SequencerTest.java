package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The best order against trying all of them, and against a textbook's project. */
class SequencerTest {
  private static Block block(double hands, double passes, double lead, Integer... before) {
    return new Block(List.of(), hands, passes, lead, List.of(before));
  }

  /** The end of the best of all orders, tried one by one. */
  private static double exhaustive(
      List<Block> blocks, Windows windows, double[] ready, double start) {
    Sequencer one = new Sequencer(blocks, windows, ready);
    double[] best = {Double.POSITIVE_INFINITY};
    permute(blocks, new ArrayList<>(), order -> best[0] = Math.min(best[0], one.end(order, start)));
    return best[0];
  }

  private interface Visit {
    void order(int[] order);
  }

  private static void permute(List<Block> blocks, List<Integer> sofar, Visit visit) {
    if (sofar.size() == blocks.size()) {
      visit.order(sofar.stream().mapToInt(Integer::intValue).toArray());
      return;
    }
    for (int i = 0; i < blocks.size(); i++) {
      if (!sofar.contains(i) && sofar.containsAll(blocks.get(i).before())) {
        sofar.add(i);
        permute(blocks, sofar, visit);
        sofar.remove(sofar.size() - 1);
      }
    }
  }

  @Test
  void noOrderEndsSooner() {
    Random random = new Random(11);
    int strict = 0;
    for (int round = 0; round < 300; round++) {
      int n = 3 + random.nextInt(5);
      List<Block> blocks = new ArrayList<>();
      double[] ready = new double[n];
      for (int i = 0; i < n; i++) {
        List<Integer> before = new ArrayList<>();
        for (int p = 0; p < i; p++) {
          if (random.nextInt(3) == 0) {
            before.add(p);
          }
        }
        ready[i] = random.nextInt(4) == 0 ? random.nextInt(60) : 0;
        blocks.add(
            new Block(
                List.of(),
                1 + random.nextInt(40),
                random.nextInt(3) == 0 ? random.nextInt(200) : 0,
                random.nextInt(5) == 0 ? random.nextInt(50) : 0,
                before));
      }
      Windows windows =
          random.nextBoolean()
              ? Windows.ALWAYS
              : Windows.of(
                  List.of(
                      new double[] {0, 60},
                      new double[] {90, 150},
                      new double[] {200, 245},
                      new double[] {300, 10_000}));
      Sequencer sequencer = new Sequencer(blocks, windows, ready);
      double start = random.nextInt(20);
      double best = exhaustive(blocks, windows, ready, start);
      assertThat(sequencer.end(sequencer.best(start), start)).isCloseTo(best, within(1e-6));
      int[] listed = new int[n];
      for (int i = 0; i < n; i++) {
        listed[i] = i;
      }
      strict += sequencer.end(listed, start) > best + 1 ? 1 : 0;
    }
    // The order matters often enough for this to say something.
    assertThat(strict).isGreaterThan(60);
  }

  @Test
  void workGoesOnBesideAWait() {
    // Drying of 60 beside cleaning of 40; the lid needs both.
    List<Block> blocks = List.of(block(5, 60, 0), block(40, 0, 0), block(10, 0, 0, 0, 1));
    Sequencer sequencer = new Sequencer(blocks, Windows.ALWAYS, new double[3]);
    int[] order = sequencer.best(0);
    assertThat(order).containsExactly(0, 1, 2);
    assertThat(sequencer.starts(order, 0)).containsExactly(0, 5, 65);
    assertThat(sequencer.end(order, 0)).isEqualTo(75);
  }

  @Test
  void nobodyWorksAtNight() {
    Windows evenings = Windows.of(List.of(new double[] {0, 120}, new double[] {1440, 1560}));
    List<Block> blocks = List.of(block(100, 30, 0), block(30, 0, 0, 0));
    Sequencer sequencer = new Sequencer(blocks, evenings, new double[2]);
    assertThat(sequencer.starts(sequencer.best(0), 0)).containsExactly(0, 1440);
    assertThatThrownBy(
            () -> new Sequencer(List.of(block(130, 0, 0)), evenings, new double[1]).best(0))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("hours");
  }

  /**
   * Hillier &amp; Lieberman, <i>Introduction to Operations Research</i>, the construction project
   * of the chapter on PERT/CPM (from memory): fourteen activities whose longest path, A B C E F J L
   * N, takes 44 weeks and has the variance 9; activity D may slip by 4, I by 2, K by 1.
   */
  @Test
  void theTextbooksProjectTakesFortyFourWeeks() {
    double[][] spans = {
      {1, 2, 3}, {2, 3.5, 8}, {6, 9, 18}, {4, 5.5, 10}, {1, 4.5, 5}, {4, 4, 10}, {5, 6.5, 11},
      {5, 8, 17}, {3, 7.5, 9}, {3, 9, 9}, {4, 4, 4}, {1, 5.5, 7}, {1, 2, 3}, {5, 5.5, 9}
    };
    Integer[][] before = {
      {}, {0}, {1}, {2}, {2}, {4}, {3}, {4, 6}, {2}, {5, 8}, {9}, {9}, {7}, {10, 11}
    };
    double[] means = {2, 4, 10, 6, 4, 5, 7, 9, 7, 8, 4, 5, 2, 6};
    List<Block> blocks = new ArrayList<>();
    double variance = 0;
    for (int i = 0; i < spans.length; i++) {
      Span span = new Span(spans[i][0], spans[i][1], spans[i][2]);
      assertThat(span.mean()).isCloseTo(means[i], within(1e-12));
      if (List.of(0, 1, 2, 4, 5, 9, 11, 13).contains(i)) {
        variance += span.deviation() * span.deviation();
      }
      // As many hands as it wants: all of it passes by itself.
      blocks.add(block(0, span.mean(), 0, before[i]));
    }
    assertThat(variance).isCloseTo(9, within(1e-12));
    Sequencer forwards = new Sequencer(blocks, Windows.ALWAYS, new double[14]);
    int[] order = forwards.best(0);
    assertThat(forwards.end(order, 0)).isCloseTo(44, within(1e-9));
    double[] starts = forwards.starts(order, 0);
    assertThat(starts[3]).isCloseTo(16, within(1e-9)); // D begins when C is done
    assertThat(starts[13]).isCloseTo(38, within(1e-9)); // N
    // Slack: how much later a block may begin when all is seen from the end.
    Sequencer back = forwards.backwards(44);
    // With no hands to wait for, any order by what still follows gives each its latest begin.
    double[] follows = new double[14];
    for (int i = 13; i >= 0; i--) {
      for (int p : before[i]) {
        follows[p] = Math.max(follows[p], means[i] + follows[i]);
      }
    }
    int[] byEnd =
        IntStream.range(0, 14)
            .boxed()
            .sorted(Comparator.comparingDouble(k -> means[13 - k] + follows[13 - k]))
            .mapToInt(Integer::intValue)
            .toArray();
    double[] latest = back.starts(byEnd, 0);
    double[] slack = {0, 0, 0, 4, 0, 0, 4, 4, 2, 0, 1, 0, 4, 0};
    for (int i = 0; i < 14; i++) {
      assertThat(44 - latest[13 - i] - starts[i])
          .as("slack of %d", i)
          .isCloseTo(slack[i], within(1e-9));
    }
  }
}
