package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackLayer;
import java.util.ArrayList;
import java.util.List;

/**
 * The hottest place under a heat, which lies between the centres of cells. What heats do close by
 * is known: each is a rectangle of even flux on a half-space (Carslaw &amp; Jaeger, <i>Conduction
 * of Heat in Solids</i>, 10.5), less what is seen of it from some thicknesses of the solid away, so
 * that it dies out within them. Near an edge of the solid, mirror images beyond it are added. What
 * the temperatures are without all these is smooth, and parabolas through three cells by three tell
 * it.
 */
final class HotPlace {
  /** Places looked at over the width of a cell. */
  private static final int OVER_CELL = 6;

  /** Of the rise by what is close, a difference that is the solver's residual and no pattern. */
  private static final double EVEN = 1e-7;

  /** So far beyond an edge nothing of the solid lies, where it ends there. */
  private static final double BEYOND_MILLIMETRES = 1e-3;

  /** Heats farther from the cells than so many thicknesses of the solid are smooth there. */
  private static final double CLOSE = 8;

  /**
   * Factors on what is seen from none to three times the depth away: their sums with the depths'
   * powers 0, 2 and 4 are nothing, so that what is left falls with the seventh power of distance.
   */
  private static final double[] SEEN = {1, -1.5, 0.6, -0.1};

  private final Axis x;
  private final Axis y;
  private final double[] face;
  private final double conductivity;

  /** Twice the thickness of the solid, m. */
  private final double depth;

  /** Heats and their mirror images, and the flux of each, W/m². */
  private final List<Patch> patches = new ArrayList<>();

  private final List<Double> flux = new ArrayList<>();

  /** Where each counts: a heat everywhere, an image only in the part whose edge it is beyond. */
  private final List<Patch> seenFrom = new ArrayList<>();

  /**
   * Keeps its arrays.
   *
   * @param face temperatures of the underside by column, °C
   * @param watts of each heat
   * @param lowest what the heats enter
   * @param conductivity of it where it is hot, W/m·K
   */
  HotPlace(
      Axis x,
      Axis y,
      double[] face,
      List<HeatSource> heat,
      double[] watts,
      StackLayer lowest,
      double conductivity) {
    this.x = x;
    this.y = y;
    this.face = face;
    // Under a joint, heat spreads only after a drop that jumps at its edges.
    this.conductivity = lowest.crossing() ? Double.POSITIVE_INFINITY : conductivity;
    depth = 2e-6 * lowest.thicknessMicrometres();
    for (int s = 0; s < watts.length; s++) {
      Patch p = heat.get(s).patch();
      double density = watts[s] / (p.widthMillimetres() * p.depthMillimetres() * 1e-6);
      add(p, density, lowest.bounds());
      lowest.patches().stream()
          .filter(part -> part.holds(p.xMillimetres(), p.yMillimetres()))
          .findFirst()
          .ifPresent(part -> addImages(p, density, lowest, part));
    }
  }

  private void add(Patch patch, double density, Patch seen) {
    patches.add(patch);
    flux.add(density);
    seenFrom.add(seen);
  }

  /** Adds a heat's mirror images beyond those edges of its part of the solid where that ends. */
  private void addImages(Patch heat, double density, StackLayer solid, Patch part) {
    double x0 = heat.xMillimetres();
    double y0 = heat.yMillimetres();
    double left = part.leftMillimetres();
    double right = part.rightMillimetres();
    double low = part.lowMillimetres();
    double high = part.highMillimetres();
    List<Double> acrossX = new ArrayList<>(List.of(x0));
    List<Double> acrossY = new ArrayList<>(List.of(y0));
    if (!solid.holds(left - BEYOND_MILLIMETRES, y0)) {
      acrossX.add(2 * left - x0);
    }
    if (!solid.holds(right + BEYOND_MILLIMETRES, y0)) {
      acrossX.add(2 * right - x0);
    }
    if (!solid.holds(x0, low - BEYOND_MILLIMETRES)) {
      acrossY.add(2 * low - y0);
    }
    if (!solid.holds(x0, high + BEYOND_MILLIMETRES)) {
      acrossY.add(2 * high - y0);
    }
    for (double cx : acrossX) {
      for (double cy : acrossY) {
        if (cx != x0 || cy != y0) {
          add(new Patch(cx, cy, heat.widthMillimetres(), heat.depthMillimetres()), density, part);
        }
      }
    }
  }

  /**
   * The highest temperature around a cell, °C.
   *
   * @param hot the hottest cell of a heat
   * @param areas of the cells of the heat; 0 for others
   */
  double celsius(int hot, double[] areas) {
    int nx = x.cells();
    int[] columns = three(hot % nx, nx, 1, hot, areas);
    int[] rows = three(hot / nx, y.cells(), nx, hot, areas);
    double[] placesX = places(columns, x);
    double[] placesY = places(rows, y);
    boolean[] close = close(placesX, placesY);
    double[][] smooth = new double[columns.length][rows.length];
    double lowest = face[hot];
    for (int i = 0; i < columns.length; i++) {
      for (int j = 0; j < rows.length; j++) {
        double cx = x.centre(columns[i]);
        double cy = y.centre(rows[j]);
        double own = face[rows[j] * nx + columns[i]];
        lowest = Math.min(lowest, own);
        smooth[i][j] = own - face[hot] - byHeats(cx, cy, close);
      }
    }
    double near = byHeats(x.centre(hot % nx), y.centre(hot / nx), close);
    if (face[hot] - lowest <= EVEN * near) {
      return face[hot];
    }
    double[][] all = new double[placesX.length][placesY.length];
    int bestX = 0;
    int bestY = 0;
    for (int i = 0; i < all.length; i++) {
      double[] wx = weights(placesX[i], columns, x);
      for (int j = 0; j < all[i].length; j++) {
        double[] wy = weights(placesY[j], rows, y);
        all[i][j] = byHeats(placesX[i], placesY[j], close);
        for (int m = 0; m < wx.length; m++) {
          for (int n = 0; n < wy.length; n++) {
            all[i][j] += wx[m] * wy[n] * smooth[m][n];
          }
        }
        if (all[i][j] > all[bestX][bestY]) {
          bestX = i;
          bestY = j;
        }
      }
    }
    double highest = face[hot] + all[bestX][bestY];
    if (bestX > 0 && bestX < all.length - 1) {
      highest += above(all[bestX - 1][bestY], all[bestX][bestY], all[bestX + 1][bestY]);
    }
    if (bestY > 0 && bestY < all[bestX].length - 1) {
      highest += above(all[bestX][bestY - 1], all[bestX][bestY], all[bestX][bestY + 1]);
    }
    return highest;
  }

  /** How far a parabola through three even steps rises above the middle one, the highest. */
  private static double above(double before, double middle, double behind) {
    double bend = 2 * middle - before - behind;
    double slope = (behind - before) / 2;
    return bend > 0 ? slope * slope / (2 * bend) : 0;
  }

  /** A cell and its neighbours of the same heat, three where there are so many. */
  private static int[] three(int cell, int cells, int step, int hot, double[] areas) {
    int from = cell;
    int to = cell;
    while (to - from < 2) {
      boolean before = from > 0 && areas[hot + (from - 1 - cell) * step] > 0;
      boolean behind = to + 1 < cells && areas[hot + (to + 1 - cell) * step] > 0;
      if (!before && !behind) {
        break;
      }
      boolean down = before && (!behind || cell - from <= to - cell);
      from -= down ? 1 : 0;
      to += down ? 0 : 1;
    }
    int[] all = new int[to - from + 1];
    for (int k = 0; k < all.length; k++) {
      all[k] = from + k;
    }
    return all;
  }

  /** Even steps over some cells, m. */
  private static double[] places(int[] cells, Axis axis) {
    double low = axis.edges[cells[0]];
    double high = axis.edges[cells[cells.length - 1] + 1];
    double[] all = new double[OVER_CELL * cells.length + 1];
    for (int i = 0; i < all.length; i++) {
      all[i] = low + (high - low) * i / (all.length - 1);
    }
    return all;
  }

  /** Lagrange's weights of cells at a place. */
  private static double[] weights(double at, int[] cells, Axis axis) {
    double[] all = new double[cells.length];
    for (int m = 0; m < all.length; m++) {
      all[m] = 1;
      for (int n = 0; n < all.length; n++) {
        if (n != m) {
          double other = axis.centre(cells[n]);
          all[m] *= (at - other) / (axis.centre(cells[m]) - other);
        }
      }
    }
    return all;
  }

  /**
   * Which heats and images have an edge close to some places; what lies deep inside or far outside
   * of one sees an even field.
   */
  private boolean[] close(double[] atX, double[] atY) {
    double left = atX[0];
    double right = atX[atX.length - 1];
    double low = atY[0];
    double high = atY[atY.length - 1];
    double reach = CLOSE * depth / 2;
    boolean[] all = new boolean[patches.size()];
    for (int p = 0; p < all.length; p++) {
      Patch patch = patches.get(p);
      double fromX = 1e-3 * patch.leftMillimetres();
      double toX = 1e-3 * patch.rightMillimetres();
      double fromY = 1e-3 * patch.lowMillimetres();
      double toY = 1e-3 * patch.highMillimetres();
      double inside =
          Math.min(Math.min(left - fromX, toX - right), Math.min(low - fromY, toY - high));
      double outside =
          Math.max(Math.max(left - toX, fromX - right), Math.max(low - toY, fromY - high));
      all[p] =
          inside < reach
              && outside < reach
              && seenFrom.get(p).holds(500 * (left + right), 500 * (low + high));
    }
    return all;
  }

  /** Rise by heats, K. */
  private double byHeats(double atX, double atY, boolean[] counted) {
    double sum = 0;
    for (int p = 0; p < counted.length; p++) {
      if (counted[p]) {
        Patch patch = patches.get(p);
        double left = 1e-3 * patch.leftMillimetres() - atX;
        double right = 1e-3 * patch.rightMillimetres() - atX;
        double low = 1e-3 * patch.lowMillimetres() - atY;
        double high = 1e-3 * patch.highMillimetres() - atY;
        double corners = corner(right, high) - corner(left, high) - corner(right, low);
        sum += flux.get(p) * (corners + corner(left, low));
      }
    }
    return sum / (2 * Math.PI * conductivity);
  }

  /** What one corner of a rectangle adds to ∬ dA / r, as far as it dies out soon, m. */
  private double corner(double u, double v) {
    double sum = 0;
    for (int away = 0; away < SEEN.length; away++) {
      sum += SEEN[away] * corner(u, v, away * depth);
    }
    return sum;
  }

  private static double corner(double u, double v, double z) {
    if (u == 0 || v == 0) {
      return 0;
    }
    // Not by the library's hypotenuse, which minds figures too large to square and takes ten times
    // as long.
    double alongU = u * asinh(v / Math.sqrt(u * u + z * z));
    double alongV = v * asinh(u / Math.sqrt(v * v + z * z));
    return alongU
        + alongV
        - (z == 0 ? 0 : z * Math.atan(u * v / (z * Math.sqrt(u * u + v * v + z * z))));
  }

  private static double asinh(double a) {
    return Math.copySign(Math.log(Math.abs(a) + Math.sqrt(a * a + 1)), a);
  }
}
