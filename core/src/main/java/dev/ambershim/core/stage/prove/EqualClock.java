package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.ClockModel;
import dev.ambershim.core.runs.clocking.Rung;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/** What the work brought in kelvin at one clock: rung against rung of both ladders. */
final class EqualClock {
  private EqualClock() {}

  /**
   * Hottest core after less before, K; empty if no rung of one clock and voltage passed on both
   * sides.
   *
   * @param remountKelvin standard deviation of a rise between mounts
   */
  static Optional<Finding> of(
      ClockLadder before, ClockLadder after, double remountKelvin, Notation notation) {
    List<Pair> pairs = pairs(before, after);
    if (pairs.isEmpty()) {
      return Optional.empty();
    }
    double mean = 0;
    double variance = 0;
    for (Pair pair : pairs) {
      mean += pair.changeKelvin() / pairs.size();
      variance += pair.variance() / Math.pow(pairs.size(), 2);
    }
    variance += 2 * remountKelvin * remountKelvin;
    Interval interval =
        Interval.around(mean, Interval.normalHalf(0.95) * Math.sqrt(variance), 0.95);
    double[] clocks = pairs.stream().mapToDouble(Pair::clockMegahertz).toArray();
    double low = DoubleStream.of(clocks).min().orElseThrow();
    double high = DoubleStream.of(clocks).max().orElseThrow();
    String where =
        high - low < Rung.SAME_MEGAHERTZ
            ? notation.text(low, Unit.MEGAHERTZ)
            : notation.number(low, Unit.MEGAHERTZ) + " to " + notation.text(high, Unit.MEGAHERTZ);
    return Optional.of(
        new Finding(
            "prove.equalClock",
            "At " + where + ", rung against rung, " + cooler(mean, interval, notation),
            mean,
            Unit.KELVIN,
            Optional.of(interval),
            new Working(
                "mean difference of the rises of the hottest core, rung against rung at one clock"
                    + " and voltage; errors of reading and of re-mounting added in squares",
                List.of(
                    new Working.Input("pairs of rungs", pairs.size(), Unit.COUNT),
                    new Working.Input("error of a rung by hand", Rung.BY_HAND_KELVIN, Unit.KELVIN),
                    new Working.Input("scatter between mounts", remountKelvin, Unit.KELVIN)),
                "JCGM 100:2008, 5.1.2; the errors: common practice",
                List.of("Rungs by hand are rough; conducted runs tell more."))));
  }

  /** How much cooler the hottest core is, with its interval. */
  static String cooler(double mean, Interval interval, Notation notation) {
    if (Double.isInfinite(interval.low())) {
      // Some of what the rungs allow has no rest at that clock before the work.
      return "the hottest core is "
          + (Double.isInfinite(mean) ? "" : notation.text(-mean, Unit.KELVIN) + " ")
          + "cooler (at least "
          + notation.number(-interval.high(), Unit.KELVIN)
          + "; before the work leakage might have run away there).";
    }
    boolean open = interval.contains(0);
    return "the hottest core is "
        + notation.text(Math.abs(mean), Unit.KELVIN)
        + (mean < 0 ? " cooler (" : " hotter (")
        + notation.range(mean < 0 && !open ? interval.negated() : interval, Unit.KELVIN)
        + (open ? "), which may be nothing." : ").");
  }

  /**
   * Rungs of both sides at one clock and voltage, each side by its mean.
   *
   * @param variance of the change, K²
   */
  private record Pair(double clockMegahertz, double changeKelvin, double variance) {
    static Pair of(List<Rung> first, List<Rung> second) {
      return new Pair(
          first.get(0).clockMegahertz(),
          rise(second) - rise(first),
          variance(first) + variance(second));
    }

    private static double rise(List<Rung> rungs) {
      return rungs.stream().mapToDouble(Rung::riseKelvin).average().orElseThrow();
    }

    private static double variance(List<Rung> rungs) {
      return rungs.stream().mapToDouble(r -> r.sigmaKelvin() * r.sigmaKelvin()).sum()
          / (rungs.size() * rungs.size());
    }
  }

  /** Each rung counts once, so that several tries at one clock do not pass for several clocks. */
  private static List<Pair> pairs(ClockLadder before, ClockLadder after) {
    List<Pair> pairs = new ArrayList<>();
    List<Rung> left = new ArrayList<>(before.rungs().stream().filter(ClockModel::tells).toList());
    while (!left.isEmpty()) {
      Rung one = left.get(0);
      List<Rung> first = like(one, left);
      List<Rung> second = like(one, after.rungs().stream().filter(ClockModel::tells).toList());
      left.removeAll(first);
      if (!second.isEmpty()) {
        pairs.add(Pair.of(first, second));
      }
    }
    return pairs;
  }

  private static List<Rung> like(Rung one, List<Rung> rungs) {
    return rungs.stream()
        .filter(r -> r.atClock(one.clockMegahertz()) && r.sameVoltage(one))
        .toList();
  }
}
