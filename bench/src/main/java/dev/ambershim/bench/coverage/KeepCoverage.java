package dev.ambershim.bench.coverage;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.DriftFit;
import dev.ambershim.core.runs.drift.Line;
import dev.ambershim.core.runs.drift.Scatter;
import dev.ambershim.core.runs.drift.Trend;
import dev.ambershim.core.runs.everyday.Everyday;
import dev.ambershim.core.runs.everyday.EverydayFit;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.reading.LogReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.TreeSet;

/**
 * How often drift and resistance hold: histories of 8 to 18 checks on days of chance, at powers
 * that differ; and ordinary use of four thermal masses in a row, read in whole degrees.
 */
public final class KeepCoverage {
  private static final double REFERENCE_WATTS = 145;
  private static final double NOISE_KELVIN = 0.45;
  private static final double STEP_SECONDS = 0.1;

  private KeepCoverage() {}

  /** All sets. */
  public static List<Coverage> all(int repeats) {
    List<Coverage> all = new ArrayList<>();
    for (int mounts : new int[] {1, 2, 3}) {
      all.add(history("keep.steady.mounts." + mounts, 0, mounts, repeats));
    }
    all.add(history("keep.creeping.4", 4, 1, repeats));
    all.add(history("keep.creeping.4.mounts.2", 4, 2, repeats));
    for (double minutes : new double[] {25, 45, 90}) {
      all.add(use("keep.everyday." + (int) minutes, minutes, true, repeats / 4));
      all.add(use("keep.everyday." + (int) minutes + ".typed", minutes, false, repeats / 4));
    }
    return all;
  }

  /**
   * Histories: told are those that got a drift, claimed those that told a trend.
   *
   * @param perYear the true drift, K a year
   */
  static Coverage history(String name, double perYear, int mounts, int repeats) {
    int told = 0;
    int held = 0;
    int claimed = 0;
    double half = 0;
    for (int r = 0; r < repeats; r++) {
      Drift drift =
          DriftFit.of(
              checks(Chance.of(name, r), perYear, mounts),
              OptionalDouble.of(REFERENCE_WATTS),
              Scatter.USUAL);
      claimed += drift.trend() == Trend.CREEPING || drift.trend() == Trend.JUMPED ? 1 : 0;
      if (drift.line().isPresent()) {
        Interval interval = drift.line().map(Line::perYearInterval).orElseThrow();
        told++;
        held += interval.contains(perYear) ? 1 : 0;
        half += interval.width() / 2;
      }
    }
    return new Coverage(name, repeats, told, held, claimed, half / told);
  }

  private static List<Check> checks(Random random, double perYear, int mounts) {
    int count = 8 + random.nextInt(11);
    int span = (int) (365 * (0.8 + 1.2 * random.nextDouble()));
    TreeSet<Integer> days = new TreeSet<>(List.of(0));
    while (days.size() < count) {
      days.add(1 + random.nextInt(span));
    }
    double level = 40 + 30 * random.nextDouble();
    double[] offs = new double[mounts];
    for (int m = 0; mounts > 1 && m < mounts; m++) {
      offs[m] = Judging.USUAL_REMOUNT_KELVIN * random.nextGaussian();
    }
    List<Check> checks = new ArrayList<>();
    for (int day : days) {
      double watts = 115 + 60 * random.nextDouble();
      int mount = Math.min(mounts - 1, day * mounts / span);
      double rise = (level + perYear * day / 365.25) * watts / REFERENCE_WATTS;
      checks.add(
          new Check(
              LocalDate.of(2025, 1, 1).plusDays(day),
              rise + offs[mount] + NOISE_KELVIN * random.nextGaussian(),
              watts,
              "after",
              String.valueOf(mount),
              OptionalDouble.empty()));
    }
    return checks;
  }

  /** Ordinary use: told are logs that could be used; half-widths in percent of the truth. */
  static Coverage use(String name, double minutes, boolean roomLogged, int repeats) {
    int told = 0;
    int held = 0;
    double half = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(name, r);
      double[] parts = {
        0.08 + 0.1 * random.nextDouble(),
        0.06 + 0.08 * random.nextDouble(),
        0.03 + 0.05 * random.nextDouble(),
        0.04 + 0.12 * random.nextDouble()
      };
      double room = 19 + 6 * random.nextDouble();
      String log = log(random, parts, minutes, room, roomLogged);
      Everyday use =
          EverydayFit.of(
              List.of(LogReader.read("use.csv", log.getBytes(StandardCharsets.UTF_8))),
              roomLogged
                  ? OptionalDouble.empty()
                  : OptionalDouble.of(
                      room + Judging.USUAL_TYPED_ROOM_KELVIN * random.nextGaussian()),
              Judging.USUAL_TYPED_ROOM_KELVIN);
      if (use.usable()) {
        double truth = Arrays.stream(parts).sum();
        told++;
        held += use.interval().contains(truth) ? 1 : 0;
        half += 100 * use.interval().width() / 2 / truth;
      }
    }
    return new Coverage(name, repeats, told, held, 0, half / told);
  }

  private static String log(
      Random random, double[] parts, double minutes, double room, boolean roomLogged) {
    double[] lags = {
      0.6 + random.nextDouble(),
      6 + 10 * random.nextDouble(),
      20 + 30 * random.nextDouble(),
      120 + 450 * random.nextDouble()
    };
    double[] over = new double[4];
    double watts = 20 + 80 * random.nextDouble();
    for (int k = 3; k >= 0; k--) {
      over[k] = (k < 3 ? over[k + 1] : 0) + parts[k] * watts;
    }
    StringBuilder out = new StringBuilder("time_s,core 0,core 1,power_W");
    out.append(roomLogged ? ",room_C\n" : "\n");
    double until = 0;
    long steps = Math.round(60 * minutes / STEP_SECONDS);
    for (long i = 0; i < steps; i++) {
      if (i * STEP_SECONDS >= until) {
        watts = 10 + 130 * random.nextDouble();
        until = i * STEP_SECONDS + 20 + 280 * random.nextDouble();
      }
      double in = watts;
      for (int k = 0; k < 4; k++) {
        double flow = (over[k] - (k < 3 ? over[k + 1] : 0)) / parts[k];
        over[k] += STEP_SECONDS * (in - flow) * parts[k] / lags[k];
        in = flow;
      }
      if (i % 20 == 0) {
        out.append(
            String.format(
                Locale.ROOT,
                "%.0f,%d,%d,%.1f",
                i * STEP_SECONDS,
                Math.round(room + over[0] + 0.6 + 0.3 * random.nextGaussian()),
                Math.round(room + over[0] - 0.6 + 0.3 * random.nextGaussian()),
                watts));
        out.append(
            roomLogged
                ? String.format(Locale.ROOT, ",%.1f%n", room + 0.1 * random.nextGaussian())
                : "\n");
      }
    }
    return out.toString();
  }
}
