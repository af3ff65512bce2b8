package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Interval;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Difference of two sides' means with its standard error, in three layers: noise within a run,
 * scatter between runs of one mount, scatter between mounts. A side's mean is the mean of its
 * mounts' means. With several mounts on a side the scatter of their means is pooled over the sides
 * (it holds the lower layers too); with one mount each side it cannot be known from the runs, and a
 * figure of common practice stands in for it. The error never falls below what the runs' own noise
 * gives. Degrees of freedom after Welch–Satterthwaite (JCGM 100:2008, G.4.1).
 *
 * @param change after less before, in the figure's unit
 * @param standardError its standard error
 * @param degreesOfFreedom effective degrees of freedom
 * @param withinError the part of the standard error that comes from noise within the runs
 * @param mountScatter standard deviation between mounts that was reckoned with
 * @param mountsMeasured whether that was measured, rather than taken from common practice
 * @param words what the interval rests on, a sentence
 */
record Difference(
    double change,
    double standardError,
    double degreesOfFreedom,
    double withinError,
    double mountScatter,
    boolean mountsMeasured,
    String words) {
  /**
   * The difference of a figure.
   *
   * @param figure mean and error of a run's figure
   * @param remount standard deviation between mounts of common practice, in the figure's unit
   */
  static Difference between(
      List<MountedRun> before,
      List<MountedRun> after,
      Function<RunAnalysis, BatchMeans> figure,
      double remount) {
    Side a = new Side(before, figure);
    Side b = new Side(after, figure);
    double change = b.mean - a.mean;
    double within = a.ownVariance + b.ownVariance;
    double withinFreedom = within == 0 ? 1 : within * within / (a.ownTerm + b.ownTerm);
    int mountFreedom = a.mounts.size() + b.mounts.size() - 2;
    double perMounts = 1.0 / a.mounts.size() + 1.0 / b.mounts.size();
    if (mountFreedom > 0) {
      double pooled = (a.mountSquares + b.mountSquares) / mountFreedom;
      double between = pooled * perMounts;
      boolean mountsRule = between > within;
      return new Difference(
          change,
          Math.sqrt(Math.max(between, within)),
          mountsRule ? mountFreedom : withinFreedom,
          Math.sqrt(within),
          Math.sqrt(pooled),
          true,
          mountsRule
              ? "The interval rests on the scatter between "
                  + (a.mounts.size() + b.mounts.size())
                  + " mounts."
              : "The mounts agree within the noise of the runs, on which the interval rests.");
    }
    double lower = within;
    double freedom = withinFreedom;
    int runFreedom = before.size() + after.size() - 2;
    boolean runsRule = false;
    if (runFreedom > 0) {
      double pooled = (a.runSquares + b.runSquares) / runFreedom;
      double between = pooled * (1.0 / before.size() + 1.0 / after.size());
      runsRule = between > within;
      lower = Math.max(within, between);
      freedom = runsRule ? runFreedom : withinFreedom;
    }
    double assumed = remount * remount * perMounts;
    double total = lower + assumed;
    double all =
        total == 0
            ? 1
            : total
                * total
                / (lower * lower / freedom
                    + assumed * assumed / Judging.USUAL_REMOUNT_FREEDOM
                    + 1e-300);
    return new Difference(
        change,
        Math.sqrt(total),
        Math.max(1, all),
        Math.sqrt(within),
        remount,
        false,
        runsRule
            ? "Noise is taken from the scatter between " + (before.size() + after.size()) + " runs."
            : "Noise is taken from within the runs.");
  }

  /**
   * The interval of the change. What else is in doubt is known in size, so it counts with endless
   * degrees of freedom (JCGM 100:2008, G.4.1).
   *
   * @param open standard deviation of what else is in doubt, independent of the noise
   * @param shift a bias of unknown side that was not corrected, at most
   */
  Interval interval(double level, double open, double shift) {
    double freedom = BatchMeans.freedom(standardError, degreesOfFreedom, open);
    double half = Math.hypot(standardError, open) * BatchMeans.quantile(freedom, level);
    return Interval.around(change, half + shift, level);
  }

  /** One side's sums. */
  private static final class Side {
    final Map<Integer, Double> mounts = new TreeMap<>();
    double mean;
    double mountSquares;
    double runSquares;
    double ownVariance;
    double ownTerm;

    Side(List<MountedRun> runs, Function<RunAnalysis, BatchMeans> figure) {
      Map<Integer, List<BatchMeans>> byMount =
          runs.stream()
              .collect(
                  Collectors.groupingBy(
                      MountedRun::mount,
                      TreeMap::new,
                      Collectors.mapping(r -> figure.apply(r.analysis()), Collectors.toList())));
      byMount.forEach((mount, of) -> mounts.put(mount, average(of)));
      mean = mounts.values().stream().mapToDouble(Double::doubleValue).average().orElseThrow();
      for (Map.Entry<Integer, List<BatchMeans>> e : byMount.entrySet()) {
        double mountMean = mounts.get(e.getKey());
        mountSquares += Math.pow(mountMean - mean, 2);
        // Weight of each run in the side's mean.
        double weight = 1.0 / (byMount.size() * (double) e.getValue().size());
        for (BatchMeans run : e.getValue()) {
          runSquares += Math.pow(run.mean() - mountMean, 2);
          double part = Math.pow(weight * run.standardError(), 2);
          ownVariance += part;
          ownTerm += part * part / run.degreesOfFreedom();
        }
      }
    }

    private static double average(List<BatchMeans> runs) {
      return runs.stream().mapToDouble(BatchMeans::mean).average().orElseThrow();
    }
  }
}
