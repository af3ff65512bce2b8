package dev.ambershim.core.physics.surface;

import dev.ambershim.core.base.Interval;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.hipparchus.exception.MathIllegalArgumentException;

/**
 * All that probed points say of a face.
 *
 * @param points each place once, the mean of its repeats
 * @param probings how many heights there were
 * @param flatness flatness by ISO 12781-1
 * @param form bow, twist and shape
 * @param highSpots what stands up, the highest first
 * @param outliers what does not go with the rest
 * @param scatterMicrometres standard deviation of one probing, from repeats or as given; empty when
 *     neither is there
 * @param fromRepeats whether the scatter comes from repeats
 * @param zone where the minimum zone's true width lies, 95 %; empty without a scatter, or where
 *     nobody asked
 */
public record FaceReport(
    List<ProbedPoint> points,
    int probings,
    Flatness flatness,
    Form form,
    List<HighSpot> highSpots,
    List<Outlier> outliers,
    Optional<Double> scatterMicrometres,
    boolean fromRepeats,
    Optional<Interval> zone) {
  private static final int DRAWS = 200;

  /** What the likely shape leaves open, about the middle of the draws; set by simulation. */
  private static final double WIDER = 1.15;

  /** A shape narrower than this share of what was found is no shape. */
  private static final double LEAST_SHAPE = 0.2;

  /** Sizes of the probed shape that are tried; between them a straight line does. */
  private static final double[] SHARES = {0.3, 0.6, 0.8, 0.95, 1.1, 1.4, 2.5};

  /** Draws times points are kept below this, so that large maps do not wait. */
  private static final int MOST_WORK = 40_000;

  /** Copies its lists. */
  public FaceReport {
    points = List.copyOf(points);
    highSpots = List.copyOf(highSpots);
    outliers = List.copyOf(outliers);
  }

  /**
   * Judges a face.
   *
   * @param probed points in any order; a place may come more than once
   * @param statedMicrometres standard deviation of one probing by the instrument, used while there
   *     are no repeats; empty if not known
   * @throws dev.ambershim.core.base.Problem {@code probe.…} naming what cannot be
   */
  public static FaceReport of(List<ProbedPoint> probed, Optional<Double> statedMicrometres) {
    return of(probed, statedMicrometres, true);
  }

  /**
   * The same without the interval of the width, which takes longer than all the rest: for what
   * hangs on the shape alone.
   *
   * @throws dev.ambershim.core.base.Problem {@code probe.…} naming what cannot be
   */
  public static FaceReport shape(List<ProbedPoint> probed) {
    return of(probed, Optional.empty(), false);
  }

  private static FaceReport of(
      List<ProbedPoint> probed, Optional<Double> statedMicrometres, boolean wide) {
    ProbeRules.units(probed);
    Repeats repeats = Repeats.of(probed);
    List<ProbedPoint> points = repeats.points();
    Flatness flatness = Flatness.of(points);
    Form form = Form.of(points, flatness);
    Neighbours neighbours = new Neighbours(points);
    boolean told = repeats.degrees() > 0;
    Optional<Double> scatter =
        told ? Optional.of(repeats.scatterMicrometres()) : statedMicrometres.filter(s -> s > 0);
    return new FaceReport(
        points,
        probed.size(),
        flatness,
        form,
        HighSpot.of(points, flatness, neighbours),
        Outlier.of(points, flatness, form, neighbours),
        scatter,
        told,
        scatter.filter(s -> wide).map(s -> interval(repeats, flatness, s, told)));
  }

  /**
   * Scatter makes any face look less flat. So truths are tried that have the shape that was probed,
   * larger or smaller: for each draw of the scatter the one that would have given the width that
   * was found. Their middle 95 % is the interval (a test turned round: Davison &amp; Hinkley,
   * <i>Bootstrap Methods and their Application</i>, 1997, 5.2 and 4.2; cited from memory). It
   * begins at nothing where scatter alone would give as much. A scatter from few repeats is drawn
   * from its own distribution (chi-square).
   */
  private static Interval interval(
      Repeats repeats, Flatness flatness, double scatter, boolean fromRepeats) {
    int n = repeats.points().size();
    int draws = Math.max(60, Math.min(DRAWS, MOST_WORK / n));
    SplittableRandom random = new SplittableRandom(20_260_406);
    double[] x = repeats.points().stream().mapToDouble(ProbedPoint::xMillimetres).toArray();
    double[] y = repeats.points().stream().mapToDouble(ProbedPoint::yMillimetres).toArray();
    double[] away = flatness.deviations().stream().mapToDouble(v -> v).toArray();
    double[] each = repeats.counts().stream().mapToDouble(c -> scatter / Math.sqrt(c)).toArray();
    double value = flatness.zoneMicrometres();
    MinimumZone zone = new MinimumZone(x, y);
    double[] form = form(x, y, away);
    double[] sizes = new double[draws];
    double[] noise = new double[n];
    for (int d = 0; d < draws; d++) {
      double size = fromRepeats ? drawn(repeats.degrees(), random) : 1;
      for (int i = 0; i < n; i++) {
        noise[i] = size * each[i] * random.nextGaussian();
      }
      sizes[d] = size(zone, shape(zone, form, away, size * scatter, value), noise, value);
    }
    Arrays.sort(sizes);
    double middle = sizes[draws / 2];
    double low = middle - WIDER * (middle - sizes[(int) Math.round(0.025 * (draws - 1))]);
    double high = middle + WIDER * (sizes[(int) Math.round(0.975 * (draws - 1))] - middle);
    return new Interval(
        Math.min(Math.max(0, value * low), value), Math.max(value * high, value), 0.95);
  }

  /** Bow and twist alone; null where the places do not tell them. */
  private static double[] form(double[] x, double[] y, double[] away) {
    if (away.length < Polynomial.QUADRATIC + 2) {
      return null;
    }
    try {
      double[] fit = Polynomial.fit(x, y, away, Polynomial.QUADRATIC);
      double[] form = new double[away.length];
      for (int i = 0; i < form.length; i++) {
        form[i] = Polynomial.at(fit, x[i], y[i]);
      }
      return form;
    } catch (MathIllegalArgumentException degenerate) {
      return null; // all on a conic
    }
  }

  /**
   * The face's likely shape, as wide as the face was found: its bow and twist, and of what is left
   * the part that scatter does not explain (shrunk as James &amp; Stein 1961 would).
   */
  private static double[] shape(
      MinimumZone zone, double[] form, double[] away, double scatter, double value) {
    if (form == null) {
      return away;
    }
    double squares = 0;
    for (int i = 0; i < form.length; i++) {
      squares += (away[i] - form[i]) * (away[i] - form[i]);
    }
    double variance = squares / (away.length - Polynomial.QUADRATIC);
    double kept = Math.sqrt(Math.max(0, 1 - scatter * scatter / variance));
    double[] shape = new double[away.length];
    for (int i = 0; i < form.length; i++) {
      shape[i] = form[i] + kept * (away[i] - form[i]);
    }
    double wide = 2 * zone.of(shape)[3];
    if (wide < LEAST_SHAPE * value) {
      return away;
    }
    for (int i = 0; i < form.length; i++) {
      shape[i] *= value / wide;
    }
    return shape;
  }

  /** A true scatter as a share of the one found, by its degrees of freedom. */
  private static double drawn(int degrees, SplittableRandom random) {
    double square = 0;
    for (int i = 0; i < degrees; i++) {
      double z = random.nextGaussian();
      square += z * z;
    }
    return Math.sqrt(degrees / Math.max(square, 1e-9));
  }

  /**
   * How large the probed shape would have to be, as a share of itself, so that it has the width
   * that was found under this noise; 0 where the noise alone is as wide.
   */
  private static double size(MinimumZone zone, double[] away, double[] noise, double value) {
    double below = 0;
    double widthBelow = width(zone, away, noise, 0);
    if (widthBelow >= value) {
      return 0;
    }
    for (double share : SHARES) {
      double width = width(zone, away, noise, share);
      if (width >= value) {
        return below + (share - below) * (value - widthBelow) / (width - widthBelow);
      }
      below = share;
      widthBelow = width;
    }
    return below;
  }

  private static double width(MinimumZone zone, double[] away, double[] noise, double share) {
    double[] z = new double[away.length];
    for (int i = 0; i < z.length; i++) {
      z[i] = share * away[i] + noise[i];
    }
    return 2 * zone.of(z)[3];
  }
}
