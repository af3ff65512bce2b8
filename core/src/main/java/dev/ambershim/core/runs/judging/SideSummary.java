package dev.ambershim.core.runs.judging;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * All fit runs of one side as one, by the mean of their figures.
 *
 * @param riseKelvin rise over room air
 * @param meanCoreCelsius mean over cores
 * @param hottestCoreCelsius hottest core
 * @param spreadKelvin hottest less coolest core
 * @param powerWatts chip power
 * @param clockMegahertz clock
 * @param roomCelsius room air
 * @param packageCelsius package temperature
 * @param conditions what else should be equal
 * @param resistanceKelvinPerWatt rise by power
 * @param plateauSeconds settled time of all runs
 * @param throttledSeconds throttled time of all runs
 * @param runs count of runs that count
 */
public record SideSummary(
    double riseKelvin,
    double meanCoreCelsius,
    double hottestCoreCelsius,
    double spreadKelvin,
    double powerWatts,
    double clockMegahertz,
    double roomCelsius,
    double packageCelsius,
    RunAnalysis.Conditions conditions,
    double resistanceKelvinPerWatt,
    double plateauSeconds,
    double throttledSeconds,
    int runs) {
  public static SideSummary of(List<RunAnalysis> runs) {
    return new SideSummary(
        mean(runs, RunAnalysis::riseKelvin),
        mean(runs, RunAnalysis::meanCoreCelsius),
        mean(runs, RunAnalysis::hottestCoreCelsius),
        mean(runs, RunAnalysis::spreadKelvin),
        mean(runs, RunAnalysis::powerWatts),
        mean(runs, RunAnalysis::clockMegahertz),
        mean(runs, RunAnalysis::roomCelsius),
        mean(runs, RunAnalysis::packageCelsius),
        new RunAnalysis.Conditions(
            mean(runs, r -> r.conditions().voltageVolts()),
            mean(runs, r -> r.conditions().fanTurnsPerMinute()),
            mean(runs, r -> r.conditions().pumpTurnsPerMinute()),
            mean(runs, r -> r.conditions().loadPercent())),
        mean(runs, RunAnalysis::resistanceKelvinPerWatt),
        runs.stream().mapToDouble(RunAnalysis::plateauSeconds).sum(),
        runs.stream().mapToDouble(RunAnalysis::throttledSeconds).sum(),
        runs.size());
  }

  private static double mean(List<RunAnalysis> runs, ToDoubleFunction<RunAnalysis> figure) {
    return runs.stream().mapToDouble(figure).average().orElse(Double.NaN);
  }
}
