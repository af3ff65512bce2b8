package dev.ambershim.core.physics.spread;

import java.util.Arrays;

/**
 * Pressure in a thin gap: conductances between cells of a plane grid, some cells known. Conjugate
 * gradients, preconditioned by one multigrid V-cycle: two by two cells are taken together and the
 * conductances between them added up; each correction is made as long as lowers the error most
 * (Braess 1995, Computing 55, 379; from memory), which is why the gradients are the flexible kind
 * (Notay 2000). Cells that are not asked for have no conductance and keep the pressure zero. Not
 * for several threads at once.
 */
final class PressureSolver {
  private static final int MOST = 200;

  private final Level[] levels;
  private final double[] whole;
  private final double[] answer;
  private final double[] residual;
  private final double[] direction;
  private final double[] image;
  private final double[] before;

  /**
   * One grid with a rim of empty cells, so that no cell lacks a neighbour. East and north hold the
   * conductance to the next cell; own is the sum of all.
   */
  static final class Level {
    final int columns;
    final int rows;
    final int stride;
    final double[] east;
    final double[] north;
    final double[] own;
    final double[] inverse;
    final double[] x;
    final double[] b;
    final double[] r;
    final double[] step;
    final double[] image;

    Level(int columns, int rows) {
      this.columns = columns;
      this.rows = rows;
      stride = columns + 2;
      int n = stride * (rows + 2);
      east = new double[n];
      north = new double[n];
      own = new double[n];
      inverse = new double[n];
      x = new double[n];
      b = new double[n];
      r = new double[n];
      step = new double[n];
      image = new double[n];
    }

    /** Place of a cell in the arrays. */
    int at(int i, int j) {
      return (j + 1) * stride + i + 1;
    }

    /** Readies the inverses once the conductances stand. */
    void invert() {
      for (int c = 0; c < own.length; c++) {
        inverse[c] = own[c] > 0 ? 1 / own[c] : 0;
      }
    }

    /** to = A·p. */
    void apply(double[] p, double[] to) {
      for (int j = 0; j < rows; j++) {
        int from = at(0, j);
        for (int c = from; c < from + columns; c++) {
          to[c] =
              own[c] * p[c]
                  - east[c - 1] * p[c - 1]
                  - east[c] * p[c + 1]
                  - north[c - stride] * p[c - stride]
                  - north[c] * p[c + stride];
        }
      }
    }

    /** One half of a red-black Gauss–Seidel sweep. */
    void relax(int colour) {
      for (int j = 0; j < rows; j++) {
        int from = at(0, j);
        for (int c = from + ((j + colour) & 1); c < from + columns; c += 2) {
          x[c] =
              inverse[c]
                  * (b[c]
                      + east[c - 1] * x[c - 1]
                      + east[c] * x[c + 1]
                      + north[c - stride] * x[c - stride]
                      + north[c] * x[c + stride]);
        }
      }
    }

    /** Conductances of cells taken two by two. */
    void gather(Level fine) {
      Arrays.fill(east, 0);
      Arrays.fill(north, 0);
      Arrays.fill(own, 0);
      for (int j = 0; j < fine.rows; j++) {
        for (int i = 0; i < fine.columns; i++) {
          int c = fine.at(i, j);
          int to = at(i / 2, j / 2);
          own[to] += fine.own[c];
          if ((i & 1) == 0) {
            own[to] -= 2 * fine.east[c];
          } else {
            east[to] += fine.east[c];
          }
          if ((j & 1) == 0) {
            own[to] -= 2 * fine.north[c];
          } else {
            north[to] += fine.north[c];
          }
        }
      }
      invert();
    }
  }

  PressureSolver(int columns, int rows) {
    int count = 1;
    for (int n = Math.max(columns, rows); n > 1; n = (n + 1) / 2) {
      count++;
    }
    levels = new Level[count];
    int w = columns;
    int d = rows;
    for (int k = 0; k < count; k++) {
      levels[k] = new Level(w, d);
      w = (w + 1) / 2;
      d = (d + 1) / 2;
    }
    int n = levels[0].own.length;
    whole = new double[n];
    answer = new double[n];
    residual = new double[n];
    direction = new double[n];
    image = new double[n];
    before = new double[n];
  }

  /** The finest grid, whose conductances the caller sets before {@link #ready}. */
  Level finest() {
    return levels[0];
  }

  /** Makes the coarser grids of the finest. */
  void ready() {
    levels[0].invert();
    for (int k = 1; k < levels.length; k++) {
      levels[k].gather(levels[k - 1]);
    }
  }

  private void cycle(int k) {
    Level l = levels[k];
    Arrays.fill(l.x, 0);
    int sweeps = 1;
    for (int s = 0; s < sweeps; s++) {
      l.relax(0);
      l.relax(1);
    }
    if (k + 1 < levels.length) {
      Level coarse = levels[k + 1];
      l.apply(l.x, l.r);
      Arrays.fill(coarse.b, 0);
      for (int j = 0; j < l.rows; j++) {
        for (int i = 0; i < l.columns; i++) {
          int c = l.at(i, j);
          coarse.b[coarse.at(i / 2, j / 2)] += l.b[c] - l.r[c];
        }
      }
      cycle(k + 1);
      correct(l, coarse);
    }
    for (int s = 0; s < sweeps; s++) {
      l.relax(1);
      l.relax(0);
    }
  }

  /**
   * Adds the coarse correction, as long as makes the error least: a stepped correction is about
   * half of what it should be, but where conductances jump it can be the whole.
   */
  private static void correct(Level l, Level coarse) {
    double[] step = l.step;
    for (int j = 0; j < l.rows; j++) {
      for (int i = 0; i < l.columns; i++) {
        int c = l.at(i, j);
        // Cells that are not asked for stay at zero.
        step[c] = l.inverse[c] != 0 ? coarse.x[coarse.at(i / 2, j / 2)] : 0;
      }
    }
    l.apply(step, l.image);
    double square = 0;
    double along = 0;
    for (int c = 0; c < step.length; c++) {
      square += step[c] * l.image[c];
      along += step[c] * (l.b[c] - l.r[c]);
    }
    double length = square > 0 ? along / square : 0;
    for (int c = 0; c < step.length; c++) {
      l.x[c] += length * step[c];
    }
  }

  /**
   * Solves for the pressure.
   *
   * @param source right-hand side by cell, rows after rows; read
   * @param pressure what to begin with; overwritten by the solution
   * @param tolerance residual relative to the source
   * @return iterations taken
   */
  int solve(double[] source, double[] pressure, double tolerance) {
    Level top = levels[0];
    double norm = 0;
    for (int j = 0; j < top.rows; j++) {
      for (int i = 0; i < top.columns; i++) {
        int c = top.at(i, j);
        boolean asked = top.inverse[c] != 0;
        whole[c] = asked ? source[j * top.columns + i] : 0;
        answer[c] = asked ? pressure[j * top.columns + i] : 0;
        norm += whole[c] * whole[c];
      }
    }
    int taken = norm == 0 ? nothing() : iterate(top, norm * tolerance * tolerance);
    for (int j = 0; j < top.rows; j++) {
      System.arraycopy(answer, top.at(0, j), pressure, j * top.columns, top.columns);
    }
    return taken;
  }

  private int nothing() {
    Arrays.fill(answer, 0);
    return 0;
  }

  private int iterate(Level top, double enough) {
    int n = whole.length;
    top.apply(answer, image);
    for (int c = 0; c < n; c++) {
      residual[c] = whole[c] - image[c];
    }
    double was = 0;
    for (int it = 0; it < MOST; it++) {
      if (dot(residual, residual) <= enough) {
        return it;
      }
      System.arraycopy(residual, 0, top.b, 0, n);
      cycle(0);
      double now = dot(residual, top.x);
      // The cycle is not quite the same each time, so directions are made right by the last
      // residual.
      double beta = it == 0 ? 0 : (now - dot(before, top.x)) / was;
      was = now;
      for (int c = 0; c < n; c++) {
        direction[c] = top.x[c] + beta * direction[c];
      }
      top.apply(direction, image);
      double square = dot(direction, image);
      if (!(square > 0) || was == 0) {
        // Rounding is all that is left.
        return it;
      }
      double step = dot(direction, residual) / square;
      System.arraycopy(residual, 0, before, 0, n);
      for (int c = 0; c < n; c++) {
        answer[c] += step * direction[c];
        residual[c] -= step * image[c];
      }
    }
    return MOST;
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int c = 0; c < a.length; c++) {
      sum += a[c] * b[c];
    }
    return sum;
  }
}
