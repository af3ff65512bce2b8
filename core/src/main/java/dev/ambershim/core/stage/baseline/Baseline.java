package dev.ambershim.core.stage.baseline;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.judging.BatchMeans;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.SideSummary;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How a chip runs now: the rise of one or several runs of one state, as a finding. */
public final class Baseline {
  private Baseline() {}

  /**
   * The finding for a state's runs.
   *
   * @return empty if there is no run at all
   */
  public static Optional<Finding> of(List<RunAnalysis> runs, Notation notation) {
    if (runs.isEmpty()) {
      return Optional.empty();
    }
    List<RunAnalysis> fit = runs.stream().filter(r -> r.unfit().isEmpty()).toList();
    if (fit.isEmpty()) {
      RunAnalysis first = runs.get(0);
      return Optional.of(
          new Finding(
              "baseline.rise",
              "Cannot tell from " + first.fileName() + ": " + first.unfit().orElseThrow() + ".",
              Double.NaN,
              Unit.KELVIN,
              Optional.empty(),
              working(runs)));
    }
    SideSummary side = SideSummary.of(fit);
    boolean rise = fit.stream().allMatch(RunAnalysis::hasRoom);
    double value = rise ? side.riseKelvin() : side.meanCoreCelsius();
    Interval interval = interval(fit, value, rise);
    Unit unit = rise ? Unit.KELVIN : Unit.CELSIUS;
    String sentence =
        "It runs "
            + (rise ? "" : "at ")
            + notation.text(value, unit)
            + (rise ? " above room air (" : " (")
            + notation.range(interval, unit)
            + ")"
            + (side.powerWatts() > 0 ? " at " + notation.text(side.powerWatts(), Unit.WATT) : "")
            + "."
            + (rise ? "" : " Room air is not known.");
    return Optional.of(
        new Finding(
            "baseline.rise",
            sentence,
            value,
            rise ? Unit.KELVIN : Unit.CELSIUS,
            Optional.of(interval),
            working(fit)));
  }

  private static Interval interval(List<RunAnalysis> fit, double value, boolean rise) {
    BatchMeans error = fit.get(0).error().orElseThrow();
    if (fit.size() == 1) {
      return Interval.around(value, error.halfWidth(Comparison.LEVEL), Comparison.LEVEL);
    }
    double[] each =
        fit.stream().mapToDouble(r -> rise ? r.riseKelvin() : r.meanCoreCelsius()).toArray();
    double scatter = BatchMeans.standardDeviation(each) / Math.sqrt(each.length);
    double own =
        Math.sqrt(
                fit.stream()
                    .mapToDouble(r -> Math.pow(r.error().orElseThrow().standardError(), 2))
                    .sum())
            / each.length;
    double half =
        scatter > own
            ? scatter * BatchMeans.quantile(each.length - 1.0, Comparison.LEVEL)
            : own * BatchMeans.quantile(error.degreesOfFreedom(), Comparison.LEVEL);
    return Interval.around(value, half, Comparison.LEVEL);
  }

  private static Working working(List<RunAnalysis> runs) {
    List<Working.Input> inputs = new ArrayList<>();
    for (RunAnalysis run : runs) {
      inputs.add(
          new Working.Input(run.fileName() + ", settled part", run.plateauSeconds(), Unit.SECOND));
      inputs.add(new Working.Input(run.fileName() + ", rise", run.riseKelvin(), Unit.KELVIN));
      inputs.add(new Working.Input(run.fileName() + ", room", run.roomCelsius(), Unit.CELSIUS));
      inputs.add(new Working.Input(run.fileName() + ", power", run.powerWatts(), Unit.WATT));
    }
    return new Working(
        "rise = mean over cores − room air, over the settled part; warm-up cut by the least standard"
            + " error of what is left; 95 % interval from batch means or, with several runs, from"
            + " their scatter",
        inputs,
        "White 1997 (MSER-5); Law, Simulation Modeling and Analysis, 9.5 (batch means)",
        List.of(
            "The sensors' own offset is not in the interval.",
            "What taking the cooler off and on again changes shows only with several runs."));
  }
}
