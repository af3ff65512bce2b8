package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.Arrays;

/**
 * Samples in which the chip held itself back: where the log's own flag says so, or else where the
 * clock is well below what this run had shown while the hottest core sits at the run's ceiling. A
 * clock that falls for a sample or two is believed where power falls with it.
 *
 * @param samples one mark a sample
 * @param how how it was told, in words; empty if nothing was found
 */
record Throttling(boolean[] samples, String how) {
  private static final double CLOCK_SHARE = 0.97;
  private static final double POWER_SHARE = 0.96;

  /** Between two throttled samples a core cools by so much at most. */
  private static final double CEILING_BAND_KELVIN = 4;

  /** Below this a chip does not hold back for heat; common practice. */
  private static final double LEAST_CELSIUS = 85;

  static Throttling of(
      RunLog log, LoadStretch load, double[] hottest, double[] clock, double[] power) {
    boolean[] marks = new boolean[log.size()];
    boolean flagged = false;
    boolean any = false;
    for (Channel c : log.with(Role.THROTTLE)) {
      flagged = true;
      for (int i = load.from(); i < load.to(); i++) {
        marks[i] |= c.values()[i] > 0;
        any |= marks[i];
      }
    }
    if (flagged) {
      return new Throttling(marks, any ? "the log's throttle flag" : "");
    }
    if (clock == null) {
      return new Throttling(marks, "");
    }
    double ceiling = Double.NEGATIVE_INFINITY;
    for (int i = load.from(); i < load.to(); i++) {
      if (hottest[i] > ceiling) {
        ceiling = hottest[i];
      }
    }
    if (ceiling < LEAST_CELSIUS) {
      return new Throttling(marks, "");
    }
    double[] smooth = new double[load.to() - load.from()];
    double top = 0;
    for (int i = 0; i < smooth.length; i++) {
      smooth[i] = medianOfFive(clock, load.from() + i, load);
      top = smooth[i] > top ? smooth[i] : top;
    }
    double most = power == null ? Double.NaN : high(power, load);
    for (int i = load.from(); i < load.to(); i++) {
      boolean both = clock[i] < CLOCK_SHARE * top && power != null && power[i] < POWER_SHARE * most;
      marks[i] =
          (smooth[i - load.from()] < CLOCK_SHARE * top || both)
              && hottest[i] >= ceiling - CEILING_BAND_KELVIN;
      any |= marks[i];
    }
    return new Throttling(
        marks, any ? "the clock falling while the hottest core is at its ceiling" : "");
  }

  /** What nine tenths of the samples under load lie below. */
  private static double high(double[] y, LoadStretch load) {
    double[] sorted =
        Arrays.stream(y, load.from(), load.to()).filter(v -> !Double.isNaN(v)).sorted().toArray();
    return sorted.length == 0 ? Double.NaN : sorted[(int) (0.9 * (sorted.length - 1))];
  }

  private static double medianOfFive(double[] y, int i, LoadStretch load) {
    int from = Math.max(load.from(), i - 2);
    int to = Math.min(load.to(), i + 3);
    double[] window = Arrays.copyOfRange(y, from, to);
    Arrays.sort(window);
    return window[(window.length - 1) / 2];
  }
}
