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
  private final double[] direction;
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

    /** The first half of a red-black Gauss–Seidel sweep where the guess is zero. */
    void begin() {
      for (int j = 0; j < rows; j++) {
        int from = at(0, j);
        for (int c = from; c < from + columns; c++) {
          x[c] = ((c - from + j) & 1) == 0 ? inverse[c] * b[c] : 0;
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

    /** Sums the residual of cells two by two; those relaxed last have none. */
    void restrictTo(Level coarse) {
      Arrays.fill(coarse.b, 0);
      for (int j = 0; j < rows; j++) {
        int from = at(0, j);
        int to = coarse.at(0, j / 2);
        for (int i = j & 1; i < columns; i += 2) {
          int c = from + i;
          coarse.b[to + i / 2] +=
              b[c]
                  - own[c] * x[c]
                  + east[c - 1] * x[c - 1]
                  + east[c] * x[c + 1]
                  + north[c - stride] * x[c - stride]
                  + north[c] * x[c + stride];
        }
      }
    }

    /**
     * Adds a coarse correction, as long as makes the error least: a stepped one is about half of
     * what it should be, but where conductances jump it can be the whole. As coarse conductances
     * are sums of fine ones, the coarse grid knows that length.
     */
    void correct(Level coarse) {
      coarse.apply(coarse.x, coarse.image);
      double square = dot(coarse.x, coarse.image);
      double length = square > 0 ? dot(coarse.x, coarse.b) / square : 0;
      for (int j = 0; j < rows; j++) {
        int from = at(0, j);
        int of = coarse.at(0, j / 2);
        for (int i = 0; i < columns; i++) {
          x[from + i] += length * coarse.x[of + i / 2];
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
    direction = new double[n];
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

  /** One V-cycle from zero. Cells that are not asked for end at zero by the last two halves. */
  private void cycle(int k) {
    Level l = levels[k];
    l.begin();
    l.relax(1);
    if (k + 1 < levels.length) {
      Level coarse = levels[k + 1];
      l.restrictTo(coarse);
      cycle(k + 1);
      l.correct(coarse);
    }
    l.relax(1);
    l.relax(0);
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
    double[] residual = top.b;
    top.apply(answer, top.image);
    for (int c = 0; c < n; c++) {
      residual[c] = whole[c] - top.image[c];
    }
    double was = 0;
    for (int it = 0; it < MOST; it++) {
      if (dot(residual, residual) <= enough) {
        return it;
      }
      cycle(0);
      double now = dot(residual, top.x);
      // The cycle is not quite the same each time, so directions are made right by the last
      // residual.
      double beta = it == 0 ? 0 : (now - dot(before, top.x)) / was;
      was = now;
      for (int c = 0; c < n; c++) {
        direction[c] = top.x[c] + beta * direction[c];
      }
      top.apply(direction, top.image);
      double square = dot(direction, top.image);
      if (!(square > 0) || was == 0) {
        // Rounding is all that is left.
        return it;
      }
      double step = dot(direction, residual) / square;
      System.arraycopy(residual, 0, before, 0, n);
      for (int c = 0; c < n; c++) {
        answer[c] += step * direction[c];
        residual[c] -= step * top.image[c];
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
