package dev.ambershim.core.runs.judging;

/**
 * What one run leaves open beyond its own noise.
 *
 * @param shiftKelvin how far its rise may be off, to either side, because the cooler lags behind a
 *     room that moves, because a room that was typed once moved, or because the chip held itself
 *     back by who knows how much
 * @param powerWatts standard error of its mean power
 */
record RunDoubts(double shiftKelvin, double powerWatts) {
  static final RunDoubts NONE = new RunDoubts(0, 0);

  /**
   * The longest that a cooler's own temperature lags behind the room, s: large loops, by common
   * practice.
   */
  private static final double LAG_SECONDS = 300;

  /**
   * What a logged room leaves open: its mean against that of the room as a cooler of the longest
   * lag sees it.
   *
   * @param seconds time of each sample; read only
   * @param room room air, °C, without gaps; read only
   * @param used the settled samples, rising
   */
  static double lag(double[] seconds, double[] room, int[] used) {
    double seen = room[0];
    double sum = 0;
    int at = 0;
    for (int i = 1; i < room.length && at < used.length; i++) {
      double step = seconds[i] - seconds[i - 1];
      seen += (room[i] - seen) * (1 - Math.exp(-step / LAG_SECONDS));
      if (used[at] == i) {
        sum += room[i] - seen;
        at++;
      }
    }
    return Math.abs(sum / used.length);
  }

  /**
   * What a typed room leaves open: if the settled part goes on up or down, the room may have done
   * so since it was read, before or after.
   *
   * @param seconds time of each sample; read only
   * @param rise rise over the typed room; read only
   * @param used the settled samples, rising
   * @param fromSeconds beginning of the load
   */
  static double trend(double[] seconds, double[] rise, int[] used, double fromSeconds) {
    int half = used.length / 2;
    if (half < BatchMeans.FEWEST) {
      return 0;
    }
    double[] first = new double[half];
    double[] second = new double[half];
    double firstAt = 0;
    double secondAt = 0;
    for (int i = 0; i < half; i++) {
      int late = used[used.length - half + i];
      first[i] = rise[used[i]];
      second[i] = rise[late];
      firstAt += seconds[used[i]] / half;
      secondAt += seconds[late] / half;
    }
    BatchMeans a = BatchMeans.of(first);
    BatchMeans b = BatchMeans.of(second);
    double error = Math.hypot(a.standardError(), b.standardError());
    double change = Math.abs(b.mean() - a.mean());
    if (!(change > 2 * error)) {
      return 0;
    }
    double middle = (firstAt + secondAt) / 2;
    double arm = Math.max(middle - fromSeconds, seconds[used[used.length - 1]] - middle);
    return change / (secondAt - firstAt) * arm;
  }
}
