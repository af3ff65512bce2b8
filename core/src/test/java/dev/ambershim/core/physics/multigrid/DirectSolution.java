package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.StackLayer;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;

/**
 * The same finite volumes assembled cell by cell, straight from layers and distances, and solved by
 * EJML's sparse Cholesky factorisation.
 */
final class DirectSolution {
  private final StackGrid grid;
  private final int nx;
  private final int columns;

  private DirectSolution(StackGrid grid) {
    this.grid = grid;
    nx = grid.x.cells();
    columns = nx * grid.y.cells();
  }

  /** Rise of each cell, by slice × columns + column; NaN where there is none. */
  static double[] of(StackGrid grid) {
    return new DirectSolution(grid).solve();
  }

  private boolean is(int k, int c) {
    return grid.present[grid.layerOf[k]][c];
  }

  private double area(int c) {
    return grid.x.width(c % nx) * grid.y.width(c / nx);
  }

  private StackLayer layer(int k) {
    return grid.stack.layers().get(grid.layerOf[k]);
  }

  /** From the centre of a cell through its upper or lower half and the contact there, K/W. */
  private double half(int k, int c, boolean up) {
    StackLayer l = layer(k);
    double t =
        l.map().isPresent()
            ? l.thicknessAt(grid.x.centre(c % nx) * 1e3, grid.y.centre(c / nx) * 1e3) * 1e-6
            : grid.height[k];
    int beyond = up ? k + 1 : k - 1;
    boolean face = beyond < 0 || beyond >= grid.slices() || grid.layerOf[beyond] != grid.layerOf[k];
    double contact = face ? l.contactSquareMillimetreKelvinPerWatt() * 1e-6 / 2 : 0;
    return (t / 2 / l.conductivityWattsPerMetreKelvin() + contact) / area(c);
  }

  private double[] solve() {
    int n = grid.slices() * columns;
    int[] number = new int[n];
    int count = 0;
    for (int q = 0; q < n; q++) {
      number[q] = is(q / columns, q % columns) ? count++ : -1;
    }
    DMatrixSparseTriplet triplet = new DMatrixSparseTriplet(count, count, 7 * count);
    double[] diagonal = new double[count];
    for (int q = 0; q < n; q++) {
      if (number[q] < 0) {
        continue;
      }
      int k = q / columns;
      int c = q % columns;
      if (k + 1 < grid.slices() && is(k + 1, c)) {
        join(
            triplet,
            diagonal,
            number,
            q,
            q + columns,
            1 / (half(k, c, true) + half(k + 1, c, false)));
      }
      if (k + 1 == grid.slices()) {
        diagonal[number[q]] +=
            1 / (half(k, c, true) + 1 / (grid.stack.filmWattsPerSquareMetreKelvin() * area(c)));
      }
      if (layer(k).crossing()) {
        continue;
      }
      double kh = layer(k).conductivityWattsPerMetreKelvin() * grid.height[k];
      if (c % nx + 1 < nx && is(k, c + 1)) {
        double across = grid.x.centre(c % nx + 1) - grid.x.centre(c % nx);
        join(triplet, diagonal, number, q, q + 1, kh * grid.y.width(c / nx) / across);
      }
      if (c + nx < columns && is(k, c + nx)) {
        double across = grid.y.centre(c / nx + 1) - grid.y.centre(c / nx);
        join(triplet, diagonal, number, q, q + nx, kh * grid.x.width(c % nx) / across);
      }
    }
    for (int q = 0; q < count; q++) {
      triplet.addItem(q, q, diagonal[q]);
    }
    DMatrixRMaj right = new DMatrixRMaj(count, 1);
    for (HeatSource h : grid.stack.heat()) {
      double[] areas = grid.areasUnder(h.patch());
      double whole = 0;
      for (double a : areas) {
        whole += a;
      }
      for (int c = 0; c < columns; c++) {
        if (areas[c] > 0) {
          right.add(number[c], 0, h.watts() * areas[c] / whole);
        }
      }
    }
    DMatrixSparseCSC matrix = DConvertMatrixStruct.convert(triplet, (DMatrixSparseCSC) null);
    LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
        LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);
    if (!solver.setA(matrix)) {
      throw new IllegalStateException("not positive definite");
    }
    DMatrixRMaj x = new DMatrixRMaj(count, 1);
    solver.solve(right, x);
    double[] rise = new double[n];
    for (int q = 0; q < n; q++) {
      rise[q] = number[q] < 0 ? Double.NaN : x.get(number[q], 0);
    }
    return rise;
  }

  private static void join(
      DMatrixSparseTriplet triplet, double[] diagonal, int[] number, int a, int b, double g) {
    triplet.addItem(number[a], number[b], -g);
    triplet.addItem(number[b], number[a], -g);
    diagonal[number[a]] += g;
    diagonal[number[b]] += g;
  }
}
