package dev.ambershim.core.physics.spread;

import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.Optional;

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

  /** What covers. */
  private interface Cover {
    boolean by(SpreadState state);
  }

  /**
   * Looks for it.
   *
   * @param setup the case, on a grid of about {@link #CELLS}; its amount does not matter
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static PasteAmount of(SpreadCase setup, SolveWatch watch) {
    Optional<SpreadState> shadow = least(setup, s -> s.shadowCover() >= COVERED, watch);
    Optional<SpreadState> face = least(setup, s -> s.cover() >= COVERED, watch);
    return new PasteAmount(
        shadow.map(SpreadState::cubicMillimetres),
        face.map(SpreadState::cubicMillimetres),
        face.map(SpreadState::overflowShare).orElse(0.0));
  }

  private static Optional<SpreadState> least(SpreadCase setup, Cover cover, SolveWatch watch) {
    double area = setup.grid().faceSquareMillimetres();
    double low = area * 0.01;
    double high = area * 0.4;
    SpreadState enough = rest(setup.withVolume(high), watch);
    if (!cover.by(enough)) {
      return Optional.empty();
    }
    while (high / low > CLOSE) {
      double middle = Math.sqrt(low * high);
      SpreadState state = rest(setup.withVolume(middle), watch);
      if (cover.by(state)) {
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
