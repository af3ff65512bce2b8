package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Patch;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * The hottest places of sources: the highest of a grid of places, looked at again on a finer grid
 * around it, and a parabola through what is highest there. Grids of cells that are compared have to
 * look at the same places, or a difference of the search is taken for one of the cells.
 */
final class Peaks {
  private final BoxField field;

  /** Rises at the places of each source, K. */
  private final List<double[][]> grids = new ArrayList<>();

  private final Map<List<Integer>, Nearby> known = new HashMap<>();

  Peaks(BoxField field) {
    this.field = field;
    for (int s = 0; s < field.watts().length; s++) {
      grids.add(field.at(s, field.boxes().peaks(s)));
    }
  }

  /**
   * Around which of its places each source is looked at more closely.
   *
   * @param around column and row; none for a source whose top is one of a smaller source's places,
   *     too, which lie closer
   */
  record Candidates(List<List<int[]>> around) {}

  /**
   * The hottest place of a source.
   *
   * @param kelvin its rise
   * @param xMillimetres where the parabola has its top
   * @param yMillimetres likewise
   */
  private record Top(double kelvin, double xMillimetres, double yMillimetres) {}

  /** A closer look: the places, their rises in K, and the hottest among and between them. */
  private record Nearby(Spot.Places places, double[][] kelvin, Top top) {}

  /**
   * The top of the parabolas through a place and its neighbours along both axes.
   *
   * @param kelvin how far above the place
   * @param x how far beside it, m
   * @param y likewise
   */
  private record Risen(double kelvin, double x, double y) {}

  /** Where it is worth a closer look. */
  Candidates candidates() {
    Top[] tops = new Top[grids.size()];
    List<List<int[]>> around = new ArrayList<>(Collections.nCopies(tops.length, null));
    for (int s : smallestFirst()) {
      List<int[]> own = isOfSmaller(s, tops) ? List.of() : promising(s);
      around.set(s, own);
      tops[s] = top(s, own);
    }
    return new Candidates(around);
  }

  /** The highest rise of each source, K. */
  double[] kelvin(Candidates candidates) {
    List<Top> tops = new ArrayList<>();
    for (int s = 0; s < grids.size(); s++) {
      tops.add(top(s, candidates.around().get(s)));
    }
    double[] all = new double[grids.size()];
    for (int s = 0; s < all.length; s++) {
      Patch patch = patch(s);
      all[s] = tops.get(s).kelvin();
      for (int other = 0; other < all.length; other++) {
        Top top = tops.get(other);
        boolean within = patch.holds(top.xMillimetres(), top.yMillimetres());
        all[s] = Math.max(all[s], within ? top.kelvin() : highest(other, candidates, patch));
      }
    }
    return all;
  }

  private Patch patch(int source) {
    return field.boxes().spots.get(source).patch();
  }

  private int[] smallestFirst() {
    return IntStream.range(0, grids.size())
        .boxed()
        .sorted(Comparator.comparingDouble(s -> field.boxes().spots.get(s).area()))
        .mapToInt(s -> s)
        .toArray();
  }

  /** Whether a source's highest place lies in a smaller one whose top lies in this one. */
  private boolean isOfSmaller(int source, Top[] tops) {
    Top coarse = coarse(source);
    for (int s = 0; s < tops.length; s++) {
      if (tops[s] != null
          && patch(s).holds(coarse.xMillimetres(), coarse.yMillimetres())
          && patch(source).holds(tops[s].xMillimetres(), tops[s].yMillimetres())) {
        return true;
      }
    }
    return false;
  }

  /** The highest of a source's places as they are. */
  private Top coarse(int source) {
    double[][] grid = grids.get(source);
    Spot.Places places = field.boxes().peaks(source);
    int[] at = highest(grid);
    return top(grid[at[0]][at[1]], places, at, new Risen(0, 0, 0));
  }

  private static Top top(double kelvin, Spot.Places places, int[] at, Risen risen) {
    double x = places.columns().get(at[0]).low() + risen.x();
    double y = places.rows().get(at[1]).low() + risen.y();
    return new Top(kelvin + risen.kelvin(), 1e3 * x, 1e3 * y);
  }

  /** The highest place, and the one where parabolas rise highest, be it between two places. */
  private List<int[]> promising(int source) {
    double[][] grid = grids.get(source);
    Spot.Places places = field.boxes().peaks(source);
    double[][] risen = new double[grid.length][grid[0].length];
    for (int i = 0; i < risen.length; i++) {
      for (int j = 0; j < risen[i].length; j++) {
        risen[i][j] = grid[i][j] + above(grid, places, i, j).kelvin();
      }
    }
    int[] at = highest(grid);
    int[] between = highest(risen);
    return between[0] == at[0] && between[1] == at[1] ? List.of(at) : List.of(at, between);
  }

  private Top top(int source, List<int[]> all) {
    Top top = coarse(source);
    for (int[] around : all) {
      Top found = nearby(source, around).top();
      top = found.kelvin() >= top.kelvin() ? found : top;
    }
    return top;
  }

  private Nearby nearby(int source, int... around) {
    return known.computeIfAbsent(
        List.of(source, around[0], around[1]),
        key -> {
          Spot.Places closer = field.boxes().closer(source, around[0], around[1]);
          double[][] near = field.at(source, closer);
          int[] at = highest(near);
          Risen risen = above(near, closer, at[0], at[1]);
          return new Nearby(closer, near, top(near[at[0]][at[1]], closer, at, risen));
        });
  }

  private static int[] highest(double[][] grid) {
    int[] at = {0, 0};
    for (int i = 0; i < grid.length; i++) {
      for (int j = 0; j < grid[i].length; j++) {
        if (grid[i][j] > grid[at[0]][at[1]]) {
          at[0] = i;
          at[1] = j;
        }
      }
    }
    return at;
  }

  /** The highest of all places of a source that lie in a rectangle. */
  private double highest(int source, Candidates candidates, Patch inside) {
    double highest = highest(grids.get(source), field.boxes().peaks(source), inside);
    for (int[] around : candidates.around().get(source)) {
      Nearby nearby = nearby(source, around);
      highest = Math.max(highest, highest(nearby.kelvin(), nearby.places(), inside));
    }
    return highest;
  }

  private static double highest(double[][] grid, Spot.Places places, Patch inside) {
    double highest = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < grid.length; i++) {
      for (int j = 0; j < grid[i].length; j++) {
        double x = 1e3 * places.columns().get(i).low();
        double y = 1e3 * places.rows().get(j).low();
        if (grid[i][j] > highest && inside.holds(x, y)) {
          highest = grid[i][j];
        }
      }
    }
    return highest;
  }

  /**
   * The top of the paraboloid through a place and its neighbours, or of the parabolas along both
   * axes where it has none among them.
   */
  private static Risen above(double[][] grid, Spot.Places places, int i, int j) {
    Bend x = new Bend(0, 0, 0, 0);
    Bend y = x;
    if (i > 0 && i < grid.length - 1) {
      x = Bend.of(places.columns(), i, grid[i - 1][j], grid[i][j], grid[i + 1][j]);
    }
    if (j > 0 && j < grid[i].length - 1) {
      y = Bend.of(places.rows(), j, grid[i][j - 1], grid[i][j], grid[i][j + 1]);
    }
    if (x.curve < 0 && y.curve < 0) {
      double corners =
          grid[i + 1][j + 1] - grid[i + 1][j - 1] - grid[i - 1][j + 1] + grid[i - 1][j - 1];
      double twist = corners / ((x.before + x.after) * (y.before + y.after));
      double determinant = x.curve * y.curve - twist * twist;
      double besideX = (twist * y.slope - y.curve * x.slope) / determinant;
      double besideY = (twist * x.slope - x.curve * y.slope) / determinant;
      if (determinant > 0 && x.holds(besideX) && y.holds(besideY)) {
        return new Risen((x.slope * besideX + y.slope * besideY) / 2, besideX, besideY);
      }
    }
    double besideX = x.top();
    double besideY = y.top();
    return new Risen((x.slope * besideX + y.slope * besideY) / 2, besideX, besideY);
  }

  /**
   * The parabola through a place and its neighbours along an axis.
   *
   * @param slope at the place, K/m
   * @param curve K/m²
   * @param before from the place before to it, m
   * @param after from it to the next, m
   */
  private record Bend(double slope, double curve, double before, double after) {
    static Bend of(List<NearField.Span> places, int at, double left, double middle, double right) {
      double before = places.get(at).low() - places.get(at - 1).low();
      double after = places.get(at + 1).low() - places.get(at).low();
      double rising = (middle - left) / before;
      double falling = (right - middle) / after;
      return new Bend(
          (rising * after + falling * before) / (before + after),
          2 * (falling - rising) / (before + after),
          before,
          after);
    }

    boolean holds(double beside) {
      return beside >= -before && beside <= after;
    }

    /** How far beside the place its top is, m; 0 if it is none, or lies beyond the neighbours. */
    double top() {
      double beside = -slope / curve;
      return curve < 0 && holds(beside) ? beside : 0;
    }
  }
}
