package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import java.util.ArrayList;
import java.util.List;

/**
 * Where the cores lie and what heat enters where, as far as it can be known without the chip's
 * plan. Cores are spread over the dies whose heat per area is at least half of the densest die's,
 * in proportion to their heat; on a die they lie in rows of equal cells, each taking up most of its
 * cell. Three quarters of such a die's heat enter through its cores, the rest evenly; other dies
 * are heated evenly. All of this is common practice.
 *
 * @param cores the cores in the order of the log: die by die, row by row
 * @param heat what enters at one watt in all, the cores first
 */
public record CoreLayout(List<Patch> cores, List<HeatSource> heat) {
  private static final double SHARE_OF_CORES = 0.75;
  private static final double SIDE_SHARE = 0.85;

  /** Copies its lists. */
  public CoreLayout {
    cores = List.copyOf(cores);
    heat = List.copyOf(heat);
  }

  /** The layout of a chip. */
  public static CoreLayout of(Chip chip) {
    double densest = chip.dies().stream().mapToDouble(CoreLayout::density).max().orElseThrow();
    List<Die> hot = chip.dies().stream().filter(d -> density(d) >= densest / 2).toList();
    double all = chip.dies().stream().mapToDouble(Die::powerShare).sum();
    double hotShare = hot.stream().mapToDouble(Die::powerShare).sum();
    int count = Math.max(1, chip.cores());
    List<Patch> cores = new ArrayList<>();
    List<HeatSource> inCores = new ArrayList<>();
    List<HeatSource> even = new ArrayList<>();
    double passed = 0;
    for (Die die : chip.dies()) {
      Patch whole = patch(die);
      double watts = die.powerShare() / all;
      int mine = 0;
      if (hot.contains(die)) {
        // Rounding what has been passed keeps the sum right whatever the shares are.
        passed += die.powerShare() / hotShare;
        mine = (int) Math.round(count * passed) - cores.size();
      }
      for (Patch core : rows(whole, mine)) {
        inCores.add(HeatSource.steady("core " + cores.size(), core, watts * SHARE_OF_CORES / mine));
        cores.add(core);
      }
      even.add(
          HeatSource.steady(die.name(), whole, mine == 0 ? watts : watts * (1 - SHARE_OF_CORES)));
    }
    List<HeatSource> heat = new ArrayList<>(inCores);
    heat.addAll(even);
    return new CoreLayout(cores, heat);
  }

  private static double density(Die die) {
    return die.powerShare() / die.areaSquareMillimetres();
  }

  /** A die's outline. */
  public static Patch patch(Die die) {
    return new Patch(
        die.xMillimetres(), die.yMillimetres(), die.widthMillimetres(), die.depthMillimetres());
  }

  /** Cells as square as they come, row by row from the upper left. */
  private static List<Patch> rows(Patch die, int count) {
    List<Patch> all = new ArrayList<>();
    if (count == 0) {
      return all;
    }
    int columns = 1;
    double best = Double.POSITIVE_INFINITY;
    for (int c = 1; c <= count; c++) {
      int r = (count + c - 1) / c;
      double w = die.widthMillimetres() / c;
      double h = die.depthMillimetres() / r;
      // An incomplete last row counts against a shape as much as the same share of lengthening.
      double shape = Math.abs(Math.log(w / h)) + (double) (r * c - count) / count;
      if (shape < best) {
        best = shape;
        columns = c;
      }
    }
    int rows = (count + columns - 1) / columns;
    double w = die.widthMillimetres() / columns;
    double h = die.depthMillimetres() / rows;
    for (int i = 0; i < count; i++) {
      int row = i / columns;
      all.add(
          new Patch(
              die.leftMillimetres() + (i % columns + 0.5) * w,
              die.highMillimetres() - (row + 0.5) * h,
              w * SIDE_SHARE,
              h * SIDE_SHARE));
    }
    return all;
  }
}
