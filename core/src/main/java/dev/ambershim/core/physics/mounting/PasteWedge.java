package dev.ambershim.core.physics.mounting;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.spread.BondLine;
import java.util.List;

/**
 * The wedge that uneven screws leave in a joint of paste. Its fillers carry at each place what the
 * bond line there asks for ({@link BondLine}), so a load off the middle tilts a rigid plate until
 * force and both moments agree. Found by Newton's steps on the logarithm of the thickness.
 *
 * @param micrometres bond line in the middle
 * @param xSlope µm per mm
 * @param ySlope µm per mm
 * @param thinMicrometres at its thinnest
 * @param thickMicrometres at its thickest
 */
public record PasteWedge(
    double micrometres,
    double xSlope,
    double ySlope,
    double thinMicrometres,
    double thickMicrometres) {
  private static final int CELLS = 16;
  private static final int STEPS = 200;

  /**
   * Seats a plate on paste.
   *
   * @param tops what the paste lies on
   * @param xMillimetres where the force acts; inside the outline of the tops
   * @throws IllegalArgumentException if the force is not above zero
   */
  public static PasteWedge of(
      List<Patch> tops,
      double yieldPascal,
      double newtons,
      double xMillimetres,
      double yMillimetres) {
    if (!(newtons > 0)) {
      throw new IllegalArgumentException("a force above zero");
    }
    double area = tops.stream().mapToDouble(p -> p.widthMillimetres() * p.depthMillimetres()).sum();
    double middle = 0;
    double up = 0;
    for (Patch p : tops) {
      double share = p.widthMillimetres() * p.depthMillimetres() / area;
      middle += share * p.xMillimetres();
      up += share * p.yMillimetres();
    }
    double even = BondLine.metres(yieldPascal, newtons / (area * 1e-6)) * 1e6;
    double[] at = {even, 0, 0};
    double[] load = {newtons, newtons * (xMillimetres - middle), newtons * (yMillimetres - up)};
    for (int k = 0; k < STEPS; k++) {
      double[] off = new double[3];
      double[][] bend = new double[3][3];
      double least = Double.POSITIVE_INFINITY;
      for (Patch p : tops) {
        double cell = p.widthMillimetres() * p.depthMillimetres() / (CELLS * CELLS);
        for (int c = 0; c < CELLS * CELLS; c++) {
          double x =
              p.leftMillimetres() + p.widthMillimetres() * (c % CELLS + 0.5) / CELLS - middle;
          double y = p.lowMillimetres() + p.depthMillimetres() * rowShare(c) - up;
          double[] shape = {1, x, y};
          double t = at[0] + at[1] * x + at[2] * y;
          least = Math.min(least, t);
          double force = BondLine.pascal(yieldPascal, t * 1e-6) * 1e-6 * cell;
          for (int i = 0; i < 3; i++) {
            off[i] += force * shape[i];
            for (int j = 0; j < 3; j++) {
              bend[i][j] += force * BondLine.steepness() / t * shape[i] * shape[j];
            }
          }
        }
      }
      double[] step = step(bend, off, load);
      // No step may take the thin side through the die.
      double length = 1;
      while (length > 1e-4 && thinnest(tops, at, step, length, middle, up) < 0.5 * least) {
        length /= 2;
      }
      double moved = 0;
      for (int i = 0; i < 3; i++) {
        at[i] += length * step[i];
        moved = Math.max(moved, Math.abs(step[i]));
      }
      if (moved < 1e-9 * even) {
        break;
      }
    }
    return new PasteWedge(
        at[0],
        at[1],
        at[2],
        thinnest(tops, at, new double[3], 0, middle, up),
        -thinnest(tops, new double[] {-at[0], -at[1], -at[2]}, new double[3], 0, middle, up));
  }

  private static double rowShare(int cell) {
    int row = cell / CELLS;
    return (row + 0.5) / CELLS;
  }

  private static double[] step(double[][] a, double[] off, double[] load) {
    double[] b = {load[0] - off[0], load[1] - off[1], load[2] - off[2]};
    for (int i = 0; i < 3; i++) {
      for (int r = i + 1; r < 3; r++) {
        double f = a[r][i] / a[i][i];
        for (int c = i; c < 3; c++) {
          a[r][c] -= f * a[i][c];
        }
        b[r] -= f * b[i];
      }
    }
    for (int i = 2; i >= 0; i--) {
      for (int c = i + 1; c < 3; c++) {
        b[i] -= a[i][c] * b[c];
      }
      b[i] /= a[i][i];
    }
    return b;
  }

  private static double thinnest(
      List<Patch> tops, double[] at, double[] step, double length, double middle, double up) {
    double least = Double.POSITIVE_INFINITY;
    for (Patch p : tops) {
      for (double x : new double[] {p.leftMillimetres(), p.rightMillimetres()}) {
        for (double y : new double[] {p.lowMillimetres(), p.highMillimetres()}) {
          least =
              Math.min(
                  least,
                  at[0]
                      + length * step[0]
                      + (at[1] + length * step[1]) * (x - middle)
                      + (at[2] + length * step[2]) * (y - up));
        }
      }
    }
    return least;
  }
}
