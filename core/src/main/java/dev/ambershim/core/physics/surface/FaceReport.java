package dev.ambershim.core.physics.surface;

import dev.ambershim.core.base.Interval;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

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
 * @param zone where the minimum zone's true width lies, 95 %; empty without a scatter
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
        scatter.map(s -> interval(repeats, flatness, s)));
  }

  /**
   * Scatter makes any face look less flat, so the draws lie too high; turned about the value they
   * give the interval (the basic bootstrap: Davison &amp; Hinkley, <i>Bootstrap Methods and their
   * Application</i>, 1997, 5.2; cited from memory).
   */
  private static Interval interval(Repeats repeats, Flatness flatness, double scatter) {
    int n = repeats.points().size();
    int draws = Math.max(40, Math.min(DRAWS, MOST_WORK / n));
    SplittableRandom random = new SplittableRandom(20_260_406);
    double[] x = repeats.points().stream().mapToDouble(ProbedPoint::xMillimetres).toArray();
    double[] y = repeats.points().stream().mapToDouble(ProbedPoint::yMillimetres).toArray();
    double[] found = new double[draws];
    double[] z = new double[n];
    double[] away = flatness.deviations().stream().mapToDouble(v -> v).toArray();
    double[] each = repeats.counts().stream().mapToDouble(c -> scatter / Math.sqrt(c)).toArray();
    MinimumZone zone = new MinimumZone(x, y);
    for (int d = 0; d < draws; d++) {
      for (int i = 0; i < n; i++) {
        z[i] = away[i] + each[i] * random.nextGaussian();
      }
      found[d] = 2 * zone.of(z)[3];
    }
    java.util.Arrays.sort(found);
    double value = flatness.zoneMicrometres();
    double low = 2 * value - found[(int) Math.round(0.975 * (draws - 1))];
    double high = 2 * value - found[(int) Math.round(0.025 * (draws - 1))];
    return new Interval(Math.max(0, low), Math.max(0, high), 0.95);
  }
}
