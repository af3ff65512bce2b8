package dev.ambershim.core.physics.spread;

import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleFunction;

/**
 * The least paste of a pattern that covers, found by halving the way between too little and enough;
 * what is more only comes out at the edge.
 *
 * @param shadowCubicMillimetres so much covers the dies' shadow; empty when no amount does
 * @param faceCubicMillimetres so much covers the whole face; empty when no amount does
 * @param overflowShare how much of the latter is pressed out, 0 to 1
 */
public record PasteAmount(
    Optional<Double> shadowCubicMillimetres,
    Optional<Double> faceCubicMillimetres,
    double overflowShare) {
  /** Cells along the longer side while it is looked for. */
  public static final int CELLS = 28;

  private static final double COVERED = 0.99;
  private static final double CLOSE = 1.12;

  /**
   * Looks for it.
   *
   * @param setup the case, on a grid of about {@link #CELLS}; its amount does not matter
   * @param helpers press amounts beside the caller
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static PasteAmount of(SpreadCase setup, SolveWatch watch, Executor helpers) {
    // Both ways begin with the same amounts, each of which is pressed once.
    Map<Double, SpreadState> pressed = new ConcurrentHashMap<>();
    DoubleFunction<SpreadState> press =
        v -> pressed.computeIfAbsent(v, amount -> rest(setup.withVolume(amount), watch));
    double area = setup.grid().faceSquareMillimetres();
    List<ToDoubleFunction<SpreadState>> covers =
        List.of(SpreadState::shadowCover, SpreadState::cover);
    List<Optional<SpreadState>> found =
        SideBySide.each(covers, cover -> least(area, press, cover), helpers);
    return new PasteAmount(
        found.get(0).map(SpreadState::cubicMillimetres),
        found.get(1).map(SpreadState::cubicMillimetres),
        found.get(1).map(SpreadState::overflowShare).orElse(0.0));
  }

  private static Optional<SpreadState> least(
      double area, DoubleFunction<SpreadState> press, ToDoubleFunction<SpreadState> cover) {
    double low = area * 0.01;
    double high = area * 0.4;
    SpreadState enough = press.apply(high);
    if (cover.applyAsDouble(enough) < COVERED) {
      return Optional.empty();
    }
    while (high / low > CLOSE) {
      double middle = Math.sqrt(low * high);
      SpreadState state = press.apply(middle);
      if (cover.applyAsDouble(state) >= COVERED) {
        high = middle;
        enough = state;
      } else {
        low = middle;
      }
    }
    return Optional.of(enough);
  }

  /**
   * The state in which a case comes to rest.
   *
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static SpreadState rest(SpreadCase setup, SolveWatch watch) {
    SpreadFlow flow = new SpreadFlow(setup);
    while (flow.step()) {
      watch.check();
    }
    return flow.state();
  }
}
