package dev.ambershim.core.physics.modes;

import dev.ambershim.core.base.GaussLegendre;
import dev.ambershim.core.physics.conduction.Patch;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;

/**
 * What heats do close by. At high wave numbers μ a face answers as a half-space's does, 1/(kμ), and
 * a series of modes creeps there. As Ewald did (1921, <i>Ann. Phys.</i> 369, 253), 1/μ is split in
 * erf(μτ)/μ, which is short in space, and the rest, which is short in modes. The short part is the
 * integral 2/√π ∫ exp(−μ²t²) dt from 0 to τ, and exp(−μ²t²) spreads a rectangle's heat as a product
 * of error functions, so places and means follow by quadrature over t. Walls mirror.
 */
final class NearField {
  /** erf(μτ) differs from one by less than 1e-5 at the highest mode. */
  private static final double REACH = 3.15;

  private static final GaussIntegrator GAUSS = GaussLegendre.of(16, 0, 1);

  /** From here on the error function is one to the last digit. */
  private static final double ONE = 6;

  /** Widths of the spread kernel after which a part in 10⁵ of its heat is left: erfc(FAR / 2). */
  private static final double FAR = 6.5;

  private final Cosines x;
  private final Cosines y;
  private final double tau;

  private final List<Node> nodes = new ArrayList<>();

  /** Heats and places in rows and columns share what is spread along one axis. */
  private final Map<Way, double[][]> known = new ConcurrentHashMap<>();

  /** A time of the quadrature, m, and its weight. */
  private record Node(double time, double weight) {}

  private record Way(boolean alongX, double low, double high, List<Span> to) {}

  /**
   * On the underside of a box.
   *
   * @param narrowest side of all its heats, m
   */
  NearField(Cosines x, Cosines y, double narrowest) {
    this.x = x;
    this.y = y;
    double highest = Math.PI * Math.min(x.count() / x.length(), y.count() / y.length());
    tau = REACH / highest;
    double from = 0;
    double to = Math.min(tau, narrowest / 8);
    while (from < tau) {
      for (int n = 0; n < GAUSS.getNumberOfPoints(); n++) {
        double weight = (to - from) * GAUSS.getWeight(n) * 2 / Math.sqrt(Math.PI);
        nodes.add(new Node(from + (to - from) * GAUSS.getPoint(n), weight));
      }
      from = to;
      to = Math.min(tau, 2 * to);
    }
  }

  /** What the short part takes of 1/μ, m. */
  double symbol(double square) {
    double mu = Math.sqrt(square);
    return mu * tau < 1e-9 ? 2 * tau / Math.sqrt(Math.PI) : ErrorFunction.of(mu * tau) / mu;
  }

  /**
   * The short part over some columns and rows.
   *
   * @param heat the rectangle that has a unit flux
   * @param columns places or cells along x
   * @param rows places or cells along y
   * @return by column and row, m; over the conductivity, K for a flux of 1 W/m²
   */
  double[][] of(Patch heat, List<Span> columns, List<Span> rows) {
    double[][] all = new double[columns.size()][rows.size()];
    if (far(x, heat, true, columns) || far(y, heat, false, rows)) {
      return all;
    }
    double[][] acrossX = spread(true, heat, columns);
    double[][] acrossY = spread(false, heat, rows);
    for (int n = 0; n < nodes.size(); n++) {
      for (int i = 0; i < all.length; i++) {
        if (acrossX[n][i] != 0) {
          Dense.addTo(all[i], nodes.get(n).weight() * acrossX[n][i], acrossY[n]);
        }
      }
    }
    return all;
  }

  /** Whether no span lies within reach of a heat or of its mirrors. */
  private boolean far(Cosines axis, Patch heat, boolean alongX, List<Span> to) {
    double a = Footprint.low(heat, alongX);
    double b = Footprint.high(heat, alongX);
    double low = 2 * axis.low();
    double high = low + 2 * axis.length();
    double reach = FAR * tau;
    if (reach > axis.length()) {
      return false;
    }
    for (Span span : to) {
      if (gap(a, b, span) <= reach
          || gap(low - b, low - a, span) <= reach
          || gap(high - b, high - a, span) <= reach) {
        return false;
      }
    }
    return true;
  }

  private static double gap(double a, double b, Span span) {
    return Math.max(a - span.high, span.low - b);
  }

  private double[][] spread(boolean alongX, Patch heat, List<Span> to) {
    Way way = new Way(alongX, Footprint.low(heat, alongX), Footprint.high(heat, alongX), to);
    return known.computeIfAbsent(
        way,
        w -> {
          double[][] all = new double[nodes.size()][to.size()];
          spread(alongX ? x : y, w.low, w.high, to, all);
          return all;
        });
  }

  /**
   * A place, or a cell to be averaged over.
   *
   * @param low m
   * @param high m; the same for a place
   */
  record Span(double low, double high) {
    /** The cells between planes. */
    static List<Span> cells(double[] planes, int from, int to) {
      List<Span> all = new ArrayList<>();
      for (int i = from; i < to; i++) {
        all.add(new Span(planes[i], planes[i + 1]));
      }
      return all;
    }

    /** Places. */
    static List<Span> places(double... places) {
      return Arrays.stream(places).mapToObj(p -> new Span(p, p)).toList();
    }
  }

  /**
   * How much of the heat between two places has spread to each span, with all mirrors that are
   * within reach; after some lengths of the axis it is even.
   *
   * @param all by node and span, overwritten
   */
  private void spread(Cosines axis, double a, double b, List<Span> to, double[][] all) {
    double length = axis.length();
    double twice = 2 * axis.low();
    int most = (int) Math.ceil(FAR * Math.min(tau, 2 * length) / (2 * length));
    for (int m = -most; m <= most; m++) {
      double shift = 2 * m * length;
      spread(a + shift, b + shift, to, length, all);
      spread(twice - b + shift, twice - a + shift, to, length, all);
    }
    for (int n = 0; n < all.length; n++) {
      if (nodes.get(n).time() > 2 * length) {
        Arrays.fill(all[n], (b - a) / length);
      }
    }
  }

  /** Adds one image of the heat. */
  private void spread(double a, double b, List<Span> to, double length, double[][] all) {
    for (int i = 0; i < to.size(); i++) {
      Span span = to.get(i);
      double gap = gap(a, b, span);
      // Times rise, and the image reaches the farther the later it is.
      for (int n = nodes.size() - 1; n >= 0 && gap <= FAR * nodes.get(n).time(); n--) {
        double time = nodes.get(n).time();
        if (time <= 2 * length) {
          all[n][i] += share(a, b, span, time);
        }
      }
    }
  }

  private static double share(double a, double b, Span span, double t) {
    if (span.high == span.low) {
      double below = ErrorFunction.of((span.low - a) / (2 * t));
      return (below - ErrorFunction.of((span.low - b) / (2 * t))) / 2;
    }
    double sum =
        under(span.high - a, t)
            - under(span.low - a, t)
            - under(span.high - b, t)
            + under(span.low - b, t);
    return sum / (2 * (span.high - span.low));
  }

  /** ∫ erf(z / 2t) dz. */
  private static double under(double z, double t) {
    double scaled = z / (2 * t);
    return Math.abs(scaled) > ONE
        ? Math.abs(z)
        : z * ErrorFunction.of(scaled) + t * ErrorFunction.slope(scaled);
  }
}
