package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Channel;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Means and counts over the samples of a run that count. */
final class SampleMeans {
  private static final int BLOCK = 2048;

  private SampleMeans() {}

  /**
   * Mean and highest over channels. A sample that lacks a channel would shift the mean, so there it
   * is not a number; the highest is that of the readings there are.
   *
   * @param mean overwritten
   * @param highest overwritten
   */
  static void over(List<Channel> channels, double[] mean, double[] highest) {
    // Some samples of all channels at a time: so the results stay in the nearest memory, and the
    // blocks of a long log go side by side.
    IntStream blocks = IntStream.rangeClosed(0, (mean.length - 1) / BLOCK);
    (mean.length > RunAnalyser.LONG ? blocks.parallel() : blocks)
        .forEach(b -> over(channels, mean, highest, b * BLOCK));
  }

  private static void over(List<Channel> channels, double[] mean, double[] highest, int from) {
    int to = Math.min(mean.length, from + BLOCK);
    Arrays.fill(mean, from, to, 0);
    Arrays.fill(highest, from, to, Double.NEGATIVE_INFINITY);
    for (Channel c : channels) {
      double[] values = c.values();
      for (int i = from; i < to; i++) {
        mean[i] += values[i];
      }
      for (int i = from; i < to; i++) {
        highest[i] = values[i] > highest[i] ? values[i] : highest[i];
      }
    }
    for (int i = from; i < to; i++) {
      mean[i] /= channels.size();
      highest[i] = highest[i] > Double.NEGATIVE_INFINITY ? highest[i] : Double.NaN;
    }
  }

  /** Places under load that have a figure. */
  static int[] present(double[] series, LoadStretch load) {
    int[] result = new int[load.to() - load.from()];
    int n = 0;
    for (int i = load.from(); i < load.to(); i++) {
      if (!Double.isNaN(series[i])) {
        result[n++] = i;
      }
    }
    return Arrays.copyOf(result, n);
  }

  /** A series at some places. */
  static double[] pick(double[] series, int[] which) {
    double[] result = new double[which.length];
    for (int i = 0; i < which.length; i++) {
      result[i] = series[which[i]];
    }
    return result;
  }

  /** Mean over some places, without those that lack a figure; not a number without any. */
  static double meanOf(double[] series, int[] which) {
    if (series == null) {
      return Double.NaN;
    }
    double sum = 0;
    int n = 0;
    for (int i : which) {
      if (!Double.isNaN(series[i])) {
        sum += series[i];
        n++;
      }
    }
    return n == 0 ? Double.NaN : sum / n;
  }

  /** How many are marked. */
  static int countOf(boolean[] marks) {
    int n = 0;
    for (boolean mark : marks) {
      n += mark ? 1 : 0;
    }
    return n;
  }

  /** The highest figure, or 0. */
  static double max(double[] series) {
    double top = 0;
    for (double v : series) {
      if (v > top) {
        top = v;
      }
    }
    return top;
  }

  /** Standard error of a mean over some places; 0 where there is no series. */
  static double errorOf(double[] power, int[] used) {
    if (power == null) {
      return 0;
    }
    double[] present =
        Arrays.stream(used).mapToDouble(i -> power[i]).filter(v -> !Double.isNaN(v)).toArray();
    return present.length < BatchMeans.FEWEST ? 0 : BatchMeans.of(present).standardError();
  }

  /** The rise at rest before the load, or none where the log begins under load. */
  static double rest(double[] rise, LoadStretch load) {
    double sum = 0;
    int n = 0;
    for (int i = Math.max(0, load.from() - 60); i < load.from(); i++) {
      if (!Double.isNaN(rise[i])) {
        sum += rise[i];
        n++;
      }
    }
    return n == 0 ? 0 : sum / n;
  }
}
