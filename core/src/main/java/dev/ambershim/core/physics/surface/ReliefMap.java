package dev.ambershim.core.physics.surface;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.triangulate.DelaunayTriangulationBuilder;

/**
 * A probed face as heights everywhere: level between the places of each triangle of their Delaunay
 * triangulation, and as at the nearest place beyond them. Levelled by the least-squares plane,
 * since how the part lay under the gauge is not its shape.
 */
public final class ReliefMap {
  private final double[] x;
  private final double[] y;
  private final double[] z;

  /** Places are looked for in the triangles of their own bucket, so many a side. */
  private static final int BUCKETS = 24;

  private final int[][] triangles;
  private final int[][] buckets;
  private final double[] box;

  private ReliefMap(double[] x, double[] y, double[] z, int[][] triangles) {
    this.x = x;
    this.y = y;
    this.z = z;
    this.triangles = triangles;
    double[] middle = Form.box(x, y);
    box =
        new double[] {
          middle[0] - middle[2], middle[0] + middle[2], middle[1] - middle[3], middle[1] + middle[3]
        };
    List<List<Integer>> found = new ArrayList<>();
    for (int k = 0; k < BUCKETS * BUCKETS; k++) {
      found.add(new ArrayList<>());
    }
    for (int t = 0; t < triangles.length; t++) {
      int[] c = triangles[t];
      int left = bucket(Math.min(x[c[0]], Math.min(x[c[1]], x[c[2]])), 0);
      int right = bucket(Math.max(x[c[0]], Math.max(x[c[1]], x[c[2]])), 0);
      int low = bucket(Math.min(y[c[0]], Math.min(y[c[1]], y[c[2]])), 2);
      int high = bucket(Math.max(y[c[0]], Math.max(y[c[1]], y[c[2]])), 2);
      for (int j = low; j <= high; j++) {
        for (int i = left; i <= right; i++) {
          found.get(j * BUCKETS + i).add(t);
        }
      }
    }
    buckets = found.stream().map(b -> b.stream().mapToInt(t -> t).toArray()).toArray(int[][]::new);
  }

  private int bucket(double at, int side) {
    double share = (at - box[side]) / Math.max(1e-9, box[side + 1] - box[side]);
    return (int) Math.max(0, Math.min(BUCKETS - 1, Math.floor(share * BUCKETS)));
  }

  /** The map of a judged face, µm over its least-squares plane. */
  public static ReliefMap of(FaceReport report) {
    List<ProbedPoint> points = report.points();
    int n = points.size();
    double[] x = new double[n];
    double[] y = new double[n];
    double[] z = new double[n];
    Map<Coordinate, Integer> index = new HashMap<>();
    List<Coordinate> sites = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      x[i] = points.get(i).xMillimetres();
      y[i] = points.get(i).yMillimetres();
      z[i] = report.flatness().deviations().get(i);
      Coordinate c = new Coordinate(x[i], y[i]);
      index.put(c, i);
      sites.add(c);
    }
    DelaunayTriangulationBuilder builder = new DelaunayTriangulationBuilder();
    builder.setSites(sites);
    Geometry all = builder.getTriangles(new GeometryFactory());
    int[][] triangles = new int[all.getNumGeometries()][];
    for (int t = 0; t < triangles.length; t++) {
      Coordinate[] c = all.getGeometryN(t).getCoordinates();
      triangles[t] = new int[] {index.get(c[0]), index.get(c[1]), index.get(c[2])};
    }
    return new ReliefMap(x, y, z, triangles);
  }

  /** The face turned over about its y axis, as a cold plate is before it is mounted. */
  public ReliefMap turnedOver() {
    double[] other = new double[x.length];
    for (int i = 0; i < x.length; i++) {
      other[i] = -x[i];
    }
    return new ReliefMap(other, y, z, triangles);
  }

  /** The same face, so many times as uneven. */
  public ReliefMap scaled(double factor) {
    double[] other = new double[z.length];
    for (int i = 0; i < z.length; i++) {
      other[i] = factor * z[i];
    }
    return new ReliefMap(x, y, other, triangles);
  }

  /** A flat face over a rectangle: left, right, low and high edge, mm. */
  public static ReliefMap flat(double[] within) {
    return new ReliefMap(
        new double[] {within[0], within[1], within[0], within[1]},
        new double[] {within[2], within[2], within[3], within[3]},
        new double[4],
        new int[][] {{0, 1, 2}, {1, 3, 2}});
  }

  /** Left, right, low and high edge of the probed places, mm. */
  public double[] box() {
    return box.clone();
  }

  /** The lowest and the highest probed place, µm. */
  double[] ends() {
    return new double[] {Arrays.stream(z).min().orElse(0), Arrays.stream(z).max().orElse(0)};
  }

  /** Height at a place, µm. */
  public double at(double atX, double atY) {
    for (int k : buckets[bucket(atY, 2) * BUCKETS + bucket(atX, 0)]) {
      int[] t = triangles[k];
      double ax = x[t[0]] - atX;
      double ay = y[t[0]] - atY;
      double bx = x[t[1]] - atX;
      double by = y[t[1]] - atY;
      double cx = x[t[2]] - atX;
      double cy = y[t[2]] - atY;
      double a = bx * cy - cx * by;
      double b = cx * ay - ax * cy;
      double c = ax * by - bx * ay;
      double whole = a + b + c;
      if (whole != 0 && a / whole >= -1e-9 && b / whole >= -1e-9 && c / whole >= -1e-9) {
        return (a * z[t[0]] + b * z[t[1]] + c * z[t[2]]) / whole;
      }
    }
    int nearest = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < x.length; i++) {
      double u = x[i] - atX;
      double v = y[i] - atY;
      double away = u * u + v * v;
      if (away < least) {
        least = away;
        nearest = i;
      }
    }
    return z[nearest];
  }

  /**
   * Heights on a grid over a rectangle, rows by y.
   *
   * @param within left, right, low and high edge, mm
   */
  public double[][] grid(double[] within, int columns, int rows) {
    double[][] heights = new double[rows][columns];
    for (int j = 0; j < rows; j++) {
      for (int i = 0; i < columns; i++) {
        heights[j][i] =
            at(place(within[0], within[1], i, columns), place(within[2], within[3], j, rows));
      }
    }
    return heights;
  }

  static double place(double from, double to, int i, int count) {
    return count == 1 ? (from + to) / 2 : from + (to - from) * i / (count - 1);
  }
}
