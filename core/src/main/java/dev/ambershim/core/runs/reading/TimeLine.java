package dev.ambershim.core.runs.reading;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A log's time in order. A day's end in a time-of-day column is carried over; a clock that jumps
 * back for good is shifted to go on; a single stray line is dropped; gaps are said.
 *
 * @param seconds time since the first kept sample
 * @param kept indices of the kept rows
 * @param remarks what was found
 */
record TimeLine(double[] seconds, int[] kept, List<String> remarks) {
  static TimeLine oneSecondApart(int size) {
    double[] seconds = new double[size];
    int[] kept = new int[size];
    for (int i = 0; i < size; i++) {
      seconds[i] = i;
      kept[i] = i;
    }
    return new TimeLine(seconds, kept, List.of());
  }

  /**
   * Puts a log's time in order.
   *
   * @param raw seconds from any origin, not a number where unreadable; not written
   * @param lines each row's line in the file
   * @throws Problem {@code log.noTime} if hardly any time can be read
   */
  static TimeLine inOrder(String fileName, double[] raw, int[] lines, boolean timeOfDay) {
    int[] good = new int[raw.length];
    int n = 0;
    for (int i = 0; i < raw.length; i++) {
      if (!Double.isNaN(raw[i])) {
        good[n++] = i;
      }
    }
    if (n * 2 < raw.length || n == 0) {
      throw new Problem(
          "log.noTime",
          Place.line(fileName, lines[0]),
          "The time column cannot be read as time.",
          "Export elapsed seconds, or a date with a time such as 2026-03-01 18:30:00.");
    }
    List<String> remarks = new ArrayList<>();
    if (n < raw.length) {
      remarks.add(LogReader.count(raw.length - n, "line") + " without a readable time dropped.");
    }
    double step = medianStep(raw, good, n);
    double[] seconds = new double[n];
    int[] kept = new int[n];
    int count = 0;
    double offset = 0;
    int strays = 0;
    int gaps = 0;
    double longestGap = 0;
    for (int g = 0; g < n; g++) {
      double t = raw[good[g]] + offset;
      if (count > 0) {
        double last = seconds[count - 1];
        if (t < last) {
          if (timeOfDay && last - t > 43200) {
            offset += 86400;
            t += 86400;
          } else if (g + 1 < n && raw[good[g + 1]] + offset >= last) {
            strays++;
            continue;
          } else {
            remarks.add(
                "The clock jumped back by "
                    + Math.round(last - t)
                    + " s at line "
                    + lines[good[g]]
                    + "; later times are shifted to go on.");
            offset += last + step - t;
            t = last + step;
          }
        } else if (t - last > Math.max(5 * step, 5)) {
          gaps++;
          longestGap = Math.max(longestGap, t - last);
        }
      }
      seconds[count] = t;
      kept[count++] = good[g];
    }
    if (strays > 0) {
      remarks.add(LogReader.count(strays, "line") + " out of order in time dropped.");
    }
    if (gaps > 0) {
      remarks.add(
          LogReader.count(gaps, "gap")
              + " in the recording, the longest "
              + Math.round(longestGap)
              + " s.");
    }
    double start = seconds[0];
    for (int i = 0; i < count; i++) {
      seconds[i] -= start;
    }
    return new TimeLine(
        Arrays.copyOf(seconds, count), Arrays.copyOf(kept, count), List.copyOf(remarks));
  }

  private static double medianStep(double[] raw, int[] good, int n) {
    if (n < 2) {
      return 1;
    }
    double[] steps = new double[n - 1];
    for (int i = 1; i < n; i++) {
      steps[i - 1] = raw[good[i]] - raw[good[i - 1]];
    }
    Arrays.sort(steps);
    double median = steps[steps.length / 2];
    return median > 0 ? median : 1;
  }
}
