package dev.ambershim.core.physics.conduction;

import java.util.Arrays;

/** How thick an interface layer is from place to place, µm. */
public sealed interface ThicknessMap permits ThicknessMap.Plane, ThicknessMap.Grid {
  /**
   * Thickness at a place.
   *
   * @param layer the layer that the map belongs to
   * @param xMillimetres place
   * @param yMillimetres place
   * @return µm
   */
  double micrometres(StackLayer layer, double xMillimetres, double yMillimetres);

  /**
   * A wedge: slopes about the layer's centre, added to its thickness.
   *
   * @param xSlope µm per mm along x
   * @param ySlope µm per mm along y
   */
  record Plane(double xSlope, double ySlope) implements ThicknessMap {
    @Override
    public double micrometres(StackLayer layer, double x, double y) {
      Patch whole = layer.bounds();
      return layer.thicknessMicrometres()
          + xSlope * (x - whole.xMillimetres())
          + ySlope * (y - whole.yMillimetres());
    }
  }

  /**
   * A table over absolute places, bilinear between them and constant beyond; it replaces the
   * layer's thickness.
   *
   * @param xMillimetres rising
   * @param yMillimetres rising
   * @param micrometres a row for each y
   */
  record Grid(double[] xMillimetres, double[] yMillimetres, double[][] micrometres)
      implements ThicknessMap {
    @Override
    public double micrometres(StackLayer layer, double x, double y) {
      double u = along(xMillimetres, x);
      double v = along(yMillimetres, y);
      int i = (int) Math.min(u, Math.max(0, xMillimetres.length - 2));
      int j = (int) Math.min(v, Math.max(0, yMillimetres.length - 2));
      int i1 = Math.min(i + 1, xMillimetres.length - 1);
      int j1 = Math.min(j + 1, yMillimetres.length - 1);
      double a = u - i;
      double b = v - j;
      return (1 - b) * ((1 - a) * micrometres[j][i] + a * micrometres[j][i1])
          + b * ((1 - a) * micrometres[j1][i] + a * micrometres[j1][i1]);
    }

    /** Place in a rising table as index and share, clamped to its ends. */
    private static double along(double[] table, double at) {
      if (at <= table[0]) {
        return 0;
      }
      int last = table.length - 1;
      if (at >= table[last]) {
        return last;
      }
      int found = Arrays.binarySearch(table, at);
      if (found >= 0) {
        return found;
      }
      int i = -found - 2;
      return i + (at - table[i]) / (table[i + 1] - table[i]);
    }
  }
}
