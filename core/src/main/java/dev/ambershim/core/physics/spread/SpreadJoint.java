package dev.ambershim.core.physics.spread;

import dev.ambershim.core.physics.conduction.ThicknessMap;

/**
 * The joint that a spread leaves, for conduction: the gap where paste joins both faces, and where
 * it does not, the paste that would resist as much as that much air (0.0263 W/m·K at 300 K,
 * Incropera &amp; DeWitt, Table A.4).
 */
public final class SpreadJoint {
  private static final double AIR = 0.0263;
  private static final int PLACES = 61;

  /** Beyond this thickness nothing goes through to speak of, µm. */
  private static final double MOST = 20_000;

  private SpreadJoint() {}

  /** The joint as it is. */
  public static ThicknessMap.Grid of(SpreadState state, double wattsPerMetreKelvin) {
    return map(state, wattsPerMetreKelvin / AIR);
  }

  /** The joint as it would be with the same gap, and paste everywhere. */
  public static ThicknessMap.Grid covered(SpreadState state) {
    return map(state, 1);
  }

  private static ThicknessMap.Grid map(SpreadState state, double factor) {
    FaceGrid grid = state.grid();
    int w = Math.min(PLACES, grid.columns());
    int d = Math.min(PLACES, grid.rows());
    double[] xs = new double[w];
    double[] ys = new double[d];
    double[][] thick = new double[d][w];
    for (int j = 0; j < d; j++) {
      int row = (int) ((j + 0.5) * grid.rows() / d);
      ys[j] = grid.y(row);
      for (int i = 0; i < w; i++) {
        int column = (int) ((i + 0.5) * grid.columns() / w);
        xs[i] = grid.x(column);
        int c = row * grid.columns() + column;
        double gap = state.gapMicrometres()[c];
        thick[j][i] = Math.min(MOST, state.joined(c) ? gap : gap * factor);
      }
    }
    return new ThicknessMap.Grid(xs, ys, thick);
  }
}
