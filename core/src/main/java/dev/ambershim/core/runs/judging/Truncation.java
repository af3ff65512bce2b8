package dev.ambershim.core.runs.judging;

/**
 * Where warm-up ends: the marginal standard error rule on means of five (MSER-5; White 1997,
 * <i>Simulation</i> 69(6); White, Cobb &amp; Spratt 2000, Winter Simulation Conference). It drops
 * as many samples from the front as make the standard error of what is left smallest, but never
 * more than half. After that the start moves on until the halves of what is left agree.
 *
 * @param start index of the first settled sample
 * @param settled whether the halves agree
 * @param driftKelvin mean of the second half less mean of the first
 */
public record Truncation(int start, boolean settled, double driftKelvin) {
  /** A difference between the halves below this is settled whatever its significance. */
  public static final double TOLERANCE_KELVIN = 0.3;

  private static final int BATCH = 5;

  /** Finds the settled part of a series of temperatures, K; read only. */
  public static Truncation of(double[] y) {
    int start = mser5(y);
    // MSER alone stops early when a slow loop still creeps; give up half the run at most.
    int latest = y.length / 2;
    int step = Math.max(1, y.length / 20);
    Truncation here = judge(y, start);
    while (!here.settled && start + step <= latest) {
      start += step;
      here = judge(y, start);
    }
    return here;
  }

  /** Index where MSER-5 cuts. */
  static int mser5(double[] y) {
    int m = y.length / BATCH;
    if (m < 4) {
      return 0;
    }
    double[] batch = new double[m];
    for (int j = 0; j < m; j++) {
      for (int i = 0; i < BATCH; i++) {
        batch[j] += y[j * BATCH + i] / BATCH;
      }
    }
    double sum = 0;
    double squares = 0;
    double shift = batch[m - 1]; // keeps the running squares well scaled
    double best = Double.POSITIVE_INFINITY;
    int cut = 0;
    for (int j = m - 1; j >= 0; j--) {
      double v = batch[j] - shift;
      sum += v;
      squares += v * v;
      int left = m - j;
      if (j <= m / 2 && left >= 4) {
        double statistic = (squares - sum * sum / left) / ((double) left * left);
        if (statistic <= best) {
          best = statistic;
          cut = j;
        }
      }
    }
    return cut * BATCH;
  }

  /** Whether the halves from a start on agree. */
  static Truncation judge(double[] y, int start) {
    int half = (y.length - start) / 2;
    if (half < BatchMeans.FEWEST) {
      return new Truncation(start, false, Double.NaN);
    }
    double[] first = new double[half];
    double[] second = new double[half];
    System.arraycopy(y, start, first, 0, half);
    System.arraycopy(y, y.length - half, second, 0, half);
    BatchMeans a = BatchMeans.of(first);
    BatchMeans b = BatchMeans.of(second);
    double drift = b.mean() - a.mean();
    double error = Math.hypot(a.standardError(), b.standardError());
    double factor = BatchMeans.quantile(Math.min(a.degreesOfFreedom(), b.degreesOfFreedom()), 0.99);
    boolean settled =
        Math.abs(drift) <= TOLERANCE_KELVIN
            || (Math.abs(drift) <= factor * error && Math.abs(drift) < 5 * TOLERANCE_KELVIN);
    return new Truncation(start, settled, drift);
  }
}
