package dev.ambershim.core.stage;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Compared;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.runs.judging.FigureChange;
import dev.ambershim.core.runs.judging.HotSpots;
import dev.ambershim.core.runs.judging.RunAnalysis;
import java.util.ArrayList;
import java.util.List;

/**
 * The cores of a job's runs on the dies, and what their pattern hints at. Where each core lies is
 * not in the logs; it is taken by the usual rows (see the layout's own notes).
 *
 * @param dies outlines of the dies that carry cores
 * @param cores outline of each core; empty if the runs have another count of cores than the chip
 * @param before mean of each core before, K over room air or °C; empty if there is no fit run
 * @param after the same after the work
 * @param change after less before, K; empty unless they can be compared
 * @param rise whether before and after are rises
 * @param hints patterns of the state after, or before where there is none after
 */
public record CoreMaps(
    List<Patch> dies,
    List<Patch> cores,
    List<Double> before,
    List<Double> after,
    List<Double> change,
    boolean rise,
    List<HotSpots.Hint> hints) {
  /** Copies its lists. */
  public CoreMaps {
    dies = List.copyOf(dies);
    cores = List.copyOf(cores);
    before = List.copyOf(before);
    after = List.copyOf(after);
    change = List.copyOf(change);
    hints = List.copyOf(hints);
  }

  /** The maps of a job. */
  public static CoreMaps of(Assessment at, Notation notation) {
    Compared compared = Compared.of(at.job());
    List<RunAnalysis> first = fit(at, compared.first());
    List<RunAnalysis> second = fit(at, compared.second());
    boolean rise =
        first.stream().allMatch(RunAnalysis::hasRoom)
            && second.stream().allMatch(RunAnalysis::hasRoom);
    List<Double> before = means(first, rise);
    List<Double> after = means(second, rise);
    List<Double> change =
        at.comparison().stream()
            .flatMap(c -> c.cores().stream())
            .map(FigureChange::change)
            .toList();
    List<Patch> places = CoreLayout.of(at.job().chip()).cores();
    int count = Math.max(before.size(), after.size());
    List<Patch> cores = places.size() == count ? places : List.of();
    double[] x = cores.stream().mapToDouble(Patch::xMillimetres).toArray();
    double[] y = cores.stream().mapToDouble(Patch::yMillimetres).toArray();
    List<HotSpots.Hint> hints = new ArrayList<>();
    List<Double> state = after.isEmpty() ? before : after;
    if (!state.isEmpty()) {
      hints.addAll(HotSpots.of(array(state), x, y, notation));
    }
    return new CoreMaps(
        carrying(at.job().chip().dies().stream().map(CoreLayout::patch).toList(), cores),
        cores,
        before,
        after,
        change,
        rise,
        hints);
  }

  private static List<Patch> carrying(List<Patch> dies, List<Patch> cores) {
    return dies.stream()
        .filter(
            d ->
                cores.stream()
                    .anyMatch(
                        c ->
                            Math.abs(c.xMillimetres() - d.xMillimetres()) < d.widthMillimetres() / 2
                                && Math.abs(c.yMillimetres() - d.yMillimetres())
                                    < d.depthMillimetres() / 2))
        .toList();
  }

  private static List<RunAnalysis> fit(Assessment at, String state) {
    return at.runsOf(state).stream()
        .flatMap(r -> r.analysis().stream())
        .filter(a -> a.unfit().isEmpty())
        .toList();
  }

  private static List<Double> means(List<RunAnalysis> runs, boolean rise) {
    List<Double> result = new ArrayList<>();
    if (runs.isEmpty() || runs.stream().anyMatch(r -> cores(r) != cores(runs.get(0)))) {
      return result;
    }
    for (int c = 0; c < cores(runs.get(0)); c++) {
      double sum = 0;
      for (RunAnalysis run : runs) {
        sum += run.coreCelsius().get(c) - (rise ? run.roomCelsius() : 0);
      }
      result.add(sum / runs.size());
    }
    return result;
  }

  private static int cores(RunAnalysis run) {
    return run.coreCelsius().size();
  }

  private static double[] array(List<Double> list) {
    return list.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
