package dev.ambershim.core.physics.spread;

import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Predicate;

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
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static PasteAmount of(SpreadCase setup, SolveWatch watch) {
    // Both ways begin with the same amounts, each of which is pressed once.
    Map<Double, SpreadState> pressed = new HashMap<>();
    DoubleFunction<SpreadState> press =
        v -> pressed.computeIfAbsent(v, amount -> rest(setup.withVolume(amount), watch));
    double area = setup.grid().faceSquareMillimetres();
    Optional<SpreadState> shadow = least(area, press, s -> s.shadowCover() >= COVERED);
    Optional<SpreadState> face = least(area, press, s -> s.cover() >= COVERED);
    return new PasteAmount(
        shadow.map(SpreadState::cubicMillimetres),
        face.map(SpreadState::cubicMillimetres),
        face.map(SpreadState::overflowShare).orElse(0.0));
  }

  private static Optional<SpreadState> least(
      double area, DoubleFunction<SpreadState> press, Predicate<SpreadState> covers) {
    double low = area * 0.01;
    double high = area * 0.4;
    SpreadState enough = press.apply(high);
    if (!covers.test(enough)) {
      return Optional.empty();
    }
    while (high / low > CLOSE) {
      double middle = Math.sqrt(low * high);
      SpreadState state = press.apply(middle);
      if (covers.test(state)) {
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
