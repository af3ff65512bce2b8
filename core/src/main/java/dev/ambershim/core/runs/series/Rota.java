package dev.ambershim.core.runs.series;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * The order of a series' mounts: each candidate once a block, by chance. Of some orders drawn the
 * most even one is taken, in which no candidate stands early or late throughout and none ends a
 * block and begins the next, so that a bench that creeps favours nobody (restricted randomisation;
 * Montgomery, <i>Design and Analysis of Experiments</i>, section 4.1).
 *
 * @param blocks the candidates of each block, in their order
 */
public record Rota(List<List<String>> blocks) {
  private static final int DRAWS = 400;

  /** Worse than any unevenness. */
  private static final double REPEATED = 1e6;

  /** Copies its lists. */
  public Rota {
    blocks = blocks.stream().map(List::copyOf).toList();
  }

  /**
   * An order.
   *
   * @param candidates their names, none twice
   * @param blocks how many, 1 or more
   * @param seed the same gives the same order
   */
  public static Rota of(List<String> candidates, int blocks, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    Rota best = null;
    double least = Double.POSITIVE_INFINITY;
    for (int d = 0; d < DRAWS; d++) {
      Rota drawn = drawn(candidates, blocks, random);
      double uneven = drawn.uneven(candidates);
      if (uneven < least) {
        least = uneven;
        best = drawn;
      }
    }
    return best;
  }

  private static Rota drawn(List<String> candidates, int blocks, SplittableRandom random) {
    List<List<String>> all = new ArrayList<>();
    for (int b = 0; b < blocks; b++) {
      List<String> block = new ArrayList<>(candidates);
      for (int i = block.size() - 1; i > 0; i--) {
        int j = random.nextInt(i + 1);
        String kept = block.get(i);
        block.set(i, block.get(j));
        block.set(j, kept);
      }
      all.add(block);
    }
    return new Rota(all);
  }

  /**
   * Sum of the squares of how far each candidate stands from the middle, and a fine for repeats.
   */
  private double uneven(List<String> candidates) {
    double middle = (candidates.size() - 1) / 2.0;
    double sum = 0;
    for (String c : candidates) {
      double off = blocks.stream().mapToDouble(b -> b.indexOf(c) - middle).sum();
      sum += off * off;
    }
    // Of two candidates, one that is never repeated would always come first.
    double fine = candidates.size() > 2 ? REPEATED : 0;
    for (int b = 1; b < blocks.size(); b++) {
      List<String> before = blocks.get(b - 1);
      sum += before.get(before.size() - 1).equals(blocks.get(b).get(0)) ? fine : 0;
    }
    return sum;
  }

  /** All mounts in their order. */
  public List<String> mounts() {
    return blocks.stream().flatMap(List::stream).toList();
  }
}
