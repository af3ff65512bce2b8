package dev.ambershim.core.physics.conduction;

import java.util.Arrays;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** The planes between cells along one axis. Every edge of a layer is one. */
public final class Planes {
  /** Edges nearer than this to each other are one, m. */
  private static final double SAME = 1e-9;

  /** By how much cells grow, as a share of the distance from the heat; at most. */
  private static final double GROWTH = 2.5;

  private static final double MOST_GROWTH = 0.6;

  private Planes() {}

  /**
   * How wide cells shall be.
   *
   * @param low from here, m
   * @param high to here, m, they are
   * @param fine this wide, m
   * @param growth and beyond grow by this for each metre
   */
  public record Size(double low, double high, double fine, double growth) {
    /**
     * Cells over a stack. They grow with the distance from the heat so that they stay about the
     * same share of it, as a field of one over distance asks for.
     *
     * @param fine width where heat enters, m
     */
    public static Size over(StackCase stack, double fine, boolean alongX) {
      Patch hull = stack.heated();
      double low = alongX ? hull.leftMillimetres() : hull.lowMillimetres();
      double high = alongX ? hull.rightMillimetres() : hull.highMillimetres();
      return new Size(1e-3 * low, 1e-3 * high, fine, growth(stack, fine));
    }

    /** Cells through a stack from where heat enters, their height there in m. */
    public static Size through(StackCase stack, double fine, double height) {
      return new Size(0, 0, height, growth(stack, fine));
    }

    private static double growth(StackCase stack, double fine) {
      return Math.min(MOST_GROWTH, GROWTH * fine / (stack.heatedMetres() / 2));
    }

    /** How many cells lie between two places, at least one. */
    public int count(double from, double to) {
      return (int) Math.max(1, Math.round(reach(to) - reach(from)));
    }

    /** The place where {@code reach} has a value. */
    private double place(double wanted) {
      double inner = (high - low) / fine;
      if (wanted < 0) {
        return low - fine * Math.expm1(-wanted * growth) / growth;
      }
      return wanted > inner
          ? high + fine * Math.expm1((wanted - inner) * growth) / growth
          : low + wanted * fine;
    }

    /** Cells between some origin and a place: ∫ dx / size(x). */
    private double reach(double x) {
      if (x < low) {
        return -Math.log1p(growth * (low - x) / fine) / growth;
      }
      double inside = (Math.min(x, high) - low) / fine;
      return inside + (x > high ? Math.log1p(growth * (x - high) / fine) / growth : 0);
    }
  }

  /**
   * Planes between which cells shrink quadratically towards both edges (cosine spacing), as the
   * heat crowds at the edges of footprints; that keeps second order there.
   *
   * @param edges of all layers, m, in any order
   * @param parts into how many every cell of the coarsest grid is cut
   * @return m, rising
   */
  public static double[] of(double[] edges, Size size, int parts) {
    return laid(
        edges,
        (a, b) -> {
          int count = size.count(a, b) * parts;
          return IntStream.range(1, count)
              .mapToDouble(i -> a + (b - a) * (1 - Math.cos(Math.PI * i / count)) / 2);
        });
  }

  /**
   * Planes that follow the wanted size without regard to the edges, for heat that moves in time.
   *
   * @param edges of all layers, m, in any order
   * @param least cells between two of them
   * @return m, rising
   */
  public static double[] even(double[] edges, Size size, int least) {
    return laid(
        edges,
        (a, b) -> {
          double start = size.reach(a);
          double need = size.reach(b) - start;
          int count = Math.max(least, (int) Math.ceil(need - 1e-9));
          return IntStream.range(1, count)
              .mapToDouble(i -> Math.min(b, Math.max(a, size.place(start + need * i / count))));
        });
  }

  /** What lies between two edges. */
  private interface Between {
    DoubleStream planes(double from, double to);
  }

  private static double[] laid(double[] edges, Between between) {
    double[] marks = distinct(edges);
    DoubleStream.Builder all = DoubleStream.builder().add(marks[0]);
    for (int m = 1; m < marks.length; m++) {
      between.planes(marks[m - 1], marks[m]).forEach(all);
      all.add(marks[m]);
    }
    return all.build().toArray();
  }

  /** Sorted, those that are one taken together. */
  public static double[] distinct(double[] marks) {
    double[] sorted = marks.clone();
    Arrays.sort(sorted);
    int n = 1;
    for (int i = 1; i < sorted.length; i++) {
      if (sorted[i] - sorted[n - 1] > SAME) {
        sorted[n++] = sorted[i];
      }
    }
    return Arrays.copyOf(sorted, n);
  }

  /** The plane nearest to a place, as an index. */
  public static int nearest(double[] planes, double at) {
    int found = Arrays.binarySearch(planes, at);
    if (found >= 0) {
      return found;
    }
    int up = Math.min(planes.length - 1, -found - 1);
    return up > 0 && at - planes[up - 1] < planes[up] - at ? up - 1 : up;
  }

  /** Width of a cell between planes, m. */
  public static double width(double[] planes, int cell) {
    return planes[cell + 1] - planes[cell];
  }
}
