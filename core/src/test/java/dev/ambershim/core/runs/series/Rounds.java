package dev.ambershim.core.runs.series;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;

/** Invented series with a truth of their own, drawn by no code of the application. */
final class Rounds {
  private final Random random;
  double scatterKelvin = 0.5;
  double perMount;
  int begun;
  int blocksBegun;

  Rounds(long seed) {
    random = new Random(seed);
  }

  /** Every candidate once a block, in an order by chance; named A, B, C and so on. */
  List<Mount> draw(double[] truths, int blocks) {
    List<Mount> mounts = new ArrayList<>();
    for (int b = 0; b < blocks; b++) {
      double level = 0.6 * random.nextGaussian();
      List<Integer> order = new ArrayList<>();
      for (int c = 0; c < truths.length; c++) {
        order.add(c);
      }
      Collections.shuffle(order, random);
      for (int c : order) {
        begun++;
        double watts = 147 + 6 * random.nextDouble();
        double rise =
            (truths[c] + level + perMount * begun + scatterKelvin * random.nextGaussian())
                * watts
                / 150;
        mounts.add(
            new Mount(
                String.valueOf((char) ('A' + c)),
                String.valueOf(blocksBegun + b + 1),
                Math.round(100 * rise) / 100.0,
                watts,
                OptionalDouble.empty(),
                OptionalDouble.of(begun),
                OptionalDouble.empty(),
                ""));
      }
    }
    blocksBegun += blocks;
    return mounts;
  }
}
