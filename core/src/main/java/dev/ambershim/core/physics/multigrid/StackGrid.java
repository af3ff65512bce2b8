package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.Planes;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackRules;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The finite volumes of a stack: columns that snap to every edge of every layer and heat source,
 * and slices that snap to every layer. An interface layer is one slice. A cell exists where its
 * layer does.
 */
final class StackGrid {
  final StackCase stack;
  final Axis x;
  final Axis y;

  /** The layer of each slice. */
  final int[] layerOf;

  /** Height of each slice, m; for an interface its nominal thickness. */
  final double[] height;

  /** Where each layer is, by column (row-major in y). */
  final boolean[][] present;

  private StackGrid(
      StackCase stack, Axis x, Axis y, int[] layerOf, double[] height, boolean[][] present) {
    this.stack = stack;
    this.x = x;
    this.y = y;
    this.layerOf = layerOf;
    this.height = height;
    this.present = present;
  }

  /**
   * Lays the grid.
   *
   * @param stack a stack that passed {@link StackRules}
   * @param fineMetres wanted column width where heat enters, before cells are cut
   * @throws Problem {@code stack.floating} if a part of a layer has no way to the cooling
   */
  static StackGrid of(StackCase stack, double fineMetres, Cut cut) {
    Axis x = axis(stack, fineMetres, cut, true);
    Axis y = axis(stack, fineMetres, cut, false);
    List<Integer> layers = new ArrayList<>();
    List<Double> heights = new ArrayList<>();
    slices(stack, fineMetres, cut, layers, heights);
    boolean[][] present = new boolean[stack.layers().size()][x.cells() * y.cells()];
    for (int l = 0; l < present.length; l++) {
      for (Patch p : stack.layers().get(l).patches()) {
        fill(present[l], x, y, p);
      }
    }
    StackGrid grid =
        new StackGrid(
            stack,
            x,
            y,
            layers.stream().mapToInt(Integer::intValue).toArray(),
            heights.stream().mapToDouble(Double::doubleValue).toArray(),
            present);
    grid.dropUnreached();
    return grid;
  }

  /** The grid of about so many even cells. */
  static StackGrid ofAbout(StackCase stack, long cells) {
    return of(stack, fineFor(stack, cells, Cut.EVEN), Cut.EVEN);
  }

  /** The column width, m, before cells are cut, that gives about so many cells. */
  static double fineFor(StackCase stack, long cells, Cut cut) {
    double coarse = widestMetres(stack);
    double fine = coarse / 1e5;
    for (int i = 0; i < 60 && coarse / fine > 1.0005; i++) {
      double middle = Math.sqrt(coarse * fine);
      if (estimate(stack, middle, cut) > cells) {
        fine = middle;
      } else {
        coarse = middle;
      }
    }
    // The count jumps from one cell size to the next; the nearer side of the jump is taken.
    boolean over = estimate(stack, fine, cut) - cells < cells - estimate(stack, coarse, cut);
    return over ? fine : coarse;
  }

  /** The same cells for a stack of the same geometry. */
  StackGrid with(StackCase other) {
    double[] heights = height.clone();
    for (int k = 0; k < heights.length; k++) {
      StackLayer layer = other.layers().get(layerOf[k]);
      if (layer.crossing()) {
        heights[k] = layer.thicknessMicrometres() * 1e-6;
      }
    }
    return new StackGrid(other, x, y, layerOf, heights, present);
  }

  private static double widestMetres(StackCase stack) {
    double widest = 1e-3;
    for (StackLayer layer : stack.layers()) {
      Patch p = layer.bounds();
      widest = Math.max(widest, Math.max(p.widthMillimetres(), p.depthMillimetres()));
    }
    return 1e-3 * widest;
  }

  /** About how many cells a grid would have, without laying it. */
  static double estimate(StackCase stack, double fineMetres, Cut cut) {
    Axis x = axis(stack, fineMetres, cut, true);
    Axis y = axis(stack, fineMetres, cut, false);
    if ((double) x.cells() * y.cells() > 4e8) {
      return Double.POSITIVE_INFINITY;
    }
    List<Integer> layers = new ArrayList<>();
    slices(stack, fineMetres, cut, layers, new ArrayList<>());
    int[] count = new int[stack.layers().size()];
    layers.forEach(l -> count[l]++);
    double sum = 0;
    for (int l = 0; l < count.length; l++) {
      for (Patch p : stack.layers().get(l).patches()) {
        int[] i = xRange(x, p);
        int[] j = yRange(y, p);
        sum += (double) count[l] * (i[1] - i[0]) * (j[1] - j[0]);
      }
    }
    return sum;
  }

  private static Axis axis(StackCase stack, double fine, Cut cut, boolean alongX) {
    List<Patch> all = new ArrayList<>();
    stack.layers().forEach(l -> all.addAll(l.patches()));
    stack.heat().forEach(h -> all.add(h.patch()));
    double[] marks = new double[all.size() * 2];
    for (int i = 0; i < all.size(); i++) {
      marks[2 * i] = low(all.get(i), alongX);
      marks[2 * i + 1] = high(all.get(i), alongX);
    }
    return cut.columns(marks, Planes.Size.over(stack, fine, alongX));
  }

  private static double low(Patch p, boolean alongX) {
    return 1e-3 * (alongX ? p.leftMillimetres() : p.lowMillimetres());
  }

  private static double high(Patch p, boolean alongX) {
    return 1e-3 * (alongX ? p.rightMillimetres() : p.highMillimetres());
  }

  private static void slices(
      StackCase stack, double fine, Cut cut, List<Integer> layers, List<Double> heights) {
    Planes.Size size = Planes.Size.through(stack, fine, fine * cut.sliceShare());
    double z = 0;
    for (int l = 0; l < stack.layers().size(); l++) {
      StackLayer layer = stack.layers().get(l);
      double thickness = layer.thicknessMicrometres() * 1e-6;
      if (layer.crossing()) {
        layers.add(l);
        heights.add(thickness);
        continue;
      }
      double top = z + thickness;
      Axis cells = cut.slices(z, top, size);
      for (int i = 0; i < cells.cells(); i++) {
        layers.add(l);
        heights.add(cells.width(i));
      }
      z += thickness;
    }
  }

  private static int[] xRange(Axis x, Patch p) {
    return x.range(low(p, true), high(p, true));
  }

  private static int[] yRange(Axis y, Patch p) {
    return y.range(low(p, false), high(p, false));
  }

  private static void fill(boolean[] mask, Axis x, Axis y, Patch p) {
    int[] i = xRange(x, p);
    int[] j = yRange(y, p);
    for (int row = j[0]; row < j[1]; row++) {
      Arrays.fill(mask, row * x.cells() + i[0], row * x.cells() + i[1], true);
    }
  }

  /** Columns under a rectangle whose edges are marks of the axes, with their areas, m². */
  double[] areasUnder(Patch p) {
    double[] areas = new double[x.cells() * y.cells()];
    int[] i = xRange(x, p);
    int[] j = yRange(y, p);
    for (int row = j[0]; row < j[1]; row++) {
      for (int col = i[0]; col < i[1]; col++) {
        areas[row * x.cells() + col] = x.width(col) * y.width(row);
      }
    }
    return areas;
  }

  /** Number of cells that exist. */
  long cells() {
    long[] columns = new long[present.length];
    for (int l = 0; l < present.length; l++) {
      for (boolean here : present[l]) {
        columns[l] += here ? 1 : 0;
      }
    }
    long sum = 0;
    for (int l : layerOf) {
      sum += columns[l];
    }
    return sum;
  }

  /** Number of slices. */
  int slices() {
    return layerOf.length;
  }

  /** The lowest slice of a layer. */
  int firstSlice(int layer) {
    int k = 0;
    while (layerOf[k] != layer) {
      k++;
    }
    return k;
  }

  /** The highest slice of a layer. */
  int lastSlice(int layer) {
    int k = layerOf.length - 1;
    while (layerOf[k] != layer) {
      k--;
    }
    return k;
  }

  /**
   * From a cell's centre to its upper or lower face, and through the contact there, m²·K/W.
   *
   * @param conductivity by slice and column where it differs, or null
   */
  double halfResistance(double[][] conductivity, int k, int column, boolean up) {
    boolean edge =
        up
            ? k == slices() - 1 || layerOf[k + 1] != layerOf[k]
            : k == 0 || layerOf[k - 1] != layerOf[k];
    double contact =
        stack.layers().get(layerOf[k]).contactSquareMillimetreKelvinPerWatt() * 1e-6 / 2;
    return halfCell(conductivity, k, column) + (edge ? contact : 0);
  }

  /** From a cell's centre to its upper or lower face, m²·K/W. */
  double halfCell(double[][] conductivity, int k, int column) {
    StackLayer layer = stack.layers().get(layerOf[k]);
    double thickness = height[k];
    if (layer.map().isPresent()) {
      int nx = x.cells();
      thickness =
          layer.thicknessAt(x.centre(column % nx) * 1e3, y.centre(column / nx) * 1e3) * 1e-6;
    }
    double own =
        conductivity == null || conductivity[k] == null
            ? layer.conductivityWattsPerMetreKelvin()
            : conductivity[k][column];
    return thickness / 2 / own;
  }

  /**
   * Follows the heat back from the cooled top. An interface that hangs over on both sides is left
   * out; a solid part without a way to the top is an error.
   */
  private void dropUnreached() {
    int nx = x.cells();
    int columns = nx * y.cells();
    boolean[][] reached = new boolean[present.length][columns];
    ArrayDeque<int[]> open = new ArrayDeque<>();
    int top = present.length - 1;
    for (int c = 0; c < columns; c++) {
      reach(reached, open, top, c);
    }
    while (!open.isEmpty()) {
      int[] at = open.pop();
      int l = at[0];
      int c = at[1];
      reach(reached, open, l - 1, c);
      reach(reached, open, l + 1, c);
      if (!stack.layers().get(l).crossing()) {
        if (c % nx > 0) {
          reach(reached, open, l, c - 1);
        }
        if (c % nx < nx - 1) {
          reach(reached, open, l, c + 1);
        }
        reach(reached, open, l, c - nx);
        reach(reached, open, l, c + nx);
      }
    }
    for (int l = 0; l < present.length; l++) {
      StackLayer layer = stack.layers().get(l);
      for (int c = 0; c < columns; c++) {
        if (present[l][c] && !reached[l][c]) {
          if (!layer.crossing()) {
            throw floating(layer, c);
          }
          present[l][c] = false;
        }
      }
    }
    for (HeatSource h : stack.heat()) {
      double[] areas = areasUnder(h.patch());
      for (int c = 0; c < columns; c++) {
        if (areas[c] > 0 && !present[0][c]) {
          throw floating(stack.layers().get(0), c);
        }
      }
    }
  }

  private void reach(boolean[][] reached, ArrayDeque<int[]> open, int l, int c) {
    if (l >= 0
        && l < present.length
        && c >= 0
        && c < present[l].length
        && present[l][c]
        && !reached[l][c]) {
      reached[l][c] = true;
      open.push(new int[] {l, c});
    }
  }

  private Problem floating(StackLayer layer, int column) {
    double xMillimetres = x.centre(column % x.cells()) * 1e3;
    double yMillimetres = y.centre(column / x.cells()) * 1e3;
    return new Problem(
        "stack.floating",
        Place.field("layer \"" + layer.name() + "\""),
        String.format(
            Locale.ROOT,
            "It floats free near %.2f, %.2f mm: from there no layer leads to the cooled top.",
            xMillimetres,
            yMillimetres),
        "Let every part of it lie under or over a part of its neighbour.");
  }
}
