package dev.ambershim.core.physics.spread;

import java.util.Arrays;

/**
 * Paste in the cells of a thin gap, and how easily it flows from one to the next: conductance
 * h³/(12µ) between full cells, to the edge that lies inside a half-full one, and over the border of
 * the face.
 */
final class ThinGap {
  final FaceGrid grid;
  final int columns;
  final double dx;
  final double dy;
  final double area;

  /** Gap of each cell, m, and what it and the paste in it hold, m³. */
  final double[] gap;

  final double[] room;
  final double[] volume;
  final boolean[] full;

  /** How freely each cell flows, 0 to 1, and its pressure over the atmosphere, Pa. */
  final double[] fluid;

  final double[] pressure;
  final AirPockets pockets;
  final PressureSolver solver;
  private final double twelveMu;

  ThinGap(FaceGrid grid, PasteFlow paste) {
    this.grid = grid;
    columns = grid.columns();
    dx = grid.widthMillimetres() / columns / 1000;
    dy = grid.depthMillimetres() / grid.rows() / 1000;
    area = dx * dy;
    int n = grid.size();
    gap = new double[n];
    room = new double[n];
    volume = new double[n];
    full = new boolean[n];
    fluid = new double[n];
    pressure = new double[n];
    Arrays.fill(fluid, 1);
    pockets = new AirPockets(grid);
    solver = new PressureSolver(columns, grid.rows());
    twelveMu = 12 * paste.pascalSeconds();
  }

  /** Pressure at a place that is not full, over the atmosphere. */
  double beyond(int c) {
    return grid.face()[c] ? pockets.over(c) : 0;
  }

  private double outFactor(int c) {
    return grid.face()[c] ? 1 / (0.5 + Math.min(1, volume[c] / room[c])) : 2;
  }

  /** Sets the conductances, and the drive of shut-in air into a right-hand side. */
  void conductances(double[] source) {
    PressureSolver.Level l = solver.finest();
    Arrays.fill(l.east, 0);
    Arrays.fill(l.north, 0);
    Arrays.fill(l.own, 0);
    Arrays.fill(source, 0);
    for (int c = 0; c < full.length; c++) {
      if (!full[c]) {
        continue;
      }
      double own = gap[c] * gap[c] * gap[c] / twelveMu * fluid[c];
      int i = c % columns;
      int j = c / columns;
      link(l, source, c, c + 1, i + 1 < columns, own, dy / dx, true);
      link(l, source, c, c + columns, j + 1 < grid.rows(), own, dx / dy, false);
      out(l, source, c, c - 1, i > 0, own * dy / dx);
      out(l, source, c, c - columns, j > 0, own * dx / dy);
    }
  }

  private void link(
      PressureSolver.Level l,
      double[] source,
      int c,
      int to,
      boolean there,
      double own,
      double ratio,
      boolean east) {
    if (!there || !full[to]) {
      out(l, source, c, to, there, own * ratio);
      return;
    }
    double other = gap[to] * gap[to] * gap[to] / twelveMu * fluid[to];
    double g = 2 * own * other / (own + other) * ratio;
    int at = place(l, c);
    (east ? l.east : l.north)[at] = g;
    l.own[at] += g;
    l.own[place(l, to)] += g;
  }

  private int place(PressureSolver.Level l, int c) {
    return l.at(c % columns, c / columns);
  }

  /** To a neighbour that is not full, or over the edge of the grid. */
  private void out(
      PressureSolver.Level l, double[] source, int c, int to, boolean there, double own) {
    if (there && full[to]) {
      return;
    }
    double g = own * (there ? outFactor(to) : 2);
    l.own[place(l, c)] += g;
    source[c] += there ? g * beyond(to) : 0;
  }

  /** Flow from a full cell to its neighbour or over the border, m³/s. */
  double flow(int c, int to, boolean there) {
    double g = 0;
    double other = 0;
    PressureSolver.Level l = solver.finest();
    if (there && full[to]) {
      int first = Math.min(c, to);
      g = (Math.abs(c - to) == 1 ? l.east : l.north)[place(l, first)];
      other = pressure[to];
    } else {
      double ratio = Math.abs(c - to) == 1 ? dy / dx : dx / dy;
      g = gap[c] * gap[c] * gap[c] / twelveMu * fluid[c] * ratio * (there ? outFactor(to) : 2);
      other = there ? beyond(to) : 0;
    }
    return g * (pressure[c] - other);
  }
}
