package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Channel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Mean and standard error of each figure over a run's settled samples. */
final class SettledFigures {
  private final int[] used;
  private final double[] air;
  private final double[] rise;
  private final List<Channel> cores;
  private final List<Double> each;
  private final double[] chip;
  private final double[] power;

  /**
   * Sets out the run.
   *
   * @param used the samples that count
   * @param rise mean of the cores less room air, or the mean where there is no room
   * @param mean mean of the cores
   * @param each mean of each core over the samples that count
   * @param chip package temperature, or null
   * @param power chip power, or null
   */
  SettledFigures(
      int[] used,
      double[] rise,
      double[] mean,
      List<Channel> cores,
      List<Double> each,
      double[] chip,
      double[] power) {
    this.used = used;
    this.rise = rise;
    this.cores = cores;
    this.each = each;
    this.chip = chip;
    this.power = power;
    air = new double[mean.length];
    for (int i = 0; i < air.length; i++) {
      air[i] = mean[i] - rise[i];
    }
  }

  Map<Figure, BatchMeans> figures() {
    Map<Figure, BatchMeans> result = new EnumMap<>(Figure.class);
    result.put(Figure.RISE, of(rise, new double[rise.length]));
    double[] hottest = cores.get(extreme(1)).values();
    result.put(Figure.HOTTEST, of(hottest, air));
    if (cores.size() > 1) {
      result.put(Figure.SPREAD, of(hottest, cores.get(extreme(-1)).values()));
    }
    put(result, Figure.PACKAGE, chip, air);
    put(result, Figure.RESISTANCE, power == null ? null : resistance(), new double[rise.length]);
    return result;
  }

  List<BatchMeans> eachCore() {
    Stream<Channel> all = cores.stream();
    return (used.length > RunAnalyser.LONG ? all.parallel() : all)
        .map(core -> of(core.values(), air))
        .collect(Collectors.toCollection(ArrayList::new));
  }

  private void put(Map<Figure, BatchMeans> result, Figure figure, double[] series, double[] less) {
    if (series == null) {
      return;
    }
    BatchMeans found = of(series, less);
    if (found != null && Double.isFinite(found.mean())) {
      result.put(figure, found);
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
   * A series whose mean is the ratio of the means and whose scatter is the ratio's (delta rule).
   */
  private double[] resistance() {
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
    return result;
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
