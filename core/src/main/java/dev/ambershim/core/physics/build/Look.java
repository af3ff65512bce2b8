package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.modes.LiveStack;
import java.util.List;

/**
 * A situation seen closely, at figures and loads that may change: the first time as exactly as
 * every other look at it, later times from where the last one ended, which differs by less than the
 * solver's tolerance and takes a third of the time. Safe for several threads, one after another.
 */
public final class Look {
  /** Places along each solid of a section, and heights in it. */
  private static final int SECTION_COLUMNS = 73;

  private static final int SECTION_ROWS = 17;

  private final Situation at;
  private final CoreLayout layout;
  private final LiveStack live;

  /**
   * Lays grids for it, or takes those that lie.
   *
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public Look(Situation at, SolveWatch watch) {
    this.at = at;
    layout = CoreLayout.of(at.chip());
    live = Response.closely(at, layout, watch);
  }

  /**
   * Temperatures and ladder at one set of figures.
   *
   * @param logs as a response takes them
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public synchronized Detail of(double[] logs, double watts, double roomCelsius, SolveWatch watch) {
    StackCase stack = BuildStack.of(at, Response.doubt(logs), layout, watts, roomCelsius);
    LiveStack.Pictured solved = live.pictured(stack, watch);
    List<Patch> dies = at.chip().dies().stream().map(CoreLayout::patch).toList();
    double[] means = solved.sources().stream().mapToDouble(s -> s.meanCelsius()).toArray();
    Ladder kelvin = Response.shadow(at, means, layout, live.layersOver(dies), roomCelsius);
    List<Ladder.Step> steps =
        kelvin.steps().stream()
            .map(s -> new Ladder.Step(s.name(), s.kelvinPerWatt() / watts))
            .toList();
    int hottest = 0;
    for (int c = 1; c < layout.cores().size(); c++) {
      hottest = means[c] > means[hottest] ? c : hottest;
    }
    return new Detail(
        solved.map(),
        new Ladder(steps),
        watts,
        solved.peakCelsius(),
        live.section(layout.cores().get(hottest).yMillimetres(), SECTION_COLUMNS, SECTION_ROWS)
            .map(s -> BuildStack.inTrueHeights(s, at.cooler())));
  }
}
