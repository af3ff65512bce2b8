package dev.ambershim.core.picture;

import java.util.ArrayList;
import java.util.List;

/**
 * Lowest and highest value of any stretch of a series, found from the extremes of blocks, of blocks
 * of blocks and so on: a stretch of ten million costs some hundred looks instead of ten million. A
 * value that is not a number counts for nothing.
 */
final class Extremes {
  /** Values in a block of the lowest level, and blocks in one of the next. */
  private static final int BLOCK = 16;

  private final double[] values;
  private final List<double[]> lows = new ArrayList<>();
  private final List<double[]> highs = new ArrayList<>();

  /** Of a series, which is shared and not to be written. */
  Extremes(double[] values) {
    this.values = values;
    double[] low = values;
    double[] high = values;
    while (low.length > BLOCK) {
      int count = (low.length + BLOCK - 1) / BLOCK;
      double[] nextLow = new double[count];
      double[] nextHigh = new double[count];
      for (int b = 0; b < count; b++) {
        double l = Double.POSITIVE_INFINITY;
        double h = Double.NEGATIVE_INFINITY;
        int end = Math.min(low.length, (b + 1) * BLOCK);
        for (int i = b * BLOCK; i < end; i++) {
          l = low[i] < l ? low[i] : l;
          h = high[i] > h ? high[i] : h;
        }
        nextLow[b] = l;
        nextHigh[b] = h;
      }
      lows.add(nextLow);
      highs.add(nextHigh);
      low = nextLow;
      high = nextHigh;
    }
  }

  /**
   * The extremes from one index up to, but without, another.
   *
   * @param found takes lowest and highest; plus and minus infinity where there is no value
   */
  void over(int from, int to, double[] found) {
    found[0] = Double.POSITIVE_INFINITY;
    found[1] = Double.NEGATIVE_INFINITY;
    int a = from;
    int b = to;
    int level = -1;
    // The ragged ends at this level, then the whole blocks between them one level up.
    while (a < b) {
      double[] low = level < 0 ? values : lows.get(level);
      double[] high = level < 0 ? values : highs.get(level);
      if (level + 1 >= lows.size() || b - a < 2 * BLOCK) {
        look(low, high, a, b, found);
        return;
      }
      int inner = (a + BLOCK - 1) / BLOCK;
      int end = b / BLOCK;
      look(low, high, a, inner * BLOCK, found);
      look(low, high, end * BLOCK, b, found);
      a = inner;
      b = end;
      level++;
    }
  }

  private static void look(double[] low, double[] high, int from, int to, double[] found) {
    for (int i = from; i < to; i++) {
      found[0] = low[i] < found[0] ? low[i] : found[0];
      found[1] = high[i] > found[1] ? high[i] : found[1];
    }
  }
}
