package dev.ambershim.core.physics.fit;

import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.distribution.continuous.GammaDistribution;

/**
 * One thing that is not known exactly: an error between limits, and a scatter about the mean of
 * readings. Draws follow JCGM 101:2008, 6.4.2 (rectangular between limits) and 6.4.9.2 (scaled and
 * shifted t for the mean of repeats). Two sources with the same figures still err each for itself,
 * so a source is only ever equal to itself.
 */
public final class Source {
  private static final int TABLE = 1024;
  private static final double[] NONE = {};

  /** The tables by their degrees of freedom: a thousand quantiles take longer than the draws. */
  private static final Map<Integer, double[]> TABLES = new ConcurrentHashMap<>();

  private final String name;
  private final double limit;
  private final double scatter;
  private final int degrees;

  /**
   * A source of doubt.
   *
   * @param name what it is
   * @param limit half the width of the rectangular part, mm
   * @param scatter standard uncertainty of the mean from repeats, mm
   * @param degrees degrees of freedom of the scatter; 0 for one that is known well
   */
  public Source(String name, double limit, double scatter, int degrees) {
    this.name = name;
    this.limit = limit;
    this.scatter = scatter;
    this.degrees = degrees;
  }

  /** What it is. */
  public String name() {
    return name;
  }

  /** A tolerance: anywhere within plus and minus the limit. */
  public static Source within(String name, double limitMillimetres) {
    return new Source(name, limitMillimetres, 0, 0);
  }

  /** Whether it is nothing but an error between limits. */
  boolean bare() {
    return scatter == 0;
  }

  /** Half the width of that, mm. */
  double limit() {
    return limit;
  }

  /** Standard uncertainty: both parts together, mm. The t part counts as its scale (JCGM 100). */
  public double standardMillimetres() {
    return Math.sqrt(limit * limit / 3 + scatter * scatter);
  }

  /** What it can reach in the worst case: the limit, and three times the scatter, mm. */
  public double worstMillimetres() {
    return limit + 3 * scatter;
  }

  /**
   * What turns a normal draw into one from t: the root of ν/χ², at places of equal chance; read
   * only. A table, because a million draws each would cost more than all else.
   */
  double[] spread() {
    return scatter > 0 && degrees > 0 ? TABLES.computeIfAbsent(degrees, Source::table) : NONE;
  }

  private static double[] table(int degrees) {
    double[] table = new double[TABLE];
    GammaDistribution chi = new GammaDistribution(degrees / 2.0, 2);
    for (int i = 0; i < TABLE; i++) {
      table[i] = Math.sqrt(degrees / chi.inverseCumulativeProbability((i + 0.5) / TABLE));
    }
    return table;
  }

  /** One draw of the error, mm. */
  double draw(SplittableRandom random, double[] spread) {
    double error = limit == 0 ? 0 : limit * (2 * random.nextDouble() - 1);
    if (scatter > 0) {
      double wide = spread.length == 0 ? 1 : spread[random.nextInt(spread.length)];
      error += scatter * wide * random.nextGaussian();
    }
    return error;
  }
}
