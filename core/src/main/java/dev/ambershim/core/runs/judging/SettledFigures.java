package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Channel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Mean and standard error of each figure over a run's settled samples. */
final class SettledFigures {
  private final int[] used;
  private final double[] air;
  private final double[] rise;
  private final List<Channel> cores;
  private final List<Double> each;
  private final double[] chip;
  private final double[] power;
  private final StillWarming left;

  /** What the steps of each core's sensor leave open of its mean, K. */
  private final double[] rounding;

  private final double airRounding;
  private final double[] seconds;

  /**
   * Sets out the run.
   *
   * @param used the samples that count
   * @param rise mean of the cores less room air, or the mean where there is no room
   * @param mean mean of the cores
   * @param each mean of each core over the samples that count
   * @param chip package temperature, or null
   * @param power chip power, or null
   * @param room room air, or null
   * @param left what the run had still to warm
   * @param seconds time of each sample
   */
  SettledFigures(
      int[] used,
      double[] rise,
      double[] mean,
      List<Channel> cores,
      List<Double> each,
      double[] chip,
      double[] power,
      double[] room,
      StillWarming left,
      double[] seconds) {
    this.seconds = seconds;
    this.used = used;
    this.rise = rise;
    this.cores = cores;
    this.each = each;
    this.chip = chip;
    this.power = power;
    this.left = left;
    air = new double[mean.length];
    for (int i = 0; i < air.length; i++) {
      air[i] = mean[i] - rise[i];
    }
    rounding = cores.stream().mapToDouble(c -> Rounding.of(c.values(), used)).toArray();
    airRounding = room == null ? 0 : Rounding.of(room, used);
  }

  /**
   * The figures.
   *
   * @param factor by which the rises go up to full heat
   */
  Map<Figure, BatchMeans> figures(double factor) {
    Map<Figure, BatchMeans> result = new EnumMap<>(Figure.class);
    double squares = 0;
    for (double one : rounding) {
      squares += Math.pow(one / cores.size(), 2);
    }
    double ofMean = Math.sqrt(squares + airRounding * airRounding);
    put(result, Figure.RISE, rise, new double[rise.length], ofMean);
    int hot = extreme(1);
    put(result, Figure.HOTTEST, cores.get(hot).values(), air, ofCore(hot, airRounding));
    if (cores.size() > 1) {
      int cool = extreme(-1);
      BatchMeans spread = of(cores.get(hot).values(), cores.get(cool).values());
      if (spread != null) {
        result.put(Figure.SPREAD, spread.wider(ofCore(hot, rounding[cool])));
      }
    }
    if (chip != null) {
      put(result, Figure.PACKAGE, chip, air, Math.hypot(Rounding.of(chip, used), airRounding));
    }
    if (factor != 1) {
      result.replaceAll((figure, value) -> value.times(factor));
    }
    BatchMeans byPower = power == null ? null : resistance(ofMean);
    if (byPower != null) {
      result.put(Figure.RESISTANCE, byPower);
    }
    return result;
  }

  private double ofCore(int core, double other) {
    return Math.hypot(rounding[core], other);
  }

  /** The same for each core. */
  List<BatchMeans> eachCore(double factor) {
    IntStream all = IntStream.range(0, cores.size());
    return (used.length > RunAnalyser.LONG ? all.parallel() : all)
        .mapToObj(c -> each(c).times(factor))
        .collect(Collectors.toCollection(ArrayList::new));
  }

  private BatchMeans each(int core) {
    return warmed(cores.get(core).values(), air).wider(ofCore(core, airRounding));
  }

  /** A difference with what is left to warm. */
  private BatchMeans warmed(double[] a, double[] b) {
    BatchMeans found = of(left.added(seconds, a), b);
    return found == null ? null : found.wider(left.standardError());
  }

  private void put(
      Map<Figure, BatchMeans> result,
      Figure figure,
      double[] series,
      double[] less,
      double rounding) {
    BatchMeans found = warmed(series, less);
    if (found != null && Double.isFinite(found.mean())) {
      result.put(figure, found.wider(rounding));
    }
  }

  /** Place of the hottest core with 1, of the coolest with −1. */
  private int extreme(int sign) {
    int best = 0;
    for (int i = 1; i < each.size(); i++) {
      if (sign * each.get(i) > sign * each.get(best)) {
        best = i;
      }
    }
    return best;
  }

  /**
   * The ratio of the means, by a series whose scatter is the ratio's (delta rule); null where there
   * is no power.
   *
   * @param rounding of the rise, K
   */
  private BatchMeans resistance(double rounding) {
    double[] rise = left.added(seconds, this.rise);
    double watts = 0;
    double kelvin = 0;
    int n = 0;
    for (int i : used) {
      if (!Double.isNaN(power[i])) {
        watts += power[i];
        kelvin += rise[i];
        n++;
      }
    }
    if (n == 0 || !(watts > 0)) {
      return null;
    }
    double ratio = kelvin / watts;
    double[] result = new double[rise.length];
    for (int i : used) {
      result[i] = ratio + (rise[i] - ratio * power[i]) / (watts / n);
    }
    BatchMeans found = of(result, new double[result.length]);
    double mean = watts / n;
    return found == null || !Double.isFinite(found.mean())
        ? null
        : found.plus(left.kelvin() / mean).wider(Math.hypot(left.standardError(), rounding) / mean);
  }

  /** The difference over the samples that count, without those that lack a figure. */
  private BatchMeans of(double[] a, double[] b) {
    double[] present = new double[used.length];
    int n = 0;
    for (int i : used) {
      double difference = a[i] - b[i];
      if (!Double.isNaN(difference)) {
        present[n++] = difference;
      }
    }
    if (n < BatchMeans.FEWEST) {
      return null;
    }
    return BatchMeans.of(n == present.length ? present : Arrays.copyOf(present, n));
  }
}
