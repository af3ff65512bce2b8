package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.Planes;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Where the layers of a stack lie: the planes that cut them in cells, and the cells they fill. */
final class Footprint {
  /** How much wider a pattern gets on its way through a solid, in thicknesses. */
  private static final double SMEAR = 2;

  private Footprint() {}

  /** The cells of a rectangle of a layer. */
  record Extent(int left, int right, int low, int high) {
    /** The same cells counted from elsewhere. */
    Extent moved(int columns, int rows) {
      return new Extent(left + columns, right + columns, low + rows, high + rows);
    }
  }

  /** The lowest or the highest solid layer. */
  static int solid(StackCase stack, boolean lowest) {
    List<StackLayer> layers = stack.layers();
    int l = lowest ? 0 : layers.size() - 1;
    while (layers.get(l).crossing()) {
      l += lowest ? 1 : -1;
    }
    return l;
  }

  static double[] planes(StackCase stack, double fine, int parts, boolean alongX) {
    List<Patch> all = new ArrayList<>();
    stack.layers().forEach(l -> all.addAll(l.patches()));
    return Planes.of(edges(all, alongX), Planes.Size.over(stack, fine, alongX), parts);
  }

  /**
   * The finest pattern of heat that reaches the underside of a solid, m: as wide as the narrowest
   * heat and then smeared by every solid on the way. The lowest counts as one on its own way.
   */
  static double detailMetres(StackCase stack, int layer) {
    double narrowest = stack.heatedMetres();
    for (HeatSource heat : stack.heat()) {
      double width = Math.min(heat.patch().widthMillimetres(), heat.patch().depthMillimetres());
      narrowest = Math.min(narrowest, width * 1e-3);
    }
    double square = narrowest * narrowest;
    int lowest = solid(stack, true);
    for (int l = lowest; l <= Math.max(lowest, layer - 1); l++) {
      StackLayer below = stack.layers().get(l);
      double smear = below.crossing() ? 0 : SMEAR * below.thicknessMicrometres() * 1e-6;
      square += smear * smear;
    }
    return Math.sqrt(square);
  }

  /** Low and high edges of patches, m. */
  static double[] edges(List<Patch> patches, boolean alongX) {
    double[] edges = new double[2 * patches.size()];
    for (int i = 0; i < patches.size(); i++) {
      edges[2 * i] = low(patches.get(i), alongX);
      edges[2 * i + 1] = high(patches.get(i), alongX);
    }
    return edges;
  }

  static double low(Patch p, boolean alongX) {
    return 1e-3 * (alongX ? p.leftMillimetres() : p.lowMillimetres());
  }

  static double high(Patch p, boolean alongX) {
    return 1e-3 * (alongX ? p.rightMillimetres() : p.highMillimetres());
  }

  static boolean[][][] present(StackCase stack, double[] x, double[] y) {
    boolean[][][] present = new boolean[stack.layers().size()][x.length - 1][y.length - 1];
    for (int l = 0; l < present.length; l++) {
      for (Patch p : stack.layers().get(l).patches()) {
        int low = Planes.nearest(y, low(p, false));
        int high = Planes.nearest(y, high(p, false));
        for (int i = Planes.nearest(x, low(p, true)); i < Planes.nearest(x, high(p, true)); i++) {
          Arrays.fill(present[l][i], low, high, true);
        }
      }
    }
    return present;
  }

  /** The smallest rectangle around all of a footprint, of which there must be some. */
  static Extent around(boolean[][] present) {
    Extent all = new Extent(present.length, 0, present[0].length, 0);
    for (int i = 0; i < present.length; i++) {
      for (int j = 0; j < present[i].length; j++) {
        if (present[i][j]) {
          all =
              new Extent(
                  Math.min(all.left(), i),
                  Math.max(all.right(), i + 1),
                  Math.min(all.low(), j),
                  Math.max(all.high(), j + 1));
        }
      }
    }
    return all;
  }

  /** Finds the separate parts of a footprint; false if one is no rectangle. */
  static boolean rectangles(boolean[][] present, List<Extent> found) {
    boolean[][] seen = new boolean[present.length][present[0].length];
    for (int i = 0; i < present.length; i++) {
      for (int j = 0; j < present[i].length; j++) {
        if (!present[i][j] || seen[i][j]) {
          continue;
        }
        int right = i;
        while (right < present.length && present[right][j]) {
          right++;
        }
        int high = j;
        while (high < present[i].length && present[i][high]) {
          high++;
        }
        Extent extent = new Extent(i, right, j, high);
        if (!alone(present, extent)) {
          return false;
        }
        for (int c = i; c < right; c++) {
          Arrays.fill(seen[c], j, high, true);
        }
        found.add(extent);
      }
    }
    return true;
  }

  /** Whether a rectangle is filled and nothing touches it. */
  private static boolean alone(boolean[][] present, Extent e) {
    for (int i = e.left() - 1; i <= e.right(); i++) {
      for (int j = e.low() - 1; j <= e.high(); j++) {
        boolean inX = i >= e.left() && i < e.right();
        boolean inY = j >= e.low() && j < e.high();
        boolean here =
            i >= 0 && j >= 0 && i < present.length && j < present[0].length && present[i][j];
        boolean inside = inX && inY;
        boolean beside = inX || inY;
        if (here != inside && beside) {
          return false;
        }
      }
    }
    return true;
  }
}
