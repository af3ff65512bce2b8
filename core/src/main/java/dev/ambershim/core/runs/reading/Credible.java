package dev.ambershim.core.runs.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Takes out of a log what cannot be, so that a gap stands there: figures outside their role's
 * range; figures that stand for "no reading", which come again and again far from all others; and
 * jumps that no heat can make. A temperature can follow its load at once by as much as the die
 * alone rises over what cools it, but no further, and never below or above all that the run is
 * otherwise; and where the load changes, the other sensors move too.
 */
final class Credible {
  /** What drivers and converters give for no reading; common practice. */
  private static final double[] SIGNS = {0, -1, 127, 127.5, 128, 255, -127, -128};

  /** No chip changes by more from sample to sample unless its load does, K. */
  private static final double CHIP_STEP_KELVIN = 15;

  /** Nor do air and coolant, K. */
  private static final double SLOW_STEP_KELVIN = 5;

  /** A figure that comes again is a sign if nothing else of its channel is nearer than this, K. */
  private static final double APART_KELVIN = 10;

  /** Others move along if they change by this share of the step. */
  private static final double ALONG = 0.3;

  /** The quick part of a step: the die's own time constant, s (common practice: under a second). */
  private static final double QUICK_SECONDS = 0.5;

  /** What a single reading may stand out over all levels of its run, as a share of its range. */
  private static final double OVER = 0.35;

  private static final int WINDOW = 9;

  /** A chip under load draws more than this, W. */
  private static final double LOADED_WATTS = 20;

  /** So long may a power of nothing be a reading that failed, s. */
  private static final double MOMENT_SECONDS = 10;

  /** A chip whose power went would cool by more than this, and more than it does of itself, K. */
  private static final double STEADY_KELVIN = 2;

  /** Chance changes from sample to sample hardly pass so many times their middle. */
  private static final double OFTEN = 6;

  private final RunLog log;
  private final List<Disbelieved> found = new ArrayList<>();

  /** What the channel at hand may change by. */
  private double stepKelvin;

  private Credible(RunLog log) {
    this.log = log;
  }

  private double apartKelvin() {
    return Math.min(APART_KELVIN, stepKelvin);
  }

  /** The log with gaps; the same channels where nothing is wrong with them. */
  static RunLog of(RunLog log) {
    return new Credible(log).clean();
  }

  private RunLog clean() {
    List<Channel> channels = new ArrayList<>(log.channels());
    // Ranges first: what others are compared with must itself be possible.
    for (int c = 0; c < channels.size(); c++) {
      channels.set(c, within(channels.get(c)));
    }
    List<Channel> possible = List.copyOf(channels);
    for (int c = 0; c < channels.size(); c++) {
      Channel channel = channels.get(c);
      Role role = channel.role();
      boolean chip = role == Role.CORE || role == Role.PACKAGE;
      stepKelvin = chip ? CHIP_STEP_KELVIN : SLOW_STEP_KELVIN;
      if (role.temperature()) {
        channels.set(c, smooth(channel, chip ? others(possible, c) : List.of()));
      } else if (role == Role.POWER) {
        channels.set(c, steadyPower(channel, possible));
      }
    }
    return new RunLog(log.fileName(), log.seconds(), channels, log.notes(), Optional.of(merged()));
  }

  private List<Disbelieved> merged() {
    Map<String, Disbelieved> byName = new LinkedHashMap<>();
    found.forEach(d -> byName.merge(d.channel(), d, Disbelieved::with));
    return List.copyOf(byName.values());
  }

  private Channel within(Channel channel) {
    Role role = channel.role();
    if (Double.isInfinite(role.lowest())) {
      return channel;
    }
    double[] values = channel.values();
    double[] kept = values;
    int outside = 0;
    double example = Double.NaN;
    for (int i = 0; i < values.length; i++) {
      // Not a number is a gap already.
      if (values[i] < role.lowest() || values[i] > role.highest()) {
        if (outside++ == 0) {
          kept = values.clone();
          example = values[i];
        }
        kept[i] = Double.NaN;
      }
    }
    if (outside == 0) {
      return channel;
    }
    found.add(new Disbelieved(channel.name(), role, outside, 0, 0, example, gaps(values, kept)));
    return with(channel, kept);
  }

  private static BitSet gaps(double[] before, double[] after) {
    BitSet gaps = new BitSet();
    for (int i = 0; i < before.length; i++) {
      if (Double.isNaN(after[i]) && !Double.isNaN(before[i])) {
        gaps.set(i);
      }
    }
    return gaps;
  }

  private static Channel with(Channel channel, double[] values) {
    return new Channel(
        channel.name(), channel.unit(), channel.role(), channel.confidence(), values);
  }

  /** The other sensors of the chip that would move along with a real change. */
  private static List<double[]> others(List<Channel> channels, int but) {
    List<double[]> others = new ArrayList<>();
    for (int c = 0; c < channels.size() && others.size() < 8; c++) {
      Role role = channels.get(c).role();
      if (c != but && (role == Role.CORE || role == Role.PACKAGE)) {
        others.add(channels.get(c).values());
      }
    }
    return others;
  }

  private Channel smooth(Channel channel, List<double[]> others) {
    double[] values = channel.values();
    if (!leaps(values) && !dead(values, others)) {
      return channel;
    }
    double[] kept = values.clone();
    double[] example = {Double.NaN};
    int signs = signs(values, kept, others, example);
    int jumps = jumps(kept, others, example);
    if (signs + jumps == 0) {
      return channel;
    }
    found.add(
        new Disbelieved(
            channel.name(), channel.role(), 0, signs, jumps, example[0], gaps(values, kept)));
    return with(channel, kept);
  }

  /** Whether any two neighbours are further apart than heat alone would have it. */
  private boolean leaps(double[] values) {
    double last = Double.NaN;
    for (double v : values) {
      double step = v - last;
      if (step > stepKelvin || step < -stepKelvin) {
        return true;
      }
      last = Double.isNaN(v) ? last : v;
    }
    return false;
  }

  /** Whether a channel holds a sign and nothing else, while others hold readings far from it. */
  private boolean dead(double[] values, List<double[]> others) {
    double first = Double.NaN;
    for (double v : values) {
      if (!Double.isNaN(v)) {
        if (!sign(v) || (!Double.isNaN(first) && v != first)) {
          return false;
        }
        first = v;
      }
    }
    double sign = first;
    if (!sign(sign)) {
      return false;
    }
    for (double[] other : others) {
      double middle = median(other, 0, other.length);
      if (Math.abs(middle - sign) > stepKelvin) {
        return true;
      }
    }
    return false;
  }

  /** Takes figures out that stand for no reading; gives how many. */
  private int signs(double[] values, double[] kept, List<double[]> others, double[] example) {
    int taken = 0;
    for (double sign : candidates(values, !others.isEmpty())) {
      for (int i = 0; i < values.length; ) {
        if (values[i] != sign) {
          i++;
          continue;
        }
        int from = i;
        while (i < values.length && (values[i] == sign || Double.isNaN(values[i]))) {
          i++;
        }
        int before = neighbour(kept, from - 1, -1);
        int after = neighbour(kept, i, 1);
        boolean in = before >= 0 && leap(kept[before], sign, before, from, others);
        boolean out = after >= 0 && leap(kept[after], sign, i - 1, after, others);
        boolean alone = before < 0 && after < 0;
        if (in || out || alone) {
          for (int k = from; k < i; k++) {
            if (values[k] == sign) {
              taken++;
              kept[k] = Double.NaN;
              example[0] = sign;
            }
          }
        }
      }
    }
    return taken;
  }

  private static int neighbour(double[] values, int from, int step) {
    for (int i = from; i >= 0 && i < values.length; i += step) {
      if (!Double.isNaN(values[i])) {
        return i;
      }
    }
    return -1;
  }

  /** Whether a step is too high for heat: too far at once, and the other sensors stayed. */
  private boolean leap(double from, double to, int i, int k, List<double[]> others) {
    double step = to - from;
    return Math.abs(step) > stepKelvin && !along(step, i, k, others);
  }

  /** Whether the other sensors made a good part of a step between two samples. */
  private static boolean along(double step, int i, int k, List<double[]> others) {
    int moved = 0;
    int known = 0;
    for (double[] other : others) {
      double change = other[k] - other[i];
      // Another sensor may drop out at the same moment.
      if (!Double.isNaN(change) && !sign(other[k]) && !sign(other[i])) {
        known++;
        moved += change / step > ALONG ? 1 : 0;
      }
    }
    return known > 0 && moved * 2 >= known;
  }

  private static boolean sign(double figure) {
    for (double sign : SIGNS) {
      if (figure == sign) {
        return true;
      }
    }
    return false;
  }

  /**
   * Figures that may stand for no reading: the usual ones, and any that keeps far from all others.
   */
  private List<Double> candidates(double[] values, boolean compared) {
    Map<Double, Integer> counts = new HashMap<>();
    for (double v : values) {
      // A sensor of many digits has no figure twice; counting them all would take long.
      if (!Double.isNaN(v) && (counts.size() < 4096 || counts.containsKey(v))) {
        counts.merge(v, 1, Integer::sum);
      }
    }
    List<Double> candidates = new ArrayList<>();
    for (double sign : SIGNS) {
      if (counts.containsKey(sign)) {
        candidates.add(sign);
      }
    }
    double[] sorted = Arrays.stream(values).filter(v -> !Double.isNaN(v)).sorted().toArray();
    for (int i = 0; i < sorted.length; ) {
      int to = i;
      while (to < sorted.length && sorted[to] == sorted[i]) {
        to++;
      }
      boolean apart =
          (i == 0 || sorted[i] - sorted[i - 1] >= apartKelvin())
              && (to == sorted.length || sorted[to] - sorted[i] >= apartKelvin());
      // Once in and once out may be a rest before the load; more often is a sensor that drops out,
      // or a load that comes and goes, which is seen by the other sensors or by how long it stays.
      int count = to - i;
      if (apart && count >= 3 && count * 2 < sorted.length) {
        int entries = entries(values, sorted[i]);
        if (entries >= 3
            && (compared || count < 1.5 * entries)
            && !candidates.contains(sorted[i])) {
          candidates.add(sorted[i]);
        }
      }
      i = to;
    }
    return candidates;
  }

  private static int entries(double[] values, double figure) {
    int entries = 0;
    boolean inside = false;
    for (double v : values) {
      if (!Double.isNaN(v)) {
        entries += v == figure && !inside ? 1 : 0;
        inside = v == figure;
      }
    }
    return entries;
  }

  /** Takes single readings out to which no heat can jump; gives how many. */
  private int jumps(double[] kept, List<double[]> others, double[] example) {
    double[] level = levels(kept);
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double v : level) {
      low = v < low ? v : low;
      high = v > high ? v : high;
    }
    double range = Math.max(high - low, stepKelvin);
    int taken = 0;
    for (int i = 0; i < kept.length; i++) {
      double off = Math.abs(kept[i] - level[i]);
      if (!(off > stepKelvin)) {
        continue;
      }
      int before = neighbour(kept, i - 1, -1);
      double seconds = before < 0 ? 1 : log.seconds()[i] - log.seconds()[before];
      double allowed =
          apartKelvin() + range * (1 - Math.exp(-Math.max(seconds, 1e-3) / QUICK_SECONDS));
      boolean beyond =
          kept[i] > high + Math.max(stepKelvin, OVER * range)
              || kept[i] < low - Math.max(apartKelvin(), 0.2 * range);
      boolean alone = before < 0 || !along(kept[i] - kept[before], before, i, others);
      if (alone && (off > allowed || beyond)) {
        example[0] = kept[i];
        kept[i] = Double.NaN;
        taken++;
      }
    }
    return taken;
  }

  /** The running median of the readings around each sample. */
  private static double[] levels(double[] values) {
    double[] levels = new double[values.length];
    for (int i = 0; i < values.length; i++) {
      levels[i] =
          median(values, Math.max(0, i - WINDOW / 2), Math.min(values.length, i + WINDOW / 2 + 1));
    }
    return levels;
  }

  private static double median(double[] values, int from, int to) {
    double[] window = new double[to - from];
    int n = 0;
    for (int i = from; i < to; i++) {
      if (!Double.isNaN(values[i])) {
        window[n++] = values[i];
      }
    }
    if (n == 0) {
      return Double.NaN;
    }
    Arrays.sort(window, 0, n);
    return window[(n - 1) / 2];
  }

  /** No power for a moment, while the cores stay as hot as they were, is no reading. */
  private Channel steadyPower(Channel channel, List<Channel> channels) {
    double[] values = channel.values();
    double[] chip = null;
    double steady = 0;
    double[] kept = values;
    int signs = 0;
    for (int i = 1; i + 1 < values.length; i++) {
      if (values[i] != 0) {
        continue;
      }
      int from = i;
      while (i + 1 < values.length && values[i + 1] == 0) {
        i++;
      }
      int after = i + 1;
      if (after == values.length
          || !(values[from - 1] > LOADED_WATTS)
          || !(values[after] > LOADED_WATTS)
          || !(log.seconds()[after] - log.seconds()[from - 1] < MOMENT_SECONDS)) {
        continue;
      }
      if (chip == null) {
        chip = mean(channels);
        steady = STEADY_KELVIN + OFTEN * fidget(chip);
      }
      if (chip[from - 1] - chip[i] < steady && chip[from - 1] - chip[after] < steady) {
        kept = kept == values ? values.clone() : kept;
        Arrays.fill(kept, from, after, Double.NaN);
        signs += after - from;
      }
    }
    if (signs == 0) {
      return channel;
    }
    found.add(new Disbelieved(channel.name(), channel.role(), 0, signs, 0, 0, gaps(values, kept)));
    return with(channel, kept);
  }

  /** The chip's temperature, as the mean of all that is read of it; NaN where nothing is. */
  private double[] mean(List<Channel> channels) {
    List<Channel> read =
        channels.stream().filter(c -> c.role() == Role.CORE || c.role() == Role.PACKAGE).toList();
    return Channel.mean(read, log.size());
  }

  /** How much it changes from sample to sample as a rule: the middle of all changes. */
  private static double fidget(double[] values) {
    double[] changes = new double[values.length - 1];
    Arrays.setAll(changes, i -> Math.abs(values[i + 1] - values[i]));
    double middle = median(changes, 0, changes.length);
    return Double.isNaN(middle) ? 0 : middle;
  }
}
