package dev.ambershim.core.plan;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.random.RandomDataGenerator;

/**
 * Draws of a time from its PERT beta distribution: shapes 1 + 4 (likely − low) / (high − low) and 1
 * + 4 (high − likely) / (high − low). They come from a table of quantiles, straight between them: a
 * plan has a hundred times, each of which is drawn thousands of times, and few shapes.
 */
final class PertTime {
  private static final int PLACES = 256;

  /** Quantiles on the unit width, by how far up the likely time lies. */
  private static final Map<Double, double[]> TABLES = new ConcurrentHashMap<>();

  private final double low;
  private final double width;
  private final double[] quantiles;

  /** A time to draw. */
  PertTime(Span span) {
    low = span.low();
    width = span.high() - span.low();
    quantiles =
        width > 0
            ? TABLES.computeIfAbsent((span.likely() - low) / width, PertTime::table)
            : new double[PLACES + 1];
  }

  private static double[] table(double likely) {
    BetaDistribution beta = new BetaDistribution(1 + 4 * likely, 1 + 4 * (1 - likely));
    double[] table = new double[PLACES + 1];
    for (int i = 1; i < PLACES; i++) {
      table[i] = beta.inverseCumulativeProbability((double) i / PLACES);
    }
    table[PLACES] = 1;
    return table;
  }

  /** One draw, minutes. */
  double draw(RandomDataGenerator random) {
    double place = PLACES * random.nextUniform(0, 1);
    int i = (int) place;
    return low + width * (quantiles[i] + (place - i) * (quantiles[i + 1] - quantiles[i]));
  }
}
