package dev.ambershim.core.runlog;

import dev.ambershim.core.finding.Interval;
import java.util.List;

/**
 * Difference of two sides' means with its standard error. One run a side: each run's own
 * batch-means error. Several: the pooled scatter between runs of a side, which holds both what
 * re-mounting and what noise do, but never less than the runs' own errors. Degrees of freedom after
 * Welch–Satterthwaite (JCGM 100:2008, G.4.1).
 *
 * @param kelvin after less before
 * @param standardError its standard error
 * @param degreesOfFreedom effective degrees of freedom
 * @param words what the interval rests on, a sentence
 */
record Difference(double kelvin, double standardError, double degreesOfFreedom, String words) {
  static Difference between(List<RunAnalysis> before, List<RunAnalysis> after, boolean rooms) {
    double change = mean(after, rooms) - mean(before, rooms);
    double own = ownVariance(before) + ownVariance(after);
    double ownFreedom = own * own / (ownTerm(before) + ownTerm(after));
    int pooledFreedom = before.size() + after.size() - 2;
    if (pooledFreedom > 0) {
      double pooled = (squares(before, rooms) + squares(after, rooms)) / pooledFreedom;
      double between = pooled * (1.0 / before.size() + 1.0 / after.size());
      if (between > own) {
        return new Difference(
            change,
            Math.sqrt(between),
            pooledFreedom,
            "The interval rests on the scatter between "
                + (before.size() + after.size())
                + " runs.");
      }
    }
    return new Difference(
        change,
        Math.sqrt(own),
        own == 0 ? 1 : ownFreedom,
        "The interval rests on the noise within the runs.");
  }

  Interval interval(double level) {
    return Interval.around(
        kelvin, standardError * BatchMeans.quantile(degreesOfFreedom, level), level);
  }

  private static double figure(RunAnalysis run, boolean rooms) {
    return rooms ? run.riseKelvin() : run.meanCoreCelsius();
  }

  private static double mean(List<RunAnalysis> runs, boolean rooms) {
    return runs.stream().mapToDouble(r -> figure(r, rooms)).average().orElseThrow();
  }

  private static double squares(List<RunAnalysis> runs, boolean rooms) {
    double mean = mean(runs, rooms);
    return runs.stream().mapToDouble(r -> Math.pow(figure(r, rooms) - mean, 2)).sum();
  }

  /** Variance of the side's mean from the runs' own errors. */
  private static double ownVariance(List<RunAnalysis> runs) {
    double sum =
        runs.stream().mapToDouble(r -> Math.pow(r.error().orElseThrow().standardError(), 2)).sum();
    return sum / (runs.size() * (double) runs.size());
  }

  /** The side's part of the Welch–Satterthwaite sum. */
  private static double ownTerm(List<RunAnalysis> runs) {
    double n2 = runs.size() * (double) runs.size();
    return runs.stream()
        .mapToDouble(
            r -> {
              BatchMeans e = r.error().orElseThrow();
              return Math.pow(e.standardError() * e.standardError() / n2, 2) / e.degreesOfFreedom();
            })
        .sum();
  }
}
