package dev.ambershim.bench;

import java.util.Arrays;

/**
 * The yardstick of the solver bench: one seven-point sweep in double precision, out = A·field, with
 * a stored diagonal and a stored conductance to the next cell along x, y and z.
 */
final class PlainSweep {
  private final int nx;
  private final int ny;
  private final int nz;
  private final int pad;
  private final double[] diagonal;
  private final double[] toX;
  private final double[] toY;
  private final double[] toZ;
  private final double[] field;
  private final double[] out;

  PlainSweep(int nx, int ny, int nz) {
    this.nx = nx;
    this.ny = ny;
    this.nz = nz;
    pad = nx * ny;
    int size = nx * ny * nz + 2 * pad;
    diagonal = filled(size, 6.1);
    toX = filled(size, 1);
    toY = filled(size, 1);
    toZ = filled(size, 1);
    field = filled(size, 1);
    out = new double[size];
  }

  private static double[] filled(int size, double value) {
    double[] all = new double[size];
    Arrays.fill(all, value);
    return all;
  }

  /** Sweeps over layers {@code first} to before {@code past}. */
  void sweep(int first, int past) {
    for (int row = first * ny; row < past * ny; row++) {
      sweepRow(pad + row * nx, pad + (row + 1) * nx);
    }
  }

  private void sweepRow(int from, int to) {
    int layer = nx * ny;
    for (int i = from; i < to; i++) {
      out[i] =
          diagonal[i] * field[i]
              - toX[i - 1] * field[i - 1]
              - toX[i] * field[i + 1]
              - toY[i - nx] * field[i - nx]
              - toY[i] * field[i + nx]
              - toZ[i - layer] * field[i - layer]
              - toZ[i] * field[i + layer];
    }
  }

  int layers() {
    return nz;
  }

  /** Something that depends on the result, so that it is not left out. */
  double trace() {
    return out[pad + nx * ny / 2];
  }
}
