package dev.ambershim.bench.coverage;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.ProbedPoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/**
 * How often the told flatness of a probed face holds the true one: of the face itself at the probed
 * places, without the scatter of the probing. The true minimum zone is found by a search of its
 * own, over slopes, and not by the program's exact method.
 */
public final class FaceCoverage {
  private FaceCoverage() {}

  /** What a face is like. */
  public enum Kind {
    /** Nothing but a tilt. */
    FLAT,
    /** A dome of eight scatters. */
    DOMED,
    /** A dome of two scatters, a twist, and places that stand up or down by chance. */
    MIXED
  }

  private static double[] heights(Kind kind, double[] x, double[] y, Random random) {
    double[] z = new double[x.length];
    double tiltX = random.nextGaussian();
    double tiltY = random.nextGaussian();
    for (int i = 0; i < z.length; i++) {
      double u = x[i] / 20;
      double v = y[i] / 20;
      double form =
          switch (kind) {
            case FLAT -> 0;
            case DOMED -> 8 * (1 - (u * u + v * v) / 2);
            case MIXED -> 2 * (1 - u * u) + u * v + random.nextGaussian();
          };
      z[i] = form + tiltX * u * 10 + tiltY * v * 10;
    }
    return z;
  }

  /** Width of the narrowest band between parallel planes, by a search over both slopes. */
  private static double zone(double[] x, double[] y, double[] z) {
    double bestX = slope(x, z);
    double bestY = slope(y, z);
    double best = width(x, y, z, bestX, bestY);
    for (double step = 0.5; step > 1e-5; step *= 0.7) {
      boolean better = true;
      while (better) {
        better = false;
        for (int k = 0; k < 16; k++) {
          double a = 2 * Math.PI * k / 16;
          double toX = bestX + step * Math.cos(a);
          double toY = bestY + step * Math.sin(a);
          double width = width(x, y, z, toX, toY);
          if (width < best - 1e-12) {
            best = width;
            bestX = toX;
            bestY = toY;
            better = true;
          }
        }
      }
    }
    return best;
  }

  private static double slope(double[] x, double[] z) {
    double top = 0;
    double bottom = 0;
    for (int i = 0; i < x.length; i++) {
      top += x[i] * z[i];
      bottom += x[i] * x[i];
    }
    return top / bottom;
  }

  private static double width(double[] x, double[] y, double[] z, double sx, double sy) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < x.length; i++) {
      double h = z[i] - sx * x[i] - sy * y[i];
      low = Math.min(low, h);
      high = Math.max(high, h);
    }
    return high - low;
  }

  /**
   * One set: a square grid, some of whose places are probed twice.
   *
   * @param side places along a side
   * @param twice places that are probed twice
   */
  static Coverage set(Kind kind, int side, int twice, int repeats) {
    String name = "faces." + kind.name().toLowerCase(Locale.ROOT) + "." + side + "." + twice;
    int held = 0;
    int inside = 0;
    double width = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(name, r);
      int n = side * side;
      double[] x = new double[n];
      double[] y = new double[n];
      for (int i = 0; i < n; i++) {
        x[i] = -20 + 40.0 * (i % side) / (side - 1);
        y[i] = -20 + 40.0 * Math.floorDiv(i, side) / (side - 1);
      }
      double[] z = heights(kind, x, y, random);
      List<ProbedPoint> probed = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        for (int k = 0; k < (i < twice ? 2 : 1); k++) {
          probed.add(new ProbedPoint(x[i], y[i], z[i] + random.nextGaussian()));
        }
      }
      FaceReport report = FaceReport.of(probed, Optional.empty());
      Interval interval = report.zone().orElseThrow();
      // The search comes from above by its last step.
      held += interval.low() <= zone(x, y, z) && zone(x, y, z) <= interval.high() + 1e-3 ? 1 : 0;
      inside += interval.contains(report.flatness().zoneMicrometres()) ? 1 : 0;
      width += interval.width() / 2;
    }
    return new Coverage(name, repeats, inside, held, 0, width / repeats);
  }

  /** All sets; what is told counts the intervals that hold their own value. */
  public static List<Coverage> all(int repeats) {
    List<Coverage> all = new ArrayList<>();
    for (Kind kind : Kind.values()) {
      for (int side : new int[] {3, 5, 9}) {
        for (int twice : new int[] {3, 6, 9}) {
          all.add(set(kind, side, twice, repeats));
        }
      }
    }
    return all;
  }
}
